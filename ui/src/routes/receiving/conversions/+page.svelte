<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { convertFiles } from '$lib/conversion/actions';
  import Conversion from '$lib/conversion/Conversion.svelte';
  import { formats, lengths } from '$lib/conversion/formats';
  import { conversionsQuery } from '$lib/conversion/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import FilePicker from '$lib/shell/FilePicker.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const conversions = createQuery(conversionsQuery);
  const may = $derived(who.may('RECEIVE'));
  let format = $state('json');
  let unit = $state('');

  const convert = (files: File[], progress: (share: number) => void) =>
    convertFiles(files, format, unit, progress);
</script>

<svelte:head><title>Convert files · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <div class="flex items-center gap-3">
    <h1>Convert files</h1>
    <a class="button quiet" href="/receiving">Back to Receiving</a>
  </div>
  <p class="mt-1 text-soft">
    No library is touched. Each file is read as it would arrive, written, read back and compared.
  </p>
  {#if may}
    <div class="mb-5 mt-3 flex items-center gap-3">
      <Choice label="Format" bind:value={format} options={formats} />
      <Choice label="Unit of lengths" bind:value={unit} options={lengths} />
      <FilePicker label="Choose files" purpose="Files to convert" main send={convert} />
    </div>
  {/if}
  {#if conversions.error}
    <ErrorNote error={conversions.error} retry={() => void conversions.refetch()} />
  {:else if conversions.data && conversions.data.items.length === 0}
    <p class="text-soft">Nothing was converted yet.</p>
  {:else if conversions.data}
    {#each conversions.data.items as conversion (conversion.id)}
      <Conversion {conversion} {may} />
    {/each}
  {:else}
    <Loading />
  {/if}
</div>
