<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Sheet } from '$lib/api/client';
  import ComparedVersions from '$lib/trail/ComparedVersions.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, moment } from '$lib/shell/text';
  import { comparedVersionsQuery } from './queries';

  let {
    id,
    versions,
    stands,
    usedIn,
    onback
  }: {
    id: number;
    versions: Sheet['history'];
    /** Number of the version that stands now. */
    stands: number;
    usedIn: Sheet['usedIn'];
    /** Makes a version stand again; missing where one may not. */
    onback?: (version: number) => void;
  } = $props();

  /** The version that is compared, and with which one. */
  let from = $state<number | null>(null);
  let to = $state(0);
  const compared = createQuery(() => ({
    ...comparedVersionsQuery(id, from ?? 0, to),
    enabled: from !== null
  }));
  const shown = $derived(from === null ? undefined : compared.data);

  const numbers = $derived(
    versions.map(({ version }) => ({ value: String(version), label: `version ${version}` }))
  );

  function held(version: number): string {
    const number = versions.find((one) => one.version === version)?.id;
    return usedIn
      .filter((use) => use.pinned && use.versionId === number)
      .map(({ library }) => library)
      .join(', ');
  }

  function compare(version: number) {
    from = version;
    to = version === stands ? (versions[1]?.version ?? stands) : stands;
  }
</script>

<section aria-label="History">
  <h2 class="px-5 pb-1 pt-4">History</h2>
  <ol class="px-5">
    {#each versions as version (version.version)}
      {@const stay = held(version.version)}
      <li class="band py-1.5">
        <div class="flex items-baseline gap-2">
          <span class="font-semibold">{version.version}</span>
          <span class="text-soft">{moment(version.at)}, {version.by}</span>
          <span class="ml-auto flex">
            {#if versions.length > 1}
              <button
                class="button quiet h-6!"
                aria-label="Compare version {version.version}"
                onclick={() => compare(version.version)}>Compare</button
              >
            {/if}
            {#if onback && version.version !== stands}
              <button
                class="button quiet h-6!"
                aria-label="Back to version {version.version}"
                onclick={() => onback(version.version)}>Back to this</button
              >
            {/if}
          </span>
        </div>
        <p class="text-[13px] text-soft">{capital(version.origin)}</p>
        {#if stay}<p class="text-[13px] text-note">{stay} stays at it</p>{/if}
        {#each version.changes as change, index (index)}
          <p class="text-[13px]">{change}</p>
        {/each}
      </li>
    {/each}
  </ol>
</section>

<DialogFrame open={from !== null} onclose={() => (from = null)} title="Versions compared">
  <ComparedVersions
    options={numbers}
    from={{ version: from ?? 0, choose: (next) => (from = next) }}
    to={{ version: to, choose: (next) => (to = next) }}
    drawn={shown
      ? [shown.from, shown.to].map((one, at) => ({
          key: at,
          code: `version ${one.version}`,
          outline: one.outline
        }))
      : []}
    differences={shown?.differences.map(({ field, here, there }) => ({
      title: field,
      here,
      there
    }))}
  />
  <NotLoaded query={compared} />
</DialogFrame>
