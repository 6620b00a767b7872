<script lang="ts">
  import type { CuttingWindow } from '$lib/api/client';
  import { saveSvg } from '$lib/drawing/save';
  import { units } from '$lib/quantity/units.svelte';

  let { window, speed, feed }: { window: CuttingWindow; speed: number; feed: number } = $props();

  let width = $state(560);
  let drawing = $state<SVGSVGElement>();
  const HEIGHT = 260;
  const LEFT = 58;
  const BOTTOM = 34;
  const colours: Record<string, string> = {
    chip: 'var(--working)',
    power: 'var(--hold)',
    torque: 'var(--note)',
    bend: 'var(--query)'
  };
  const words: Record<string, string> = {
    chip: 'chip thickness',
    power: 'power',
    torque: 'torque',
    bend: 'bending'
  };
  const first = $derived(window.points[0]?.speed ?? 0);
  const last = $derived(Math.max(first + 1, window.points.at(-1)?.speed ?? 1, speed));
  const highest = $derived(Math.max(window.feedHigh, feed) * 1.15);

  function x(vc: number): number {
    return LEFT + ((vc - first) / (last - first)) * (width - LEFT - 16);
  }

  function y(fz: number): number {
    return HEIGHT - BOTTOM - (fz / highest) * (HEIGHT - BOTTOM - 16);
  }

  const area = $derived(
    window.points.length > 1
      ? `M${window.points.map((p) => `${x(p.speed)} ${y(Math.max(p.feed, window.feedLow))}`).join('L')}` +
          `L${x(window.points.at(-1)?.speed ?? 0)} ${y(window.feedLow)}L${x(first)} ${y(window.feedLow)}Z`
      : ''
  );
  const limits = $derived([...new Set(window.points.map((point) => point.by))]);

  /** Round numbers from one value to another, about five of them. */
  function ticks(from: number, to: number): number[] {
    const rough = (to - from) / 5;
    const decade = 10 ** Math.floor(Math.log10(rough));
    const step =
      [1, 2, 5, 10].map((factor) => factor * decade).find((candidate) => candidate >= rough) ??
      rough;
    const begin = Math.ceil(from / step);
    return Array.from(
      { length: Math.floor(to / step) - begin + 1 },
      (_, at) => (begin + at) * step
    );
  }

  function tidy(value: number): string {
    return value.toLocaleString('en', { maximumSignificantDigits: 3 });
  }
</script>

<div bind:clientWidth={width}>
  <svg
    bind:this={drawing}
    {width}
    height={HEIGHT}
    role="img"
    aria-label="Usable window: feed from {tidy(window.feedLow)} to {tidy(
      window.feedHigh
    )} mm, limited by {limits.map((by) => words[by]).join(', ')}"
  >
    <path d={area} fill="var(--working-faint)" />
    {#each window.points.slice(1) as point, index (index)}
      {@const before = window.points[index]}
      <line
        x1={x(before.speed)}
        y1={y(before.feed)}
        x2={x(point.speed)}
        y2={y(point.feed)}
        stroke={colours[point.by]}
        stroke-width="2"
        stroke-dasharray={point.by === 'chip' ? undefined : '7 3'}
      />
    {/each}
    <line
      x1={x(first)}
      x2={x(last)}
      y1={y(window.feedLow)}
      y2={y(window.feedLow)}
      stroke="var(--working)"
    />
    {#if Number.isFinite(window.speedHigh) && window.speedHigh > first && window.speedHigh < last}
      <line
        x1={x(window.speedHigh)}
        x2={x(window.speedHigh)}
        y1="10"
        y2={HEIGHT - BOTTOM}
        stroke="var(--ink)"
        stroke-dasharray="2 3"
      />
      <text x={x(window.speedHigh) - 4} y="20" text-anchor="end" font-size="12" fill="var(--ink)"
        >rpm ends</text
      >
    {/if}
    <g font-size="12" fill="var(--soft)">
      {#each ticks(units.view(first, 'm/min'), units.view(last, 'm/min')) as shown, index (index)}
        <text x={x(shown / units.view(1, 'm/min'))} y={HEIGHT - 16} text-anchor="middle"
          >{tidy(shown)}</text
        >
      {/each}
      {#each ticks(0, units.view(highest, 'mm')) as shown, index (index)}
        {@const at = y(shown / units.view(1, 'mm'))}
        <text x={LEFT - 8} y={at + 4} text-anchor="end">{tidy(shown)}</text>
        <line x1={LEFT - 4} x2={LEFT} y1={at} y2={at} stroke="var(--soft)" />
      {/each}
      <text x={width - 16} y={HEIGHT - 2} text-anchor="end">speed, {units.label('m/min')}</text>
      <text x={LEFT + 6} y="14">feed, {units.label('mm')}</text>
    </g>
    <line x1={LEFT} x2={LEFT} y1="10" y2={HEIGHT - BOTTOM} stroke="var(--soft)" />
    <line
      x1={LEFT}
      x2={width - 16}
      y1={HEIGHT - BOTTOM}
      y2={HEIGHT - BOTTOM}
      stroke="var(--soft)"
    />
    <circle
      cx={x(speed)}
      cy={y(feed)}
      r="5"
      fill="var(--ink)"
      stroke="var(--sheet)"
      stroke-width="2"
    />
  </svg>
  <p class="flex flex-wrap items-center gap-4 text-[13px]">
    {#each limits as by (by)}
      <span style:color={colours[by]}>{words[by]}</span>
    {/each}
    <span class="text-soft">the dot is this cut</span>
    <button
      class="button quiet ml-auto"
      onclick={() => drawing && saveSvg(drawing, 'usable-window.svg')}>Save drawing</button
    >
  </p>
</div>
