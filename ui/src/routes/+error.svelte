<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Not found · Arbor Line</title></svelte:head>

<section class="m-auto max-w-lg p-8">
  <div class="centre-line mb-6 w-40" aria-hidden="true"></div>
  {#if page.status === 404}
    <h1>There is nothing at this address</h1>
    <p class="mt-2 text-soft">
      It may have been taken away, or the address was cut off when it was copied.
    </p>
  {:else}
    <h1>This page could not be shown</h1>
    <p class="mt-2 text-soft">{page.error?.message}. Load it again; nothing was changed.</p>
  {/if}
  <a class="button mt-4" href="/">Go to Today</a>
</section>
