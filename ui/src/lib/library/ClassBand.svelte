<script lang="ts">
  import type { LibraryRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';

  let { row }: { row: LibraryRow } = $props();

  /** How many classes fit into the row of a library. */
  const MOST = 5;
  const rest = $derived(
    row.tools - row.classes.slice(0, MOST).reduce((sum, { count }) => sum + count, 0)
  );
</script>

<span class="flex items-center gap-4">
  {#each row.classes.slice(0, MOST) as found (found.id)}
    <span class="flex items-center gap-1" title="{found.count} × {found.title}">
      <Silhouette outline={found.outline} width={44} height={16} />
      <span class="text-[12px] text-soft">{found.count.toLocaleString('en')}</span>
      <span class="sr-only">{found.title}</span>
    </span>
  {/each}
  {#if rest > 0}<span class="text-[12px] text-soft">and {rest.toLocaleString('en')}</span>{/if}
</span>
