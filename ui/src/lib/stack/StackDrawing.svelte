<script lang="ts">
  import type { Clearance, StackShape } from '$lib/api/client';
  import CentreLine from '$lib/drawing/CentreLine.svelte';
  import { path, view } from '$lib/drawing/geometry';
  import { units } from '$lib/quantity/units.svelte';

  let {
    shape,
    wall,
    pocket = false,
    clearance,
    onoverhang,
    onpart
  }: {
    shape: StackShape;
    wall?: { height: number; distance: number } | null;
    /** Whether the wall stands on both sides. */
    pocket?: boolean;
    clearance?: Clearance | null;
    /** Asked for while the cutter is dragged along its axis, in mm. */
    onoverhang?: (overhang: number) => void;
    onpart?: (code: string) => void;
  } = $props();

  let width = $state(1200);
  const HEIGHT = 300;
  const MARGIN = 60;
  const WALL = 26;
  const far = $derived(
    Math.max(shape.length, (shape.turned?.at ?? 0) + shape.widest * 0.35, 1) * 1.08
  );
  /** How far the taper reaches into the spindle, mm. */
  const inside = $derived(-(shape.behind[0]?.z ?? 0));
  const wide = $derived(Math.max(shape.widest, (wall?.distance ?? 0) * 2 + 12, 1));
  const scale = $derived(Math.min((width - 2 * MARGIN) / (far + inside), (HEIGHT - 60) / wide));
  const gauge = $derived(MARGIN + inside * scale);
  const axis = HEIGHT / 2;
  const at = $derived(view(gauge, axis, scale));
  const tip = $derived(at.x(shape.length));
  const crossing = $derived(at.x(shape.turned?.at ?? 0));
  /** From the crossing to a little beyond the tip, in pixels. */
  const turnedEnd = $derived(
    16 +
      scale *
        Math.max(
          ...shape.spans.filter((span) => span.turned).map((span) => span.profile.at(-1)?.z ?? 0),
          0
        )
  );
  const walls = $derived(
    wall
      ? [
          { height: wall.height, y: at.y(wall.distance) - WALL },
          ...(pocket ? [{ height: wall.height, y: 2 * axis - at.y(wall.distance) }] : [])
        ]
      : []
  );
  const dimensions = $derived([
    { from: 0, to: shape.length, y: HEIGHT - 18, text: `A ${size(shape.length)}` },
    ...(shape.turned
      ? []
      : [
          {
            from: shape.length - shape.overhang,
            to: shape.length,
            y: HEIGHT - 40,
            text: `overhang ${size(shape.overhang)}`
          }
        ])
  ]);
  let dragging = $state<{ x: number; overhang: number } | null>(null);

  function begin(event: PointerEvent) {
    if (!onoverhang || shape.turned) return;
    dragging = { x: event.clientX, overhang: shape.overhang };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent) {
    if (dragging) {
      const moved = (event.clientX - dragging.x) / scale;
      onoverhang?.(Math.round((dragging.overhang + moved) * 2) / 2);
    }
  }

  function size(mm: number): string {
    return units.entry(Math.round(mm * 100) / 100, 'mm');
  }
</script>

<section
  aria-label="Stack drawing"
  class="band overflow-hidden bg-sheet"
  bind:clientWidth={width}
  style:height="{HEIGHT}px"
>
  <svg
    {width}
    height={HEIGHT}
    role="img"
    aria-label="Stack of gauge length {size(shape.length)} {units.label('mm')} to scale"
  >
    {#if shape.behind.length}
      <path
        d={path({ kind: 'SHANK', profile: shape.behind, flat: false }, at)}
        fill="var(--steel)"
        stroke="var(--ink)"
        stroke-width="0.8"
        opacity="0.4"
      >
        <title>in the spindle, by the standard of its connection</title>
      </path>
    {/if}
    {#each shape.spans as span, index (index)}
      <g
        fill={span.cutter ? 'var(--edge)' : index % 2 ? 'var(--steel-dark)' : 'var(--steel)'}
        stroke={clearance?.touching === span.code ? 'var(--hold)' : 'var(--ink)'}
        stroke-width={clearance?.touching === span.code ? 2 : 0.8}
        transform={span.turned && shape.turned
          ? `translate(${shape.turned.at * scale} 0) rotate(${shape.turned.angle} ${gauge} ${axis})`
          : undefined}
        role="presentation"
        class={span.cutter && onoverhang && !shape.turned ? 'cursor-ew-resize' : ''}
        onpointerdown={span.cutter ? begin : () => onpart?.(span.code)}
        onpointermove={span.cutter ? move : undefined}
        onpointerup={() => (dragging = null)}
      >
        <title>{span.code}</title>
        {#each span.plan as part, number (number)}
          <path
            d={path(part, at)}
            fill={part.kind === 'CUTTING' ? 'var(--edge)' : 'var(--steel)'}
          />
        {:else}
          <path d={path({ kind: 'SHANK', profile: span.profile, flat: false }, at)} />
        {/each}
      </g>
    {/each}
    <CentreLine from={MARGIN - 20} to={shape.turned ? crossing : tip + 24} y={axis} />
    {#if shape.turned}
      <CentreLine
        from={crossing}
        to={crossing + turnedEnd}
        y={axis}
        transform="rotate({shape.turned.angle} {crossing} {axis})"
      />
    {/if}
    {#each walls as beside, index (index)}
      <rect
        x={at.x(shape.length - beside.height)}
        y={beside.y}
        width={beside.height * scale}
        height={WALL}
        fill="var(--working-faint)"
        fill-opacity="0.75"
        stroke="var(--working)"
      />
      <text
        x={tip - 6}
        y={beside.y + WALL / 2 + 4}
        text-anchor="end"
        font-size="12"
        fill="var(--soft)">wall</text
      >
    {/each}
    {#if clearance && !clearance.clear}
      {@const z = at.x(shape.length - clearance.at)}
      <line x1={z} x2={z} y1="12" y2={HEIGHT - 12} stroke="var(--hold)" stroke-dasharray="4 3" />
    {/if}
    <line
      x1={gauge}
      x2={gauge}
      y1="14"
      y2={HEIGHT - 14}
      stroke="var(--working)"
      stroke-width="1.5"
    />
    <text x={gauge + 6} y="24" font-size="12" fill="var(--working)">gauge line</text>
    {#each dimensions as dimension, index (index)}
      <g stroke="var(--soft)" stroke-width="0.8">
        <line x1={at.x(dimension.from)} x2={at.x(dimension.to)} y1={dimension.y} y2={dimension.y} />
        <line
          x1={at.x(dimension.from)}
          x2={at.x(dimension.from)}
          y1={dimension.y - 5}
          y2={dimension.y + 5}
        />
        <line
          x1={at.x(dimension.to)}
          x2={at.x(dimension.to)}
          y1={dimension.y - 5}
          y2={dimension.y + 5}
        />
      </g>
      <text
        x={(at.x(dimension.from) + at.x(dimension.to)) / 2}
        y={dimension.y - 4}
        text-anchor="middle"
        font-size="12"
        fill="var(--ink)"
        paint-order="stroke"
        stroke="var(--sheet)"
        stroke-width="4">{dimension.text}</text
      >
    {/each}
  </svg>
</section>
