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
            <th>Job</th>
            <th>Machine</th>
            <th class="number max-md:hidden">Tools</th>
            <th>Load</th>
          </tr>
        </thead>
        <tbody>
          {#each jobs.data.items as job (job.id)}
            <tr class={['hover:bg-faint', job.finished && 'text-soft']}>
              <td class="whitespace-normal">
                <a class="font-semibold hover:text-working" href="/jobs/{job.id}">{job.name}</a>
                <span class="block text-[13px] text-soft">{job.part}</span>
              </td>
              <td>{job.machineName ?? job.machine}</td>
              <td class="number max-md:hidden">{job.tools}</td>
              <td
                class={[
                  'whitespace-normal',
                  !job.finished && (job.missing > 0 || job.machineName == null) && 'text-query'
                ]}
              >
                {job.finished ? 'Finished' : capital(servedInWords(job))}
              </td>
            </tr>
          {:else}
            <tr>
              <td colspan="4" class="text-soft">
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
