<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { answering, type Asked, linesQuery, type Narrowed } from '$lib/delivery/queries';
  import { correctLines } from '$lib/delivery/actions';
  import { type Line } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import type { Column, Where } from '$lib/grid/columns';
  import Grid from '$lib/grid/Grid.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { fromClipboard, isTable } from '$lib/grid/clipboard';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital } from '$lib/shell/text';
  import CellField from './CellField.svelte';

  let {
    delivery,
    files = [],
    asked,
    disposition,
    properties,
    editable,
    expected = 1,
    narrowed,
    onbeside
  }: {
    delivery: number;
    /** Names of the files where there are several. */
    files?: string[];
    asked?: Asked;
    disposition?: string;
    properties: string[];
    editable: boolean;
    /** How many lines are on their way, so that they find their room. */
    expected?: number;
    narrowed?: Narrowed;
    /** Shows a line beside what the shop has. */
    onbeside?: (line: Line) => void;
  } = $props();

  const lines = createInfiniteQuery(() => linesQuery(delivery, asked, disposition, narrowed));
  const rows = $derived((lines.data?.pages ?? []).flatMap((page) => page.items));
  const pointedAt = $derived(
    asked ? rows.flatMap((line) => answering(line, asked).flatMap((found) => found.properties)) : []
  );
  const columns = $derived(
    [...new Set([...properties, ...pointedAt])].filter(
      (symbol) => !['CODE', 'NAME', 'CLASS'].includes(symbol)
    )
  );

  const mixed = $derived(rows.some((line) => !['cutter', 'insert'].includes(line.kind)));
  const accompanied = $derived(
    rows.some((line) => line.cutting.length > 0 || line.stacks.length > 0 || line.cells.ATTACHMENT)
  );

  function taken(line: Line): boolean {
    return Boolean(line.takenToolId ?? line.takenPartId);
  }

  function kindWord(kind: string): string {
    return kind === 'cutting' ? 'cutting data' : kind;
  }

  /** What belongs to a tool: its holders, how many lines of cutting data. */
  function comesWith(line: Line): string {
    const cutting = line.cutting.length;
    return [
      ...line.parts,
      ...(line.cells.ATTACHMENT?.text.split('|').map((path) => path.trim().split('/').pop()!) ??
        []),
      ...(cutting > 0 ? [`${cutting} ${cutting === 1 ? 'line' : 'lines'} of cutting data`] : [])
    ].join(', ');
  }

  const shown = $derived<Column<Line>[]>([
    ...(files.length > 0
      ? [{ id: 'file', title: 'File', width: '128px', text: (line: Line) => files[line.file] }]
      : []),
    {
      id: 'line',
      title: 'Line',
      width: '52px',
      numeric: true,
      text: (line) => String(line.line)
    },
    ...(mixed
      ? [{ id: 'kind', title: 'Kind', width: '88px', text: (line: Line) => kindWord(line.kind) }]
      : []),
    { id: 'CODE', title: 'Code', width: '176px', fixed: true, text: (line) => line.code },
    { id: 'name', title: 'Name', width: 'minmax(120px, 200px)', text: (line) => line.name },
    ...(asked
      ? []
      : [
          {
            id: 'disposition',
            title: 'Ends as',
            width: '104px',
            text: (line: Line) => (taken(line) ? 'taken' : line.disposition)
          }
        ]),
    { id: 'silhouette', title: 'Silhouette', width: '136px', text: () => '' },
    ...(accompanied ? [{ id: 'with', title: 'Comes with', width: '232px', text: comesWith }] : []),
    ...columns.map((symbol) => ({
      id: symbol,
      title: symbol,
      width: '136px',
      fixed: true,
      text: (line: Line) => line.cells[symbol]?.text ?? ''
    })),
    { id: 'findings', title: 'What is said', width: 'minmax(120px, 1fr)', text: message }
  ]);

  /** Pasted cells go to the right and down from where they were pasted, as far as there is room. */
  async function paste(event: ClipboardEvent, row: number, symbol: string) {
    const column = columns.indexOf(symbol);
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!isTable(text)) return;
    event.preventDefault();
    const corrections = fromClipboard(text).flatMap((values, down) => {
      const line = rows[row + down];
      if (!line || taken(line)) return [];
      const cells = Object.fromEntries(
        values.flatMap((value, right) =>
          columns[column + right] ? [[columns[column + right], value]] : []
        )
      );
      return [{ line: line.id, cells }];
    });
    await correctLines(delivery, corrections);
  }

  function message(line: Line): string {
    const found = asked ? answering(line, asked) : line.findings.slice(0, 1);
    if (found.length > 1) return capital(found.map(({ message }) => message).join('; '));
    return capital(found[0]?.message ?? (taken(line) ? 'Taken' : ''));
  }
</script>

{#snippet cell(line: Line, column: Column<Line>, { index }: Where)}
  {#if column.id === 'CODE'}
    {#if editable && properties.includes('CODE') && !taken(line)}
      <CellField {delivery} {line} symbol="CODE" />
    {:else if line.takenToolId}
      <a class="code block truncate hover:text-working" href="/tools/{line.takenToolId}"
        >{line.code}</a
      >
    {:else if line.takenPartId}
      <a class="code block truncate hover:text-working" href="/holders/{line.takenPartId}"
        >{line.code}</a
      >
    {:else}
      <span class="code block truncate" title={line.code}>{line.code}</span>
    {/if}
  {:else if column.id === 'disposition'}
    <Mark kind={line.disposition as 'pass'} word={taken(line) ? 'taken' : line.disposition} />
  {:else if column.id === 'silhouette'}
    {#if onbeside && ['cutter', 'insert'].includes(line.kind)}
      <button
        class="block hover:bg-faint"
        title="Show {line.code || 'this line'} beside what looks like it"
        aria-label="Show {line.code || 'this line'} beside what looks like it"
        onclick={() => onbeside(line)}
      >
        <Silhouette outline={line.outline} width={130} height={22} />
      </button>
    {:else}
      <Silhouette outline={line.outline} width={130} height={22} />
    {/if}
  {:else}
    <div onpaste={editable ? (event) => void paste(event, index, column.id) : undefined}>
      {#if editable && !taken(line)}
        <CellField {delivery} {line} symbol={column.id} />
      {:else}
        <span
          class={[line.cells[column.id]?.implied && 'text-soft italic']}
          title={line.cells[column.id]?.implied}>{line.cells[column.id]?.text ?? ''}</span
        >
        <span class="text-soft">{line.cells[column.id]?.unit ?? ''}</span>
      {/if}
    </div>
  {/if}
{/snippet}

<Grid
  name="delivery lines"
  label={asked ? `Lines with ${asked.code}` : 'Lines'}
  columns={shown}
  rows={lines.data ? rows : []}
  key={(line) => line.id}
  {cell}
  drawn={['CODE', 'disposition', 'silhouette', ...columns]}
  flowing
>
  {#snippet empty()}
    {#if lines.isPending}
      <p class="px-5 py-2 text-soft" style:min-height="{expected * 31}px">Loading the lines …</p>
    {/if}
  {/snippet}
</Grid>
<NotLoaded query={lines} />
{#if lines.hasNextPage}
  <button class="button quiet mx-5 my-1" onclick={() => void lines.fetchNextPage()}>
    Show more lines
  </button>
{/if}
