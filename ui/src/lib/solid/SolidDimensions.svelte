<script lang="ts">
  import type { Line, Outline } from '$lib/api/client';
  import { correctLines } from '$lib/delivery/actions';
  import CellField from '$lib/delivery/CellField.svelte';
  import Parts from '$lib/drawing/Parts.svelte';
  import { besideEnd, type Layout } from '$lib/drawing/layout';
  import type { ContourPoint } from './contour';
  import { handleOf, sizeAt } from './dimension';

  let {
    delivery,
    line,
    outline,
    placed,
    corners,
    width,
    editable
  }: {
    delivery: number;
    line: Line;
    outline: Outline;
    placed: Layout;
    /** Of the solid's contour, as it stands in the drawing. */
    corners: ContourPoint[];
    width: number;
    editable: boolean;
  } = $props();

  const scale = $derived(placed.at.x(1) - placed.at.x(0));
  let dragged = $state<{ symbol: string; size: number; x: number; y: number } | null>(null);
  let svg = $state<SVGSVGElement>();

  const handles = $derived(
    placed.placed.flatMap((dimension) => {
      const handle = editable ? handleOf(dimension.mark, outline) : null;
      if (!handle) return [];
      const low = handle.along ? dimension.y : placed.at.y(handle.r);
      return [{ ...handle, mark: dimension.mark, x: placed.at.x(handle.z), y: low }];
    })
  );

  /** Their fields, out of the way of what is dragged. */
  const fields = $derived(
    placed.placed.map((dimension) => {
      const handle = handles.find(({ mark }) => mark === dimension.mark);
      return handle?.along ? besideEnd(dimension, handle.x) : dimension;
    })
  );

  function move(event: PointerEvent, mark: (typeof handles)[number]['mark']) {
    const { left, top } = svg!.getBoundingClientRect();
    const x = event.clientX - left;
    const y = event.clientY - top;
    const place = { z: (x - placed.at.x(0)) / scale, r: (placed.axis - y) / scale };
    dragged = { symbol: mark.symbol, size: sizeAt(mark, outline, place, corners, scale), x, y };
  }

  async function drop() {
    const last = dragged;
    if (!last) return;
    const inMillimetres = line.cells[last.symbol]?.unit === 'mm';
    const text = inMillimetres ? String(last.size) : `${last.size} mm`;
    await correctLines(delivery, [{ line: line.id, cells: { [last.symbol]: text } }]);
    dragged = null;
  }

  function tell(symbol: string): string {
    const severities = line.findings
      .filter((finding) => finding.properties.includes(symbol))
      .map((finding) => finding.severity);
    if (severities.includes('HOLD')) return 'var(--hold)';
    if (severities.includes('QUERY')) return 'var(--query)';
    return dragged?.symbol === symbol ? 'var(--working)' : 'var(--soft)';
  }
</script>

<div class="pointer-events-none absolute inset-0" role="group" aria-label="Dimensions">
  <svg bind:this={svg} {width} height={placed.height} class="absolute left-0 top-0">
    <g opacity="0.25"><Parts {outline} at={placed.at} /></g>
    {#each placed.placed as dimension (dimension.mark.symbol)}
      {#each dimension.lines as [x1, y1, x2, y2], index (index)}
        <line {x1} {y1} {x2} {y2} stroke={tell(dimension.mark.symbol)} stroke-width="0.9" />
      {/each}
    {/each}
    {#each handles as handle (handle.mark.symbol)}
      <rect
        x={handle.x - 7}
        y={handle.y - 7}
        width="14"
        height="14"
        fill="transparent"
        class={[
          'pointer-events-auto touch-none',
          handle.along ? 'cursor-ew-resize' : 'cursor-ns-resize'
        ]}
        role="presentation"
        data-handle={handle.mark.symbol}
        onpointerdown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onpointermove={(event) => event.buttons === 1 && move(event, handle.mark)}
        onpointerup={() => void drop()}
        onpointercancel={() => (dragged = null)}
      >
        <title>Drag {handle.mark.symbol}</title>
      </rect>
      <circle cx={handle.x} cy={handle.y} r="3.5" fill="var(--working)" />
    {/each}
    {#if dragged}
      {@const mark = handles.find((handle) => handle.mark.symbol === dragged?.symbol)}
      {#if mark?.along}
        <line
          x1={dragged.x}
          x2={dragged.x}
          y1="8"
          y2={placed.height - 8}
          stroke="var(--working)"
          stroke-dasharray="4 3"
        />
      {:else if mark}
        <line
          x1={placed.at.x(0) - 20}
          x2={placed.at.x(outline.length) + 20}
          y1={dragged.y}
          y2={dragged.y}
          stroke="var(--working)"
          stroke-dasharray="4 3"
        />
      {/if}
    {/if}
  </svg>
  {#each fields as { mark, x, y } (mark.symbol)}
    <div
      class="pointer-events-auto absolute flex h-6 -translate-x-1/2 -translate-y-1/2 items-center gap-1 bg-sheet px-0.5"
      style:left="{x}px"
      style:top="{y}px"
    >
      <span class="text-[12px]" style:color={tell(mark.symbol)}>{mark.symbol}</span>
      {#if dragged?.symbol === mark.symbol}
        <output class="w-[62px] text-right font-semibold text-working">{dragged.size}</output>
      {:else if editable}
        <CellField
          {delivery}
          {line}
          symbol={mark.symbol}
          label="{mark.symbol} on the drawing"
          compact
        />
      {:else}
        <span class="w-[62px] text-right">{line.cells[mark.symbol]?.text ?? ''}</span>
      {/if}
    </div>
  {/each}
</div>
