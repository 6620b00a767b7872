<script lang="ts">
  import '../app.css';
  import type { Snippet } from 'svelte';
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { QueryClientProvider } from '@tanstack/svelte-query';
  import { Toaster } from 'svelte-sonner';
  import { cache } from '$lib/api/cache';
  import Broken from '$lib/shell/Broken.svelte';
  import ConnectionNotice from '$lib/shell/ConnectionNotice.svelte';
  import Commands from '$lib/shell/Commands.svelte';
  import ChangedJobs from '$lib/job/ChangedJobs.svelte';
  import Keys from '$lib/shell/Keys.svelte';
  import Line from '$lib/shell/Line.svelte';
  import { listen } from '$lib/shell/live.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { settings } from '$lib/shell/settings.svelte';

  let { children }: { children: Snippet } = $props();

  let fetching = $state(false);
  let commands = $state(false);
  let keys = $state(false);
  const inside = $derived(
    !['/sign-in', '/welcome'].includes(page.url.pathname) && Boolean(who.current.name)
  );

  onMount(() => settings.load());

  $effect(() => (inside ? listen() : undefined));

  /** Queries begin while a page is being drawn, when nothing may change yet. */
  function count() {
    queueMicrotask(() => (fetching = cache.isFetching() > 0));
  }

  onMount(() => {
    count();
    return cache.getQueryCache().subscribe(count);
  });

  function typing(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && target.matches('input, textarea, [contenteditable]');
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      commands = true;
    } else if (event.key === '?' && !typing(event.target)) {
      keys = true;
    } else if (event.key === '/' && !typing(event.target)) {
      const search = document.querySelector<HTMLInputElement>('[data-search]');
      if (search) {
        event.preventDefault();
        search.focus();
      }
    }
  }
</script>

<svelte:window {onkeydown} />

<QueryClientProvider client={cache}>
  <div class="flex h-screen flex-col overflow-hidden">
    {#if inside}
      <Line openCommands={() => (commands = true)} openKeys={() => (keys = true)} />
      <ConnectionNotice />
      <Commands bind:open={commands} />
      <Keys bind:open={keys} />
      <ChangedJobs />
    {/if}
    <main class="flex min-h-0 flex-1 flex-col" aria-busy={fetching}>
      {#key page.url.pathname}
        <svelte:boundary>
          {@render children()}
          {#snippet failed(error)}
            <Broken {error} />
          {/snippet}
        </svelte:boundary>
      {/key}
    </main>
  </div>
  <Toaster
    position="bottom-center"
    offset={{ bottom: '68px' }}
    visibleToasts={2}
    theme={settings.theme === 'night' ? 'dark' : 'light'}
    toastOptions={{
      style:
        'background: var(--sheet); color: var(--ink); border: 1px solid var(--hairline); border-radius: 4px; padding: 8px 14px; font-family: inherit; font-size: 14px',
      actionButtonStyle:
        'background: transparent; color: var(--working); font-weight: 600; font-size: 14px'
    }}
  />
</QueryClientProvider>
