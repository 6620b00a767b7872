<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { FormerPart } from '$lib/api/client';
  import ComparedVersions from '$lib/trail/ComparedVersions.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { moment } from '$lib/shell/text';
  import { profileOf } from './bodies';
  import { differences, fieldTitle } from './history';
  import { formerPartsQuery } from './queries';

  let {
    open = $bindable(false),
    owner,
    id,
    onback
  }: {
    open?: boolean;
    owner: 'components' | 'stacks';
    id: number;
    /** Lets a version stand again; missing where one may not. Answers whether it does. */
    onback?: (base: number, version: number) => Promise<boolean>;
  } = $props();

  const known = createQuery(() => ({ ...formerPartsQuery(owner, id), enabled: open }));
  const versions = $derived<FormerPart[]>(known.data?.items ?? []);
  const newest = $derived(versions[0]);

  let chosen = $state<number>();
  let beside = $state<number>();
  const from = $derived(versions.find((one) => one.version === (chosen ?? versions[1]?.version)));
  const to = $derived(versions.find((one) => one.version === beside) ?? newest);
  const options = $derived(
    versions.map((one) => ({
      value: String(one.version),
      label: `version ${one.version}, ${moment(one.at)}, ${one.by}`
    }))
  );
  const drawn = $derived(
    from && to && from.bodies.length > 0
      ? [from, to].map((one, at) => ({
          key: at,
          code: `version ${one.version}`,
          outline: profileOf(one.bodies) ?? undefined
        }))
      : []
  );

  async function back() {
    if (!newest || !from || !(await onback?.(newest.version, from.version))) return;
    chosen = beside = undefined;
    open = false;
  }
</script>

<DialogFrame bind:open title="Versions">
  <NotLoaded query={known} />
  {#if known.isPending && open}
    <Loading />
  {:else if versions.length === 1}
    <p class="text-soft">
      There is one version: saved {moment(versions[0].at)} by {versions[0].by}.
    </p>
  {:else if from && to}
    <ComparedVersions
      {options}
      from={{ version: from.version, choose: (next) => (chosen = next) }}
      to={{ version: to.version, choose: (next) => (beside = next) }}
      {drawn}
      differences={differences(from.fields, to.fields).map(({ field, here, there }) => ({
        title: fieldTitle(field),
        here,
        there
      }))}
    />
  {/if}
  <div class="mt-4 flex justify-end gap-2">
    <button class="button" onclick={() => (open = false)}>Close</button>
    {#if onback && from && newest && from.version !== newest.version}
      <button class="button main" onclick={back}>Back to version {from.version}</button>
    {/if}
  </div>
</DialogFrame>
