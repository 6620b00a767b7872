<script lang="ts">
  import ErrorNote from './ErrorNote.svelte';

  let {
    query
  }: {
    /** What a part of a page shows; its answer of before still stands where a later one failed. */
    query: { error: Error | null; data: unknown; refetch: () => unknown };
  } = $props();
</script>

{#if query.error && query.data === undefined}
  <ErrorNote error={query.error} retry={() => void query.refetch()} />
{/if}
