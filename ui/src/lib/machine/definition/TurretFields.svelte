<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import SizeField from './SizeField.svelte';
  import { numbers } from './words';

  type Turret = NonNullable<Machine['storages'][number]['turret']>;

  let {
    turret = $bindable(),
    machine,
    readonly
  }: { turret: Turret; machine: Machine; readonly: boolean } = $props();

  const id = $props.id();
  const driven = $derived(turret.stations.filter((station) => station.driven));
  let typed = $state<string | null>(null);
  const listed = $derived(typed ?? driven.map(({ number }) => number).join(', '));
  const wrong = $derived(typed !== null && numbers(typed) === undefined);
  const speed = $derived(driven[0]?.rpm ?? 6000);

  function drive(text: string) {
    typed = text;
    const wanted = numbers(text);
    if (!wanted) return;
    const described = new Map(turret.stations.map((station) => [station.number, station]));
    turret.stations = [
      ...turret.stations.filter((station) => !station.driven && !wanted.includes(station.number)),
      ...wanted.map((number) => ({
        inverted: false,
        rpm: speed,
        ...described.get(number),
        number,
        driven: true
      }))
    ].sort((one, other) => one.number - other.number);
  }

  function reach(name: string, reached: boolean) {
    turret.reaches = machine.spindles
      .map((spindle) => spindle.name)
      .filter((other) => (other === name ? reached : turret.reaches.includes(other)));
  }
</script>

<div class="flex flex-wrap items-end gap-3" role="group" aria-label="Turret">
  <SizeField label="Radius to the seats" bind:value={turret.radius} {readonly} />
  <SizeField label="Swing" optional bind:value={turret.swing} {readonly} />
  <ChoiceField
    label="Stands"
    bind:value={
      () => (turret.front ? 'front' : 'rear'), (next) => (turret.front = next === 'front')
    }
    options={[
      { value: 'rear', label: 'behind the spindle line' },
      { value: 'front', label: 'in front of it' }
    ]}
    disabled={readonly}
  />
  <ChoiceField
    label="Stations face"
    bind:value={
      () => (turret.axial ? 'axial' : 'radial'), (next) => (turret.axial = next === 'axial')
    }
    options={[
      { value: 'radial', label: 'outwards' },
      { value: 'axial', label: 'along the spindle' }
    ]}
    disabled={readonly}
  />
  <label class="flex flex-col gap-0.5" for={id}>
    <span class="text-[12px] text-soft">Driven stations</span>
    <input
      {id}
      class="field w-48"
      {readonly}
      value={listed}
      aria-invalid={wrong}
      oninput={(e) => drive(e.currentTarget.value)}
      onblur={() => !wrong && (typed = null)}
    />
  </label>
  {#if driven.length > 0}
    <SizeField
      label="Their speed, 1/min"
      unit="1/min"
      bind:value={
        () => speed, (next) => driven.forEach((station) => (station.rpm = next ?? undefined))
      }
      {readonly}
    />
  {/if}
</div>
{#if wrong}
  <p class="text-[13px] text-hold" role="alert">
    Driven stations: write numbers such as 2, 4, 6 or 1-8.
  </p>
{/if}
<div class="flex flex-wrap items-center gap-4" role="group" aria-label="Reaches">
  {#each machine.spindles.filter(({ carries }) => carries === 'WORK') as spindle (spindle.name)}
    <Checkbox
      label="Reaches the {spindle.name} spindle"
      bind:checked={
        () => turret.reaches.includes(spindle.name), (next) => reach(spindle.name, next)
      }
    />
  {/each}
</div>
