<script lang="ts">
  import type { MachineView, PlaceView } from '$lib/api/client';
  import { coverPlaces } from './actions';

  let {
    view,
    planned,
    word,
    editable
  }: {
    view: MachineView;
    planned: PlaceView;
    /** What the place is called. */
    word: string;
    editable: boolean;
  } = $props();

  const stated = $derived(view.overlaps[planned.toolId]);
  let open = $state(false);
  let plus = $state<number | null>(0);
  let minus = $state<number | null>(0);

  function begin() {
    plus = stated?.plus ?? 0;
    minus = stated?.minus ?? 0;
    open = true;
  }

  async function save(overlap: { plus: number; minus: number } | null) {
    if (await coverPlaces(view.machine.id, planned.toolId, overlap)) open = false;
  }
</script>

<div class="mt-2 flex flex-wrap items-center gap-2 text-soft">
  {#if open}
    <form
      class="flex flex-wrap items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        void save({ plus: plus ?? 0, minus: minus ?? 0 });
      }}
    >
      <label class="flex items-center gap-2">
        Covers above it
        <input class="field number w-16" type="number" min="0" max="20" bind:value={plus} />
      </label>
      <label class="flex items-center gap-2">
        below it
        <input class="field number w-16" type="number" min="0" max="20" bind:value={minus} />
      </label>
      <button class="button">Save</button>
      {#if stated}
        <button type="button" class="button quiet" onclick={() => void save(null)}
          >By its diameter</button
        >
      {/if}
      <button type="button" class="button quiet" onclick={() => (open = false)}>Cancel</button>
    </form>
  {:else}
    <span>
      {stated
        ? `Covers ${stated.plus} ${word}s above it and ${stated.minus} below, as stated`
        : `Covers ${word}s beside it as its diameter says`}
    </span>
    {#if editable}
      <button type="button" class="button quiet" onclick={begin}>State otherwise</button>
    {/if}
  {/if}
</div>
