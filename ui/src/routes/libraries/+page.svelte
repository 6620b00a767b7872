<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import { PersistedState } from 'runed';
  import type { LibraryChange, LibraryRow, Sharing } from '$lib/api/client';
  import DeriveDialog from '$lib/derived/DeriveDialog.svelte';
  import { makeLibrary } from '$lib/library/actions';
  import { arranged, arrangements, type Arrangement } from '$lib/library/arrangement';
  import CopyLibraryDialog from '$lib/library/CopyLibraryDialog.svelte';
  import LibraryForm from '$lib/library/LibraryForm.svelte';
  import LibraryTable from '$lib/library/LibraryTable.svelte';
  import MergeDialog from '$lib/library/MergeDialog.svelte';
  import { overviewQuery } from '$lib/library/queries';
  import { mayMaintain } from '$lib/library/rights';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const libraries = createQuery(overviewQuery);
  const by = new PersistedState<Arrangement>('libraries arranged', 'name');
  let opening = $state(false);
  let sharing = $state<Sharing>('SHOP');
  let copied = $state<LibraryRow | null>(null);
  let base = $state<LibraryRow | null>(null);
  let merged = $state<LibraryRow | null>(null);

  const openedAs: { value: Sharing; label: string }[] = [
    { value: 'SHOP', label: 'with the shop' },
    { value: 'PRIVATE', label: 'with nobody for now: it is private' }
  ];
  const rows = $derived((libraries.data?.items ?? []).filter((row) => !row.settings.archived));
  const archived = $derived((libraries.data?.items ?? []).filter((row) => row.settings.archived));

  async function make(change: LibraryChange) {
    const made = await makeLibrary(change, sharing);
    opening = false;
    await goto(`/libraries/${made.id}`);
  }
</script>

<svelte:head><title>Libraries · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex flex-wrap items-center gap-3">
    <h1>Libraries</h1>
    <Choice
      label="Arranged"
      bind:value={() => by.current, (next) => (by.current = next)}
      options={arrangements}
    />
    <div class="ml-auto flex gap-2">
      <a class="button" href="/libraries/all">Tools of all libraries</a>
      <a class="button" href="/proposals">Proposals</a>
      <a class="button" href="/outlets">Outlets</a>
      <a class="button" href="/duplicates">Duplicates</a>
      <a class="button" href="/holders">Holders and other parts</a>
      {#if who.may('EDIT')}
        <button class="button main" onclick={() => (opening = true)}>New library</button>
      {/if}
    </div>
  </header>
  {#if libraries.error}
    <ErrorNote error={libraries.error} retry={() => void libraries.refetch()} />
  {:else if libraries.data}
    {#if rows.length === 0 && archived.length === 0}
      <p class="mt-6 text-soft">
        No library yet. Make the first one, or <a class="text-working underline" href="/receiving"
          >add a file</a
        > and take its tools into a new one.
      </p>
    {:else}
      <div class="mt-3">
        <LibraryTable
          groups={arranged(rows, by.current)}
          onderive={(row) => (base = row)}
          oncopy={(row) => (copied = row)}
          onmerge={(row) => (merged = row)}
        />
      </div>
    {/if}
    {#if archived.length > 0}
      <details class="mt-5">
        <summary class="cursor-pointer text-soft">{archived.length} in the archive</summary>
        <LibraryTable
          groups={[{ head: '', rows: archived }]}
          onderive={(row) => (base = row)}
          oncopy={(row) => (copied = row)}
          onmerge={(row) => (merged = row)}
        />
      </details>
    {/if}
  {:else}
    <Loading />
  {/if}
</div>

<DialogFrame bind:open={opening} title="New library">
  <div class="mb-4 grid grid-cols-[130px_1fr] items-center gap-x-4">
    <span>Shared</span>
    <div><Choice label="Shared" bind:value={sharing} options={openedAs} /></div>
  </div>
  <LibraryForm settings={null} submit="Create" send={make} />
</DialogFrame>
{#if base}
  {#key base.id}<DeriveDialog row={base} onclose={() => (base = null)} />{/key}
{/if}
{#if copied}
  {#key copied.id}<CopyLibraryDialog row={copied} onclose={() => (copied = null)} />{/key}
{/if}
{#if merged}
  {@const row = merged}
  {#key row.id}
    <MergeDialog
      {row}
      others={rows.filter((other) => other.id !== row.id && mayMaintain(other))}
      onclose={() => (merged = null)}
    />
  {/key}
{/if}
