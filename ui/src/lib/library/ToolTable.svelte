<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { ToolColumn, ToolRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import type { Column, Where } from '$lib/grid/columns';
  import Grid from '$lib/grid/Grid.svelte';
  import { settings } from '$lib/shell/settings.svelte';
  import type { ListFilter, Sort } from './filter.svelte';
  import { toolColumnsQuery } from './queries';

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

  /** How many silhouettes hang on the strip. */
  const MOST = 4;
  const described = createQuery(toolColumnsQuery);

  /** What every tool has; all else is a value. */
  const own: Record<string, Pick<Column<ToolRow>, 'width' | 'text'>> = {
    number: { width: '52px', text: (row) => String(row.number) },
    code: { width: 'minmax(104px, 150px)', text: (row) => row.code },
    name: { width: 'minmax(140px, 1fr)', text: (row) => row.name },
    class: { width: '166px', text: (row) => row.classTitle },
    section: { width: '110px', text: (row) => row.section }
  };
  const columns = $derived((described.data?.items ?? []).map(column));

  function column(described: ToolColumn): Column<ToolRow> {
    const { id, title, name, symbols, usual } = described;
    const known = own[id];
    const length = symbols.length > 0 && lengths.has(id);
    return {
      id,
      title,
      name,
      usual,
      sort: described.sort ?? undefined,
      fixed: id === 'code',
      numeric: id === 'number' || symbols.length > 0,
      width: known?.width ?? 'minmax(54px, 70px)',
      copied: id === 'class' ? 'Class' : length ? `${title} [${settings.unit}]` : title,
      text: known?.text ?? ((row) => value(row, symbols)),
      origin: (row) => first(row, symbols)?.origin
    };
  }

  /** Columns in which some row has a length. */
  const lengths = $derived(
    new Set(
      (described.data?.items ?? [])
        .filter(({ symbols }) =>
          rows.some((row) => symbols.some((symbol) => row.values[symbol]?.mm != null))
        )
        .map(({ id }) => id)
    )
  );

  function value(row: ToolRow, symbols: string[]): string {
    const found = first(row, symbols);
    return (settings.unit === 'mm' ? found?.mm : found?.inch) ?? found?.text ?? '';
  }

  function first(row: ToolRow, symbols: string[]) {
    return symbols.map((symbol) => row.values[symbol]).find(Boolean);
  }
</script>

{#snippet cell(row: ToolRow, column: Column<ToolRow>, { current }: Where)}
  {#if column.id === 'code'}
    <a
      href="/tools/{row.toolId}"
      tabindex={current ? 0 : -1}
      class="code block truncate hover:text-working hover:underline">{row.code}</a
    >
  {:else}
    <span class="block" title={row.classTitle} aria-label={row.classTitle} role="img">
      <Silhouette outline={row.outline} width={150} height={26} />
    </span>
  {/if}
{/snippet}

<Grid
  name="tools"
  label="Tools"
  {columns}
  {rows}
  key={(row) => row.entryId}
  {cell}
  drawn={['code', 'class']}
  sorting={{ by: filter.sort, down: filter.down }}
  onsort={(by) => filter.sortBy(by as Sort)}
  bind:chosen={hung}
  most={MOST}
  {onopen}
  {onend}
  {onremove}
/>
