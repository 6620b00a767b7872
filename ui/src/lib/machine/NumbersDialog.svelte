<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import type { MachineView, PlaceView } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { renumber } from './actions';
  import { numbersQuery } from './queries';
  import { arranged, type Arrangement } from './numbers';

  let { view, onclose }: { view: MachineView; onclose: () => void } = $props();

  const arrangements: { value: Arrangement; label: string }[] = [
    { value: 'places', label: 'by place' },
    { value: 'numbers', label: 'by number now' },
    { value: 'codes', label: 'by code' }
  ];

  let open = $state(true);
  let arrangement = $state<Arrangement>('places');
  /** As somebody arranged them by hand; from then on that counts. */
  let byHand = $state<string[] | null>(null);
  let left = $state<string[]>([]);
  let typed = $state<number | null>(null);
  const first = $derived(typed ?? view.machine.numbering.from ?? 1);
  let busy = $state(false);

  const rows = $derived.by(() => {
    const all = arranged(view, arrangement);
    if (!byHand) return all;
    const place = new Map(byHand.map((name, index) => [name, index]));
    return all.toSorted((a, b) => (place.get(a.place) ?? 0) - (place.get(b.place) ?? 0));
  });
  const chosen = $derived(rows.map(({ place }) => place).filter((place) => !left.includes(place)));
  const order = $derived({ places: chosen, first });
  const settled = new Debounced(() => order, 150);
  const look = createQuery(() => ({
    ...numbersQuery(view.machine.id, settled.current),
    enabled: settled.current.places.length > 0 && Number.isInteger(settled.current.first)
  }));
  const wrong = $derived(chosen.length > 0 && look.error ? (look.error as Error).message : '');
  const then = (row: PlaceView): string =>
    left.includes(row.place) ? '' : String(look.data?.[row.place] ?? '');
  const changes = $derived(rows.filter((row) => then(row) !== '' && then(row) !== row.number));

  $effect(() => {
    if (!open) onclose();
  });

  function move(index: number, by: -1 | 1) {
    const places = rows.map(({ place }) => place);
    const to = index + by;
    if (to < 0 || to >= places.length) return;
    [places[index], places[to]] = [places[to], places[index]];
    byHand = places;
    requestAnimationFrame(() => document.getElementById(`number-of-${places[to]}`)?.focus());
  }

  function onkeydown(event: KeyboardEvent, index: number) {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    move(index, event.key === 'ArrowUp' ? -1 : 1);
  }

  async function apply() {
    busy = true;
    const done = await renumber(view.machine.id, chosen, first);
    busy = false;
    if (done) open = false;
  }
</script>

<DialogFrame
  bind:open
  title="Numbers of {view.machine.name}"
  hint="Ticked tools are numbered in this order. Alt and an arrow key moves a row."
>
  <div class="flex flex-wrap items-center gap-4">
    <label class="flex items-center gap-2">
      <span class="text-soft">First number</span>
      <input
        class="field number w-24"
        type="number"
        min="1"
        bind:value={() => first, (next) => (typed = next)}
      />
    </label>
    <Choice
      label="Order"
      bind:value={
        () => arrangement,
        (next) => {
          arrangement = next;
          byHand = null;
        }
      }
      options={arrangements}
    />
    {#if byHand}<span class="text-soft">arranged by hand</span>{/if}
    <label class="ml-auto flex items-center gap-2">
      <input
        type="checkbox"
        checked={left.length === 0}
        indeterminate={left.length > 0 && left.length < rows.length}
        onchange={() => (left = left.length === 0 ? rows.map(({ place }) => place) : [])}
      />
      <span class="text-soft">all</span>
    </label>
  </div>
  <div class="mt-3 max-h-96 overflow-auto">
    <table class="rows w-full text-[13px]">
      <thead>
        <tr>
          <th class="w-8"><span class="sr-only">Number it</span></th>
          <th>{capital(view.placeWord)}</th>
          <th>Tool</th>
          <th class="number">Now</th>
          <th class="number">Then</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as row, index (row.place)}
          {@const next = then(row)}
          <tr
            draggable="true"
            ondragstart={(event) => event.dataTransfer?.setData('text/plain', row.place)}
            ondragover={(event) => event.preventDefault()}
            ondrop={(event) => {
              event.preventDefault();
              const carried = event.dataTransfer?.getData('text/plain') ?? '';
              const places = rows.map(({ place }) => place).filter((place) => place !== carried);
              if (places.length < rows.length) byHand = places.toSpliced(index, 0, carried);
            }}
          >
            <td>
              <input
                id="number-of-{row.place}"
                type="checkbox"
                aria-label="Number {row.code} in {row.place}"
                checked={!left.includes(row.place)}
                onchange={() =>
                  (left = left.includes(row.place)
                    ? left.filter((place) => place !== row.place)
                    : [...left, row.place])}
                onkeydown={(event) => onkeydown(event, index)}
              />
            </td>
            <td>{row.place}</td>
            <td class="w-full max-w-0 truncate">
              <span class="code">{row.code}</span> <span class="text-soft">{row.name}</span>
            </td>
            <td class="number">{row.number}</td>
            <td class={['number', next !== row.number && 'font-semibold text-working']}>{next}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p role="alert" class="mt-2 min-h-5 text-hold">{capital(wrong)}</p>
  <div class="flex justify-end gap-2">
    <button class="button" onclick={() => (open = false)}>Cancel</button>
    <button
      class="button main"
      disabled={busy || wrong !== '' || changes.length === 0 || look.isFetching}
      onclick={() => void apply()}>Renumber {count(changes.length, 'tool')}</button
    >
  </div>
</DialogFrame>
