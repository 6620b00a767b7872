<script lang="ts">
  import type { LibraryRow } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { duplicateLibrary } from './actions';

  let { row, onclose }: { row: LibraryRow; onclose: () => void } = $props();

  let open = $state(true);
  // svelte-ignore state_referenced_locally (a proposal)
  let name = $state(`${row.name} copy`);
  let busy = $state(false);
  let wrong = $state('');

  $effect(() => {
    if (!open) onclose();
  });

  async function copy(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await duplicateLibrary(row.id, name);
      open = false;
    } catch (error) {
      wrong = (error as Error).message;
    }
    busy = false;
  }
</script>

<DialogFrame
  bind:open
  title="Copy {row.name}"
  hint="The copy holds the same {count(
    row.tools,
    'tool'
  )} in the same sections, under the same numbers and in the same versions."
>
  <form class="flex gap-2" onsubmit={copy}>
    <input class="field flex-1" aria-label="Name of the copy" maxlength="100" bind:value={name} />
    <button class="button main" disabled={busy || !name.trim()}>Copy</button>
  </form>
  {#if wrong}<p role="alert" class="mt-3 text-hold">{capital(wrong)}</p>{/if}
</DialogFrame>
