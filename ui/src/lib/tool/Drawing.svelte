<script lang="ts">
  import type { Snippet } from 'svelte';
  import CentreLine from '$lib/drawing/CentreLine.svelte';
  import { layout } from '$lib/drawing/layout';
  import { saveSvg } from '$lib/drawing/save';
  import Parts from '$lib/drawing/Parts.svelte';
  import type { Draft } from './draft.svelte';
  import { Steady } from './steady';
  import ValueField from './ValueField.svelte';

  let {
    draft,
    readonly = false,
    machineSide
  }: {
    draft: Draft;
    readonly?: boolean;
    /** What stands at the end that points to the machine. */
    machineSide?: Snippet;
  } = $props();

  let width = $state(1200);
  const outline = $derived(draft.answer?.outline);
  const placed = $derived(outline ? layout(outline, width) : null);

  /**
   * The dimensions in the order of the form, later ones at the end: while somebody types they change
   * places on the drawing but never in the document, where a field that is moved would lose the focus.
   */
  const steady = new Steady();
  const dimensions = $derived.by(() => {
    const standing = placed?.placed ?? [];
    const form = (draft.answer?.fields ?? []).map((field) => field.symbol);
    const symbols = standing
      .map(({ mark }) => mark.symbol)
      .sort((a, b) => form.indexOf(a) - form.indexOf(b));
    return steady
      .order(draft.classId, symbols)
      .flatMap((symbol) => standing.find(({ mark }) => mark.symbol === symbol) ?? []);
  });

  let svg = $state<SVGSVGElement>();

  /** Saves the drawing with its dimensions as an SVG file. */
  function save() {
    const labels = (placed?.placed ?? []).map(({ x, y, mark }) => ({
      x,
      y,
      text: `${mark.symbol} ${draft.shown(mark.symbol)}`
    }));
    if (svg) saveSvg(svg, `${draft.code || 'drawing'}.svg`, labels);
  }

  function colour(symbol: string): string {
    // What is only missing still is told, not blamed.
    const found = draft.finding(symbol);
    const finding = found?.code.startsWith('missing.') ? undefined : found;
    if (finding?.severity === 'HOLD') return 'var(--hold)';
    if (finding?.severity === 'QUERY') return 'var(--query)';
    return draft.focus === symbol ? 'var(--working)' : 'var(--soft)';
  }
</script>

<section
  aria-label="Drawing"
  class="band relative overflow-hidden bg-sheet"
  bind:clientWidth={width}
  style:height="{(placed?.height ?? 180) + (machineSide ? 34 : 0)}px"
>
  {#if outline && placed}
    <svg bind:this={svg} {width} height={placed.height} class="absolute inset-0" aria-hidden="true">
      <g opacity={draft.answer?.sketch ? 0.4 : 1}><Parts {outline} at={placed.at} /></g>
      <CentreLine
        from={placed.at.x(0) - 14}
        to={placed.at.x(outline.length) + 14}
        y={placed.axis}
      />
      <line
        x1={placed.at.x(0)}
        x2={placed.at.x(0)}
        y1={placed.at.y(outline.diameter / 2) - 14}
        y2={placed.at.y(-outline.diameter / 2) + 14}
        stroke="var(--working)"
        stroke-width="1.5"
      />
      {#each placed.placed as dimension (dimension.mark.symbol)}
        {#each dimension.lines as [x1, y1, x2, y2], index (index)}
          <line
            {x1}
            {y1}
            {x2}
            {y2}
            stroke={colour(dimension.mark.symbol)}
            stroke-width={draft.focus === dimension.mark.symbol ? 1.6 : 0.8}
          />
        {/each}
      {/each}
    </svg>
    {#each dimensions as dimension (dimension.mark.symbol)}
      {@const symbol = dimension.mark.symbol}
      {@const field = draft.answer?.fields.find((field) => field.symbol === symbol)}
      <div
        class="absolute flex h-6 -translate-x-1/2 -translate-y-1/2 items-center gap-1 bg-sheet px-0.5"
        style:left="{dimension.x}px"
        style:top="{dimension.y}px"
      >
        <span class="text-[12px]" style:color={colour(symbol)}>{symbol}</span>
        <ValueField
          {draft}
          {symbol}
          {field}
          label="{field?.name ?? symbol} on the drawing"
          {readonly}
          compact
        />
      </div>
    {/each}
    {#if machineSide}
      <div class="absolute bottom-2 left-5">{@render machineSide()}</div>
    {/if}
    {#if draft.answer?.sketch}
      <p class="absolute left-5 top-2 text-[13px] text-soft">
        A sketch until a size is given: type into its dimensions.
      </p>
    {:else}
      <button class="button quiet absolute bottom-2 right-4" onclick={save}>Save drawing</button>
    {/if}
  {:else}
    <p class="px-5 py-6 text-soft">
      Give a class: the drawing follows from it and from the dimensions.
    </p>
  {/if}
</section>
