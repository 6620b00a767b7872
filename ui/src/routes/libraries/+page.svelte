<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { librariesQuery } from '$lib/library/queries';
  import { openLibrary } from '$lib/library/actions';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { who } from '$lib/shell/session.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const libraries = createQuery(librariesQuery);
  let opening = $state(false);
  let name = $state('');

  async function open(event: SubmitEvent) {
    event.preventDefault();
    if (await openLibrary(name)) {
      opening = false;
      name = '';
    }
  }
</script>

<svelte:head><title>Libraries · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex items-center">
    <h1>Libraries</h1>
    {#if who.may('EDIT')}
      <button class="button ml-auto" onclick={() => (opening = true)}>New library</button>
    {/if}
  </header>
  {#if libraries.error}
    <ErrorNote error={libraries.error} retry={() => void libraries.refetch()} />
  {:else if libraries.data}
    <table class="rows mt-3 w-full max-w-3xl">
      <thead>
        <tr><th>Library</th><th class="number w-32">Tools</th></tr>
      </thead>
      <tbody>
        {#each libraries.data.items as library (library.id)}
          <tr class="hover:bg-faint">
            <td>
              <a class="font-semibold hover:text-working" href="/libraries/{library.id}">
                {library.name}
              </a>
            </td>
            <td class="number">{library.tools.toLocaleString('en')}</td>
          </tr>
        {:else}
          <tr><td colspan="2" class="text-soft">No library yet: open the first one.</td></tr>
        {/each}
      </tbody>
    </table>
    <p class="mt-5">
      <a class="text-working underline" href="/holders">Holders, extensions, collets and arbors</a>
      <span class="text-soft">are kept once for all libraries.</span>
    </p>
  {:else}
    <Loading />
  {/if}
</div>

<DialogFrame bind:open={opening} title="New library">
  <form class="flex gap-2" onsubmit={open}>
    <input class="field flex-1" aria-label="Name" placeholder="Name" bind:value={name} required />
    <button class="button main">Create</button>
  </form>
</DialogFrame>
