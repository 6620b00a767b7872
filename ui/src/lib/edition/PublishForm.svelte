<script lang="ts">
  import { capital } from '$lib/shell/text';
  import { publish } from './actions';

  let { library }: { library: number } = $props();

  let words = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await publish(library, words);
      words = '';
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<form class="flex flex-wrap items-center gap-2" {onsubmit}>
  <input
    class="field min-w-64 flex-1"
    aria-label="Why this edition is made"
    placeholder="why, in a sentence"
    maxlength="500"
    bind:value={words}
  />
  <button class="button main" disabled={busy}>{busy ? 'Publishing …' : 'Publish an edition'}</button
  >
  {#if wrong}<p role="alert" class="w-full text-hold">{wrong}</p>{/if}
</form>
