<script lang="ts">
  import type { ReportRow } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';

  let {
    row,
    decision = $bindable(),
    editable
  }: { row: ReportRow; decision: string; editable: boolean } = $props();

  const labels = $derived<Record<string, string>>({
    ask: 'needs an answer',
    send: row.plan.tool ? 'send the plan' : 'empty it at the control',
    'send zero wear': 'send it, wear to zero',
    take: row.control.tool ? "take the control's" : 'take it out of the plan',
    owner: 'each field to its owner',
    leave: 'leave as it is'
  });
  const options = $derived(
    [...(row.suggested === 'ask' ? ['ask'] : []), ...row.possible].map((value) => ({
      value,
      label: labels[value]
    }))
  );
  const tool = $derived(row.plan.tool ?? row.control.tool ?? '');
</script>

<tr class="align-top">
  <td class="number font-semibold">{row.place}</td>
  <td class="code max-w-32 truncate" title={tool}>{tool}</td>
  <td>
    <Mark kind={row.state as 'differs'} />
    {#if row.inSpindle}<span class="block text-[12px] text-soft">in the spindle</span>{/if}
  </td>
  <td
    ><div class="fields">
      {#each row.fields as field (field.field)}
        <span class="text-soft">{field.title}</span>
        <span class="code">{field.plan ?? '–'}</span>
        <span class="code text-soft">{field.agreed ?? '–'}</span>
        <span class="code text-note">{field.control ?? '–'}</span>
      {:else}
        <span class="text-soft">all</span>
        <span class="code">{row.plan.length ?? ''}</span>
        <span></span>
        <span class="code text-note">{row.control.length ?? ''}</span>
      {/each}
    </div></td
  >
  <td>
    {#if row.state !== 'in step'}
      <Choice
        label="What to do with pocket {row.place}"
        bind:value={decision}
        {options}
        disabled={!editable}
      />
    {/if}
  </td>
  <td class="reason whitespace-normal! text-[13px] text-soft">{capital(row.reason)}</td>
</tr>

<style>
  td {
    padding-top: 5px !important;
    padding-bottom: 5px !important;
  }
  .fields {
    display: grid;
    grid-template-columns: minmax(64px, 92px) repeat(3, minmax(82px, 1fr));
    gap: 2px 12px;
  }
  .fields span {
    white-space: normal;
    overflow-wrap: anywhere;
  }
  .reason {
    min-width: 170px;
  }
</style>
