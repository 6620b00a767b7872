<script lang="ts">
  import { page } from '$app/state';
  import { connection } from './live.svelte';

  const then = $derived(encodeURIComponent(page.url.pathname + page.url.search));
</script>

{#if connection.state !== 'heard'}
  <p role="alert" class="border-y border-hairline bg-sheet px-5 py-2">
    {#if connection.state === 'lost'}
      <strong class="text-hold">The server does not answer.</strong>
      What you see may be old; it is loaded again once the server is back.
    {:else}
      <strong class="text-hold">You are signed out.</strong>
      What you see may be old.
      <a class="text-working underline" href="/sign-in?then={then}">Sign in again</a>
    {/if}
  </p>
{/if}
