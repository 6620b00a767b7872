<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { materialsQuery } from '$lib/cutting/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import type { ListFilter } from './filter.svelte';
  import { groupings } from './grouping';
  import Views from './Views.svelte';

  let { filter }: { filter: ListFilter } = $props();

  const materials = createQuery(materialsQuery);
</script>

<div class="flex flex-wrap items-center gap-1">
  <div class="mr-1 flex" role="group" aria-label="Show as">
    {#each [false, true] as board (board)}
      <button
        class={['button', filter.board === board ? 'border-working text-working' : 'text-soft']}
        aria-pressed={filter.board === board}
        onclick={() => (filter.board = board)}>{board ? 'Board' : 'List'}</button
      >
    {/each}
  </div>
  {#if filter.board}
    <button
      class="button"
      aria-label="Smaller"
      disabled={!filter.smaller}
      onclick={() => (filter.zoom -= 1)}>−</button
    >
    <button
      class="button"
      aria-label="Larger"
      disabled={!filter.larger}
      onclick={() => (filter.zoom += 1)}>+</button
    >
  {/if}
  {#if filter.cutting}
    <Choice
      label="Cutting data for"
      bind:value={filter.material}
      options={(materials.data?.items ?? []).map(({ id, name }) => ({
        value: id,
        label: `in ${name}`
      }))}
    />
  {/if}
  <Choice label="Grouped" bind:value={filter.group} options={[...groupings]} />
  <Views {filter} />
</div>
