<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { MergeBody } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital } from '$lib/shell/text';
  import { mergeTools } from './actions';
  import { mergePreviewQuery } from './queries';

  let {
    order,
    kept,
    codes,
    onclose
  }: { order: MergeBody; kept: string; codes: string[]; onclose: () => void } = $props();

  let open = $state(true);
  let busy = $state(false);
  let wrong = $state('');
  // What was merged has no preview any more.
  const preview = createQuery(() => ({ ...mergePreviewQuery(order), enabled: !busy }));
  const values = $derived(Object.keys(order.values ?? {}));

  $effect(() => {
    if (!open) onclose();
  });

  async function merge() {
    busy = true;
    wrong = '';
    try {
      await mergeTools(order);
      open = false;
    } catch (error) {
      wrong = (error as Error).message;
      busy = false;
    }
  }
</script>

<DialogFrame
  bind:open
  title="Merge {codes.join(', ')} into {kept}"
  hint="All that refers to {codes.length === 1
    ? 'it'
    : 'them'} refers to {kept} then. The history of each stays; all of it can be undone."
>
  {#if values.length > 0}
    <p class="mb-2">{kept} takes {values.join(', ')} over and has a new version.</p>
  {/if}
  {#if preview.data}
    <ul class="list-disc pl-5">
      {#each preview.data.sentences as sentence, index (index)}
        <li>{capital(sentence)}</li>
      {:else}
        <li class="text-soft">Nothing else refers to {codes.join(', ')}.</li>
      {/each}
    </ul>
  {/if}
  <NotLoaded query={preview} />
  {#if wrong}<p role="alert" class="mt-3 text-hold">{capital(wrong)}</p>{/if}
  <div class="mt-4 flex justify-end gap-2">
    <button class="button" onclick={() => (open = false)}>Cancel</button>
    <button class="button main" disabled={busy || !preview.data} onclick={merge}>Merge</button>
  </div>
</DialogFrame>
