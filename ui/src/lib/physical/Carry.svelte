<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Piece } from '$lib/api/client';
  import { machinesQuery } from '$lib/machine/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { carryPiece, type Whereabouts } from './actions';

  let { piece }: { piece: Piece } = $props();

  const machines = createQuery(machinesQuery);
  let kind = $state<Whereabouts['kind']>('PLACE');
  let chosen = $state<string | undefined>();
  const machine = $derived(
    chosen ?? piece.machine ?? piece.forMachine ?? machines.data?.items[0]?.id ?? ''
  );
  let place = $state('');
  const atMachine = $derived(kind === 'PLACE' || kind === 'SPINDLE');
  const kinds: { value: Whereabouts['kind']; label: string }[] = [
    { value: 'PLACE', label: 'in a place of' },
    { value: 'SPINDLE', label: 'in the spindle of' },
    { value: 'CART', label: 'on the cart' },
    { value: 'PRESETTER', label: 'at the presetter' },
    { value: 'CRIB', label: 'in the crib' }
  ];

  async function carry() {
    const to: Whereabouts = {
      kind,
      machine: atMachine ? machine : undefined,
      place: kind === 'PLACE' ? place.trim() : undefined
    };
    if (await carryPiece(piece, to)) place = '';
  }
</script>

<form
  class="flex flex-wrap items-center gap-2"
  onsubmit={(event) => {
    event.preventDefault();
    void carry();
  }}
>
  <Choice label="Where it is" bind:value={kind} options={kinds} />
  {#if atMachine}
    <Choice
      label="Machine"
      bind:value={() => machine, (id) => (chosen = id)}
      options={(machines.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))}
    />
  {/if}
  {#if kind === 'PLACE'}
    <input class="field w-20" aria-label="Place" placeholder="place" bind:value={place} />
  {/if}
  <button class="button" disabled={kind === 'PLACE' && place.trim() === ''}>It is there now</button>
</form>
