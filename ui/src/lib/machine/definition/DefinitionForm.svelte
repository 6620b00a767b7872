<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import AxisFields from './AxisFields.svelte';
  import ControlFields from './ControlFields.svelte';
  import OutputFields from './OutputFields.svelte';
  import SpindleFields from './SpindleFields.svelte';
  import StorageFields from './StorageFields.svelte';
  import WordField from './WordField.svelte';
  import { seats } from './words';

  let {
    machine = $bindable(),
    readonly,
    isNew
  }: { machine: Machine; readonly: boolean; isNew: boolean } = $props();

  function add() {
    const ids = machine.storages.map(({ id }) => id);
    const id = [...'ABCDEFGHIJKL'].find((letter) => !ids.includes(letter)) ?? 'S';
    machine.storages.push({
      id,
      form: 'CART',
      places: 12,
      prefix: id,
      first: 1,
      closed: false,
      random: false,
      limits: {},
      clearance: 0
    });
  }
</script>

<datalist id="seats">
  {#each seats as seat (seat)}<option value={seat}></option>{/each}
</datalist>

<fieldset class="flex flex-col gap-6" disabled={readonly}>
  <div class="flex flex-wrap items-end gap-3">
    <WordField label="Id" width="w-24" bind:value={machine.id} readonly={readonly || !isNew} />
    <WordField label="Name of the machine" width="w-48" bind:value={machine.name} {readonly} />
    <WordField label="Kind" width="w-56" bind:value={machine.kind} {readonly} />
  </div>
  <SpindleFields bind:machine {readonly} />
  <section class="flex flex-col gap-4" aria-label="Storages">
    <h2>What holds its tools</h2>
    {#each machine.storages as storage, index (index)}
      <div
        class="flex flex-col gap-3 border-l-2 border-hairline pl-3"
        role="group"
        aria-label="Storage {storage.id}"
      >
        <StorageFields bind:storage={machine.storages[index]} {machine} {readonly} />
        {#if !readonly && machine.storages.length > 1}
          <div>
            <button
              type="button"
              class="button quiet"
              onclick={() => machine.storages.splice(index, 1)}>Remove this storage</button
            >
          </div>
        {/if}
      </div>
    {/each}
    {#if !readonly}
      <div><button type="button" class="button" onclick={add}>Add a storage</button></div>
    {/if}
  </section>
  <ControlFields bind:machine {readonly} />
  <OutputFields bind:machine {readonly} />
  <AxisFields bind:machine {readonly} />
</fieldset>
