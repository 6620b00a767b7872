<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import type { ComponentKnown } from '$lib/api/client';
  import type { Column, Where } from '$lib/grid/columns';
  import Grid from '$lib/grid/Grid.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import { componentsQuery } from '$lib/stack/queries';
  import { who } from '$lib/shell/session.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { profileOf } from '$lib/stack/bodies';
  import Silhouette from '$lib/drawing/Silhouette.svelte';

  const components = createQuery(componentsQuery);
  let sought = $state('');
  const kinds = {
    HOLDER: 'holder',
    EXTENSION: 'extension',
    COLLET: 'collet',
    ARBOR: 'arbor',
    AGGREGATE: 'aggregate'
  };
  const shown = $derived(
    (components.data?.items ?? []).filter((known) =>
      sought
        .toLowerCase()
        .split(/\s+/)
        .every((word) =>
          `${known.component.code} ${known.component.name} ${kinds[known.component.kind]} ${known.machineSideName} ${known.workSideName} ${known.component.machineSide} ${known.component.workSide}`
            .toLowerCase()
            .includes(word)
        )
    )
  );

  const columns: Column<ComponentKnown>[] = [
    { id: 'code', title: 'Code', width: '170px', fixed: true, text: (row) => row.component.code },
    { id: 'name', title: 'Name', width: 'minmax(180px, 1fr)', text: (row) => row.component.name },
    { id: 'silhouette', title: 'Silhouette', width: '166px', text: () => '' },
    { id: 'kind', title: 'Kind', width: '90px', text: (row) => kinds[row.component.kind] },
    {
      id: 'machine',
      title: 'Machine side',
      width: '150px',
      text: (row) => row.machineSideName
    },
    { id: 'work', title: 'Workpiece side', width: '150px', text: (row) => row.workSideName },
    {
      id: 'machine code',
      title: 'Machine code',
      name: 'code of the machine side',
      width: '120px',
      usual: false,
      text: (row) => row.component.machineSide
    },
    {
      id: 'work code',
      title: 'Workpiece code',
      name: 'code of the workpiece side',
      width: '120px',
      usual: false,
      text: (row) => row.component.workSide
    },
    {
      id: 'length',
      title: 'Length',
      width: '80px',
      numeric: true,
      text: (row) => length(row)
    }
  ];

  /** Of all its bodies, in the unit that lengths are looked at in. */
  function length(row: ComponentKnown): string {
    const millimetres = row.component.bodies.reduce((sum, body) => sum + body.length, 0);
    return units.show(millimetres, 'mm', 1);
  }
</script>

{#snippet cell(row: ComponentKnown, column: Column<ComponentKnown>, { current }: Where)}
  {#if column.id === 'code'}
    <a
      class="code block truncate hover:text-working"
      tabindex={current ? 0 : -1}
      href="/holders/{row.id}">{row.component.code}</a
    >
  {:else if column.id === 'name'}
    <span class="block truncate" title={row.component.name}
      >{row.component.name}{#if row.retired}<span class="text-query">, retired</span>{/if}</span
    >
  {:else if column.id === 'silhouette'}
    <Silhouette outline={profileOf(row.component.bodies)} width={150} height={26} />
  {:else}
    {@const machine = column.id === 'machine'}
    <span
      class="block truncate"
      title={machine ? row.component.machineSide : row.component.workSide}
      >{machine ? row.machineSideName : row.workSideName}</span
    >
  {/if}
{/snippet}

<svelte:head><title>Holders · Arbor Line</title></svelte:head>

<div class="flex min-h-0 flex-1 flex-col">
  <header class="flex items-center gap-3 px-5 pb-2 pt-3">
    <h1>Holders and what goes with them</h1>
    <span class="text-soft" role="status">{shown.length}</span>
    <input
      class="field ml-6 w-80"
      type="search"
      data-search
      aria-label="Search"
      placeholder="code, name, or a connection such as HSK-A63"
      bind:value={sought}
    />
    {#if who.may('EDIT')}
      <a class="button main ml-auto" href="/holders/new">New holder</a>
    {/if}
  </header>
  {#if components.error}
    <ErrorNote error={components.error} retry={() => void components.refetch()} />
  {:else if components.data}
    <Grid
      name="holders"
      label="Holders"
      {columns}
      rows={shown}
      key={(row) => row.id}
      {cell}
      drawn={['code', 'name', 'silhouette', 'machine', 'work']}
      onopen={(row) => void goto(`/holders/${row.id}`)}
    >
      {#snippet empty()}
        <p class="px-5 py-6 text-soft">
          {sought ? 'Nothing is called that.' : 'No holder yet: add the first one.'}
        </p>
      {/snippet}
    </Grid>
  {:else}
    <Loading />
  {/if}
</div>
