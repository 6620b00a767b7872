<script lang="ts">
  import { goto } from '$app/navigation';
  import type { LibraryRow } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital } from '$lib/shell/text';
  import { derive } from './actions';
  import { usualEnding } from './ending';

  let { row, onclose }: { row: LibraryRow; onclose: () => void } = $props();

  let open = $state(true);
  let name = $state('');
  let typed = $state<string | null>(null);
  const ending = $derived(typed ?? usualEnding(name));
  let busy = $state(false);
  let wrong = $state('');

  $effect(() => {
    if (!open) onclose();
  });

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      const made = await derive(row.id, name, ending);
      open = false;
      await goto(`/libraries/${made.library.id}`);
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<DialogFrame
  bind:open
  title="Derive a library from {row.name}"
  hint={row.edition === 0
    ? undefined
    : `It begins as edition ${row.edition}, with tools of its own that you can change. What becomes of ${row.name} later can be taken in, field by field.`}
>
  {#if row.edition === 0}
    <p>
      {row.name} has no edition yet.
      <a class="text-working underline" href="/libraries/{row.id}/editions">Publish one</a> first.
    </p>
  {:else}
    <form class="grid grid-cols-[140px_minmax(0,1fr)] items-center gap-x-4 gap-y-3" {onsubmit}>
      <label for="derive-name">Name</label>
      <input
        id="derive-name"
        class="field"
        maxlength="100"
        placeholder="such as Heron milling"
        bind:value={name}
      />
      <label for="derive-ending">Codes end in</label>
      <span class="flex items-center gap-3">
        <input
          id="derive-ending"
          class="field code w-28"
          maxlength="20"
          bind:value={() => ending, (next) => (typed = next)}
        />
        <span class="text-soft">EM-10 is <span class="code">EM-10{ending}</span> there</span>
      </span>
      <span></span>
      <p class="text-soft">
        A code names one tool of the shop. These are tools of their own, so their codes get an
        ending.
      </p>
      <p role="alert" class="col-span-2 min-h-5 text-hold">{wrong}</p>
      <div class="col-span-2 flex justify-end gap-2">
        <button type="button" class="button" onclick={() => (open = false)}>Cancel</button>
        <button class="button main" disabled={busy || !name.trim() || !ending.trim()}
          >{busy ? 'Deriving …' : 'Derive'}</button
        >
      </div>
    </form>
  {/if}
</DialogFrame>
