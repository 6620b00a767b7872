<script lang="ts" generics="Row">
  import type { Snippet } from 'svelte';
  import { PersistedState } from 'runed';
  import { VList } from 'virtua/svelte';
  import { toClipboard } from './clipboard';
  import ColumnChoice from './ColumnChoice.svelte';
  import {
    leastWidth,
    shownColumns,
    type ColumnSet,
    sorted,
    turned,
    type Column,
    type Sorting,
    type Where
  } from './columns';
  import { parts, widest } from './decimals';

  type Key = string | number;

  let {
    name,
    label,
    columns,
    rows,
    key,
    cell,
    drawn = [],
    empty,
    sorting = null,
    onsort,
    chosen = $bindable([]),
    most = 0,
    rowHeight = 30,
    flowing = false,
    growing = false,
    tops = false,
    onopen,
    onend,
    onremove,
    keys = {},
    drag,
    oncopied,
    picked = $bindable(),
    sets,
    heading,
    onpoint,
    oncursor
  }: {
    /** Under which the choice of columns is kept. */
    name: string;
    label: string;
    columns: Column<Row>[];
    rows: Row[];
    key: (row: Row) => Key;
    /**
     * Draws a cell of the columns that are `drawn`; in all others stands their text.
     */
    cell?: Snippet<[Row, Column<Row>, Where]>;
    drawn?: string[];
    empty?: Snippet;
    sorting?: Sorting | null;
    /** Where the server sorts; else the grid does. */
    onsort?: (by: string) => void;
    chosen?: Row[];
    /** How many rows can be chosen at once. */
    most?: number;
    rowHeight?: number;
    /** True where the cells of a row begin at one height, below its upper edge. */
    tops?: boolean;
    /** True where rows are as high as what they hold and stand in the flow of the page. */
    flowing?: boolean;
    /** True where rows are as high as what they hold; only those in sight are drawn. */
    growing?: boolean;
    onopen?: (row: Row) => void;
    onend?: () => void;
    onremove?: (row: Row) => void;
    /** What further keys do to the chosen rows, or to the one with the cursor. */
    keys?: Record<string, (rows: Row[]) => void>;
    /** What is carried when rows are dragged: its kind and its text. */
    drag?: (rows: Row[]) => [kind: string, text: string];
    /** Told which rows were copied, and as which text. */
    oncopied?: (rows: Row[], text: string) => void;
    /** Columns that somebody chose, where who uses the grid keeps them. */
    picked?: string[] | null;
    /** Columns that are offered together. */
    sets?: ColumnSet[];
    /** What stands above the rows of a group; it is written where it changes. */
    heading?: (row: Row) => string;
    /** Told of the row under the pointer and of that with the cursor. */
    onpoint?: (row: Row) => void;
    /** Told of the row that the cursor was moved to, by key or click. */
    oncursor?: (row: Row) => void;
  } = $props();

  const PAGE = 12;
  const AHEAD = 60;
  /** Room beyond what is in sight where growing rows are drawn as well, px. */
  const BEYOND = 60;
  /** Margins of a row, px. */
  const BESIDE = 64;
  // svelte-ignore state_referenced_locally (a grid keeps its name)
  const choice = new PersistedState<string[] | null>(`columns of ${name}`, null);
  let cursor = $state(0);
  let own = $state<Sorting | null>(null);
  /** The row from which a range is chosen. */
  let last: Key | null = null;
  let list = $state<{ scrollToIndex: (index: number, options?: object) => void }>();

  /** On a phone such rows are small sheets. */
  const sheets = $derived(flowing || growing);
  const wanted = $derived(picked === undefined ? choice.current : picked);
  const shown = $derived(shownColumns(columns, wanted));
  const order = $derived(onsort ? sorting : own);
  const ordered = $derived(onsort ? rows : sorted(rows, columns, own));
  const tracks = $derived(shown.map((column) => column.width).join(' '));
  const fractions = $derived(
    shown.map((column) => (column.numeric ? widest(ordered.map((row) => column.text(row))) : 0))
  );
  const id = (row: Row) => `${name.replace(/\W/g, '-')}-row-${key(row)}`;
  const isChosen = (row: Row) => chosen.some((other) => key(other) === key(row));

  function sortBy(column: Column<Row>) {
    if (onsort) onsort(column.sort ?? column.id);
    else own = turned(own, column.id);
  }

  function choose(row: Row) {
    if (most === 0) return;
    chosen = isChosen(row)
      ? chosen.filter((other) => key(other) !== key(row))
      : [...chosen, row].slice(-most);
  }

  /** Chooses all rows from the last one that was chosen to this one. */
  function chooseTo(index: number) {
    if (most === 0) return;
    const from = Math.max(
      0,
      ordered.findIndex((row) => key(row) === (last ?? key(ordered[index])))
    );
    const some = ordered.slice(Math.min(from, index), Math.max(from, index) + 1);
    chosen = [
      ...chosen.filter((row) => !some.some((other) => key(other) === key(row))),
      ...some
    ].slice(-most);
  }

  function onchoose(event: MouseEvent, row: Row, index: number) {
    cursor = index;
    oncursor?.(row);
    if (inControl(event.target)) return;
    if (event.shiftKey) chooseTo(index);
    else choose(row);
    last = key(row);
  }

  function carried(row: Row): Row[] {
    return isChosen(row) ? chosen : [row];
  }

  function ondragstart(event: DragEvent, row: Row) {
    if (!drag) return;
    const [kind, text] = drag(carried(row));
    event.dataTransfer?.setData(kind, text);
  }

  /** The chosen rows, or all that are shown, for a spreadsheet. */
  function oncopy(event: ClipboardEvent) {
    if (getSelection()?.toString() || inControl(event.target)) return;
    const copied = chosen.length > 0 ? chosen : ordered;
    const head = shown.map((column) => column.copied ?? column.title);
    const cells = copied.map((row) => shown.map((column) => column.text(row)));
    const text = toClipboard([head, ...cells]);
    event.clipboardData?.setData('text/plain', text);
    oncopied?.(copied, text);
    event.preventDefault();
  }

  function inControl(target: EventTarget | null): boolean {
    return (
      target instanceof Element &&
      target.closest('input, textarea, select, button, [role=combobox]') !== null
    );
  }

  function onkeydown(event: KeyboardEvent) {
    if (inControl(event.target)) return;
    const row = ordered[cursor];
    const steps: Record<string, number> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: PAGE,
      PageUp: -PAGE,
      Home: -ordered.length,
      End: ordered.length
    };
    if (event.key in steps) {
      if (event.shiftKey) last ??= row ? key(row) : null;
      cursor = Math.min(ordered.length - 1, Math.max(0, cursor + steps[event.key]));
      if (event.shiftKey) chooseTo(cursor);
      reveal();
      if (ordered[cursor]) {
        onpoint?.(ordered[cursor]);
        oncursor?.(ordered[cursor]);
      }
    } else if (event.key === ' ' && row && most > 0) {
      choose(row);
      last = key(row);
    } else if (event.key === 'a' && (event.ctrlKey || event.metaKey) && most > 0) {
      chosen = ordered.slice(0, most);
    } else if (event.key in keys && row && !event.ctrlKey && !event.metaKey && !event.altKey) {
      keys[event.key](chosen.length > 0 ? chosen : [row]);
    } else if (event.key === 'Enter' && row && onopen) {
      onopen(row);
    } else if (event.key === 'Delete' && row && onremove) {
      onremove(row);
    } else {
      return;
    }
    event.preventDefault();
  }

  function reveal() {
    const row = ordered[cursor];
    if (!flowing) list?.scrollToIndex(cursor, { align: 'nearest' });
    else if (row) document.getElementById(id(row))?.scrollIntoView({ block: 'nearest' });
  }
</script>

{#snippet line(row: Row, index: number)}
  {@const above = heading?.(row)}
  {#if above !== undefined && (index === 0 || heading?.(ordered[index - 1]) !== above)}
    <div role="row" class="px-5 pb-1 pt-3 font-semibold" style:min-width="var(--least-width)">
      <span role="gridcell">{above}</span>
    </div>
  {/if}
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_interactive_supports_focus (the grid has the keys) -->
  <div
    role="row"
    id={id(row)}
    aria-selected={most > 0 ? isChosen(row) : undefined}
    aria-rowindex={index + 2}
    class={[
      'line row',
      sheets && 'sheet',
      tops && 'tops',
      isChosen(row) && 'bg-faint',
      index === cursor && 'cursor'
    ]}
    style:grid-template-columns={tracks}
    style:min-height="{rowHeight}px"
    draggable={drag ? 'true' : undefined}
    ondragstart={(event) => ondragstart(event, row)}
    onmousedown={(event) => event.shiftKey && event.preventDefault()}
    onpointerenter={onpoint ? () => onpoint(row) : undefined}
    onclick={(event) => onchoose(event, row, index)}
    ondblclick={() => onopen?.(row)}
  >
    {#each shown as column, at (column.id)}
      {@const origin = column.origin?.(row)}
      <div
        role="gridcell"
        class={[
          'min-w-0',
          column.numeric && 'whitespace-nowrap text-right',
          origin && 'italic text-soft'
        ]}
        title={origin}
      >
        {#if cell && drawn.includes(column.id)}
          {@render cell(row, column, { index, current: index === cursor })}
        {:else}
          {@render plain(row, column, at)}
        {/if}
      </div>
    {/each}
  </div>
{/snippet}

{#snippet plain(row: Row, column: Column<Row>, at: number)}
  {#if column.numeric}
    {@const number = parts(column.text(row))}
    {number.whole}<span class="inline-block text-left" style:width="{fractions[at]}ch"
      >{number.fraction}</span
    >
  {:else}
    <span class="block truncate" title={column.text(row)}>{column.text(row)}</span>
  {/if}
{/snippet}

<div class={['group relative flex flex-col', !flowing && 'min-h-0 flex-1']}>
  <div
    class={[
      'grid-table flex flex-col overflow-x-auto',
      !flowing && 'min-h-0 flex-1',
      sheets && 'sheets'
    ]}
    style:--least-width="{leastWidth(shown) + BESIDE}px"
    role="grid"
    aria-label={label}
    aria-rowcount={ordered.length + 1}
    aria-activedescendant={ordered[cursor] ? id(ordered[cursor]) : undefined}
    tabindex="0"
    {onkeydown}
    {oncopy}
  >
    <div
      role="row"
      aria-rowindex={1}
      class={['line head band text-[13px] text-soft', sheets && 'sheet']}
      style:grid-template-columns={tracks}
    >
      {#each shown as column (column.id)}
        {@const here = order?.by === (onsort ? (column.sort ?? column.id) : column.id)}
        <div
          role="columnheader"
          class={column.numeric ? 'text-right' : ''}
          title={column.name}
          aria-sort={here ? (order?.down ? 'descending' : 'ascending') : undefined}
        >
          {#if column.heads}
            <span class="grid gap-x-3" style:grid-template-columns={column.heads.tracks}>
              {#each column.heads.titles as title (title)}<span>{title}</span>{/each}
            </span>
          {:else if column.title !== '' && (!onsort || column.sort)}
            <button class="hover:text-working" tabindex="-1" onclick={() => sortBy(column)}>
              {column.title}{here ? (order?.down ? ' ↓' : ' ↑') : ''}
            </button>
          {:else}
            {column.title}
          {/if}
        </div>
      {/each}
    </div>
    {#if ordered.length === 0 && empty}
      {@render empty()}
    {:else if flowing}
      {#each ordered as row, index (key(row))}{@render line(row, index)}{/each}
    {:else}
      <VList
        bind:this={list}
        data={ordered}
        getKey={(row: Row) => key(row)}
        itemSize={growing ? undefined : rowHeight}
        bufferSize={growing ? BEYOND : undefined}
        style="flex:1; min-width: var(--least-width)"
        onscroll={(offset: number) => {
          if (offset > (ordered.length - AHEAD) * rowHeight) onend?.();
        }}
      >
        {#snippet children(row: Row, index: number)}{@render line(row, index)}{/snippet}
      </VList>
    {/if}
  </div>
  <ColumnChoice
    quiet={sheets}
    {label}
    {columns}
    {sets}
    bind:chosen={
      () => wanted,
      (next) => {
        if (picked === undefined) choice.current = next;
        else picked = next;
      }
    }
  />
</div>

<style>
  .line {
    display: grid;
    align-items: center;
    gap: 0 12px;
    min-width: var(--least-width);
    padding: 0 20px;
  }
  .head {
    height: 30px;
    padding-right: 44px;
  }
  .row {
    position: relative;
    padding-right: 44px;
    border-bottom: 1px solid var(--hairline);
  }
  /* On a phone a row of the page is a small sheet: what it is in one line, the rest below. */
  @media (max-width: 640px) {
    .sheets {
      --least-width: 0px !important;
    }
    .line.sheet {
      grid-template-columns: auto minmax(0, 1fr) auto !important;
      min-width: 0;
      gap: 6px 12px;
      padding-right: 20px;
    }
    .head.sheet {
      display: none;
    }
    .line.sheet > :global(:nth-child(n + 4)) {
      grid-column: 1 / -1;
    }
  }
  .tops {
    align-items: start;
    padding-top: 5px;
    padding-bottom: 5px;
  }
  .row:hover {
    background: var(--working-faint);
  }
  /* The row cursor is the centre line. */
  .row.cursor:not(.sheet)::after,
  .grid-table:focus .row.cursor::after {
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
