<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { materialsQuery } from '$lib/cutting/queries';
  import { cuttingLinesQuery } from '$lib/cutting/queries';
  import { stacksQuery } from '$lib/stack/queries';
  import { units } from '$lib/quantity/units.svelte';

  let { toolId, rotates, cuts }: { toolId: number; rotates: boolean; cuts: boolean } = $props();

  const MOST = 3;
  const stacks = createQuery(() => ({ ...stacksQuery(toolId), enabled: rotates }));
  const cutting = createQuery(() => ({ ...cuttingLinesQuery(toolId), enabled: cuts }));
  const materials = createQuery(() => ({ ...materialsQuery(), enabled: cuts }));
  const named = $derived(
    new Map((materials.data?.items ?? []).map((material) => [material.id, material.name]))
  );
</script>

{#if rotates}
  <section aria-label="Stacks">
    <h2 class="px-5 pb-1 pt-4">Stacks</h2>
    <div class="px-5">
      {#each (stacks.data?.items ?? []).slice(0, MOST) as stack (stack.id)}
        <a
          class="band flex items-baseline gap-3 py-1 hover:text-working"
          href="/tools/{toolId}/stack"
        >
          <span class="code min-w-0 truncate">
            {stack.name || stack.parts.map((part) => part.component.code).join(', ')}
          </span>
          <span class="ml-auto shrink-0 text-soft">
            {units.show(stack.answer.shape.length, 'mm', 1)}
            {units.label('mm')}, {units.show(stack.answer.shape.mass, 'kg', 2)}
            {units.label('kg')}
          </span>
        </a>
      {:else}
        <p class="text-soft">
          {stacks.isPending
            ? 'Loading'
            : stacks.error
              ? 'Not loaded'
              : 'None yet: choose what holds it.'}
        </p>
      {/each}
    </div>
  </section>
{/if}
{#if cuts}
  <section aria-label="Cutting data">
    <h2 class="px-5 pb-1 pt-4">Cutting data</h2>
    <div class="px-5">
      {#each (cutting.data?.items ?? []).slice(0, MOST) as line (line.id)}
        <a
          class="band flex items-baseline gap-3 py-1 hover:text-working"
          href="/tools/{toolId}/cutting"
        >
          <span class="min-w-0 truncate">{named.get(line.material) ?? line.material}</span>
          <span class="ml-auto shrink-0 text-soft">
            {units.show(line.speed, 'm/min', 0)}
            {units.label('m/min')}, {line.feed}
          </span>
        </a>
      {:else}
        <p class="text-soft">
          {cutting.isPending
            ? 'Loading'
            : cutting.error
              ? 'Not loaded'
              : 'None kept: it opens with usual values.'}
        </p>
      {/each}
    </div>
  </section>
{/if}
