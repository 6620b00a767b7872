<script lang="ts">
  import { PersistedState } from 'runed';
  import type { Piece, SizeVerdict } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import { type Gauge, measurePiece } from './actions';
  import { gauges } from './words';

  let {
    piece,
    onmeasured
  }: {
    piece: Piece;
    /** After all of its sizes were kept. */
    onmeasured: () => void;
  } = $props();

  const gauge = new PersistedState<Gauge>('gauge', 'PRESETTER');
  let typed = $state<Record<string, string>>({});
  let asked = $state<SizeVerdict[]>([]);
  let busy = $state(false);
  const entered = $derived(
    Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== ''))
  );
  const verdict = (field: string) => asked.find((one) => one.field === field && one.suspected);

  async function save(although: Record<string, string> = {}) {
    busy = true;
    const measured = await measurePiece(piece, gauge.current, entered, although);
    busy = false;
    if (!measured) return;
    asked = measured.saved ? [] : measured.sizes;
    if (measured.saved) {
      typed = {};
      onmeasured();
    }
  }

  function take(field: string, proposal: string) {
    typed[field] = proposal;
    void save();
  }

  /** It is as it was entered; whoever measured says so. */
  const insist = () =>
    save(
      Object.fromEntries(
        asked.flatMap(({ field, suspected }) => (suspected ? [[field, suspected]] : []))
      )
    );
  const answerable = $derived(asked.every(({ suspected, answerable }) => !suspected || answerable));
  const questioned = $derived(asked.some(({ suspected }) => suspected));
</script>

<form
  class="flex flex-col gap-4"
  onsubmit={(event) => {
    event.preventDefault();
    void save();
  }}
>
  {#each piece.sizes as size (size.field)}
    {@const odd = verdict(size.field)}
    <div>
      <p class="flex flex-wrap items-baseline gap-x-3">
        <label class="font-semibold" for="size-{size.field}">{capital(size.title)}</label>
        <span class="text-[13px] text-soft">
          {size.nominal ? `nominal ${size.nominal} ${size.unit}` : `in ${size.unit}`}{size.value
            ? `, measured ${size.value}`
            : size.last
              ? `, before ${size.last}`
              : ''}{size.needed ? '' : ', not needed'}
        </span>
      </p>
      <input
        id="size-{size.field}"
        class="field mt-1 h-14 w-full max-w-xs text-[26px]"
        inputmode="decimal"
        autocomplete="off"
        aria-invalid={odd ? 'true' : undefined}
        aria-describedby={odd ? `odd-${size.field}` : undefined}
        bind:value={
          () => typed[size.field] ?? '',
          (text) => {
            typed[size.field] = text;
            asked = asked.filter(({ field }) => field !== size.field);
          }
        }
      />
      {#if odd}
        <div id="odd-{size.field}" role="alert" class="mt-1 border-l-4 border-query py-1 pl-3">
          <p class="text-query">{capital(odd.words)}</p>
          {#if odd.proposal}
            {@const proposal = odd.proposal}
            <button
              type="button"
              class="button mt-1"
              disabled={busy}
              onclick={() => take(size.field, proposal)}>It is {proposal} {odd.unit}</button
            >
          {/if}
        </div>
      {/if}
    </div>
  {/each}
  <div class="flex flex-wrap items-center gap-3">
    <button class="button main" disabled={busy || Object.keys(entered).length === 0}>Keep</button>
    {#if questioned && answerable}
      <button type="button" class="button" disabled={busy} onclick={() => void insist()}
        >It is as I measured it</button
      >
    {/if}
    <Choice label="Measured with" bind:value={gauge.current} options={[...gauges]} />
  </div>
</form>
