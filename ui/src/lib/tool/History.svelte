<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Sheet } from '$lib/api/client';
  import Strip from '$lib/drawing/Strip.svelte';
  import Choice from '$lib/shell/Choice.svelte';
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
  <div class="flex items-center gap-2">
    <Choice
      label="Earlier version"
      bind:value={() => String(from), (next) => (from = Number(next))}
      options={numbers}
    />
    <span>with</span>
    <Choice
      label="Later version"
      bind:value={() => String(to), (next) => (to = Number(next))}
      options={numbers}
    />
  </div>
  <NotLoaded query={compared} />
  {#if shown}
    <div class="-mx-5 mt-3">
      <Strip
        tools={[shown.from, shown.to].map((one, at) => ({
          key: at,
          code: `version ${one.version}`,
          outline: one.outline
        }))}
      />
    </div>
    <table class="rows mt-3 w-full">
      <thead>
        <tr><th></th><th>Version {shown.from.version}</th><th>Version {shown.to.version}</th></tr>
      </thead>
      <tbody>
        {#each shown.differences as difference (difference.field)}
          <tr>
            <td class="code">{difference.field}</td>
            <td>{difference.here || 'none'}</td>
            <td>{difference.there || 'none'}</td>
          </tr>
        {:else}
          <tr><td colspan="3" class="text-soft">They say the same.</td></tr>
        {/each}
      </tbody>
    </table>
  {/if}
</DialogFrame>
