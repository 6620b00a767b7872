<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import { makeJob } from '$lib/job/actions';
  import JobForm from '$lib/job/JobForm.svelte';
  import { jobsQuery } from '$lib/job/queries';
  import { servedInWords } from '$lib/job/words';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';

  const jobs = createQuery(() => jobsQuery());
  let making = $state(false);
</script>

<svelte:head><title>Jobs · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex items-center gap-4">
    <h1>Jobs</h1>
    {#if who.may('EDIT')}
      <button class="button ml-auto" onclick={() => (making = true)}>New job</button>
    {/if}
  </header>
  <p class="text-soft">
    Which tools each job calls, and by which numbers. What an open job calls stays in its machine as
    it is.
  </p>
  {#if jobs.error}
    <ErrorNote error={jobs.error} retry={() => void jobs.refetch()} />
  {:else if jobs.data}
    <div class="overflow-x-auto">
      <table class="rows mt-3 w-full">
        <thead>
          <tr>
            <th>Job</th><th>Part</th><th>Machine</th><th class="number">Tools</th><th>Load</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          {#each jobs.data.items as job (job.id)}
            <tr class={['hover:bg-faint', job.finished && 'text-soft']}>
              <td>
                <a class="font-semibold hover:text-working" href="/jobs/{job.id}">{job.name}</a>
              </td>
              <td>{job.part}</td>
              <td>{job.machineName ?? job.machine}</td>
              <td class="number">{job.tools}</td>
              <td class={!job.finished && job.missing > 0 ? 'text-query' : ''}>
                {job.finished ? '' : capital(servedInWords(job))}
              </td>
              <td>{job.finished ? 'finished' : 'open'}</td>
            </tr>
          {:else}
            <tr>
              <td colspan="6" class="text-soft">
                No job yet{who.may('EDIT')
                  ? ': a new one can begin with all that is planned at a machine.'
                  : '.'}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {:else}
    <Loading />
  {/if}
</div>

{#if making}
  <JobForm
    title="New job"
    begin={{ name: '', part: '', machine: '' }}
    jobs={jobs.data?.items ?? []}
    saving="Make it"
    save={async (order, start) => {
      const made = await makeJob(order, start);
      if (made) void goto(`/jobs/${made.id}`);
      return Boolean(made);
    }}
    onclose={() => (making = false)}
  />
{/if}
