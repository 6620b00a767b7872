<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { drawn, keyOf } from '$lib/link/columns';
  import LinkTable from '$lib/link/LinkTable.svelte';
  import { who } from '$lib/shell/session.svelte';
  import LinkColumns from '$lib/link/LinkColumns.svelte';
  import { linksQuery } from '$lib/link/queries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { count } from '$lib/shell/text';

  const links = createQuery(linksQuery);
  const strays = $derived((links.data?.items ?? []).filter(({ stray }) => stray));
  let only = $state(false);
  const may = $derived(who.may('EDIT'));
  let chosen = $state<string | null>(null);
  const ofChosen = $derived(
    (links.data?.items ?? []).filter(
      ({ from, to }) => keyOf(from) === chosen || keyOf(to) === chosen
    )
  );
  const nameOf = (key: string) =>
    ofChosen.flatMap(({ from, to }) => [from, to]).find((end) => keyOf(end) === key)?.name ?? '';
</script>

<svelte:head><title>Links · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex flex-wrap items-center gap-4">
    <h1>Links</h1>
    <span class="text-soft">What belongs together, and what leads nowhere.</span>
    {#if strays.length > 0}
      <Checkbox label="Only strays ({strays.length})" bind:checked={only} />
    {/if}
  </header>
  {#if links.error}
    <ErrorNote error={links.error} retry={() => void links.refetch()} />
  {:else if links.data}
    {#if chosen !== null && ofChosen.length > 0}
      <LinkTable title="Links of {nameOf(chosen)}" links={ofChosen} {may} />
    {:else if strays.length > 0}
      <LinkTable title="{count(strays.length, 'link')} to set anew" links={strays} {may} />
    {/if}
    <div class="mt-4 overflow-x-auto">
      {#if links.data.items.length === 0}
        <p class="text-soft">
          Nothing is linked yet: choose the library of a machine, or make a post.
        </p>
      {:else}
        <LinkColumns links={only ? strays : drawn(links.data.items)} bind:chosen />
      {/if}
    </div>
  {:else}
    <Loading />
  {/if}
</div>
