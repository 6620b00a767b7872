<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { PersistedState } from 'runed';
  import type { ControlTool } from '$lib/api/client';
  import type { Column } from '$lib/grid/columns';
  import { parts, widest } from '$lib/grid/decimals';
  import Grid from '$lib/grid/Grid.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { capital, count } from '$lib/shell/text';
  import ControlToolStrip from './ControlToolStrip.svelte';
  import Numbers from './Numbers.svelte';
  import { controlToolsQuery } from './queries';
  import {
    found,
    headOf,
    inOrder,
    ORDERS,
    placeName,
    prefixOf,
    slotCount,
    valueOf,
    wearIn,
    type Order
  } from './slots';

  let {
    machine,
    read
  }: {
    machine: string;
    /** The reading that is shown. */
    read: number;
  } = $props();

  const query = createQuery(() => controlToolsQuery(machine, read));
  const order = new PersistedState<Order>('order of the tools of a control', 'place');
  let sought = $state('');
  let pointed = $state<ControlTool | null>(null);
  let numbers = $state(false);

  const classes = $derived(query.data?.classes ?? []);
  const titles = $derived(new Map(classes.map(({ id, title }) => [id, title])));
  const tools = $derived(inOrder(found(query.data?.items ?? [], sought), order.current, titles));
  /** The row with the cursor, as it was read last. */
  const current = $derived(
    tools.find((tool) => pointed && keyOf(tool) === keyOf(pointed)) ?? tools[0]
  );
  const shownClass = $derived(classes.find(({ id }) => id === current?.classId));
  const word = $derived(query.data?.placeWord ?? 'place');

  /** Room for a wear beside its size, px. */
  const WEAR = 46;
  /** Of a title, px. */
  const LETTER = 6.6;
  const fractions = $derived(
    Array.from({ length: slotCount(classes) }, (_, slot) =>
      widest((query.data?.items ?? []).map((tool) => valueOf(tool, columnOf(tool, slot))[0]))
    )
  );

  const keyOf = (tool: ControlTool) => [tool.place, tool.code, tool.sister ?? ''].join('|');
  const columnOf = (tool: ControlTool, slot: number) =>
    classes.find(({ id }) => id === tool.classId)?.columns[slot];

  const columns = $derived<Column<ControlTool>[]>([
    {
      id: 'place',
      title: capital(word),
      width: '60px',
      fixed: true,
      text: placeName
    },
    ...identity('number', 'Number', (tool) => tool.number),
    ...identity('offset', 'Offset', (tool) => (tool.offset === tool.number ? null : tool.offset)),
    ...identity('inPrograms', 'In programs', (tool) => tool.inPrograms),
    {
      id: 'tool',
      title: 'Tool',
      width: 'minmax(100px, 124px)',
      fixed: true,
      text: (tool) =>
        tool.sister && tool.sister !== '1' ? `${tool.code} · ${tool.sister}` : tool.code
    },
    { id: 'name', title: 'Name', width: 'minmax(84px, 2fr)', text: (tool) => tool.name },
    {
      id: 'class',
      title: 'Class',
      width: 'minmax(104px, 1fr)',
      text: (tool) => titles.get(tool.classId) ?? ''
    },
    ...Array.from({ length: slotCount(classes) }, (_, slot) => ({
      id: `value ${slot}`,
      title: headOf(shownClass, slot),
      name: shownClass?.columns[slot]?.meaning || undefined,
      heads: wearIn(classes, slot)
        ? {
            titles: [headOf(shownClass, slot), shownClass?.columns[slot]?.wear ? 'wear' : ''],
            tracks: `minmax(0, 1fr) ${WEAR}px`
          }
        : undefined,
      width: `minmax(${leastOf(slot)}px, 1fr)`,
      numeric: true,
      fixed: true,
      text: (tool: ControlTool) => valueOf(tool, columnOf(tool, slot)).join(' ').trim()
    }))
  ]);

  /** Of the column of a slot, px: its longest title stands on one line, and wear beside it. */
  function leastOf(slot: number): number {
    const longest = Math.max(...classes.map((one) => headOf(one, slot).length));
    return Math.max(92, longest * LETTER) + (wearIn(classes, slot) ? WEAR : 0);
  }

  /** A column of numbers, where any tool has one. */
  function identity(
    id: string,
    title: string,
    text: (tool: ControlTool) => string | null | undefined
  ): Column<ControlTool>[] {
    return (query.data?.items ?? []).some((tool) => text(tool))
      ? [
          {
            id,
            title,
            width: title.length > 8 ? '78px' : '62px',
            numeric: true,
            text: (tool) => text(tool) ?? ''
          }
        ]
      : [];
  }
</script>

{#snippet cell(tool: ControlTool, column: Column<ControlTool>)}
  {#if column.id === 'place'}
    {#if tool.place}<span class="font-semibold">{tool.place}</span>
    {:else}<span class="text-soft">none</span>{/if}
  {:else if column.id === 'tool'}
    <span class="code block truncate" title={tool.code}>{column.text(tool)}</span>
  {:else if column.id === 'class'}
    {#if tool.classId}<span class="block truncate" title={column.text(tool)}
        >{column.text(tool)}</span
      >
    {:else}<Mark kind="unknown tool" word="in no library" />{/if}
  {:else}
    {@const slot = Number(column.id.slice(6))}
    {@const own = columnOf(tool, slot)}
    {@const [value, wear] = valueOf(tool, own)}
    {@const number = parts(value)}
    {@const prefix = prefixOf(own, shownClass, slot)}
    <span class="flex items-baseline justify-end">
      {#if prefix}
        <span class="mr-auto truncate pl-1 text-[12px] text-soft" title={own?.title}>{prefix}</span>
      {/if}
      {#if value === '–' && own && tool.neededFor[own.field]}
        <span class="text-hold" title="not set: needed for {tool.neededFor[own.field]}"
          >not set</span
        >
      {:else}
        <span class={['code', prefix && 'text-soft']}
          >{number.whole}<span
            class="inline-block text-left"
            style:width="{own?.measured ? fractions[slot] : number.fraction.length}ch"
            >{number.fraction}</span
          ></span
        >
      {/if}
      {#if wearIn(classes, slot)}
        <span
          class={['code shrink-0 text-right', Number(wear) === 0 ? 'text-soft' : 'text-note']}
          style:width="{WEAR + 12}px"
          title={wear ? 'wear' : undefined}>{wear}</span
        >
      {/if}
    </span>
  {/if}
{/snippet}

{#if query.error}
  <ErrorNote error={query.error} retry={() => void query.refetch()} />
{:else if query.data}
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hairline px-5 py-2">
    <input
      class="field w-56"
      data-search
      aria-label="Find a tool of the control"
      placeholder="code, name or number"
      bind:value={sought}
    />
    <Choice
      label="Order of the tools"
      bind:value={() => order.current, (next) => (order.current = next)}
      options={ORDERS.map((value) => ({
        value,
        label: `by ${value === 'place' ? word : value}`
      }))}
    />
    <span class="text-soft">
      {sought ? `${tools.length} of ` : ''}{count(query.data.items.length, 'tool')}
    </span>
    <button class="button ml-auto" onclick={() => (numbers = true)}>Numbers</button>
  </div>
  <Grid
    name="tools of a control"
    label="Tools of the control"
    {columns}
    rows={tools}
    key={keyOf}
    {cell}
    drawn={['place', 'tool', 'class', ...columns.slice(-slotCount(classes)).map(({ id }) => id)]}
    heading={order.current === 'class'
      ? (tool) => capital(titles.get(tool.classId) ?? '')
      : undefined}
    oncursor={(tool) => (pointed = tool)}
  >
    {#snippet empty()}
      <p class="px-5 py-6">
        {query.data?.items.length ? 'No tool is like that.' : 'The control has no tools.'}
      </p>
    {/snippet}
  </Grid>
  {#if current}
    <ControlToolStrip {machine} tool={current} columns={shownClass?.columns ?? []} {word} />
  {/if}
  <Numbers tools={query.data} bind:open={numbers} />
{:else}
  <Loading what="Looking at all tools …" />
{/if}
