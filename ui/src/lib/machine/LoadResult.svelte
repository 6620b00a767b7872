<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { MachineView, PlannedLoad } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, count } from '$lib/shell/text';
  import StorageDrawing from './StorageDrawing.svelte';
  import { afterLoad, type Wanted } from './wanted';

  let {
    machine,
    load,
    wanted,
    children
  }: {
    machine: MachineView;
    load: PlannedLoad;
    wanted: Wanted[];
    /** What can be done with moves. */
    children: Snippet;
  } = $props();

  const FIRST = 6;
  let whole = $state(false);
  const after = $derived(afterLoad(machine, load, wanted));
</script>

<section class="flex flex-col gap-3" aria-label="The load">
  {#if load.obstacles.length > 0}
    <div role="alert">
      <h2>
        <Mark kind={load.settled ? 'hold' : 'query'} word="" />
        {!load.settled
          ? 'Perhaps not all of them can be in'
          : load.leftOut.length > 0
            ? 'Not all of them can be in'
            : 'They cannot be in'}
      </h2>
      <ul class="text-[13px]">
        {#each load.obstacles.slice(0, whole ? undefined : FIRST) as obstacle, index (index)}
          <li>{capital(obstacle.message)}</li>
        {/each}
        {#if load.obstacles.length > FIRST && !whole}
          <li>
            <button class="text-working hover:underline" onclick={() => (whole = true)}
              >{load.obstacles.length - FIRST} more reasons</button
            >
          </li>
        {/if}
      </ul>
      {#if load.leftOut.length > 0}
        <p class="text-[13px]">
          Without {count(load.leftOut.length, 'tool')} the rest can:
          <span class="code">{load.leftOut.join(', ')}</span>
        </p>
      {/if}
    </div>
  {/if}
  {#if load.moves.length > 0}
    <div class="flex flex-wrap items-center gap-3">
      <h2>
        {count(load.moves.length, 'move')}{load.optimal
          ? ', fewer is impossible'
          : load.leastMoves > 0
            ? `, fewer than ${load.leastMoves} is impossible`
            : ', perhaps not the fewest'}
      </h2>
      {@render children()}
    </div>
    <ol class="list-decimal pl-6 text-[13px] sm:columns-2">
      {#each load.moves as move, index (index)}
        <li class="break-inside-avoid"><span class="code">{move.code}</span> {move.words}</li>
      {/each}
    </ol>
  {:else if load.feasible}
    <p>All of them are in already: nothing has to be moved.</p>
  {/if}
  {#if load.placement.length > 0}
    {#each machine.storages as storage (storage.id)}
      <div>
        <p class="pb-1 text-[13px] text-soft">{capital(storage.word)} as it is then</p>
        <StorageDrawing machine={after.view} {storage} marks={after.changed} />
      </div>
    {/each}
  {/if}
</section>
