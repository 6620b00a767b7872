<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, count } from '$lib/shell/text';
  import { endInclude, includeLibrary } from './actions';
  import { includesQuery, librariesQuery, sectionsQuery } from './queries';

  let { library, may }: { library: number; may: boolean } = $props();

  const ALL_OF_IT = '';
  const includes = createQuery(() => includesQuery(library));
  const libraries = createQuery(librariesQuery);
  let from = $state('');
  let section = $state(ALL_OF_IT);
  let wrong = $state('');
  let busy = $state(false);
  const sections = createQuery(() => sectionsQuery(Number(from)));
  const others = $derived(
    (libraries.data?.items ?? []).filter(({ id, right }) => right && id !== library)
  );

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await includeLibrary(library, Number(from), section === ALL_OF_IT ? null : Number(section));
      from = '';
      section = ALL_OF_IT;
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<section aria-labelledby="includes">
  <h2 id="includes">Included libraries</h2>
  <p class="mt-1 text-soft">
    Their tools stand here as well, and what comes in or goes out there does so here.
  </p>
  {#if includes.data && includes.data.items.length > 0}
    <table class="rows mt-2 w-full">
      <tbody>
        {#each includes.data.items as one (one.id)}
          <tr>
            <td>
              {#if one.from}<a class="font-semibold hover:text-working" href="/libraries/{one.from}"
                  >{one.name}</a
                >{:else}<span class="font-semibold"
                  >{one.name || 'a library that you do not see'}</span
                >{/if}
              {#if one.section}<span class="text-soft">only {one.section}</span>{/if}
            </td>
            <td>{count(one.tools, 'tool')}</td>
            <td class="whitespace-normal">
              {#if one.refused > 0}
                <Mark kind="query" word="{count(one.refused, 'tool')} cannot stand here" />
                <span class="block text-[13px] text-soft">{capital(one.refusal)}</span>
              {/if}
            </td>
            <td class="text-right">
              {#if may}
                <button
                  type="button"
                  class="button quiet"
                  aria-label="No longer include {one.name}"
                  onclick={() => void endInclude(library, one.id, one.name)}>End</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <NotLoaded query={includes} />
  {#if may}
    <form class="mt-3 flex flex-wrap items-center gap-2" {onsubmit}>
      <Choice
        label="Library to include"
        bind:value={
          () => from,
          (next) => {
            from = next;
            section = ALL_OF_IT;
          }
        }
        options={[
          { value: '', label: 'which library' },
          ...others.map(({ id, name }) => ({ value: String(id), label: name }))
        ]}
      />
      {#if from !== '' && (sections.data?.items.length ?? 0) > 0}
        <Choice
          label="Section to include"
          bind:value={section}
          options={[
            { value: ALL_OF_IT, label: 'all of it' },
            ...(sections.data?.items ?? []).map(({ id, name }) => ({
              value: String(id),
              label: `only ${name}`
            }))
          ]}
        />
      {/if}
      <button class="button" disabled={busy || from === ''}>Include</button>
      {#if wrong}<p role="alert" class="w-full text-hold">{wrong}</p>{/if}
    </form>
  {/if}
</section>
