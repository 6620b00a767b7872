<script lang="ts">
  import { page } from '$app/state';
  import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query';
  import { searchDuplicates, stopSearch } from '$lib/duplicate/actions';
  import Group from '$lib/duplicate/Group.svelte';
  import { duplicateSearchQuery, duplicatesQuery } from '$lib/duplicate/queries';
  import { librariesQuery } from '$lib/library/queries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count, moment } from '$lib/shell/text';

  let library = $state(/^\d+$/.exec(page.url.searchParams.get('library') ?? '')?.[0] ?? '');
  let tolerance = $state<number | null>(null);
  const libraries = createQuery(librariesQuery);
  const search = createQuery(duplicateSearchQuery);
  const groups = createInfiniteQuery(() => duplicatesQuery(library ? Number(library) : null));

  const last = $derived(search.data?.search);
  const running = $derived(last?.state === 'WAITING' || last?.state === 'RUNNING');
  const shown = $derived(groups.data?.pages.flatMap(({ items }) => items) ?? []);
  const editable = $derived(who.may('EDIT'));
</script>

<svelte:head><title>Duplicates · Arbor Line</title></svelte:head>

<header class="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pb-2 pt-3">
  <h1>Duplicates</h1>
  <span class="text-soft" role="status">
    {#if last && running}
      {last.pairs > 0
        ? `${last.pairs.toLocaleString('en')} pairs of ${count(last.tools, 'tool')} compared`
        : `${count(last.tools, 'tool')} read`}
    {:else if last}
      {count(last.tools, 'tool')} searched {moment(last.endedAt ?? last.askedAt)}, lengths alike
      within {units.entry(last.tolerance, 'mm')}
      {units.label('mm')}
    {/if}
  </span>
  <div class="ml-auto flex flex-wrap items-center gap-2">
    <Choice
      label="Library"
      bind:value={library}
      options={[
        { value: '', label: 'all libraries' },
        ...(libraries.data?.items ?? []).map(({ id, name }) => ({ value: String(id), label: name }))
      ]}
    />
    {#if editable}
      <label class="flex items-center gap-2 text-soft">
        Lengths alike within
        <NumberField
          label="Lengths alike within"
          unit="mm"
          class="w-20"
          optional
          value={tolerance ?? last?.tolerance ?? 0.02}
          onvalue={(value) => (tolerance = value)}
        />
        {units.label('mm')}
      </label>
      {#if running}
        <button class="button" onclick={() => void stopSearch()}>Stop</button>
      {:else}
        <button
          class="button main"
          onclick={() => void searchDuplicates(tolerance ?? last?.tolerance ?? null)}
        >
          {last ? 'Search again' : 'Search the shop'}
        </button>
      {/if}
    {/if}
  </div>
</header>
<div class="min-h-0 flex-1 overflow-auto px-2.5 pb-6">
  {#if last?.note}<p class="px-2.5 py-1 text-query">{capital(last.note)}</p>{/if}
  {#if groups.data && search.data}
    {#each shown as group (group.id)}
      <Group {group} {editable} />
    {:else}
      <p class="px-2.5 py-4 text-soft">
        {#if !last}
          The shop was not searched yet. A search compares shapes, vendor items and the spelling of
          codes over all libraries.
        {:else if running}
          The shop is being searched.
        {:else}
          No tools look like one.
        {/if}
      </p>
    {/each}
    {#if groups.hasNextPage}
      <div class="px-2.5 pt-3">
        <button
          class="button"
          disabled={groups.isFetchingNextPage}
          onclick={() => void groups.fetchNextPage()}>Show more</button
        >
      </div>
    {/if}
  {:else if !groups.error && !search.error}
    <Loading />
  {/if}
  <NotLoaded query={groups.error ? groups : search} />
</div>
