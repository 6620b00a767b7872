<script lang="ts">
  let { what = 'Loading …' }: { what?: string } = $props();
</script>

<!-- Says that a view waits for its data; drawn only once the wait can be noticed. -->
<p class="late m-5 text-soft" role="status">{what}</p>

<style>
  .late {
    animation: appear 0s 300ms both;
  }
  @keyframes appear {
    from {
      opacity: 0;
    }
  }
</style>
