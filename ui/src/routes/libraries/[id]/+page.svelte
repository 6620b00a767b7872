<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { ToolRow } from '$lib/api/client';
  import { baseQuery } from '$lib/derived/queries';
  import { isTable } from '$lib/grid/clipboard';
  import { followAddress } from '$lib/library/followAddress.svelte';
  import ChosenBar from '$lib/library/ChosenBar.svelte';
  import { copiedRows, type Carried } from '$lib/library/copied';
  import CopyDialog from '$lib/library/CopyDialog.svelte';
  import { carries, dropped } from '$lib/library/dragging';
  import ExportDialog from '$lib/library/ExportDialog.svelte';
  import { ListFilter } from '$lib/library/filter.svelte';
  import PasteDialog from '$lib/library/PasteDialog.svelte';
  import { facetsQuery, libraryQuery, rightsQuery, sectionsQuery } from '$lib/library/queries';
  import { mayMaintain, mayPropose, said } from '$lib/library/rights';
  import SectionEditor from '$lib/library/SectionEditor.svelte';
  import SectionBand from '$lib/library/SectionBand.svelte';
  import ListSearch from '$lib/library/ListSearch.svelte';
  import ToolList from '$lib/library/ToolList.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const filter = new ListFilter();
  followAddress(filter);
  let chosen = $state<ToolRow[]>([]);
  let exporting = $state(false);
  let pasted = $state<string | null>(null);
  /** Tools of other libraries that were pasted or dropped here, and in which section. */
  let arriving = $state<Carried[]>([]);
  let into = $state<string>();

  function onpaste(event: ClipboardEvent) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    const typing = event.target instanceof HTMLInputElement;
    const rows = typing ? [] : copiedRows(text).filter(({ libraryId }) => libraryId !== id);
    if (rows.length > 0 && may) {
      event.preventDefault();
      arrive(rows);
    } else if (!typing && who.may('RECEIVE') && isTable(text)) {
      event.preventDefault();
      pasted = text;
    }
  }

  function arrive(tools: Carried[], section?: string) {
    arriving = tools;
    into = section;
  }

  function ondrop(event: DragEvent) {
    const tools = dropped(event).filter(({ libraryId }) => libraryId !== id);
    if (tools.length === 0) return;
    event.preventDefault();
    arrive(tools);
  }

  const library = createQuery(() => libraryQuery(id));
  const facets = createQuery(() => facetsQuery(id, filter.counted));
  const sections = createQuery(() => sectionsQuery(id));
  const view = createQuery(() => rightsQuery(id));
  const base = createQuery(() => baseQuery(id));
  const may = $derived(mayMaintain(library.data));
</script>

<svelte:window
  {onpaste}
  ondragover={(event) => may && carries(event) && event.preventDefault()}
  ondrop={(event) => may && ondrop(event)}
/>

<svelte:head><title>{library.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if library.error}
  <ErrorNote error={library.error} retry={() => void library.refetch()} />
{:else if library.data}
  <header class="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pb-2 pt-3">
    <h1 title={library.data.settings.purpose || undefined}>{library.data.name}</h1>
    {#if library.data.sharing !== 'SHOP'}
      <a class="text-note hover:text-working" href="/libraries/{id}/rights"
        >{library.data.sharing === 'PRIVATE' ? 'private' : 'reference'}</a
      >
    {/if}
    {#if base.data?.from}
      <a
        class={[base.data.from.newest != null ? 'text-query' : 'text-soft', 'hover:text-working']}
        href="/libraries/{id}/base"
        >from {base.data.from.base || 'another library'}, edition {base.data.from.edition
          .number}{base.data.from.newest != null ? `; ${base.data.from.newest} is there` : ''}</a
      >
    {/if}
    {#if library.data.settings.archived}<span class="text-query">in the archive</span>{/if}
    <span class="text-soft" role="status">
      {filter.narrowed && facets.data
        ? `${facets.data.total.toLocaleString('en')} of ${count(library.data.tools, 'tool')}`
        : count(library.data.tools, 'tool')}
    </span>
    <ListSearch {filter} />
    <div class="ml-auto flex flex-wrap gap-2">
      {#if chosen.length > 0}
        <ChosenBar
          library={id}
          {may}
          proposes={mayPropose(library.data)}
          {filter}
          listed={facets.data?.total ?? 0}
          bind:chosen
        />
      {:else}
        {#if sections.data?.items.length === 0 && may}
          <SectionEditor library={id} sections={[]} />
        {/if}
        <a class="button" href="/libraries/{id}/settings">Settings</a>
        <a class="button" href="/libraries/{id}/naming">Names</a>
        <a class="button" href="/libraries/{id}/history">History</a>
        <button class="button" onclick={() => (exporting = true)}>Export</button>
        {#if may}
          <a class="button main" href="/libraries/{id}/new">New tool</a>
        {:else if mayPropose(library.data)}
          <a class="button" href="/libraries/{id}/new">Propose a tool</a>
        {/if}
      {/if}
    </div>
  </header>
  {#if !may && view.data}
    <p class="flex items-center gap-2 px-5 pb-2 text-soft">
      <Mark kind="note" word="" />
      {said(view.data)}
      <a class="text-working underline" href="/libraries/{id}/rights">Sharing</a>
    </p>
  {/if}
  <SectionBand library={id} {may} {filter} onarriving={arrive} />
  {#if library.data.tools === 0}
    <div class="flex-1 px-5 py-6">
      <p>This library is empty.</p>
      {#if may}
        <p class="mt-1 text-soft">
          <a class="text-working underline" href="/receiving">Add a file</a> and take its tools,
          copy some from
          <a class="text-working underline" href="/libraries/all">other libraries</a>, paste rows of
          a spreadsheet here, or make a
          <a class="text-working underline" href="/libraries/{id}/new">new tool</a>.
        </p>
      {/if}
    </div>
  {:else}
    <ToolList library={id} {may} {filter} bind:chosen />
  {/if}
  <ExportDialog bind:open={exporting} library={id} />
  {#if arriving.length > 0}
    <CopyDialog
      rows={arriving}
      library={{ id, name: library.data.name }}
      section={into}
      onclose={() => (arriving = [])}
    />
  {/if}
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
