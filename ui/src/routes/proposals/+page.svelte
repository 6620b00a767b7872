<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Mark from '$lib/marks/Mark.svelte';
  import { proposalsQuery } from '$lib/proposal/queries';
  import { became } from '$lib/proposal/words';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { moment } from '$lib/shell/text';

  const proposals = createQuery(proposalsQuery);
  const all = $derived(proposals.data?.items ?? []);
</script>

<svelte:head><title>Proposals · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Proposals</h1>
  {#if proposals.error}
    <ErrorNote error={proposals.error} retry={() => void proposals.refetch()} />
  {:else if proposals.data}
    {#if all.length === 0}
      <p class="mt-4 max-w-2xl text-soft">
        Nobody has proposed anything. Who may not change a tool himself can propose it on its sheet;
        those who maintain the library find it here.
      </p>
    {:else}
      <table class="rows mt-3 w-full">
        <thead>
          <tr>
            <th>Library</th>
            <th>Why</th>
            <th class="number w-20">Changes</th>
            <th>Proposed</th>
            <th>What became of it</th>
          </tr>
        </thead>
        <tbody>
          {#each all as one (one.id)}
            <tr class="hover:bg-faint">
              <td class="max-w-56 truncate">{one.library}</td>
              <td class="w-full max-w-0 truncate" title={one.reason || undefined}>
                <a class="font-semibold hover:text-working" href="/proposals/{one.id}"
                  >{one.state === 'COLLECTED' ? 'not said yet' : one.reason}</a
                >
              </td>
              <td class="number">{one.changes}</td>
              <td class="whitespace-nowrap"
                >{#if one.state !== 'COLLECTED'}{moment(one.madeAt)}
                  <span class="text-soft">{one.madeBy}</span>{/if}</td
              >
              <td class="whitespace-nowrap">
                {#if one.state === 'COLLECTED' || (one.state === 'OPEN' && one.toMe)}
                  <Mark kind="query" word={became(one)} />
                {:else}
                  {became(one)}
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  {:else}
    <Loading />
  {/if}
</div>
