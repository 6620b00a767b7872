<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { ToolColumn, ToolMarks, ToolRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import type { Column, Where } from '$lib/grid/columns';
  import Grid from '$lib/grid/Grid.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import StandingMark from '$lib/standing/StandingMark.svelte';
  import { standingLabel } from '$lib/standing/standing';
  import { settings } from '$lib/shell/settings.svelte';
  import { noteCopied } from './copied';
  import { DRAGGED, dragged } from './dragging';
  import { differing } from '$lib/derived/differing';
  import { trustText } from '$lib/trust/inLists';
  import { groupTitle, materialNames, type Names } from './grouping';
  import type { ListFilter, Sort } from './filter.svelte';
  import { toolColumnsQuery } from './queries';

  let {
    rows,
    filter,
    following,
    materials,
    marks,
    everywhere = false,
    chosen = $bindable(),
    onopen,
    onend,
    onremove,
    onpoint,
    keys
  }: {
    rows: ToolRow[];
    filter: ListFilter;
    /** Columns that fit what is listed. */
    following: string[];
    /** Names of work materials by id. */
    materials: Names;
    /** What is not as in the base, by tool; nothing where the library has none. */
    marks?: Map<number, ToolMarks>;
    /** True for a list over all libraries. */
    everywhere?: boolean;
    chosen: ToolRow[];
    onopen: (row: ToolRow) => void;
    onend: () => void;
    onremove: (row: ToolRow) => void;
    onpoint?: (row: ToolRow) => void;
    keys: Record<string, (rows: ToolRow[]) => void>;
  } = $props();

  /** How many rows can be chosen at once. */
  const MOST = 2000;
  const described = createQuery(toolColumnsQuery);

  function figure(size: number | null | undefined, unit: string): string {
    return size == null ? '' : units.entry(size, unit);
  }

  /** Units of columns that are no lengths of tools. */
  const of: Record<string, string> = { vc: 'm/min', feed: 'mm', ap: 'mm', ae: 'mm' };

  /** What is no value of a tool. */
  const own: Record<string, Pick<Column<ToolRow>, 'width' | 'text'>> = {
    number: { width: '52px', text: (row) => String(row.number) },
    code: { width: 'minmax(104px, 150px)', text: (row) => row.code },
    name: { width: 'minmax(140px, 1fr)', text: (row) => row.name },
    class: { width: '166px', text: (row) => row.classTitle },
    section: { width: 'minmax(90px, 160px)', text: (row) => row.section },
    library: { width: 'minmax(90px, 160px)', text: (row) => row.library },
    standing: { width: '104px', text: (row) => standingLabel(row.standing) },
    trust: { width: 'minmax(150px, 280px)', text: ({ trust }) => (trust ? trustText(trust) : '') },
    base: {
      width: 'minmax(110px, 200px)',
      text: (row) => differing(marks?.get(row.toolId))
    },
    holder: { width: 'minmax(90px, 150px)', text: (row) => row.uses?.holder ?? '' },
    materials: {
      width: 'minmax(90px, 180px)',
      text: (row) => materialNames(row.uses?.materials ?? '', materials)
    },
    purpose: {
      width: '92px',
      text: ({ cut }) => (cut ? `${cut.purpose}${cut.others > 0 ? ` +${cut.others}` : ''}` : '')
    },
    vc: { width: '84px', text: ({ cut }) => figure(cut?.speed, 'm/min') },
    feed: { width: '64px', text: ({ cut }) => figure(cut?.feed, 'mm') },
    ap: { width: '58px', text: ({ cut }) => figure(cut?.depth, 'mm') },
    ae: { width: '58px', text: ({ cut }) => figure(cut?.width, 'mm') },
    origin: { width: '84px', text: ({ cut }) => cut?.origin ?? 'none' },
    planned: { width: 'minmax(90px, 160px)', text: (row) => row.uses?.planned ?? '' },
    version: {
      width: '86px',
      text: ({ pinned }) => (pinned ? `${pinned.version} of ${pinned.newest}` : 'newest')
    }
  };
  /** What cannot be sorted by where numbers and sections belong to many libraries. */
  const ofOne = ['number', 'section'];
  /** What differs from the base stands in lists of derived libraries only. */
  const BASE: ToolColumn = {
    id: 'base',
    title: 'Differs',
    name: 'what is not as in the base',
    symbols: [],
    text: true,
    usualFor: []
  };
  const columns = $derived(
    [...(described.data?.items ?? []), ...(marks ? [BASE] : [])].map(column)
  );

  function column(described: ToolColumn): Column<ToolRow> {
    const { id, title, name, symbols } = described;
    const known = own[id];
    const length = symbols.length > 0 && lengths.has(id);
    const unit = of[id] ? units.label(of[id]) : length ? settings.unit : '';
    return {
      id,
      title: id === 'vc' ? `${title} ${unit}` : title,
      name,
      usual: usual(id),
      sort: everywhere && ofOne.includes(id) ? undefined : (described.sort ?? undefined),
      fixed: id === 'code',
      numeric: !described.text,
      width: known?.width ?? (described.text ? 'minmax(48px, 116px)' : 'minmax(54px, 76px)'),
      copied: id === 'class' ? 'Class' : unit ? `${title} [${unit}]` : title,
      text: known?.text ?? ((row) => value(row, symbols)),
      origin: (row) => first(row, symbols)?.origin
    };
  }

  function usual(id: string): boolean {
    if (id === 'library') return everywhere;
    if (id === 'base') return true;
    if (id === 'version') return rows.some((row) => row.pinned);
    return following.includes(id);
  }

  const GEOMETRY = ['DC', 'RE', 'SIG', 'APMX', 'LU', 'LCF', 'OAL', 'DMM', 'DN', 'LN', 'NOF'];
  const SETS = [
    { name: 'Geometry', columns: ['number', 'code', 'class', ...GEOMETRY] },
    { name: 'Stack', columns: ['number', 'code', 'name', 'class', 'holder', 'DC', 'LU', 'DMM'] },
    {
      name: 'Where used',
      columns: ['code', 'name', 'class', 'standing', 'library', 'section', 'version', 'planned']
    },
    {
      name: 'Cutting data',
      columns: ['number', 'code', 'name', 'class', 'purpose', 'vc', 'feed', 'ap', 'ae', 'origin']
    },
    {
      name: 'Materials',
      columns: ['number', 'code', 'name', 'class', 'materials', 'SUBSTRATE', 'COATING']
    }
  ];

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
  {:else if column.id === 'standing'}
    <StandingMark standing={row.standing} />
  {:else}
    <span class="block" title={row.classTitle} aria-label={row.classTitle} role="img">
      <Silhouette outline={row.outline} width={150} height={26} />
    </span>
  {/if}
{/snippet}

<Grid
  name={everywhere ? 'tools of all libraries' : 'tools'}
  label="Tools"
  {columns}
  {rows}
  key={(row) => row.entryId}
  {cell}
  drawn={['code', 'class', 'standing']}
  sorting={{ by: filter.sort, down: filter.down }}
  onsort={(by) => filter.sortBy(by as Sort)}
  bind:chosen
  most={MOST}
  drag={(some) => [DRAGGED, dragged(some)]}
  {keys}
  oncopied={noteCopied}
  {onopen}
  {onend}
  {onremove}
  {onpoint}
  sets={SETS}
  bind:picked={() => filter.columns, (next) => (filter.columns = next ?? null)}
  heading={filter.group ? (row) => groupTitle(row, filter.group, materials) : undefined}
/>
