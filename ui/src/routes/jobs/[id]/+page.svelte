<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { changeJob, deleteJob, finishJob, orderOf } from '$lib/job/actions';
  import JobForm from '$lib/job/JobForm.svelte';
  import JobTools from '$lib/job/JobTools.svelte';
  import { jobQuery } from '$lib/job/queries';
  import { wantedOf } from '$lib/job/wanted';
  import { servedInWords } from '$lib/job/words';
  import { machineQuery } from '$lib/machine/queries';
  import type { Wanted } from '$lib/machine/wanted';
  import WantedTools from '$lib/machine/WantedTools.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { who } from '$lib/shell/session.svelte';

  const id = $derived(Number(page.params.id));
  const job = createQuery(() => jobQuery(id));
  const may = $derived(who.may('EDIT'));
  const onMachine = $derived(job.data?.head.machineName != null);
  const machine = createQuery(() => ({
    ...machineQuery(job.data?.head.machine ?? ''),
    enabled: may && onMachine
  }));
  let changing = $state(false);

  const wanted = $derived(job.data ? wantedOf(job.data) : []);

  /** As somebody ticked them, until that is kept. */
  let ticked = $state.raw<Wanted[] | null>(null);
  const shown = $derived(ticked ?? wanted);
  let kept = Promise.resolve();

  /** Tools that are ticked come in, those that are not any more leave: one after the other. */
  function want(next: Wanted[]) {
    const has = (list: Wanted[], toolId: number) => list.some((tool) => tool.toolId === toolId);
    const come = next.filter(({ toolId }) => !has(shown, toolId));
    const gone = shown.filter(({ toolId }) => !has(next, toolId));
    ticked = next;
    kept = kept
      .then(() => keep(come, gone))
      .then(() => {
        if (ticked === next) ticked = null;
      });
  }

  async function keep(come: Wanted[], gone: Wanted[]) {
    if (!job.data) return;
    const order = orderOf(job.data);
    const stay = (order.tools ?? []).filter(
      (one) => !gone.some(({ toolId }) => toolId === one?.toolId)
    );
    const added = come.map(({ toolId, libraryId }) => ({ toolId, libraryId }));
    await changeJob(
      job.data,
      { ...order, tools: [...stay, ...added] },
      gone.length > 0 ? 'Taken out of the job' : 'Taken into the job'
    );
  }

  async function remove() {
    if (await deleteJob(id)) void goto('/jobs');
  }
</script>

<svelte:head><title>{job.data?.head.name ?? 'Job'} · Arbor Line</title></svelte:head>

{#if job.error}
  <ErrorNote error={job.error} retry={() => void job.refetch()} />
{:else if job.data}
  {@const view = job.data}
  {@const { head } = view}
  <header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
    <h1>{head.name}</h1>
    {#if head.part}<span class="text-soft">{head.part}</span>{/if}
    {#if head.machineName != null}
      <a class="text-working hover:underline" href="/machines/{head.machine}">{head.machineName}</a>
    {:else}
      <span class="text-query">{head.machine} was retired</span>
    {/if}
    <span class={!head.finished && head.missing > 0 ? 'text-query' : 'text-soft'}>
      {head.finished ? 'finished' : `open, ${servedInWords(head)}`}
    </span>
    {#if may}
      <span class="ml-auto flex items-center gap-2">
        {#if !head.finished && head.missing > 0 && onMachine && who.may('LOAD')}
          <a class="button main" href="/machines/{head.machine}/load?job={id}">Plan its load</a>
        {/if}
        <button class="button" onclick={() => (changing = true)}>Change</button>
        <button class="button" onclick={() => void remove()}>Delete</button>
        <button class="button" onclick={() => void finishJob(id, !head.finished)}>
          {head.finished ? 'Open it again' : 'Finish it'}
        </button>
      </span>
    {/if}
  </header>
  <div
    class={[
      'grid min-h-0 flex-1 gap-8 overflow-auto px-5 pb-4 max-lg:grid-cols-[minmax(0,1fr)]',
      may && machine.data && 'lg:grid-cols-[minmax(0,1fr)_minmax(400px,34vw)]'
    ]}
  >
    <div class="min-w-0">
      <JobTools {view} {may} />
      <NotLoaded query={machine} />
    </div>
    {#if may && machine.data}
      <div class="flex min-h-[320px] flex-col">
        <h2 class="pb-1">Tools for it</h2>
        <WantedTools any machine={machine.data} bind:wanted={() => shown, want} />
      </div>
    {/if}
  </div>
  {#if changing}
    <JobForm
      title="Change the job"
      begin={head}
      saving="Save"
      save={async (order) =>
        Boolean(await changeJob(view, { ...orderOf(view), ...order }, `Saved ${order.name}`))}
      onclose={() => (changing = false)}
    />
  {/if}
{:else}
  <Loading />
{/if}
