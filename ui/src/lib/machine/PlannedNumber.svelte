<script lang="ts">
  import type { MachineView, PlaceView } from '$lib/api/client';
  import { renumber } from './actions';

  let { view, planned, editable }: { view: MachineView; planned: PlaceView; editable: boolean } =
    $props();

  const bound = $derived(view.machine.numbering.scheme === 'NUMBER_IS_PLACE');
  const other = $derived(
    !bound && planned.libraryNumber != null && String(planned.libraryNumber) !== planned.number
      ? planned.libraryNumber
      : null
  );
  let typed = $state<number | null>(null);
  let open = $state(false);

  async function save(number: number | null) {
    if (number === null) return;
    if (await renumber(view.machine.id, [planned.place], number)) open = false;
  }
</script>

<div class="flex flex-wrap items-center gap-2 text-soft">
  {#if open}
    <form
      class="flex items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        void save(typed);
      }}
    >
      <label class="flex items-center gap-2">
        Number
        <!-- svelte-ignore a11y_autofocus (it was asked for) -->
        <input
          class="field number w-24"
          type="number"
          min="1"
          required
          autofocus
          bind:value={typed}
        />
      </label>
      <button class="button">Save number</button>
      <button type="button" class="button quiet" onclick={() => (open = false)}>Cancel</button>
    </form>
  {:else}
    <span>number {planned.number}{bound ? ', as its place' : ''}</span>
    {#if editable && !bound}
      <button
        type="button"
        class="button quiet"
        onclick={() => {
          typed = Number(planned.number);
          open = true;
        }}>Renumber</button
      >
    {/if}
    {#if other !== null}
      <span class="text-query">{other} in its library</span>
      {#if editable}
        <button type="button" class="button quiet" onclick={() => void save(other)}
          >Use {other}</button
        >
      {/if}
    {/if}
  {/if}
</div>
