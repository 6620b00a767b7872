<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { linkControl } from '$lib/machine/actions';
  import { linkQuery } from '$lib/machine/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  let { machine }: { machine: string } = $props();

  const link = createQuery(() => linkQuery(machine));
  let typed = $state<string | null>(null);
  let busy = $state(false);
  const shown = $derived(typed ?? link.data?.link ?? '');

  async function save() {
    busy = true;
    if (await linkControl(machine, shown.trim())) typed = null;
    busy = false;
  }
</script>

<section class="mb-4 border-b border-hairline px-5 pb-3 text-[13px]" aria-labelledby="control-link">
  <h2 id="control-link">Where its control is</h2>
  {#if link.error}
    <ErrorNote error={link.error} retry={() => void link.refetch()} />
  {:else}
    <form
      class="mt-1 flex flex-wrap items-center gap-2"
      onsubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <label for="link">Link</label>
      <input
        id="link"
        class="field code w-80 max-w-full"
        spellcheck="false"
        autocomplete="off"
        value={shown}
        oninput={(e) => (typed = e.currentTarget.value)}
      />
      <button class="button" disabled={busy || typed === null || typed.trim() === link.data?.link}>
        Save the link
      </button>
    </form>
    <p class="mt-1 text-soft">
      http://host:port/path, opc.tcp://host:port/path, or folder:name for a control that exchanges
      files; empty for none. How it speaks is the dialect below.
    </p>
  {/if}
</section>
