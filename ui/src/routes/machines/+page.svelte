<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { machinesQuery } from '$lib/machine/queries';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { who } from '$lib/shell/session.svelte';

  const machines = createQuery(machinesQuery);
</script>

<svelte:head><title>Machines · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex items-center gap-4">
    <h1>Machines</h1>
    <a class="text-working hover:underline" href="/posts">Posts</a>
    <a class="text-working hover:underline" href="/links">Links</a>
    {#if who.may('EDIT')}
      <a class="button ml-auto" href="/machines/new">New machine</a>
    {/if}
  </header>
  {#if machines.error}
    <ErrorNote error={machines.error} retry={() => void machines.refetch()} />
  {:else if machines.data}
    <table class="rows mt-3 w-full">
      <thead>
        <tr>
          <th>Machine</th>
          <th class="max-md:hidden">Kind</th>
          <th class="max-md:hidden">Places</th>
          <th class="number">Planned</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        {#each machines.data.items as machine (machine.id)}
          <tr class="hover:bg-faint">
            <td>
              <a class="font-semibold hover:text-working" href="/machines/{machine.id}">
                {machine.name}
              </a>
              <span class="block text-[13px] text-soft md:hidden">{machine.kind}</span>
            </td>
            <td class="max-md:hidden">{machine.kind}</td>
            <td class="max-md:hidden">{machine.storages}</td>
            <td class="number">{machine.planned}</td>
            <td>
              {#if machine.linked}
                <a class="text-working hover:underline" href="/tables/{machine.id}">Tool table</a>
              {:else}
                <span class="text-soft">no control linked</span>
              {/if}
            </td>
          </tr>
        {:else}
          <tr><td colspan="5" class="text-soft">No machine is set up.</td></tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <Loading />
  {/if}
</div>
