<script lang="ts">
  import { goto } from '$app/navigation';
  import { DropdownMenu } from 'bits-ui';
  import type { MachineView, StorageView } from '$lib/api/client';
  import { sorts } from './words';

  let { machine, storage }: { machine: MachineView; storage: StorageView } = $props();

  const offered = $derived(
    sorts.filter(
      ({ by }) => by !== 'NUMBER' || machine.machine.numbering.scheme !== 'NUMBER_IS_PLACE'
    )
  );
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button quiet" aria-label="Sort the {storage.word}"
    >Sort ▾</DropdownMenu.Trigger
  >
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="floating z-50 min-w-44 p-1" align="start" sideOffset={4}>
      {#each offered as { by, label } (by)}
        <DropdownMenu.Item
          class="block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint"
          onSelect={() =>
            void goto(`/machines/${machine.machine.id}/load?sort=${storage.id}&by=${by}`)}
          >{label}</DropdownMenu.Item
        >
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
