<script lang="ts">
  import Touched from '$lib/link/Touched.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { changeLibrary } from '$lib/library/actions';
  import Includes from '$lib/library/Includes.svelte';
  import LibraryForm from '$lib/library/LibraryForm.svelte';
  import { libraryQuery } from '$lib/library/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { mayMaintain, mayOwn } from '$lib/library/rights';

  const id = $derived(Number(page.params.id));
  const library = createQuery(() => libraryQuery(id));
  const may = $derived(mayOwn(library.data));
</script>

<svelte:head><title>Settings · {library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if library.error}
  <ErrorNote error={library.error} retry={() => void library.refetch()} />
{:else if library.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/libraries/{id}">{library.data.name}</a></p>
    <div class="flex max-w-3xl items-center gap-3">
      <h1>Settings</h1>
      <span class="ml-auto"
        ><Touched kind="LIBRARY" id={String(id)} name={library.data.name} /></span
      >
      <a class="button" href="/libraries/{id}/rights">Sharing</a>
      <a class="button" href="/libraries/{id}/editions">Editions</a>
      <a class="button" href="/libraries/{id}/base">Base</a>
      <a class="button" href="/outlets?library={id}">Outlets</a>
      <a class="button" href="/libraries/{id}/history">History</a>
    </div>
    <fieldset class="mt-4 max-w-3xl" disabled={!may}>
      {#if !may}
        <p class="mb-3 text-soft">
          You may look at this; who owns the library may change it.
          <a class="text-working underline" href="/libraries/{id}/rights">Who that is</a>
        </p>
      {/if}
      <LibraryForm
        settings={library.data.settings}
        submit="Save"
        send={async (change) => {
          await changeLibrary(id, change, 'Saved');
          await goto(`/libraries/${id}`);
        }}
      />
    </fieldset>
    <div class="mt-8 max-w-3xl"><Includes library={id} may={mayMaintain(library.data)} /></div>
  </div>
{:else}
  <Loading />
{/if}
