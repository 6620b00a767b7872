<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { count } from '$lib/shell/text';
  import { copyInto } from './actions';
  import { picksOf } from './basket.svelte';
  import type { Carried } from './copied';
  import { copyPreviewQuery } from './queries';
  import { numberings } from './numberings';
  import Outcome from './Outcome.svelte';

  let {
    rows,
    library,
    section,
    onclose
  }: {
    rows: Carried[];
    library: { id: number; name: string };
    /** Path of the section in which all are to stand; missing where each keeps its own. */
    section?: string;
    onclose: () => void;
  } = $props();

  const SHOWN = 12;
  let open = $state(true);
  let numbering = $state('keep');
  let busy = $state(false);
  const order = $derived({ picks: picksOf(rows), numbering, section });

  const preview = createQuery(() => copyPreviewQuery(library.id, order));
  const told = $derived(preview.data?.told ?? []);

  $effect(() => {
    if (!open) onclose();
  });

  async function copy(move: boolean) {
    busy = true;
    const done = await copyInto(library.id, library.name, { ...order, move });
    busy = false;
    if (done) open = false;
  }
</script>

<DialogFrame
  bind:open
  title="Copy {count(rows.length, 'tool')} into {library.name}{section ? `, ${section}` : ''}"
>
  <div class="flex items-center gap-2">
    <span>They</span>
    <Choice label="Numbers" bind:value={numbering} options={numberings} />
  </div>
  <NotLoaded query={preview} />
  {#if preview.data}
    <p class="mt-3" role="status">{count(preview.data.entering, 'tool')} will enter.</p>
    <ul class="mt-2 grid gap-1 text-[13px]">
      {#each told.slice(0, SHOWN) as one (one.toolId)}
        <li class="flex gap-3">
          <span class="code w-36 truncate">{one.code}</span><Outcome {one} />
        </li>
      {/each}
    </ul>
    {#if told.length > SHOWN}<p class="text-[13px] text-soft">
        and {told.length - SHOWN} more
      </p>{/if}
    <div class="mt-4 flex justify-end gap-2">
      <button
        class="button"
        disabled={busy || preview.data.entering === 0}
        onclick={() => void copy(true)}>Move</button
      >
      <button
        class="button main"
        disabled={busy || preview.data.entering === 0}
        onclick={() => void copy(false)}>Copy</button
      >
    </div>
  {/if}
</DialogFrame>
