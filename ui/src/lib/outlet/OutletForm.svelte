<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { formats, lengths } from '$lib/conversion/formats';
  import { editionsQuery } from '$lib/edition/queries';
  import type { LibraryRow } from '$lib/api/client';
  import OnceShown from '$lib/account/OnceShown.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import { openOutlet } from './actions';

  let {
    libraries,
    library = $bindable()
  }: {
    /** Those for which one may be opened. */
    libraries: Pick<LibraryRow, 'id' | 'name'>[];
    library: string;
  } = $props();

  const NEWEST = '';
  let edition = $state(NEWEST);
  let format = $state('csv');
  let unit = $state('');
  let kind = $state<'FOLDER' | 'ADDRESS'>('FOLDER');
  let folder = $state('');
  let name = $state('');
  let wrong = $state('');
  let busy = $state(false);
  let made = $state<{ name: string; address: string } | null>(null);

  const editions = createQuery(() => ({
    ...editionsQuery(Number(library)),
    enabled: library !== ''
  }));
  const offered = $derived([
    { value: NEWEST, label: 'always the newest edition' },
    ...(editions.data?.items ?? []).map(({ id, number }) => ({
      value: String(id),
      label: `edition ${number}`
    }))
  ]);
  const kinds: { value: 'FOLDER' | 'ADDRESS'; label: string }[] = [
    { value: 'FOLDER', label: 'into a folder' },
    { value: 'ADDRESS', label: 'behind an address with a key' }
  ];

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      const { outlet, address } = await openOutlet({
        library: Number(library),
        edition: edition === NEWEST ? undefined : Number(edition),
        format,
        unit: unit || undefined,
        kind,
        folder: kind === 'FOLDER' ? folder : undefined,
        name: name.trim() || undefined
      });
      made = address ? { name: outlet.name, address: location.origin + address } : null;
      name = '';
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<form class="flex flex-wrap items-center gap-x-2 gap-y-2" aria-label="New outlet" {onsubmit}>
  <Choice
    label="Library"
    bind:value={
      () => library,
      (next) => {
        library = next;
        edition = NEWEST;
      }
    }
    options={[
      { value: '', label: 'which library' },
      ...libraries.map(({ id, name: title }) => ({ value: String(id), label: title }))
    ]}
  />
  <Choice label="Edition" bind:value={edition} options={offered} disabled={library === ''} />
  <Choice label="Format" bind:value={format} options={formats} />
  <Choice label="Lengths" bind:value={unit} options={lengths} />
  <Choice label="Where" bind:value={kind} options={kinds} />
  {#if kind === 'FOLDER'}
    <input
      class="field w-40"
      aria-label="Folder"
      placeholder="folder"
      maxlength="60"
      required
      bind:value={folder}
    />
  {/if}
  <input
    class="field w-44"
    aria-label="Name of the file"
    placeholder="file, as the library"
    maxlength="100"
    bind:value={name}
  />
  <button class="button main" disabled={busy || library === ''}>Open</button>
  {#if wrong}<p role="alert" class="w-full text-hold">{wrong}</p>{/if}
</form>
{#if made}
  <div class="mt-3">
    <OnceShown
      text={made.address}
      label="Address of {made.name}"
      hint="Programs read {made.name} from this address without signing in. It cannot be shown again."
    />
  </div>
{/if}
