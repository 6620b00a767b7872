<script lang="ts">
  import type { LibraryRow } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { mergeLibraries } from './actions';

  let { row, others, onclose }: { row: LibraryRow; others: LibraryRow[]; onclose: () => void } =
    $props();

  let open = $state(true);
  let into = $state('');
  let busy = $state(false);
  let wrong = $state('');
  const target = $derived(others.find(({ id }) => String(id) === into));

  $effect(() => {
    if (!open) onclose();
  });

  async function merge() {
    if (!target) return;
    busy = true;
    wrong = '';
    try {
      await mergeLibraries(target.id, target.name, [row.id]);
      open = false;
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }
</script>

<DialogFrame
  bind:open
  title="Merge {row.name} into another library"
  hint="Its {count(
    row.tools,
    'tool'
  )} go there with their sections and numbers; a number that is used there becomes the next free one. {row.name} is deleted then; all of it can be undone."
>
  <div class="flex flex-wrap items-center gap-3">
    <Choice
      label="Into which library"
      bind:value={into}
      options={[
        { value: '', label: 'choose a library' },
        ...others.map(({ id, name }) => ({ value: String(id), label: name }))
      ]}
    />
    <button class="button main ml-auto" disabled={busy || !target} onclick={merge}>Merge</button>
  </div>
  {#if wrong}<p role="alert" class="mt-3 text-hold">{capital(wrong)}</p>{/if}
</DialogFrame>
