<script lang="ts">
  import { VList } from 'virtua/svelte';
  import type { ToolRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { settings } from '$lib/shell/settings.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import { BELOW, boardLines, boardScale, type BoardLine } from './board';
  import { DRAGGED, dragged } from './dragging';
  import { noteCopied } from './copied';
  import { toClipboard } from '$lib/grid/clipboard';

  let {
    rows,
    title,
    larger,
    chosen = $bindable(),
    onopen,
    onend,
    onpoint,
    keys
  }: {
    rows: ToolRow[];
    /** What stands above the tools of a group; empty where they are not grouped. */
    title: (row: ToolRow) => string;
    /** By how much it is enlarged. */
    larger: number;
    chosen: ToolRow[];
    onopen: (row: ToolRow) => void;
    onend: () => void;
    onpoint?: (row: ToolRow) => void;
    keys: Record<string, (rows: ToolRow[]) => void>;
  } = $props();

  const HIGHEST = 190;
  const MARGINS = 60;
  let width = $state(1000);
  let cursor = $state(0);
  let list = $state<{ scrollToIndex: (index: number, options?: object) => void }>();

  const scale = $derived(boardScale(rows, HIGHEST) * larger);
  const lines = $derived(boardLines(rows, { scale, width: width - MARGINS, title }));
  const isChosen = (row: ToolRow) => chosen.some(({ entryId }) => entryId === row.entryId);

  function choose(row: ToolRow) {
    chosen = isChosen(row)
      ? chosen.filter(({ entryId }) => entryId !== row.entryId)
      : [...chosen, row];
  }

  function lineOf(index: number): number {
    return lines.findIndex(
      (line) => 'tools' in line && line.tools.some((tool) => tool.index === index)
    );
  }

  /** The tool that hangs next above or below, nearest to the one with the cursor. */
  function across(step: number): number {
    const at = lineOf(cursor);
    const place = toolsOf(lines[at]).findIndex(({ index }) => index === cursor);
    for (let line = at + step; line >= 0 && line < lines.length; line += step) {
      const tools = toolsOf(lines[line]);
      if (tools.length > 0) return tools[Math.min(place, tools.length - 1)].index;
    }
    return cursor;
  }

  function toolsOf(line: BoardLine | undefined) {
    return line && 'tools' in line ? line.tools : [];
  }

  function go(index: number) {
    cursor = Math.min(rows.length - 1, Math.max(0, index));
    list?.scrollToIndex(lineOf(cursor), { align: 'nearest' });
    if (rows[cursor]) onpoint?.(rows[cursor]);
  }

  /** Code, name, class and sizes of what is chosen, or of the tool with the cursor. */
  function oncopy(event: ClipboardEvent) {
    const some = chosen.length > 0 ? chosen : rows.slice(cursor, cursor + 1);
    if (some.length === 0) return;
    const text = toClipboard([
      ['Code', 'Name', 'Class', 'Size'],
      ...some.map((row) => [row.code, row.name, row.classTitle, sizes(row)])
    ]);
    event.clipboardData?.setData('text/plain', text);
    noteCopied(some, text);
    event.preventDefault();
  }

  function onkeydown(event: KeyboardEvent) {
    const row = rows[cursor];
    if (!row) return;
    if (event.key === 'ArrowRight') go(cursor + 1);
    else if (event.key === 'ArrowLeft') go(cursor - 1);
    else if (event.key === 'ArrowDown') go(across(1));
    else if (event.key === 'ArrowUp') go(across(-1));
    else if (event.key === 'Home') go(0);
    else if (event.key === 'End') go(rows.length - 1);
    else if (event.key === ' ') choose(row);
    else if (event.key === 'Enter') onopen(row);
    else if (event.key in keys && !event.ctrlKey && !event.metaKey && !event.altKey)
      keys[event.key](chosen.length > 0 ? chosen : [row]);
    else return;
    event.preventDefault();
  }

  /** Its cutting diameter where it has one, and its length. */
  function sizes(row: ToolRow): string {
    const found = row.values.DC ?? row.values.DCX;
    const diameter = (settings.unit === 'mm' ? found?.mm : found?.inch) ?? '';
    const length = row.outline ? units.entry(row.outline.length, 'mm') : '';
    return [diameter && `Ø ${diameter}`, length].filter(Boolean).join(' × ');
  }

  function ondragstart(event: DragEvent, row: ToolRow) {
    const some = isChosen(row) ? chosen : [row];
    event.dataTransfer?.setData(DRAGGED, dragged(some));
  }
</script>

<div class="relative flex min-h-0 flex-1 flex-col" bind:clientWidth={width}>
  <div
    class="flex min-h-0 flex-1 flex-col focus:outline-none"
    role="grid"
    aria-label="Board of tools"
    aria-multiselectable="true"
    aria-activedescendant={rows[cursor] ? `board-${rows[cursor].entryId}` : undefined}
    tabindex="0"
    {onkeydown}
    {oncopy}
  >
    <VList
      bind:this={list}
      data={lines}
      getKey={(line: BoardLine) => line.key}
      style="flex:1"
      onscroll={(offset: number) => {
        const height = HIGHEST * larger + BELOW;
        if (offset > (lines.length - 8) * height * 0.6) onend();
      }}
    >
      {#snippet children(line: BoardLine)}
        {#if 'title' in line}
          <div role="row" class="px-5 pb-1 pt-3 font-semibold">
            <span role="gridcell">{line.title}</span>
          </div>
        {:else}
          <div role="row" class="mx-5 flex border-t-2 border-working">
            {#each line.tools as { row, index, width: own } (row.entryId)}
              <!-- svelte-ignore a11y_click_events_have_key_events (the board has the keys) -->
              <div
                id="board-{row.entryId}"
                role="gridcell"
                tabindex="-1"
                aria-selected={isChosen(row)}
                title="{row.code} · {row.name} · {row.classTitle}"
                class={[
                  'flex cursor-default flex-col items-center pb-1.5 hover:bg-faint',
                  isChosen(row) && 'bg-faint',
                  index === cursor && 'cursor'
                ]}
                style:width="{own}px"
                draggable="true"
                ondragstart={(event) => ondragstart(event, row)}
                onpointerenter={() => onpoint?.(row)}
                onclick={() => {
                  cursor = index;
                  choose(row);
                }}
                ondblclick={() => onopen(row)}
              >
                <Silhouette
                  outline={row.outline}
                  width={own - 4}
                  height={line.height + 6}
                  {scale}
                  upright
                />
                <a
                  class="code mt-auto w-full truncate px-1 text-center text-[11.5px] tracking-tight hover:text-working"
                  href="/tools/{row.toolId}"
                  tabindex={index === cursor ? 0 : -1}>{row.code}</a
                >
                <span class="w-full truncate px-1 text-center text-[12px] text-soft">
                  {sizes(row)}
                </span>
              </div>
            {/each}
          </div>
        {/if}
      {/snippet}
    </VList>
  </div>
</div>

<style>
  [role='grid']:focus .cursor {
    box-shadow: inset 0 -2px 0 var(--working);
  }
</style>
