<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { machinesQuery } from '$lib/machine/queries';
  import MachineToday from '$lib/machine/MachineToday.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const machines = createQuery(machinesQuery);
</script>

<svelte:head><title>Tool tables · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Tool tables</h1>
  <p class="text-soft">How each machine's control stood to its plan when it was last read.</p>
  {#if machines.error}
    <ErrorNote error={machines.error} retry={() => void machines.refetch()} />
  {:else if machines.data}
    {#each machines.data.items.filter(({ linked }) => linked) as machine (machine.id)}
      <MachineToday id={machine.id} />
      <a class="button mt-3" href="/tables/{machine.id}">Read and compare {machine.name}</a>
    {:else}
      <p class="mt-3">No machine has a control that is linked.</p>
    {/each}
  {:else}
    <Loading />
  {/if}
</div>
