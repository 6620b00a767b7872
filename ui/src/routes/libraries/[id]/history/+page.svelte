<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { libraryBack } from '$lib/library/actions';
  import LibraryChanges from '$lib/library/LibraryChanges.svelte';
  import { libraryHistoryQuery, libraryQuery } from '$lib/library/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import LastingDelete from '$lib/shell/LastingDelete.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { mayMaintain } from '$lib/library/rights';
  import { capital, moment } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const library = createQuery(() => libraryQuery(id));
  const may = $derived(mayMaintain(library.data));
  const history = createQuery(() => libraryHistoryQuery(id));
  const lines = $derived(history.data?.items ?? []);
  const trouble = $derived(library.error ?? history.error);

  /** The line that is looked back at; the last but one where nobody chose. */
  let chosen = $state<number | null>(null);
  const from = $derived(lines.find((line) => line.id === chosen) ?? lines[1]);
</script>

<svelte:head><title>History · {library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if trouble}
  <ErrorNote
    error={trouble}
    retry={() => {
      void library.refetch();
      void history.refetch();
    }}
  />
{:else if library.data && history.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/libraries/{id}">{library.data.name}</a></p>
    <div class="flex flex-wrap items-center gap-3">
      <h1>History</h1>
      <span class="text-soft">What changed the library, and what it was then</span>
      <a class="button ml-auto" href="/libraries/{id}/editions">Editions</a>
      <a class="button" href="/trail?library={id}">All that was done to its tools</a>
    </div>
    {#if lines.length === 0}
      <p class="mt-4 text-soft">Nothing has changed it since its history is kept.</p>
    {:else}
      <div class="mt-3 grid items-start gap-8 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <table class="rows w-full">
          <thead>
            <tr>
              <th>When</th>
              <th>Who</th>
              <th>What</th>
              <th><span class="sr-only">Actions</span></th>
            </tr>
          </thead>
          <tbody>
            {#each lines as line, place (line.id)}
              <tr class={['hover:bg-faint', may && line.id === from?.id && 'bg-faint']}>
                <td class="text-soft">{moment(line.at)}</td>
                <td>{line.who}</td>
                <td class="w-full max-w-0 truncate" title={line.text}>{capital(line.text)}</td>
                <td class="text-right">
                  {#if place === 0}
                    <span class="px-1.5 text-soft">as it is now</span>
                  {:else if may}
                    <span class="flex w-60 flex-wrap items-center justify-end">
                      <button
                        class="button quiet h-6!"
                        aria-pressed={line.id === from?.id}
                        aria-label="Compare with what it was after: {line.text}"
                        onclick={() => (chosen = line.id)}>Compare</button
                      >
                      <LastingDelete
                        word="Back to this"
                        label="Back to what it was after: {line.text}"
                        ondelete={() => void libraryBack(id, line.id, place)}
                      />
                    </span>
                  {/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
        {#if may && from}
          <LibraryChanges {id} {lines} {from} />
        {/if}
      </div>
    {/if}
  </div>
{:else}
  <Loading />
{/if}
