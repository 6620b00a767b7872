<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Facets } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import DiameterBrush from './DiameterBrush.svelte';
  import type { ListFilter } from './filter.svelte';

  type Found = Facets['classes'][number];

  /** So many classes stand in the band; those beyond are a click away. */
  const SHOWN = 6;

  let { filter, facets }: { filter: ListFilter; facets?: Facets } = $props();

  const all = $derived(facets?.classes ?? []);
  const ranked = $derived([...all].sort((one, other) => other.count - one.count));
  const shown = $derived(
    all.filter((found) => ranked.indexOf(found) < SHOWN || filter.classes.includes(found.id))
  );
  const rest = $derived(all.filter((found) => !shown.includes(found)));
</script>

{#snippet button(found: Found)}
  {@const on = filter.classes.includes(found.id)}
  <button
    class={[
      'flex h-7 items-center gap-1.5 whitespace-nowrap rounded-sm border px-1 text-[13px]',
      on ? 'border-working bg-faint' : 'border-transparent hover:border-hairline'
    ]}
    aria-pressed={on}
    onclick={() => filter.toggleClass(found.id)}
  >
    <Silhouette outline={found.outline} width={36} height={14} />
    <span>{found.title}</span>
    <span class="text-soft">{found.count.toLocaleString('en')}</span>
  </button>
{/snippet}

<div class="band flex items-stretch gap-6 px-5 pb-2">
  <div class="flex min-w-0 flex-1 flex-wrap content-end gap-1" role="group" aria-label="Classes">
    {#each shown as found (found.id)}{@render button(found)}{/each}
    {#if rest.length > 0}
      <Popover.Root>
        <Popover.Trigger class="button quiet text-[13px]"
          >{rest.length} more classes</Popover.Trigger
        >
        <Popover.Portal>
          <Popover.Content
            class="floating z-50 grid max-h-96 grid-cols-2 gap-1 overflow-auto p-2"
            align="start"
            sideOffset={4}
          >
            {#each rest as found (found.id)}{@render button(found)}{/each}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    {/if}
  </div>
  {#if (facets?.diameters.length ?? 0) > 0 || filter.dia}
    <DiameterBrush
      bars={facets?.diameters ?? []}
      bind:range={() => filter.dia, (range) => (filter.dia = range)}
    />
  {/if}
</div>
