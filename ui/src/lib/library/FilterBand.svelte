<script lang="ts">
  import type { Facets } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import DiameterBrush from './DiameterBrush.svelte';
  import type { ListFilter } from './filter.svelte';

  /** With more classes than this only the chosen ones are named beside their silhouettes. */
  const NAMED = 6;

  let { filter, facets }: { filter: ListFilter; facets?: Facets } = $props();
</script>

<div class="band flex items-stretch gap-6 px-5 pb-2">
  <div class="flex min-w-0 flex-1 flex-wrap content-end gap-1" role="group" aria-label="Classes">
    {#each facets?.classes ?? [] as found (found.id)}
      {@const on = filter.classes.includes(found.id)}
      <button
        class={[
          'flex h-7 items-center gap-1.5 rounded-sm border px-1 text-[13px]',
          on ? 'border-working bg-faint' : 'border-transparent hover:border-hairline'
        ]}
        aria-pressed={on}
        title={found.title}
        onclick={() => filter.toggleClass(found.id)}
      >
        <Silhouette outline={found.outline} width={36} height={14} />
        <span class={on || (facets?.classes.length ?? 0) <= NAMED ? '' : 'sr-only'}
          >{found.title}</span
        >
        <span class="text-soft">{found.count.toLocaleString('en')}</span>
      </button>
    {/each}
  </div>
  <DiameterBrush
    bars={facets?.diameters ?? []}
    bind:range={() => filter.dia, (range) => (filter.dia = range)}
  />
</div>
