<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { componentsQuery } from '$lib/stack/queries';
  import { who } from '$lib/shell/session.svelte';
  import Trouble from '$lib/shell/Trouble.svelte';
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
    (components.data?.items ?? []).filter((each) =>
      sought
        .toLowerCase()
        .split(/\s+/)
        .every((word) =>
          `${each.component.code} ${each.component.name} ${kinds[each.component.kind]} ${each.machineSideName} ${each.workSideName} ${each.component.machineSide} ${each.component.workSide}`
            .toLowerCase()
            .includes(word)
        )
    )
  );
</script>

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
    <Trouble error={components.error} retry={() => void components.refetch()} />
  {:else if components.data}
    <div class="min-h-0 flex-1 overflow-auto px-5 pb-8">
      <table class="rows w-full">
        <thead>
          <tr>
            <th>Code</th>
            <th>Name</th>
            <th>Silhouette</th>
            <th>Kind</th>
            <th>Machine side</th>
            <th>Workpiece side</th>
            <th class="number">Length</th>
          </tr>
        </thead>
        <tbody>
          {#each shown as each (each.id)}
            <tr class="hover:bg-faint">
              <td class="code">
                <a class="hover:text-working" href="/holders/{each.id}">{each.component.code}</a>
              </td>
              <td class="max-w-80 truncate" title={each.component.name}>
                {each.component.name}{#if each.retired}<span class="text-query">, retired</span
                  >{/if}
              </td>
              <td
                ><Silhouette
                  outline={profileOf(each.component.bodies)}
                  width={150}
                  height={28}
                /></td
              >
              <td>{kinds[each.component.kind]}</td>
              <td title={each.component.machineSide}>{each.machineSideName}</td>
              <td title={each.component.workSide}>{each.workSideName}</td>
              <td class="number">
                {each.component.bodies.reduce((sum, body) => sum + body.length, 0)}
              </td>
            </tr>
          {:else}
            <tr>
              <td colspan="7" class="text-soft">
                {sought ? 'Nothing is called that.' : 'No holder yet: add the first one.'}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</div>
