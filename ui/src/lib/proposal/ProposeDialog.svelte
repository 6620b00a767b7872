<script lang="ts">
  import type { ProposalBody } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital } from '$lib/shell/text';
  import { propose } from './actions';

  let {
    library,
    title,
    changes,
    onclose,
    onproposed
  }: {
    library: number;
    title: string;
    changes: ProposalBody['changes'];
    onclose: () => void;
    onproposed: () => void;
  } = $props();

  let reason = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await propose({ library, reason, changes });
      onproposed();
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<DialogFrame open {title} hint="Those who maintain the library take it or decline it." {onclose}>
  <form {onsubmit}>
    <label class="block">
      <span class="text-soft">Why</span>
      <textarea class="field mt-1 h-20 w-full py-1" maxlength="2000" required bind:value={reason}
      ></textarea>
    </label>
    <p role="alert" class="mt-2 min-h-5 text-hold">{wrong}</p>
    <div class="flex justify-end gap-2">
      <button type="button" class="button" onclick={onclose}>Cancel</button>
      <button class="button main" disabled={busy}>Propose</button>
    </div>
  </form>
</DialogFrame>
