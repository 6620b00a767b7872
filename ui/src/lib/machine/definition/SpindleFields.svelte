<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import SizeField from './SizeField.svelte';
  import WordField from './WordField.svelte';

  let { machine = $bindable(), readonly }: { machine: Machine; readonly: boolean } = $props();

  const carries = [
    { value: 'TOOL' as const, label: 'tools' },
    { value: 'WORK' as const, label: 'work' }
  ];

  function add() {
    machine.spindles.push({
      name: '',
      carries: 'WORK',
      rpm: 4000,
      power: 15,
      torque: 200,
      locks: false
    });
  }
</script>

<section class="flex flex-col gap-3" aria-label="Spindles">
  <h2>Spindles</h2>
  {#each machine.spindles as spindle, index (index)}
    <div class="flex flex-wrap items-end gap-3" role="group" aria-label="Spindle {index + 1}">
      <WordField label="Name" width="w-24" bind:value={spindle.name} {readonly} />
      <ChoiceField
        label="Carries"
        bind:value={spindle.carries}
        options={carries}
        disabled={readonly}
      />
      <SizeField label="Speed, 1/min" unit="1/min" bind:value={spindle.rpm} {readonly} />
      <SizeField label="Power, kW" unit="kW" bind:value={spindle.power} {readonly} />
      <SizeField label="Torque, N·m" unit="N·m" bind:value={spindle.torque} {readonly} />
      {#if spindle.carries === 'TOOL'}
        <WordField
          label="Seat"
          width="w-32"
          list="seats"
          bind:value={() => spindle.seat, (next) => (spindle.seat = next || undefined)}
          {readonly}
        />
        <Checkbox label="Can be held still for turning" bind:checked={spindle.locks} />
      {/if}
      {#if !readonly && machine.spindles.length > 1}
        <button type="button" class="button quiet" onclick={() => machine.spindles.splice(index, 1)}
          >Remove</button
        >
      {/if}
    </div>
  {/each}
  {#if !readonly}
    <div><button type="button" class="button" onclick={add}>Add a spindle</button></div>
  {/if}
</section>
