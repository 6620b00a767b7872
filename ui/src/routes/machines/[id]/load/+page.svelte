<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { PlannedLoad } from '$lib/api/client';
  import { planLoad, stopPlanning, takeLoad } from '$lib/machine/actions';
  import LoadResult from '$lib/machine/LoadResult.svelte';
  import { cache } from '$lib/api/cache';
  import { machineQuery, sortedQuery } from '$lib/machine/queries';
  import { jobQuery, jobsQuery } from '$lib/job/queries';
  import { wantedOf } from '$lib/job/wanted';
  import { sorts } from '$lib/machine/words';
  import type { Wanted } from '$lib/machine/wanted';
  import WantedTools from '$lib/machine/WantedTools.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count } from '$lib/shell/text';

  const id = $derived(page.params.id ?? '');
  const machine = createQuery(() => machineQuery(id));
  const may = $derived(who.may('LOAD'));
  let wanted = $state.raw<Wanted[]>([]);
  let stay = $state(false);
  /** Whether the lead lets tools in that are not released. */
  let allow = $state(false);
  let searching = $state(false);
  let wrong = $state('');
  /** A storage whose tools are to be sorted, and by what. */
  const job = Number(page.url.searchParams.get('job'));
  const jobs = createQuery(() => jobsQuery(id));
  const open = $derived(
    (jobs.data?.items ?? []).filter(({ finished, tools }) => !finished && tools)
  );
  const sort = page.url.searchParams.get('sort');
  const by = sorts.find((one) => one.by === page.url.searchParams.get('by'));
  /** What was found, and for which tools. */
  let found = $state.raw<{ load: PlannedLoad; wanted: Wanted[] } | null>(null);

  /**
   * @param longer true to wait some seconds for fewer moves
   */
  const search = (longer = false) =>
    look(
      () =>
        planLoad(id, wanted, stay ? (machine.data?.plan ?? []).map(({ toolId }) => toolId) : [], {
          longer,
          allow
        }),
      wanted
    );

  async function look(plan: () => Promise<PlannedLoad>, asked: Wanted[]) {
    searching = true;
    wrong = '';
    try {
      found = { load: await plan(), wanted: asked };
    } catch (error) {
      found = null;
      wrong = capital((error as Error).message);
    }
    searching = false;
  }

  /** Has the tools of a job be in besides. */
  async function wantJob(job: number) {
    const come = wantedOf(await cache.fetchQuery(jobQuery(job))).filter(
      ({ toolId }) => !wanted.some((tool) => tool.toolId === toolId)
    );
    wanted = [...wanted, ...come];
  }

  onMount(() => {
    if (job) void wantJob(job);
    if (sort && by) void look(() => cache.fetchQuery(sortedQuery(id, sort, by.by)), []);
  });

  async function take() {
    if (found && (await takeLoad(id, found.load, allow))) void goto(`/machines/${id}`);
    else void machine.refetch();
  }

  function many(tool: Wanted, number: number) {
    wanted = wanted.map((one) => (one.toolId === tool.toolId ? { ...one, number } : one));
  }

  function drop(tool: Wanted) {
    wanted = wanted.filter(({ toolId }) => toolId !== tool.toolId);
  }
</script>

<svelte:head
  ><title>Load of {machine.data?.machine.name ?? 'a machine'} · Arbor Line</title></svelte:head
>

{#if machine.error}
  <ErrorNote error={machine.error} retry={() => void machine.refetch()} />
{:else if machine.data}
  {@const view = machine.data}
  <header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
    <h1>Plan a load of {view.machine.name}</h1>
    <span class="text-soft">{count(view.plan.length, 'tool')} planned now</span>
    <a class="text-working hover:underline" href="/machines/{id}">Its load</a>
  </header>
  {#if !may}
    <p class="px-5 text-soft">Your role may look at the load plan, not change it.</p>
  {:else}
    <div
      class="grid min-h-0 flex-1 gap-8 px-5 pb-4 max-lg:grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,460px)_minmax(0,1fr)]"
    >
      <div class="flex min-h-[320px] flex-col gap-3">
        {#if open.length > 0}
          <div class="flex flex-wrap items-center gap-2" aria-label="Tools of a job">
            <span class="text-soft">All of job</span>
            {#each open as { id, name } (id)}
              <button class="button" onclick={() => void wantJob(id)}>{name}</button>
            {/each}
          </div>
        {/if}
        <WantedTools machine={view} bind:wanted bind:allow />
      </div>
      <div class="flex min-h-0 flex-col gap-4 overflow-auto">
        <div class="flex flex-wrap items-center gap-3">
          <span>
            {wanted.length === 0 && sort && by
              ? `The tools ${by.label}.`
              : wanted.length === 0
                ? 'Tick the tools that have to be in.'
                : `${count(wanted.length, 'tool')} ${wanted.length === 1 ? 'has' : 'have'} to be in.`}
          </span>
          {#if view.plan.length > 0}
            <Checkbox label="What stands now stays where it is" bind:checked={stay} />
          {/if}
          <span class="ml-auto flex gap-2">
            {#if searching}
              <button class="button" onclick={() => void stopPlanning(id)}>Stop</button>
            {/if}
            <button
              class="button main"
              disabled={wanted.length === 0 || searching}
              onclick={() => void search()}>{searching ? 'Looking …' : 'Find their places'}</button
            >
          </span>
        </div>
        {#if wanted.length > 0}
          <ul class="flex flex-wrap gap-1 text-[12px]" aria-label="Have to be in">
            {#each wanted as tool (tool.toolId)}
              <li>
                <button
                  class="code rounded-sm border border-hairline px-1 hover:border-working"
                  title="{tool.name}: leave it out"
                  onclick={() => drop(tool)}>{tool.code} ×</button
                >
                {#if view.machine.numbering.scheme === 'SISTER_GROUPS'}
                  <input
                    class="field number w-12"
                    type="number"
                    min="1"
                    max="20"
                    aria-label="How many of {tool.code}"
                    value={tool.number ?? 1}
                    onchange={(event) => many(tool, event.currentTarget.valueAsNumber)}
                  />
                {/if}
              </li>
            {/each}
          </ul>
        {/if}
        {#if wrong}<p class="text-hold" role="alert">{wrong}</p>{/if}
        {#if found}
          <LoadResult machine={view} load={found.load} wanted={found.wanted}>
            <button class="button main" onclick={() => void take()}>Plan it so</button>
            {#if !found.load.optimal && found.wanted.length > 0}
              <button class="button" disabled={searching} onclick={() => void search(true)}>
                {found.load.settled
                  ? 'Look longer for fewer moves'
                  : 'Look longer for a place for all'}
              </button>
            {/if}
          </LoadResult>
        {/if}
      </div>
    </div>
  {/if}
{:else}
  <Loading />
{/if}
