<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { librariesQuery } from '$lib/library/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, count } from '$lib/shell/text';
  import { postCheckQuery } from './queries';

  let { post, library }: { post: number; library: number | undefined } = $props();

  const libraries = createQuery(librariesQuery);
  let chosen = $state<number | undefined>();
  const looked = $derived(chosen ?? library);
  const report = createQuery(() => ({
    ...postCheckQuery(post, looked ?? 0),
    enabled: looked !== undefined
  }));
</script>

<section aria-label="What can be posted">
  <header class="flex flex-wrap items-center gap-3">
    <h2>What can be posted</h2>
    <Choice
      label="Library to check"
      bind:value={() => String(looked ?? ''), (next) => (chosen = Number(next))}
      options={(libraries.data?.items ?? [])
        .filter(({ right }) => right)
        .map(({ id, name }) => ({ value: String(id), label: name }))}
    />
    {#if report.data}
      <span class="text-soft">
        {#if report.data.checked === 0}
          The library is empty.
        {:else if report.data.refused === 0}
          All {count(report.data.checked, 'tool')} can be posted{report.data.asked > 0
            ? `, ${report.data.asked} under another name`
            : ''}.
        {:else}
          {report.data.refused} of {count(report.data.checked, 'tool')} cannot be posted.
        {/if}
      </span>
    {/if}
  </header>
  <NotLoaded query={report} />
  {#if looked === undefined}
    <p class="mt-1 text-soft">The post brings no library: choose one to check.</p>
  {:else if report.data && report.data.items.length > 0}
    <table class="rows mt-2 w-full">
      <thead>
        <tr><th class="number">Number</th><th>Tool</th><th>What</th></tr>
      </thead>
      <tbody>
        {#each report.data.items as item (item.toolId)}
          <tr>
            <td class="number">{item.number}</td>
            <td><a class="code hover:text-working" href="/tools/{item.toolId}">{item.code}</a></td>
            <td>
              {#each item.findings as finding (finding.message)}
                <p>
                  <Mark kind={finding.severity === 'HOLD' ? 'hold' : 'query'} word="" />
                  {capital(finding.message)}
                </p>
              {/each}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if report.isLoading}
    <Loading />
  {/if}
</section>
