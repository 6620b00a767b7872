<script lang="ts">
  import { page } from '$app/state';
  import { capital } from '$lib/shell/text';

  const missing = $derived(page.status === 404);
</script>

<svelte:head>
  <title>{missing ? 'Not found' : 'Not loaded'} · Arbor Line</title>
</svelte:head>

<section class="m-auto max-w-lg p-8">
  <div class="centre-line mb-6 w-40" aria-hidden="true"></div>
  {#if missing}
    <h1>There is nothing at this address</h1>
    <p class="mt-2 text-soft">
      It may have been taken away, or the address was cut off when it was copied.
    </p>
  {:else}
    <h1>This page could not be shown</h1>
    <p class="mt-2 text-soft">
      {capital(page.error?.message ?? 'we made a mistake')}. Nothing was changed by that.
    </p>
  {/if}
  <div class="mt-4 flex gap-2">
    {#if !missing}
      <button class="button main" onclick={() => location.reload()}>Load again</button>
    {/if}
    <a class="button" href="/">Go to Today</a>
  </div>
</section>
