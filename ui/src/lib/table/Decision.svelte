<script lang="ts">
  import type { ReportRow } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';

  let {
    row,
    word,
    decision = $bindable(),
    editable
  }: { row: ReportRow; word: string; decision: string; editable: boolean } = $props();

  const labels = $derived<Record<string, string>>({
    ask: 'needs an answer',
    send: row.plan.tool ? 'send the plan' : 'empty it at the control',
    'send zero wear': 'send it, wear to zero',
    take: row.held ? "take the control's" : 'take it out of the plan',
    owner: 'each field to its owner',
    leave: 'leave as it is'
  });
  const options = $derived(
    [...(row.suggested === 'ask' ? ['ask'] : []), ...row.possible].map((value) => ({
      value,
      label: labels[value]
    }))
  );
</script>

<Choice
  label="What to do with {word} {row.place}"
  bind:value={decision}
  {options}
  disabled={!editable}
/>
