<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query';
  import { facetsQuery, libraryQuery, toolsQuery } from '$lib/library/queries';
  import { copyTool, removeTool } from '$lib/library/actions';
  import { type ToolRow } from '$lib/api/client';
  import Strip from '$lib/drawing/Strip.svelte';
  import ExportDialog from '$lib/library/ExportDialog.svelte';
  import FilterBand from '$lib/library/FilterBand.svelte';
  import PasteDialog from '$lib/library/PasteDialog.svelte';
  import { isTable } from '$lib/grid/clipboard';
  import { ListFilter } from '$lib/library/filter.svelte';
  import ToolTable from '$lib/library/ToolTable.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = $derived(Number(page.params.id));
  const filter = new ListFilter();
  let hung = $state<ToolRow[]>([]);
  let exporting = $state(false);
  let pasted = $state<string | null>(null);

  function onpaste(event: ClipboardEvent) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    const typing = event.target instanceof HTMLInputElement;
    if (!typing && who.may('RECEIVE') && isTable(text)) {
      event.preventDefault();
      pasted = text;
    }
  }

  const library = createQuery(() => libraryQuery(id));
  const facets = createQuery(() => facetsQuery(id, filter.query));
  const tools = createInfiniteQuery(() => toolsQuery(id, filter.query, filter.sort, filter.down));
  const rows = $derived((tools.data?.pages ?? []).flatMap((page) => page.items));
  const single = $derived(hung.length === 1 ? hung[0] : null);

  function more() {
    if (tools.hasNextPage && !tools.isFetchingNextPage) {
      void tools.fetchNextPage();
    }
  }

  function remove(row: ToolRow) {
    if (!who.may('EDIT')) return;
    hung = hung.filter((hanging) => hanging.entryId !== row.entryId);
    void removeTool(id, row);
  }
</script>

<svelte:window {onpaste} />

<svelte:head><title>{library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if library.error}
  <ErrorNote error={library.error} retry={() => void library.refetch()} />
{:else if library.data}
  <header class="flex items-center gap-3 px-5 pb-2 pt-3">
    <h1>{library.data.name}</h1>
    <span class="text-soft" role="status">
      {filter.narrowed && facets.data
        ? `${facets.data.total.toLocaleString('en')} of ${count(library.data.tools, 'tool')}`
        : count(library.data.tools, 'tool')}
    </span>
    <input
      class="field ml-6 w-80"
      data-search
      type="search"
      aria-label="Search"
      placeholder="words, or dia 6..12 flutes 3 reach>30"
      bind:value={filter.text}
    />
    {#if filter.narrowed}
      <button class="button quiet" onclick={() => filter.clear()}>Show all</button>
    {/if}
    <div class="ml-auto flex gap-2">
      {#if single && who.may('EDIT')}
        <button class="button" onclick={() => void copyTool(id, single)}>Copy</button>
        <button class="button" onclick={() => remove(single)}>Remove</button>
      {/if}
      {#if single}
        <a class="button" href="/tools/{single.toolId}">Open sheet</a>
      {/if}
      <a class="button" href="/libraries/{id}/naming">Names</a>
      <button class="button" onclick={() => (exporting = true)}>Export</button>
      {#if who.may('EDIT')}
        <a class="button main" href="/libraries/{id}/new">New tool</a>
      {/if}
    </div>
  </header>
  {#if library.data.tools > 0 || filter.narrowed}
    <FilterBand {filter} facets={facets.data} />
  {/if}
  {#if tools.error}
    <ErrorNote error={tools.error} retry={() => void tools.refetch()} />
  {:else if library.data.tools === 0}
    <div class="flex-1 px-5 py-6">
      <p>This library is empty.</p>
      <p class="mt-1 text-soft">
        <a class="text-working underline" href="/receiving">Add a file</a> and take its tools, paste
        rows of a spreadsheet here, or make a
        <a class="text-working underline" href="/libraries/{id}/new">new tool</a>.
      </p>
    </div>
  {:else if tools.data && rows.length === 0}
    <div class="flex-1 px-5 py-6">
      <p>No tool is like that.</p>
      <button class="button mt-2" onclick={() => filter.clear()}>Show all</button>
    </div>
  {:else}
    <ToolTable
      {rows}
      {filter}
      bind:hung
      onopen={(row) => void goto(`/tools/${row.toolId}`)}
      onend={more}
      onremove={remove}
    />
  {/if}
  {#if library.data.tools > 0}
    <Strip
      tools={hung.map((row) => ({ key: row.entryId, code: row.code, outline: row.outline }))}
    />
  {/if}
  <ExportDialog bind:open={exporting} library={id} />
  {#if pasted !== null}
    <PasteDialog
      text={pasted}
      library={{ id, name: library.data.name }}
      onclose={() => (pasted = null)}
    />
  {/if}
{:else}
  <Loading />
{/if}
