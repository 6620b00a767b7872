<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { machinesQuery } from '$lib/machine/queries';
  import { librariesQuery } from '$lib/library/queries';
  import { deliveriesQuery } from '$lib/delivery/queries';
  import { type Delivery } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import Trouble from '$lib/shell/Trouble.svelte';
  import MachineToday from '$lib/machine/MachineToday.svelte';
  import { count } from '$lib/shell/text';

  const deliveries = createQuery(deliveriesQuery);
  const libraries = createQuery(librariesQuery);
  const machines = createQuery(machinesQuery);

  const waiting = $derived((deliveries.data?.items ?? []).filter(open));
  const tools = $derived(
    (libraries.data?.items ?? []).reduce((sum, library) => sum + library.tools, 0)
  );

  function open(delivery: Delivery): boolean {
    const reading = delivery.state === 'reading' || delivery.state === 'waiting';
    return reading || delivery.pass + delivery.query + delivery.hold > delivery.taken;
  }

  function says(delivery: Delivery): string {
    if (delivery.state === 'reading' || delivery.state === 'waiting') {
      return `being read, ${count(delivery.read, 'line')} so far`;
    }
    if (delivery.state !== 'ready') {
      return delivery.note;
    }
    const ready = delivery.pass - delivery.taken;
    return [
      ready > 0 ? `${count(ready, 'line')} can be taken` : '',
      delivery.hold > 0 ? `${delivery.hold} on hold` : '',
      delivery.query > 0 ? `${delivery.query} to look at` : ''
    ]
      .filter(Boolean)
      .join(', ');
  }
</script>

<svelte:head><title>Today · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Today</h1>
  {#if deliveries.error}
    <Trouble error={deliveries.error} retry={() => void deliveries.refetch()} />
  {/if}

  <section class="mt-3" aria-labelledby="arrived">
    <h2 id="arrived" class="text-soft">What arrived</h2>
    {#if deliveries.data && deliveries.data.items.length === 0}
      <div class="mt-2 flex items-baseline gap-4">
        <p>Nothing was received yet. Begin by bringing in a tool list.</p>
        <a class="button main" href="/receiving">Bring a file in</a>
      </div>
    {:else if deliveries.data && waiting.length === 0}
      <p class="mt-2">
        Nothing waits. {count(tools, 'tool')} in {count(
          libraries.data?.items.length ?? 0,
          'library',
          'libraries'
        )}.
      </p>
    {:else}
      <ul class="mt-1 max-w-4xl">
        {#each waiting as delivery (delivery.id)}
          <li class="band">
            <a
              class="flex h-9 items-center gap-4 hover:text-working"
              href="/receiving/{delivery.id}"
            >
              <Mark
                kind={delivery.hold > 0 ? 'hold' : delivery.query > 0 ? 'query' : 'pass'}
                word=""
              />
              <span class="w-64 truncate font-semibold">{delivery.name}</span>
              <span class="text-soft">{says(delivery)}</span>
            </a>
          </li>
        {/each}
      </ul>
    {/if}
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
  </section>
</div>
