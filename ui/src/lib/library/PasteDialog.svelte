<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { bringFiles, takeLines } from '$lib/delivery/actions';
  import { deliveryQuery, linesQuery } from '$lib/delivery/queries';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { headed, HEADS } from './paste';

  let {
    text,
    library,
    onclose
  }: { text: string; library: { id: number; name: string }; onclose: () => void } = $props();

  let open = $state(true);
  // svelte-ignore state_referenced_locally
  let head = $state(headed(text));
  let id = $state<number>();
  let busy = $state(false);

  const delivery = createQuery(() => ({
    ...deliveryQuery(id ?? 0),
    enabled: id !== undefined
  }));
  const ready = $derived(delivery.data?.state === 'ready');
  const lines = createInfiniteQuery(() => ({
    ...linesQuery(id ?? 0, undefined, 'all'),
    enabled: id !== undefined && ready
  }));
  const rows = $derived((lines.data?.pages ?? []).flatMap((page) => page.items));
  const entering = $derived((delivery.data?.pass ?? 0) - (delivery.data?.taken ?? 0));

  $effect(() => {
    if (!open) onclose();
  });

  async function read() {
    busy = true;
    const content = head ? text : `${HEADS.join('\t')}\n${text}`;
    const name = `pasted into ${library.name}.tsv`;
    id = (await bringFiles([new File([content], name)], () => {})) || undefined;
    busy = false;
  }

  async function take() {
    if (!delivery.data) return;
    busy = true;
    const taken = await takeLines(delivery.data, library, 'keep', '');
    busy = false;
    if (taken) open = false;
  }

  function said(line: Line): string {
    return capital(line.findings[0]?.message ?? '');
  }
</script>

<DialogFrame
  bind:open
  title="Rows for {library.name}"
  hint="{count(text.trimEnd().split('\n').length, 'row')} from the clipboard"
>
  {#if id === undefined}
    <label class="flex items-center gap-2">
      <input type="checkbox" bind:checked={head} />
      The first row heads the columns
    </label>
    {#if !head}
      <p class="mt-1 text-soft">
        Then the columns are taken to be {HEADS.join(', ')}, as far as there are any.
      </p>
    {/if}
    <pre class="code mt-3 max-h-40 overflow-auto text-[12px]">{text
        .split('\n')
        .slice(0, 6)
        .join('\n')}</pre>
    <button class="button main mt-4" disabled={busy} onclick={read}>
      {busy ? 'Reading …' : 'See what will enter'}
    </button>
  {:else if !ready && delivery.data?.state !== 'failed'}
    <p role="status" class="text-soft">Reading …</p>
  {:else if delivery.data?.state === 'failed'}
    <p role="alert">{capital(delivery.data.note)}</p>
  {:else}
    <table class="rows w-full">
      <tbody>
        {#each rows.slice(0, 12) as line (line.id)}
          <tr>
            <td class="code max-w-32 truncate">{line.code}</td>
            <td><Silhouette outline={line.outline} width={120} height={20} /></td>
            <td><Mark kind={line.disposition as 'pass'} word={line.disposition} /></td>
            <td class="max-w-64 truncate text-[13px] text-soft" title={said(line)}>{said(line)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <div class="mt-4 flex items-center gap-3">
      <a class="button" href="/receiving/{id}">Open as a delivery</a>
      <button class="button main ml-auto" disabled={busy || entering === 0} onclick={take}>
        {busy ? 'Taking …' : `Take ${count(entering, 'item')}`}
      </button>
    </div>
  {/if}
</DialogFrame>
