<script lang="ts">
  import { goto } from '$app/navigation';
  import { capital, count } from '$lib/shell/text';
  import { discardCollected, proposeCollected } from './actions';

  let {
    id,
    changes
  }: {
    id: number;
    /** How many. */
    changes: number;
  } = $props();

  let reason = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function make(doing: () => Promise<unknown>) {
    busy = true;
    wrong = '';
    try {
      await doing();
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }

  function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    void make(() => proposeCollected(id, reason));
  }

  const discard = () =>
    make(async () => {
      await discardCollected(id);
      await goto('/proposals');
    });
</script>

<form
  aria-label="Propose"
  class="flex flex-wrap items-center gap-3 border-t border-hairline bg-sheet px-5 py-2.5"
  {onsubmit}
>
  <input
    class="field min-w-64 flex-1"
    aria-label="Why"
    placeholder="why"
    required
    maxlength="2000"
    bind:value={reason}
  />
  {#if wrong}<span role="alert" class="text-hold">{wrong}</span>{/if}
  <button type="button" class="button" disabled={busy} onclick={() => void discard()}
    >Discard all</button
  >
  <button class="button main" disabled={busy}>Propose {count(changes, 'change')}</button>
</form>
