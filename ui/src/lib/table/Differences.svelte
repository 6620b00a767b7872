<script lang="ts">
  import type { ReportRow } from '$lib/api/client';
  import type { Column } from '$lib/grid/columns';
  import Grid from '$lib/grid/Grid.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, hasWords } from '$lib/shell/text';
  import Decision from './Decision.svelte';
  import Fields from './Fields.svelte';
  import { FIELD_TRACKS } from './fields';

  let {
    rows,
    sought,
    word,
    unit,
    editable,
    decision,
    ondecide,
    onalways,
    onput
  }: {
    rows: ReportRow[];
    /** Only those that have these words. */
    sought: string;
    /** What places of the machine are called. */
    word: string;
    /** Of the lengths that the control shows. */
    unit: string;
    editable: boolean;
    decision: (row: ReportRow) => string;
    ondecide: (row: ReportRow, next: string) => void;
    /** Makes a decision a rule of the machine; without it nobody may. */
    onalways?: (row: ReportRow, decision: string) => void;
    /** Puts a tool that only the control knows into a library; without it nobody may. */
    onput?: (code: string) => void;
  } = $props();

  const tool = (row: ReportRow) => row.plan.tool ?? row.control.tool ?? '';
  const found = $derived(
    rows.filter((row) => hasWords([row.place, row.plan.tool, row.control.tool], sought))
  );
  const columns = $derived<Column<ReportRow>[]>([
    {
      id: 'place',
      title: capital(word),
      width: '56px',
      numeric: true,
      fixed: true,
      text: (row) => row.place
    },
    { id: 'tool', title: 'Tool', width: 'minmax(96px, 128px)', text: tool },
    { id: 'state', title: 'State', width: 'minmax(108px, 112px)', text: (row) => row.state },
    {
      id: 'fields',
      title: 'Field, plan, last agreed, control',
      heads: {
        titles: ['Field', 'Plan, mm', 'Last agreed', `Control, ${unit}`],
        tracks: FIELD_TRACKS
      },
      width: 'minmax(346px, 5fr)',
      fixed: true,
      text: (row) =>
        row.fields
          .map((field) => `${field.title}: ${field.plan ?? '–'} / ${field.control ?? '–'}`)
          .join('; ')
    },
    {
      id: 'decision',
      title: 'Decision',
      width: 'minmax(170px, 200px)',
      fixed: true,
      text: (row) => decision(row)
    },
    {
      id: 'why',
      title: 'Why',
      width: 'minmax(124px, 4fr)',
      text: (row) => capital(row.reason)
    }
  ]);
</script>

{#snippet cell(row: ReportRow, column: Column<ReportRow>)}
  {#if column.id === 'place'}
    <span class="font-semibold">{row.place}</span>
  {:else if column.id === 'tool'}
    <span class="code block truncate" title={tool(row)}>{tool(row)}</span>
  {:else if column.id === 'state'}
    <Mark kind={row.state as 'differs'} />
    {#if row.inSpindle}<span class="block text-[12px] text-soft">in the spindle</span>{/if}
  {:else if column.id === 'fields'}
    <Fields {row} />
  {:else if column.id === 'decision'}
    {#if row.state !== 'in step'}
      <Decision
        {row}
        {word}
        {editable}
        bind:decision={() => decision(row), (next) => ondecide(row, next)}
      />
      {#if onalways && row.suggested === 'ask' && row.rules.includes(decision(row))}
        <button
          class="mt-1 block text-[13px] text-working hover:underline"
          title="Suggest this wherever the same is asked; it can be revoked under Rules"
          onclick={() => onalways(row, decision(row))}>Always at this machine</button
        >
      {:else if row.ruled}
        <span class="mt-1 block text-[12px] text-soft">a rule of this machine</span>
      {/if}
    {/if}
  {:else}
    <span class="text-[13px] text-soft">{capital(row.reason)}</span>
    {#if onput && row.state === 'unknown tool' && row.control.tool}
      {@const code = row.control.tool}
      <button class="block text-[13px] text-working hover:underline" onclick={() => onput(code)}
        >Put it into a library</button
      >
    {/if}
    {#each row.missing as missing (missing.field)}
      <span
        class={[
          '-ml-1.5 flex items-baseline gap-1 text-[13px]',
          missing.hold ? 'text-hold' : 'text-soft'
        ]}
      >
        <Mark kind={missing.hold ? 'hold' : 'note'} word="" />
        <span>{capital(missing.reason)}</span>
      </span>
    {/each}
  {/if}
{/snippet}

<Grid
  name="tool table"
  label="Places of the tool table"
  {columns}
  rows={found}
  key={(row) => row.place}
  {cell}
  drawn={columns.map((column) => column.id)}
  growing
  tops
>
  {#snippet empty()}<p class="px-5 py-6">No {word} here is like that.</p>{/snippet}
</Grid>
