<script lang="ts">
  import { capital } from './text';

  let { error, retry }: { error: Error; retry?: () => void } = $props();
</script>

<div role="alert" class="m-5 max-w-2xl border-l-4 border-hold py-2 pl-4">
  <p>{capital(error.message)}</p>
  {#if retry}
    <button class="button mt-2" onclick={retry}>Try again</button>
  {/if}
</div>
