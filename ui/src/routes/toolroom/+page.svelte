<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import { fit } from '$lib/drawing/geometry';
  import { machinesQuery } from '$lib/machine/queries';
  import NewPiece from '$lib/physical/NewPiece.svelte';
  import { piecesQuery } from '$lib/physical/queries';
  import Station from '$lib/physical/Station.svelte';
  import { beside, inStage, nextToMeasure, way } from '$lib/physical/words';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const ANY = 'any';
  let machine = $state(ANY);
  let sought = $state('');
  let making = $state(false);
  let forMachine = $state('');
  const machines = createQuery(machinesQuery);
  const pieces = createQuery(() => piecesQuery(machine === ANY ? undefined : machine));
  const shown = $derived(
    (pieces.data?.items ?? []).filter(({ serial, name }) =>
      `${serial} ${name}`.toLowerCase().includes(sought.trim().toLowerCase())
    )
  );
  const scale = $derived(
    fit(
      shown.flatMap(({ outline }) => (outline ? [outline] : [])),
      164,
      32
    )
  );
  const next = $derived(nextToMeasure(shown, 0));
  const may = $derived(who.may('HANDLE'));

  function begin() {
    forMachine = machine === ANY ? (machines.data?.items[0]?.id ?? '') : machine;
    making = true;
  }
</script>

<svelte:head><title>Toolroom · Arbor Line</title></svelte:head>

<div class="flex min-h-0 flex-1 flex-col overflow-auto px-5 pb-6 pt-4">
  <header class="flex flex-wrap items-center gap-3">
    <h1 class="mr-2">Toolroom</h1>
    <Choice
      label="Machine"
      bind:value={machine}
      options={[
        { value: ANY, label: 'all machines' },
        ...(machines.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
      ]}
    />
    <input
      class="field w-48"
      type="search"
      data-search
      aria-label="Find a piece"
      placeholder="label or name"
      bind:value={sought}
    />
    {#if may}
      <span class="ml-auto flex gap-2 max-sm:ml-0">
        {#if next}<a class="button" href="/toolroom/{next.id}">Measure the next</a>{/if}
        <button class="button main" disabled={!machines.data} onclick={begin}>New piece</button>
      </span>
    {/if}
  </header>
  <p class="pb-4 text-soft">
    Real tools with their labels, from left to right: put together, measured, brought, fetched.
  </p>
  {#if pieces.error}
    <ErrorNote error={pieces.error} retry={() => void pieces.refetch()} />
  {:else if pieces.data}
    {#if pieces.data.items.length === 0}
      <p class="text-soft">
        No tool has a label yet{may ? ': make the first piece of one.' : '.'}
      </p>
    {:else}
      {#each [way, beside] as row, index (index)}
        <div
          class="grid gap-x-5 pb-6"
          style="grid-template-columns: repeat(auto-fill, minmax(170px, 1fr))"
        >
          {#each row as { stage, title, none } (stage)}
            <Station {title} {none} pieces={inStage(shown, stage)} {scale} />
          {/each}
        </div>
      {/each}
      {#if pieces.data.next}
        <p class="pt-3 text-soft">
          Only the first 500 are shown; choose a machine to see the others.
        </p>
      {/if}
    {/if}
  {:else}
    <Loading />
  {/if}
</div>

{#if making && machines.data}
  <NewPiece
    machines={machines.data.items}
    bind:machine={forMachine}
    onmade={(id) => {
      making = false;
      void goto(`/toolroom/${id}`);
    }}
    onclose={() => (making = false)}
  />
{/if}
