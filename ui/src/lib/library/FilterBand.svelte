<script lang="ts">
  import type { Facets } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import DiameterBrush from './DiameterBrush.svelte';
  import type { ListFilter } from './filter.svelte';

  let { filter, facets }: { filter: ListFilter; facets?: Facets } = $props();
</script>

<div class="band flex items-stretch gap-6 px-5 pb-2">
  <div class="flex min-w-0 flex-1 flex-wrap content-end gap-1" role="group" aria-label="Classes">
    {#each facets?.classes ?? [] as each (each.id)}
      {@const on = filter.classes.includes(each.id)}
      <button
        class={[
          'flex h-7 items-center gap-1.5 rounded-sm border px-1.5 text-[13px]',
          on ? 'border-working bg-faint' : 'border-transparent hover:border-hairline'
        ]}
        aria-pressed={on}
        onclick={() => filter.toggleClass(each.id)}
      >
        <Silhouette outline={each.outline} width={44} height={14} />
        {each.title}
        <span class="text-soft">{each.count.toLocaleString('en')}</span>
      </button>
    {/each}
  </div>
  <DiameterBrush
    bars={facets?.diameters ?? []}
    bind:range={() => filter.dia, (range) => (filter.dia = range)}
  />
</div>
