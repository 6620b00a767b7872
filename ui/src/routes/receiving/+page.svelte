<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import { deliveriesQuery } from '$lib/delivery/queries';
  import { bringFiles } from '$lib/delivery/actions';
  import { type Delivery } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { isTable } from '$lib/grid/clipboard';
  import RecipesAndFolders from '$lib/recipe/RecipesAndFolders.svelte';
  import { bytes, moment } from '$lib/shell/text';
  import FilePicker from '$lib/shell/FilePicker.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const deliveries = createQuery(deliveriesQuery);

  let over = $state(false);
  let picker = $state<FilePicker>();
  const may = $derived(who.may('RECEIVE'));

  function onpaste(event: ClipboardEvent) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (may && isTable(text)) {
      event.preventDefault();
      void picker?.take([new File([text], 'pasted.tsv', { type: 'text/tab-separated-values' })]);
    }
  }

  /** What comes together is one delivery. */
  async function receive(files: File[], progress: (share: number) => void) {
    const id = await bringFiles(files, progress);
    if (id) await goto(`/receiving/${id}`);
  }

  function kind(delivery: Delivery): 'hold' | 'query' | 'pass' | 'skipped' | 'note' {
    if (delivery.state === 'failed' || delivery.hold > 0) return 'hold';
    if (delivery.state !== 'ready') return 'note';
    if (delivery.query > 0) return 'query';
    return delivery.pass > delivery.taken ? 'pass' : 'skipped';
  }

  const words = { hold: 'has holds', query: 'to look at', pass: 'can be taken', skipped: 'done' };

  function word(delivery: Delivery): string {
    const which = kind(delivery);
    return delivery.state !== 'ready' || which === 'note' ? delivery.state : words[which];
  }
</script>

<svelte:window {onpaste} />

<svelte:head><title>Receiving · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <div class="flex items-center gap-3">
    <h1>Receiving</h1>
    <a class="button ml-auto" href="/receiving/news">News of vendors</a>
    <a class="button" href="/receiving/conversions">Convert files</a>
  </div>
  {#if may}
    <div
      role="group"
      aria-label="Add files"
      class={[
        'mt-3 flex h-24 items-center gap-4 border border-dashed px-6',
        over ? 'border-working bg-faint' : 'border-soft bg-sheet'
      ]}
      ondragover={(e) => {
        e.preventDefault();
        over = true;
      }}
      ondragleave={() => (over = false)}
      ondrop={(e) => {
        e.preventDefault();
        over = false;
        void picker?.take(e.dataTransfer?.files);
      }}
    >
      <FilePicker bind:this={picker} label="Add files" purpose="Files to add" main send={receive}>
        {#snippet hint()}
          <p class="text-soft">
            or drop them here: tables and workbooks of any make, lists as XML or JSON, MTConnect
            documents, packages of vendors, STEP solids, a ZIP of all that; or paste rows of a
            spreadsheet. What comes together is one delivery, inspected before anything enters a
            library.
          </p>
        {/snippet}
      </FilePicker>
    </div>
  {/if}

  {#if deliveries.error}
    <ErrorNote error={deliveries.error} retry={() => void deliveries.refetch()} />
  {:else if deliveries.data && deliveries.data.items.length === 0}
    <p class="mt-6 text-soft">No delivery yet.</p>
  {:else if deliveries.data}
    <table class="rows mt-5 w-full">
      <thead>
        <tr>
          <th>Delivery</th>
          <th>Stands</th>
          <th class="number">Read</th>
          <th class="number">Pass</th>
          <th class="number">Query</th>
          <th class="number">Hold</th>
          <th class="number">Skipped</th>
          <th class="number">Taken</th>
          <th class="number">Size</th>
          <th>Received</th>
        </tr>
      </thead>
      <tbody>
        {#each deliveries.data.items as delivery (delivery.id)}
          <tr class="hover:bg-faint">
            <td class="max-w-80 truncate">
              <a class="font-semibold hover:text-working" href="/receiving/{delivery.id}">
                {delivery.name}
              </a>
            </td>
            <td><Mark kind={kind(delivery)} word={word(delivery)} /></td>
            <td class="number">{delivery.read}</td>
            <td class="number">{delivery.pass}</td>
            <td class="number">{delivery.query}</td>
            <td class="number">{delivery.hold}</td>
            <td class="number">{delivery.skipped}</td>
            <td class="number">{delivery.taken}</td>
            <td class="number">{bytes(delivery.size)}</td>
            <td class="text-soft">{moment(delivery.at)}, {delivery.by}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <Loading />
  {/if}
  <RecipesAndFolders {may} />
</div>
