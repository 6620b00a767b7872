<script lang="ts">
  import { goto } from '$app/navigation';
  import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query';
  import { PersistedState } from 'runed';
  import type { ToolRow } from '$lib/api/client';
  import Strip from '$lib/drawing/Strip.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { materialsQuery } from '$lib/cutting/queries';
  import { baseQuery, marksQuery } from '$lib/derived/queries';
  import { takeOut } from './actions';
  import { basket } from './basket.svelte';
  import Board from './Board.svelte';
  import { groupTitle } from './grouping';
  import FilterBand from './FilterBand.svelte';
  import { zooms, type ListFilter } from './filter.svelte';
  import { facetsQuery, toolsQuery } from './queries';
  import ToolTable from './ToolTable.svelte';

  let {
    library,
    may,
    filter,
    chosen = $bindable([])
  }: {
    /** Null for the tools of all libraries. */
    library: number | null;
    /** Whether what stands in it may be changed. */
    may: boolean;
    filter: ListFilter;
    chosen?: ToolRow[];
  } = $props();

  /** How many silhouettes hang on the strip. */
  const HUNG = 4;
  /** Of how many tools at most is said what differs from the base. */
  const COMPARED = 300;

  const facets = createQuery(() => facetsQuery(library, filter.counted));
  const tools = createInfiniteQuery(() =>
    toolsQuery(library, filter.query, filter.group, filter.sort, filter.down, filter.belonging)
  );
  const known = createQuery(materialsQuery);
  const materials = $derived(
    Object.fromEntries((known.data?.items ?? []).map(({ id, name }) => [id, name]))
  );
  const rows = $derived((tools.data?.pages ?? []).flatMap((page) => page.items));
  const base = createQuery(() => ({ ...baseQuery(library ?? 0), enabled: library !== null }));
  const hasBase = $derived(library !== null && base.data?.from != null);
  const compared = createQuery(() => ({
    ...marksQuery(
      library ?? 0,
      rows.slice(0, COMPARED).map(({ toolId }) => toolId)
    ),
    enabled: hasBase && rows.length > 0
  }));
  const marks = $derived(
    hasBase
      ? new Map((compared.data?.items ?? []).map((one) => [one.toolId, one] as const))
      : undefined
  );
  const pointing = new PersistedState('the strip follows the pointer', false);
  let pointed = $state<ToolRow | null>(null);
  const hung = $derived(
    pointing.current && pointed
      ? [...chosen.filter(({ entryId }) => entryId !== pointed?.entryId).slice(1 - HUNG), pointed]
      : chosen.slice(-HUNG)
  );

  const onpoint = $derived(pointing.current ? (row: ToolRow) => (pointed = row) : undefined);

  function more() {
    if (tools.hasNextPage && !tools.isFetchingNextPage) {
      void tools.fetchNextPage();
    }
  }

  function remove(row: ToolRow) {
    if (!may || library === null) return;
    const some = chosen.some(({ entryId }) => entryId === row.entryId) ? chosen : [row];
    void takeOut(library, some);
    chosen = [];
  }
</script>

<FilterBand {filter} facets={facets.data} />
{#if tools.error}
  <div class="flex-1">
    <ErrorNote error={tools.error} retry={() => void tools.refetch()} />
  </div>
{:else if tools.data && rows.length === 0}
  <div class="flex-1 px-5 py-6">
    <p>No tool is like that.</p>
    <button class="button mt-2" onclick={() => filter.clear()}>Show all</button>
  </div>
{:else if filter.board}
  <Board
    {rows}
    larger={zooms[filter.zoom]}
    title={(row) => (filter.group ? groupTitle(row, filter.group, materials) : '')}
    bind:chosen
    onopen={(row) => void goto(`/tools/${row.toolId}`)}
    onend={more}
    {onpoint}
    keys={{ b: (some) => basket.add(some) }}
  />
{:else}
  <ToolTable
    {rows}
    {filter}
    {materials}
    {marks}
    following={facets.data?.columns ?? []}
    everywhere={library === null}
    bind:chosen
    onopen={(row) => void goto(`/tools/${row.toolId}`)}
    onend={more}
    onremove={remove}
    {onpoint}
    keys={{ b: (some) => basket.add(some) }}
  />
{/if}
<Strip
  tools={hung.map((row) => ({ key: row.entryId, code: row.code, outline: row.outline }))}
  bind:follows={() => pointing.current, (now) => (pointing.current = now ?? false)}
/>
