<script lang="ts">
  import { MediaQuery } from 'svelte/reactivity';
  import type { LibraryRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';

  let { row }: { row: LibraryRow } = $props();

  const wide = new MediaQuery('(min-width: 1400px)', true);
  const usual = new MediaQuery('(min-width: 1200px)', true);
  /** How many classes fit into the row of a library. */
  const most = $derived(wide.current ? 5 : usual.current ? 3 : 2);
  const shown = $derived(row.classes.slice(0, most));
  const rest = $derived(row.tools - shown.reduce((sum, { count }) => sum + count, 0));
</script>

<span class="flex items-center gap-4 whitespace-nowrap">
  {#each shown as found (found.id)}
    <span class="flex items-center gap-1" title="{found.count} × {found.title}">
      <Silhouette outline={found.outline} width={44} height={16} />
      <span class="text-[12px] text-soft">{found.count.toLocaleString('en')}</span>
      <span class="sr-only">{found.title}</span>
    </span>
  {/each}
  {#if rest > 0}<span class="text-[12px] text-soft">and {rest.toLocaleString('en')}</span>{/if}
</span>
