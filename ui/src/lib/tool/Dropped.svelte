<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import type { Draft } from './draft.svelte';

  let { draft }: { draft: Draft } = $props();
  const dropped = $derived(
    Object.entries(draft.dropped).map(([symbol, { text, unit }]) =>
      [symbol, text, unit].filter(Boolean).join(' ')
    )
  );
</script>

{#if dropped.length > 0}
  <p class="band flex items-center gap-2 px-5 py-1.5" role="status">
    <Mark
      kind="query"
      word="This class has no {dropped.join(', ')}: saving drops {dropped.length > 1
        ? 'them'
        : 'it'}."
    />
    <button class="button quiet h-6!" onclick={() => draft.keepDropped()}>
      Keep {dropped.length > 1 ? 'them' : 'it'} all the same
    </button>
  </p>
{/if}
