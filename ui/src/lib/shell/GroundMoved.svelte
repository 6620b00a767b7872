<script lang="ts">
  let { what, again }: { /** Such as "the post". */ what: string; again: () => void } = $props();
</script>

<p class="flex flex-wrap items-center gap-3 pb-2 text-query" role="status">
  Somebody else changed {what} meanwhile. What you typed is still here.
  <button class="button" onclick={again}>Show it as it is now</button>
</p>
