<script lang="ts">
  import type { Line, Reading } from '$lib/api/client';
  import CentreLine from '$lib/drawing/CentreLine.svelte';
  import { fit, view } from '$lib/drawing/geometry';
  import Parts from '$lib/drawing/Parts.svelte';
  import { symbolsOf } from './draft.svelte';

  let {
    line,
    columns,
    starts,
    pulled,
    finger,
    wanted,
    ontarget
  }: {
    line: Line | undefined;
    columns: Reading['columns'];
    /** Where the line of each column begins, from the left of this drawing. */
    starts: Record<number, number>;
    /** The column whose line is pulled. */
    pulled: number | null;
    finger: { x: number; y: number } | null;
    /** Dimensions that the class has and no column gives. */
    wanted: string[];
    /** Tells where dimensions lie, so that a line can be dropped on them. */
    ontarget: (targets: { symbol: string; x: number; y: number }[]) => void;
  } = $props();

  const HEIGHT = 236;
  const TOP = 74;
  let width = $state(1000);

  const outline = $derived(line?.outline ?? null);
  const scale = $derived(outline ? fit([outline], width - 320, HEIGHT - TOP - 86) : 1);
  const at = $derived(view(112, TOP + (HEIGHT - TOP - 80) / 2, scale));

  /** Where a line ends: on the drawn dimension, else on a name below the drawing. */
  const targets = $derived.by(() => {
    const marks = outline?.marks ?? [];
    const below = outline ? at.y(-outline.diameter / 2) + 12 : 0;
    let row = 0;
    const drawn = marks.map((mark) => {
      const along = mark.kind === 'ALONG';
      return {
        symbol: mark.symbol,
        x: at.x((mark.z1 + mark.z2) / 2),
        y: along ? below + 11 * row++ : at.y(Math.max(mark.r, 0)),
        from: along ? at.x(mark.z1) : null,
        to: along ? at.x(mark.z2) : null,
        drawn: true
      };
    });
    const others = wanted
      .filter((symbol) => !drawn.some((target) => target.symbol === symbol))
      .map((symbol, index) => ({
        symbol,
        x: 112 + 58 * index,
        y: HEIGHT - 12,
        from: null,
        to: null,
        drawn: false
      }));
    return [...drawn, ...others];
  });

  $effect(() => ontarget(targets));

  /** Lines beside one another do not run in one another. */
  const lane = (position: number) => 14 + (position % 5) * 10;

  const leaders = $derived(
    columns.flatMap((column, position) => {
      const from = starts[position];
      if (from === undefined || position === pulled) return [];
      return symbolsOf(column).flatMap((symbol, piece) => {
        const target = targets.find((one) => one.symbol === symbol);
        return target
          ? [{ key: `${position} ${symbol}`, position, piece, from, target, symbol }]
          : [];
      });
    })
  );
</script>

<div bind:clientWidth={width} class="relative border-b border-hairline bg-sheet">
  <svg
    {width}
    height={HEIGHT}
    role="img"
    aria-label="The first tool, with a line from each column to its dimension"
  >
    {#if outline}
      <Parts {outline} {at} />
      <CentreLine from={at.x(0) - 14} to={at.x(outline.length) + 14} y={at.y(0)} />
      <text x="20" y={at.y(0) + 4} font-size="13" fill="var(--ink)" class="code"
        >{line?.code.slice(0, 9)}</text
      >
    {:else}
      <text x="20" y={HEIGHT / 2} font-size="14" fill="var(--soft)">
        {line
          ? 'Nothing can be drawn yet: say which columns are the class, the diameter and the lengths.'
          : 'No tool is read yet.'}
      </text>
    {/if}
    {#each targets.filter((target) => !target.drawn) as target (target.symbol)}
      <text x={target.x} y={target.y + 4} font-size="12" fill="var(--soft)" class="code"
        >{target.symbol}</text
      >
    {/each}
    {#each targets.filter((target) => target.from !== null) as target (target.symbol)}
      <path
        d="M{target.from} {target.y - 3}v6M{target.to} {target.y -
          3}v6M{target.from} {target.y}H{target.to}"
        stroke="var(--soft)"
        stroke-width="0.7"
        fill="none"
      />
    {/each}
    {#each leaders as { key, position, piece, from, target, symbol } (key)}
      <polyline
        points="{from},0 {from},{lane(position + piece)} {target.x},{lane(
          position + piece
        )} {target.x},{target.y}"
        fill="none"
        stroke="var(--working)"
        stroke-width="1"
      />
      <circle cx={target.x} cy={target.y} r="3" fill="var(--working)" />
      <text
        x={target.x + 5}
        y={target.drawn ? target.y - 4 : target.y - 9}
        font-size="12"
        fill="var(--working)"
        class="code">{symbol}</text
      >
    {/each}
    {#if pulled !== null && finger}
      {#each targets as target (target.symbol)}
        <circle
          cx={target.x}
          cy={target.y}
          r="9"
          fill="var(--working-faint)"
          stroke="var(--working)"
        />
        <text x={target.x + 11} y={target.y + 4} font-size="12" fill="var(--ink)" class="code"
          >{target.symbol}</text
        >
      {/each}
      <line
        x1={starts[pulled]}
        y1="0"
        x2={finger.x}
        y2={finger.y}
        stroke="var(--working)"
        stroke-width="1.5"
      />
    {/if}
  </svg>
</div>
