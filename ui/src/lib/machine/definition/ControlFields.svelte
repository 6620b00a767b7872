<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Machine } from '$lib/api/client';
  import { dialectsQuery } from '$lib/machine/queries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import SizeField from './SizeField.svelte';
  import WordField from './WordField.svelte';
  import { schemes } from './words';

  const NO_CONTROL = { value: '', label: 'no control' };
  const known = createQuery(dialectsQuery);
  let { machine = $bindable(), readonly }: { machine: Machine; readonly: boolean } = $props();
</script>

<section class="flex flex-col gap-3" aria-label="Numbers and control">
  <h2>Numbers and control</h2>
  <div class="flex flex-wrap items-end gap-3">
    <ChoiceField
      label="Numbers"
      bind:value={machine.numbering.scheme}
      options={schemes}
      disabled={readonly}
    />
    <SizeField
      label="Tool numbers from"
      unit="1"
      optional
      bind:value={machine.numbering.from}
      {readonly}
    />
    <SizeField label="to" unit="1" optional bind:value={machine.numbering.to} {readonly} />
    <ChoiceField
      label="Its control speaks"
      bind:value={machine.habits.dialect}
      options={[
        NO_CONTROL,
        ...(known.data?.items ?? []).map(({ id, title }) => ({ value: id, label: title }))
      ]}
      disabled={readonly}
    />
    <ChoiceField
      label="Unit of the control"
      bind:value={() => machine.habits.unit ?? 'mm', (unit) => (machine.habits.unit = unit)}
      options={[
        { value: 'mm', label: 'mm' },
        { value: 'in', label: 'inch' }
      ]}
      disabled={readonly}
    />
    <SizeField label="Decimals" signed unit="1" bind:value={machine.habits.decimals} {readonly} />
    <SizeField
      label="Name length"
      signed
      unit="1"
      bind:value={machine.habits.nameLength}
      {readonly}
    />
    <WordField
      label="Characters of names"
      width="w-40"
      bind:value={machine.habits.nameCharacters}
      {readonly}
    />
  </div>
  <div class="flex flex-wrap items-center gap-4">
    <Checkbox label="Wear apart from geometry" bind:checked={machine.habits.wearApart} />
    <Checkbox label="Shows diameters" bind:checked={machine.habits.diameterShown} />
    <Checkbox
      label="Says which tool is in the spindle"
      bind:checked={machine.habits.spindleReported}
    />
  </div>
</section>
