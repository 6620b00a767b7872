<script lang="ts">
  import type { Machine } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import SizeField from './SizeField.svelte';
  import WordField from './WordField.svelte';

  let { machine = $bindable(), readonly }: { machine: Machine; readonly: boolean } = $props();

  let typed = $state<string | null>(null);

  function coolants(text: string | null | undefined) {
    typed = text ?? '';
    machine.outputs.coolant = typed
      .split(',')
      .map((kind) => kind.trim())
      .filter(Boolean);
  }
</script>

<section class="flex flex-col gap-3" aria-label="Outputs">
  <h2>Outputs</h2>
  <div class="flex flex-wrap items-end gap-3">
    <WordField
      label="Coolant kinds, separated by commas"
      width="w-72"
      bind:value={() => typed ?? machine.outputs.coolant.join(', '), coolants}
      {readonly}
    />
    <SizeField label="Hood from" signed optional bind:value={machine.outputs.hoodFrom} {readonly} />
    <SizeField label="Hood to" signed optional bind:value={machine.outputs.hoodTo} {readonly} />
    <Checkbox label="Has a blower" bind:checked={machine.outputs.blower} />
  </div>
</section>
