<script lang="ts">
  import { who } from '$lib/shell/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import type { ToolRow } from '$lib/api/client';
  import { followAddress } from '$lib/library/followAddress.svelte';
  import ChosenBar from '$lib/library/ChosenBar.svelte';
  import { ListFilter } from '$lib/library/filter.svelte';
  import { facetsQuery } from '$lib/library/queries';
  import ListSearch from '$lib/library/ListSearch.svelte';
  import ToolList from '$lib/library/ToolList.svelte';

  const filter = new ListFilter('tools of all libraries');
  followAddress(filter);
  let chosen = $state<ToolRow[]>([]);
  const facets = createQuery(() => facetsQuery(null, filter.counted));
</script>

<svelte:head><title>Tools of all libraries · Arbor Line</title></svelte:head>

<header class="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pb-2 pt-3">
  <h1>Tools of all libraries</h1>
  <span class="text-soft" role="status"
    >{facets.data ? facets.data.total.toLocaleString('en') : ''}</span
  >
  <ListSearch {filter} />
  <div class="ml-auto">
    <ChosenBar
      library={null}
      may={who.may('EDIT')}
      {filter}
      listed={facets.data?.total ?? 0}
      bind:chosen
    />
  </div>
</header>
<ToolList library={null} may={who.may('EDIT')} {filter} bind:chosen />
