<script lang="ts">
  import { createQueries, createQuery } from '@tanstack/svelte-query';
  import { machineQuery, machinesQuery } from '$lib/machine/queries';
  import { lastReconciliationQuery } from '$lib/table/queries';
  import {
    nextAtMachines,
    nextInDeliveries,
    nextInLibraries,
    nextInLinks,
    nextInProposals
  } from '$lib/today/next';
  import NextList from '$lib/today/NextList.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { proposalsQuery } from '$lib/proposal/queries';
  import { librariesQuery, overviewQuery } from '$lib/library/queries';
  import { deliveriesQuery } from '$lib/delivery/queries';
  import { type Delivery } from '$lib/api/client';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import MachineToday from '$lib/machine/MachineToday.svelte';
  import { strayLinksQuery } from '$lib/link/queries';
  import { count } from '$lib/shell/text';

  const deliveries = createQuery(deliveriesQuery);
  const libraries = createQuery(librariesQuery);
  const proposals = createQuery(proposalsQuery);
  const overview = createQuery(overviewQuery);
  const machines = createQuery(machinesQuery);

  const ids = $derived((machines.data?.items ?? []).map((machine) => machine.id));
  const views = createQueries(() => ({ queries: ids.map((id) => machineQuery(id)) }));
  const tables = createQueries(() => ({ queries: ids.map((id) => lastReconciliationQuery(id)) }));

  const inDeliveries = $derived(nextInDeliveries(deliveries.data?.items ?? [], who.may('RECEIVE')));
  const atMachines = $derived(
    nextAtMachines(
      views.flatMap((view, index) =>
        view.data ? [{ view: view.data, table: tables[index]?.data }] : []
      ),
      who.may('LOAD')
    )
  );
  const inProposals = $derived(nextInProposals(proposals.data?.items ?? []));
  const links = createQuery(strayLinksQuery);
  const inLinks = $derived(nextInLinks(links.data?.items ?? [], who.may('EDIT')));
  const inLibraries = $derived(nextInLibraries(overview.data?.items ?? []));
  /** Whoever receives sees that first, whoever loads machines those. */
  const next = $derived(
    who.may('RECEIVE')
      ? [...inProposals, ...inLibraries, ...inLinks, ...inDeliveries, ...atMachines]
      : [...inProposals, ...atMachines, ...inLibraries, ...inLinks, ...inDeliveries]
  );
  const reading = $derived((deliveries.data?.items ?? []).filter(isRead));
  const known = $derived(deliveries.data && machines.data && proposals.data);

  function isRead(delivery: Delivery): boolean {
    return delivery.state === 'reading' || delivery.state === 'waiting';
  }
</script>

<svelte:head><title>Today · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Today</h1>
  <NotLoaded query={deliveries} />

  <div
    class="mt-3 grid gap-x-10 gap-y-6 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_320px]"
  >
    <div class="min-w-0">
      <section aria-labelledby="next">
        <h2 id="next" class="text-soft">What to do next</h2>
        {#if deliveries.data && deliveries.data.items.length === 0}
          <div class="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-2">
            <p>
              Nothing was received yet.
              {who.may('RECEIVE') ? 'Begin by adding a tool list.' : ''}
            </p>
            {#if who.may('RECEIVE')}
              <a class="button main" href="/receiving">Add a file</a>
            {/if}
          </div>
        {/if}
        {#if next.length > 0}
          <NextList {next} />
        {:else if known && (deliveries.data?.items.length ?? 0) > 0}
          <p class="mt-2">Nothing waits for you.</p>
        {:else if deliveries.isPending || machines.isPending}
          <Loading />
        {/if}
        {#each reading as delivery (delivery.id)}
          <p class="mt-2 text-soft">
            <a class="hover:text-working" href="/receiving/{delivery.id}">{delivery.name}</a> is
            being read,
            {count(delivery.read, 'line')} so far
          </p>
        {/each}
      </section>

      <section class="mt-7" aria-labelledby="machines">
        <h2 id="machines" class="text-soft">Machines</h2>
        {#each machines.data?.items ?? [] as machine (machine.id)}
          <MachineToday id={machine.id} />
        {:else}
          {#if machines.data}
            <p class="mt-2">No machine is set up.</p>
          {/if}
        {/each}
        <NotLoaded query={machines} />
      </section>
    </div>

    <section aria-labelledby="shop">
      <h2 id="shop" class="text-soft">The shop</h2>
      <NotLoaded query={libraries} />
      {#if libraries.data}
        <ul class="mt-1">
          {#each libraries.data.items.filter(({ right }) => right) as library (library.id)}
            <li class="band">
              <a class="flex h-10 items-center gap-3 hover:bg-faint" href="/libraries/{library.id}">
                <span class="min-w-0 flex-1 truncate" title={library.name}>{library.name}</span>
                <span class="text-soft">{count(library.tools, 'tool')}</span>
              </a>
            </li>
          {:else}
            <li class="py-2 text-soft">No library yet.</li>
          {/each}
        </ul>
      {/if}
    </section>
  </div>
</div>
