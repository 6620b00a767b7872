<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import SizeField from './SizeField.svelte';
  import WordField from './WordField.svelte';

  let { machine = $bindable(), readonly }: { machine: Machine; readonly: boolean } = $props();

  const add = () => machine.axes.push({ name: '', from: 0, to: 500, rotary: false });
</script>

<section class="flex flex-col gap-2" aria-label="Axes">
  <h2>Axes</h2>
  {#each machine.axes as axis, index (index)}
    <div class="flex flex-wrap items-end gap-3" role="group" aria-label="Axis {index + 1}">
      <WordField label="Name" width="w-16" bind:value={axis.name} {readonly} />
      <SizeField
        label="From"
        signed
        unit={axis.rotary ? '1' : 'mm'}
        bind:value={axis.from}
        {readonly}
      />
      <SizeField
        label="To"
        signed
        unit={axis.rotary ? '1' : 'mm'}
        bind:value={axis.to}
        {readonly}
      />
      <Checkbox label="turns, degrees" bind:checked={axis.rotary} />
      {#if !readonly}
        <button type="button" class="button quiet" onclick={() => machine.axes.splice(index, 1)}
          >Remove</button
        >
      {/if}
    </div>
  {/each}
  {#if !readonly}
    <div><button type="button" class="button" onclick={add}>Add an axis</button></div>
  {/if}
</section>
