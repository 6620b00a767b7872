<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import Comparison from '$lib/edition/Comparison.svelte';
  import PublishForm from '$lib/edition/PublishForm.svelte';
  import { backToEdition } from '$lib/edition/actions';
  import { editionsQuery } from '$lib/edition/queries';
  import { libraryQuery } from '$lib/library/queries';
  import { mayMaintain } from '$lib/library/rights';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { moment } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const library = createQuery(() => libraryQuery(id));
  const editions = createQuery(() => editionsQuery(id));
  const all = $derived(editions.data?.items ?? []);
  const trouble = $derived(library.error ?? editions.error);
  /** How much of a hash tells editions apart. */
  const SHOWN = 10;

  /** The edition that is looked at; the newest where nobody chose. */
  let chosen = $state<number | null>(null);
  const first = $derived(all.find((edition) => edition.id === chosen) ?? all[0]);
</script>

<svelte:head><title>Editions · {library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if trouble}
  <ErrorNote
    error={trouble}
    retry={() => {
      void library.refetch();
      void editions.refetch();
    }}
  />
{:else if library.data && editions.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/libraries/{id}">{library.data.name}</a></p>
    <div class="flex flex-wrap items-center gap-3">
      <h1>Editions</h1>
      <span class="text-soft">The library as it was published, for ever</span>
    </div>
    <div class="mt-3 grid items-start gap-8 xl:grid-cols-2">
      <div>
        {#if mayMaintain(library.data)}<PublishForm library={id} />{/if}
        {#if all.length === 0}
          <p class="mt-4 text-soft">
            No edition yet. One freezes all tools with their numbers, cutting data and stacks, so
            that others can rely on it.
          </p>
        {:else}
          <table class="rows mt-3 w-full">
            <thead>
              <tr>
                <th class="number w-12">No.</th>
                <th>Why</th>
                <th class="number w-16">Tools</th>
                <th>Published</th>
                <th><span class="sr-only">Actions</span></th>
              </tr>
            </thead>
            <tbody>
              {#each all as edition (edition.id)}
                <tr class={['hover:bg-faint', edition.id === first?.id && 'bg-faint']}>
                  <td class="number font-semibold">{edition.number}</td>
                  <td class="w-full min-w-40 whitespace-normal py-1 leading-5">{edition.words}</td>
                  <td class="number">{edition.tools.toLocaleString('en')}</td>
                  <td class="whitespace-nowrap py-1 leading-5">
                    {moment(edition.madeAt)} <span class="text-soft">{edition.madeBy}</span>
                    <a
                      title="Content {edition.hash}"
                      class="code block text-[13px] text-soft hover:text-working hover:underline"
                      aria-label="Save edition {edition.number} as a JSON file"
                      href="/api/v1/editions/{edition.id}/export?format=json"
                      download>{edition.hash.slice(0, SHOWN)}</a
                    >
                  </td>
                  <td>
                    <span class="flex items-center justify-end">
                      <button
                        class="button quiet"
                        aria-pressed={edition.id === first?.id}
                        aria-label="Compare edition {edition.number}"
                        onclick={() => (chosen = edition.id)}>Compare</button
                      >
                      {#if mayMaintain(library.data)}
                        <button
                          class="button quiet"
                          aria-label="Back to edition {edition.number}"
                          onclick={() => void backToEdition(edition)}>Back to this</button
                        >
                      {/if}
                    </span>
                  </td>
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
      </div>
      {#if first}
        {#key first.id}<Comparison library={id} editions={all} {first} />{/key}
      {/if}
    </div>
  </div>
{:else}
  <Loading />
{/if}
