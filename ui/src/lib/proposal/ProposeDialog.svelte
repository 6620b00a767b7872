<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { ProposalBody } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { collect, propose } from './actions';
  import { proposalsQuery } from './queries';

  let {
    library,
    title,
    changes,
    onclose,
    onproposed
  }: {
    library: number;
    title: string;
    changes: NonNullable<ProposalBody['changes']>;
    onclose: () => void;
    /** Called once they are proposed, or collected to be proposed later. */
    onproposed: () => void;
  } = $props();

  const proposals = createQuery(proposalsQuery);
  const collected = $derived(
    (proposals.data?.items ?? []).find(
      ({ state, libraryId }) => state === 'COLLECTED' && libraryId === library
    )
  );
  let reason = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function make(doing: () => Promise<unknown>) {
    busy = true;
    wrong = '';
    try {
      await doing();
      onproposed();
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }

  function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    void make(() => propose({ library, reason, changes }));
  }
</script>

<DialogFrame open {title} hint="Those who maintain the library take it or decline it." {onclose}>
  <form {onsubmit}>
    <label class="block">
      <span class="text-soft">Why</span>
      <textarea class="field mt-1 h-20 w-full py-1" maxlength="2000" required bind:value={reason}
      ></textarea>
    </label>
    <p class="mt-2 text-[13px] text-soft">
      {#if collected}
        <a class="text-working underline" href="/proposals/{collected.id}"
          >{count(collected.changes, 'change')}</a
        >
        of {collected.library}
        {collected.changes === 1 ? 'is' : 'are'} collected and not proposed yet.
      {:else}
        What belongs together is collected first, and proposed at once with one reason.
      {/if}
    </p>
    <p role="alert" class="mt-2 min-h-5 text-hold">{wrong}</p>
    <div class="flex justify-end gap-2">
      <button type="button" class="button" onclick={onclose}>Cancel</button>
      <button
        type="button"
        class="button"
        disabled={busy}
        onclick={() => void make(() => collect(library, changes))}
        >{collected ? 'Put with these' : 'Collect'}</button
      >
      <button class="button main" disabled={busy}>Propose</button>
    </div>
  </form>
</DialogFrame>
