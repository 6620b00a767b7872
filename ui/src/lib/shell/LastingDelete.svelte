<script lang="ts">
  import { tick } from 'svelte';

  let {
    word = 'Delete',
    label,
    disabled = false,
    ondelete
  }: {
    /** What the button says. */
    word?: string;
    /** What it does to what, for who does not see the row that it stands in. */
    label: string;
    disabled?: boolean;
    /** Called once somebody has read that it lasts, and still wants it. */
    ondelete: () => void;
  } = $props();

  let asked = $state(false);
  let stay = $state<HTMLButtonElement>();

  async function ask() {
    asked = true;
    await tick();
    stay?.focus();
  }

  function decide(yes: boolean) {
    asked = false;
    if (yes) ondelete();
  }
</script>

{#if asked}
  <span class="flex flex-wrap items-center justify-end gap-1" role="group" aria-label={label}>
    <span class="text-[13px] text-query">Cannot be undone.</span>
    <button class="button quiet h-6!" onclick={() => decide(true)}>{word} for good</button>
    <button
      bind:this={stay}
      class="button quiet h-6!"
      onclick={() => decide(false)}
      onkeydown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        decide(false);
      }}>Keep</button
    >
  </span>
{:else}
  <button class="button quiet h-6!" aria-label={label} {disabled} onclick={ask}>{word}</button>
{/if}
