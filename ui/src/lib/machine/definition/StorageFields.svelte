<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import SizeField from './SizeField.svelte';
  import TurretFields from './TurretFields.svelte';
  import WordField from './WordField.svelte';
  import { forms } from './words';

  type Storage = Machine['storages'][number];

  let {
    storage = $bindable(),
    machine,
    readonly
  }: { storage: Storage; machine: Machine; readonly: boolean } = $props();

  function form(next: Storage['form']) {
    storage.form = next;
    storage.closed = !['RACK', 'SPINDLE', 'AGGREGATES', 'CART'].includes(next);
    storage.turret =
      next === 'TURRET'
        ? (storage.turret ?? {
            radius: 200,
            front: false,
            axial: false,
            reaches: machine.spindles
              .filter(({ carries }) => carries === 'WORK')
              .map(({ name }) => name),
            stations: []
          })
        : undefined;
  }
</script>

<div class="flex flex-wrap items-end gap-3">
  <WordField label="Short name" width="w-20" bind:value={storage.id} {readonly} />
  <ChoiceField
    label="Kind"
    bind:value={() => storage.form, form}
    options={forms}
    disabled={readonly}
  />
  <SizeField label="Places" unit="1" bind:value={storage.places} {readonly} />
  <SizeField label="First number" unit="1" bind:value={storage.first} {readonly} />
  <WordField label="Letters before it" width="w-24" bind:value={storage.prefix} {readonly} />
  <SizeField label="Pitch" optional bind:value={storage.pitch} {readonly} />
  <SizeField label="Clearance" signed optional bind:value={storage.clearance} {readonly} />
  <WordField
    label="Seat, if not the spindle's"
    width="w-36"
    list="seats"
    bind:value={() => storage.seat, (next) => (storage.seat = next || undefined)}
    {readonly}
  />
</div>
<div class="flex flex-wrap items-end gap-3">
  <SizeField label="Ø beside taken" optional bind:value={storage.limits.diameterFull} {readonly} />
  <SizeField label="Ø beside empty" optional bind:value={storage.limits.diameterEmpty} {readonly} />
  <SizeField label="Length" optional bind:value={storage.limits.length} {readonly} />
  <SizeField label="Mass, kg" unit="kg" optional bind:value={storage.limits.mass} {readonly} />
  <SizeField
    label="All together, kg"
    unit="kg"
    optional
    bind:value={storage.limits.massSum}
    {readonly}
  />
  <SizeField
    label="Moment, N·m"
    unit="N·m"
    optional
    bind:value={storage.limits.moment}
    {readonly}
  />
  <SizeField
    label="Halves differ, kg"
    unit="kg"
    optional
    bind:value={storage.limits.balance}
    {readonly}
  />
</div>
{#if ['CHAIN', 'CAROUSEL', 'RACK'].includes(storage.form)}
  <div class="flex flex-wrap items-center gap-4">
    {#if storage.form === 'CHAIN'}
      <Checkbox label="The last place is beside the first" bind:checked={storage.closed} />
    {/if}
    <Checkbox label="The control puts tools back anywhere" bind:checked={storage.random} />
  </div>
{/if}
{#if storage.turret}
  <TurretFields bind:turret={storage.turret} {machine} {readonly} />
{/if}
