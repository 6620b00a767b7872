<script lang="ts">
  import PurposeFeeds from './PurposeFeeds.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import { capital } from '$lib/shell/text';
  import type { CutDraft } from './cut.svelte';

  let { cut }: { cut: CutDraft } = $props();

  interface Row {
    title: string;
    value: number;
    unit: string;
    decimals: number;
  }

  const rows = $derived.by((): Row[] => {
    const done = cut.computed?.cut;
    if (!done) return [];
    const all: Row[] = [
      { title: 'Rotation n', value: done.rotation, unit: '1/min', decimals: 0 },
      { title: 'Feed rate vf', value: done.feedRate, unit: 'mm/min', decimals: 0 },
      { title: 'Speed reached', value: done.speed, unit: 'm/min', decimals: 1 },
      { title: cut.feedTitle, value: done.feed, unit: 'mm', decimals: 4 },
      { title: 'Chip thickness', value: done.chip, unit: 'mm', decimals: 4 },
      { title: 'Removal Q', value: done.removal, unit: 'cm3/min', decimals: 1 },
      { title: 'Power', value: done.power, unit: 'kW', decimals: 2 },
      { title: 'Torque', value: done.torque, unit: 'N.m', decimals: 1 },
      { title: 'Bending', value: done.bend, unit: 'um', decimals: 1 },
      ...done.figures.map((figure) => ({ ...figure, decimals: figure.unit === 'N' ? 0 : 2 }))
    ];
    return all.filter((row) => row.value > 0);
  });
</script>

<section aria-label="Results">
  <h2>Results</h2>
  {#if cut.problem}
    <p role="alert" class="mt-2 text-hold">{capital(cut.problem)}</p>
  {:else if cut.computed}
    <dl class="mt-2 grid grid-cols-[1fr_auto_62px] gap-x-2 gap-y-0.5">
      {#each rows as row (row.title)}
        <dt class="text-soft">{row.title}</dt>
        <dd class="text-right">{units.show(row.value, row.unit, row.decimals)}</dd>
        <dd class="text-soft">{units.label(row.unit)}</dd>
      {/each}
    </dl>
    {#if cut.post > 0 && cut.computed.cut && cut.computed.cut.feedRate > 0}
      <PurposeFeeds
        post={cut.post}
        machine={cut.machine}
        feed={Number(cut.computed.cut.feedRate.toFixed(6))}
      />
    {/if}
    <ul class="mt-2" aria-live="polite">
      {#each cut.computed.findings as finding, index (index)}
        <li class="flex gap-2 py-1">
          <Mark kind={finding.severity.toLowerCase() as 'hold'} word="" />
          <span>{capital(finding.message)}</span>
        </li>
      {/each}
    </ul>
  {/if}
</section>
