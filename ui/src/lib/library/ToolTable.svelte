<script lang="ts">
  import { VList } from 'virtua/svelte';
  import type { ToolRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { toClipboard } from '$lib/shell/sheetcells';
  import { settings } from '$lib/shell/settings.svelte';
  import { parts, widest } from './decimals';
  import type { ListFilter, Sort } from './filter.svelte';

  let {
    rows,
    filter,
    hung = $bindable(),
    onopen,
    onend,
    onremove
  }: {
    rows: ToolRow[];
    filter: ListFilter;
    hung: ToolRow[];
    onopen: (row: ToolRow) => void;
    onend: () => void;
    onremove: (row: ToolRow) => void;
  } = $props();

  let cursor = $state(0);
  let list = $state<{ scrollToIndex: (index: number, options?: object) => void }>();
  interface Column {
    title: string;
    sort?: Sort;
    symbols?: string[];
  }
  const columns: Column[] = [
    { title: 'No.', sort: 'number' },
    { title: 'Code', sort: 'code' },
    { title: 'Name', sort: 'name' },
    { title: 'Silhouette', sort: 'class' },
    { title: 'Ø', sort: 'dc', symbols: ['DC', 'DCX'] },
    { title: 'Corner', symbols: ['RE'] },
    { title: 'Depth', symbols: ['APMX'] },
    { title: 'Reach', symbols: ['LU'] },
    { title: 'Length', symbols: ['OAL', 'LF'] },
    { title: 'Shank', symbols: ['DMM'] },
    { title: 'Edges', symbols: ['NOF'] }
  ];
  const sizes = columns.flatMap((column) => (column.symbols ? [column.symbols] : []));
  const fractions = $derived(
    sizes.map((symbols) => widest(rows.map((row) => text(row, ...symbols))))
  );

  function text(row: ToolRow, ...symbols: string[]): string {
    for (const symbol of symbols) {
      const value = row.values[symbol];
      if (value) {
        return (settings.unit === 'mm' ? value.mm : value.inch) ?? value.text;
      }
    }
    return '';
  }

  /** The chosen rows, or all that are shown, for a spreadsheet. */
  function oncopy(event: ClipboardEvent) {
    if (getSelection()?.toString()) return;
    const unit = settings.unit;
    const head = ['No.', 'Code', 'Name', 'Class'];
    const chosen = hung.length > 0 ? hung : rows;
    const cells = chosen.map((row) => [
      String(row.number),
      row.code,
      row.name,
      row.classTitle,
      ...sizes.map((symbols) => text(row, ...symbols))
    ]);
    const units = columns.flatMap((each) =>
      each.symbols ? [each.title === 'Edges' ? each.title : `${each.title} [${unit}]`] : []
    );
    event.clipboardData?.setData('text/plain', toClipboard([[...head, ...units], ...cells]));
    event.preventDefault();
  }

  function hang(row: ToolRow) {
    hung = hung.some((each) => each.entryId === row.entryId)
      ? hung.filter((each) => each.entryId !== row.entryId)
      : [...hung, row].slice(-4);
  }

  function onkeydown(event: KeyboardEvent) {
    const row = rows[cursor];
    const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, PageDown: 12, PageUp: -12 };
    if (event.key in steps) {
      cursor = Math.min(rows.length - 1, Math.max(0, cursor + steps[event.key]));
      list?.scrollToIndex(cursor, { align: 'nearest' });
    } else if (event.key === 'Home') {
      cursor = 0;
      list?.scrollToIndex(0);
    } else if (event.key === ' ' && row) {
      hang(row);
    } else if (event.key === 'Enter' && row) {
      onopen(row);
    } else if (event.key === 'Delete' && row) {
      onremove(row);
    } else {
      return;
    }
    event.preventDefault();
  }
</script>

<div
  class="grid-table flex min-h-0 flex-1 flex-col"
  role="grid"
  aria-label="Tools"
  aria-rowcount={rows.length}
  aria-activedescendant={rows[cursor] ? `row-${rows[cursor].entryId}` : undefined}
  tabindex="0"
  {onkeydown}
  {oncopy}
>
  <div role="row" class="line head band text-[13px] text-soft">
    {#each columns as column (column.title)}
      <div
        role="columnheader"
        class={column.symbols || column.sort === 'number' ? 'text-right' : ''}
        aria-sort={column.sort === filter.sort
          ? filter.down
            ? 'descending'
            : 'ascending'
          : undefined}
      >
        {#if column.sort}
          <button
            class="hover:text-working"
            tabindex="-1"
            onclick={() => column.sort && filter.sortBy(column.sort)}
          >
            {column.title}{column.sort === filter.sort ? (filter.down ? ' ↓' : ' ↑') : ''}
          </button>
        {:else}
          {column.title}
        {/if}
      </div>
    {/each}
  </div>
  <VList
    bind:this={list}
    data={rows}
    getKey={(row: ToolRow) => row.entryId}
    itemSize={30}
    style="flex:1"
    onscroll={(offset: number) => {
      if (offset > (rows.length - 60) * 30) onend();
    }}
  >
    {#snippet children(row: ToolRow, index: number)}
      {@const selected = hung.some((each) => each.entryId === row.entryId)}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_interactive_supports_focus (the grid has the keys) -->
      <div
        role="row"
        id="row-{row.entryId}"
        aria-selected={selected}
        aria-rowindex={index + 1}
        class={['line row', selected && 'bg-faint', index === cursor && 'cursor']}
        onclick={() => {
          cursor = index;
          hang(row);
        }}
        ondblclick={() => onopen(row)}
      >
        <div role="gridcell" class="text-right">{row.number}</div>
        <div role="gridcell" class="code truncate">
          <a
            href="/tools/{row.toolId}"
            tabindex={index === cursor ? 0 : -1}
            class="hover:text-working hover:underline">{row.code}</a
          >
        </div>
        <div role="gridcell" class="truncate" title={row.name}>{row.name}</div>
        <div role="gridcell" title={row.classTitle} aria-label={row.classTitle}>
          <Silhouette outline={row.outline} width={150} height={26} />
        </div>
        {#each sizes as symbols, column (symbols[0])}
          {@const number = parts(text(row, ...symbols))}
          <div role="gridcell" class="whitespace-nowrap text-right">
            {number.whole}<span class="inline-block text-left" style:width="{fractions[column]}ch"
              >{number.fraction}</span
            >
          </div>
        {/each}
      </div>
    {/snippet}
  </VList>
</div>

<style>
  .line {
    display: grid;
    grid-template-columns: 52px 150px minmax(160px, 1fr) 166px repeat(7, minmax(58px, 76px));
    align-items: center;
    gap: 0 12px;
    height: 30px;
    padding: 0 20px;
  }
  .row {
    position: relative;
    border-bottom: 1px solid var(--hairline);
  }
  .row:hover {
    background: var(--working-faint);
  }
  /* The row cursor is the centre line. */
  .cursor::after {
    content: '';
    position: absolute;
    inset: auto 0 -1px 0;
    height: 2px;
    background: repeating-linear-gradient(
      90deg,
      var(--working) 0 18px,
      transparent 18px 22px,
      var(--working) 22px 26px,
      transparent 26px 30px
    );
  }
</style>
