<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { materialsQuery } from '$lib/cutting/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { setCutting } from './actions';

  let { delivery, line, editable }: { delivery: number; line: Line; editable: boolean } = $props();

  const materials = createQuery(materialsQuery);
  let open = $state(false);
  let material = $state('');
  let speed = $state('');
  let feed = $state('');
  let busy = $state(false);
  const options = $derived([
    { value: '', label: 'choose a material' },
    ...(materials.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
  ]);
  $effect(() => {
    void line.id;
    open = false;
  });

  /** The lines that it has, as they are sent. */
  function kept(): Record<string, string>[] {
    return line.cutting.map(({ cells }) =>
      Object.fromEntries(
        Object.entries(cells).map(([symbol, { text, unit }]) => [
          symbol,
          unit ? `${text} ${unit}` : text
        ])
      )
    );
  }

  async function add() {
    busy = true;
    const done = await setCutting(delivery, line.id, [
      ...kept(),
      { MATERIAL: material, VC: speed, FEED: feed }
    ]);
    busy = false;
    if (done) {
      open = false;
      speed = '';
      feed = '';
    }
  }

  async function remove(at: number) {
    busy = true;
    await setCutting(
      delivery,
      line.id,
      kept().filter((_, index) => index !== at)
    );
    busy = false;
  }

  function name(id: string | undefined): string {
    return materials.data?.items.find((one) => one.id === id)?.name ?? id ?? '';
  }
</script>

<section aria-label="Cutting data">
  <h2 class="mb-1">Cutting data</h2>
  <ul class="text-[13px]">
    {#each line.cutting as one, at (at)}
      <li class="flex items-baseline gap-2 border-t border-hairline py-1">
        <span class="flex-1 truncate">{name(one.cells.MATERIAL?.text)}</span>
        <span>vc {one.cells.VC?.text ?? '–'}</span>
        <span>f {one.cells.FEED?.text ?? '–'}</span>
        {#if editable}
          <button class="button quiet" disabled={busy} onclick={() => void remove(at)}
            >Remove</button
          >
        {/if}
      </li>
    {:else}
      {#if !open}<li class="text-soft">None comes with it.</li>{/if}
    {/each}
  </ul>
  {#if editable && open}
    <form
      class="mt-1 flex flex-wrap items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <Choice label="Work material" bind:value={material} {options} />
      <label class="flex items-center gap-1 text-soft"
        >vc <input
          class="field w-20"
          placeholder="m/min"
          required
          maxlength="40"
          bind:value={speed}
        /></label
      >
      <label class="flex items-center gap-1 text-soft"
        >f <input
          class="field w-20"
          placeholder="mm"
          required
          maxlength="40"
          bind:value={feed}
        /></label
      >
      <button class="button" disabled={busy || !material}>Add</button>
      <button class="button quiet" type="button" onclick={() => (open = false)}>Cancel</button>
    </form>
  {:else if editable}
    <button class="button quiet mt-1" onclick={() => (open = true)}>Add cutting data</button>
  {/if}
</section>
