<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { trailQuery } from '$lib/trail/queries';
  import { undo } from '$lib/trail/actions';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const trail = createInfiniteQuery(trailQuery);
  const lines = $derived((trail.data?.pages ?? []).flatMap((page) => page.items));
  const may = $derived(who.may('EDIT') || who.may('LOAD') || who.may('PROVE'));
  const addresses: Record<string, string> = {
    tool: '/tools/',
    library: '/libraries/',
    delivery: '/receiving/',
    machine: '/machines/',
    component: '/holders/'
  };
</script>

<svelte:head><title>Trail · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Trail</h1>
  <p class="text-soft">Who changed what, newest first.</p>
  {#if trail.error}
    <ErrorNote error={trail.error} retry={() => void trail.refetch()} />
  {:else if trail.data}
    <table class="rows mt-3 w-full">
      <thead>
        <tr>
          <th class="w-36">When</th>
          <th class="w-36">Who</th>
          <th>What</th>
          <th class="w-32"><span class="sr-only">Undo</span></th>
        </tr>
      </thead>
      <tbody>
        {#each lines as line (line.id)}
          <tr class="hover:bg-faint">
            <td class="text-soft">{moment(line.at)}</td>
            <td>{line.who}</td>
            <td class="max-w-0 truncate" title={line.text}>
              {#if addresses[line.subjectKind]}
                <a
                  class={['hover:text-working', line.undo === 'done' && 'line-through']}
                  href="{addresses[line.subjectKind]}{line.subjectId}">{capital(line.text)}</a
                >
              {:else}
                <span class={line.undo === 'done' ? 'line-through' : ''}>{capital(line.text)}</span>
              {/if}
            </td>
            <td>
              {#if line.undo === 'possible' && may}
                <button class="button quiet" onclick={() => undo(line.id)}>Undo</button>
              {:else if line.undo === 'done'}
                <span class="px-1.5 text-soft">taken back</span>
              {/if}
            </td>
          </tr>
        {:else}
          <tr><td colspan="4" class="text-soft">Nothing was changed yet.</td></tr>
        {/each}
      </tbody>
    </table>
    {#if trail.hasNextPage}
      <button class="button quiet mt-2" onclick={() => void trail.fetchNextPage()}>
        Show older
      </button>
    {/if}
  {:else}
    <Loading />
  {/if}
</div>
