<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Standing } from '$lib/api/client';
  import { decide } from '$lib/rule/actions';
  import { rulesQuery } from '$lib/rule/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import StandingMark from '$lib/standing/StandingMark.svelte';

  const rules = createQuery(rulesQuery);
  const may = $derived(who.may('MANAGE_ACCOUNTS'));
  let wrong = $state('');

  const both = 'both';
  const lead = 'lead';
  const whom = [
    { value: both, label: 'the lead and programmers' },
    { value: lead, label: 'the lead alone' }
  ];
  const planned = [
    { value: 'released', label: 'only released tools, unless the lead allows one' },
    { value: 'all', label: 'every tool that is not retired' }
  ];
  const deeds: Record<Standing, string> = {
    DRAFT: 'Tools are made drafts again by',
    CHECKED: 'Tools are checked by',
    RELEASED: 'Tools are released by',
    RETIRED: 'Tools are retired by'
  };

  async function change(body: object) {
    wrong = '';
    try {
      await decide({ ...body, version: rules.data?.version });
    } catch (error) {
      wrong = capital((error as Error).message);
      void rules.refetch();
    }
  }
</script>

<svelte:head><title>Shop rules · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>Shop rules</h1>
  <p class="mt-1 text-soft">
    {may ? 'What counts for everybody in the shop.' : 'The lead decides this.'}
  </p>
  {#if rules.error}
    <ErrorNote error={rules.error} retry={() => void rules.refetch()} />
  {:else if rules.data}
    <section class="mt-6 max-w-3xl">
      <h2>How far tools are trusted</h2>
      <table class="rows mt-2 w-full">
        <tbody>
          {#each rules.data.standings as rule (rule.standing)}
            {@const standing = rule.standing as Standing}
            <tr>
              <td class="w-28"><StandingMark {standing} /></td>
              <td>{deeds[standing]}</td>
              <td class="py-1">
                <Choice
                  label={deeds[standing]}
                  disabled={!may}
                  bind:value={
                    () => (rule.roles?.includes('PROGRAMMER') ? both : lead),
                    (next) =>
                      void change({
                        standings: [{ standing, roles: next === both ? ['PROGRAMMER'] : [] }]
                      })
                  }
                  options={whom}
                />
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
    <section class="mt-6">
      <h2>Load plans</h2>
      <p class="mb-2 mt-1 text-soft">
        What the lead allows is kept on the trail with his name. A draft that lacks something is
        never planned.
      </p>
      <Choice
        label="Tools that enter load plans"
        disabled={!may}
        bind:value={
          () => (rules.data?.unreleased ? 'all' : 'released'),
          (next) => void change({ unreleased: next === 'all' })
        }
        options={planned}
      />
    </section>
    {#if wrong}<p role="alert" class="mt-3 text-hold">{wrong}</p>{/if}
  {:else}
    <Loading />
  {/if}
</div>
