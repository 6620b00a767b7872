<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { materialsQuery } from '$lib/cutting/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import { setCutting } from './actions';

  let { delivery, line, editable }: { delivery: number; line: Line; editable: boolean } = $props();

  const materials = createQuery(materialsQuery);
  let open = $state(false);
  let material = $state('');
  let speed = $state('');
  let feed = $state('');
  let busy = $state(false);
  const values = [
    { symbol: 'VC', sign: 'vc', unit: 'm/min' },
    { symbol: 'FEED', sign: 'f', unit: 'mm' }
  ];
  const said = $derived(line.findings.filter(({ code }) => code.startsWith('cutting-')));
  const options = $derived([
    { value: '', label: 'choose a material' },
    ...(materials.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
  ]);
  /** News of the same line do not take away what somebody types. */
  const lineId = $derived(line.id);
  $effect(() => {
    void lineId;
    open = false;
  });

  /** True for a number that carries no unit of its own, and where nothing is written. */
  function bare(text: string | undefined): boolean {
    return /^[-+\d.,/ ]*$/.test(text ?? '');
  }

  /** A number as it is sent; one that carries a unit of its own stays as it is. */
  function withUnit(text: string, unit: string | null | undefined): string {
    return unit && bare(text) ? `${text} ${unit}` : text;
  }

  /** The lines that it has, as they are sent. */
  function kept(): Record<string, string>[] {
    return line.cutting.map(({ cells }) =>
      Object.fromEntries(
        Object.entries(cells).map(([symbol, { text, unit }]) => [symbol, withUnit(text, unit)])
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

  async function change(at: number, symbol: string, typed: string) {
    busy = true;
    const lines = kept();
    if (typed.trim() === '') delete lines[at][symbol];
    else lines[at][symbol] = withUnit(typed.trim(), line.cutting[at].cells[symbol]?.unit);
    await setCutting(delivery, line.id, lines);
    busy = false;
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
      <li class="border-t border-hairline py-1">
        <div class="flex items-baseline gap-2">
          <span class="flex-1 truncate">{name(one.cells.MATERIAL?.text)}</span>
          {#if editable}
            <button class="button quiet h-6!" disabled={busy} onclick={() => void remove(at)}
              >Remove</button
            >
          {/if}
        </div>
        <div class="flex flex-wrap gap-x-4 gap-y-1 text-soft">
          {#each values as { symbol, sign, unit } (symbol)}
            {@const cell = one.cells[symbol]}
            <label class="flex items-center gap-1"
              >{sign}
              {#if editable}
                <input
                  class="field h-6! w-28 text-ink"
                  aria-label="{sign} of cutting data {at + 1}"
                  aria-invalid={said.some(({ properties }) => properties.includes(symbol))}
                  maxlength="40"
                  disabled={busy}
                  value={cell?.text ?? ''}
                  onkeydown={(event) => {
                    if (event.key === 'Enter') event.currentTarget.blur();
                  }}
                  onchange={(event) => void change(at, symbol, event.currentTarget.value)}
                />
              {:else}
                <span class="text-ink">{cell?.text ?? '–'}</span>
              {/if}
              {#if bare(cell?.text)}{units.name(cell?.unit ?? unit)}{/if}</label
            >
          {/each}
        </div>
      </li>
    {:else}
      {#if !open}<li class="text-soft">None comes with it.</li>{/if}
    {/each}
  </ul>
  {#each said as finding, index (index)}
    <p class="mt-1 flex gap-2 text-[13px]">
      <Mark kind={finding.severity.toLowerCase() as 'note'} word="" />
      <span>{capital(finding.message)}</span>
    </p>
  {/each}
  {#if editable && open}
    <form
      class="mt-1 flex flex-wrap items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <div class="basis-full"><Choice label="Work material" bind:value={material} {options} /></div>
      <label class="flex items-center gap-1 text-soft"
        >vc <input
          class="field w-16 text-ink"
          placeholder="m/min"
          required
          maxlength="40"
          bind:value={speed}
        /></label
      >
      <label class="flex items-center gap-1 text-soft"
        >f <input
          class="field w-16 text-ink"
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
