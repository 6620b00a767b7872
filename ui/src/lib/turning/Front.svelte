<script lang="ts">
  import type { components } from '$lib/api/schema';
  import { saveSvg } from '$lib/drawing/save';

  let { front, spindle }: { front: components['schemas']['MountedFront']; spindle: string } =
    $props();

  const size = 240;
  let drawing = $state<SVGSVGElement>();
  const reach = $derived(
    Math.max(
      ...front.work,
      ...front.tool.flatMap((part) => part.profile.flatMap((p) => [Math.abs(p.z), Math.abs(p.r)]))
    ) * 1.12
  );
  const scale = $derived(size / 2 / reach);
  /** The arrow runs in the quarter above the axis, inside the smallest work. */
  const turn = $derived(Math.min(...front.work) * scale * 0.72);
  const side = $derived(front.clockwise ? 1 : -1);

  function path(points: { z: number; r: number }[]): string {
    return `M${points
      .map((p) => `${(size / 2 + p.z * scale).toFixed(2)} ${(size / 2 - p.r * scale).toFixed(2)}`)
      .join('L')}Z`;
  }
</script>

<figure class="flex flex-col items-start gap-2">
  <svg
    bind:this={drawing}
    width={size}
    height={size}
    class="bg-sheet"
    role="img"
    aria-label="The tool seen from the front of the turret along the spindle; the operator stands on the left, the work turns {front.clockwise
      ? 'clockwise'
      : 'anticlockwise'}"
  >
    {#each [...front.work].sort((a, b) => b - a) as radius, index (index)}
      <circle
        cx={size / 2}
        cy={size / 2}
        r={radius * scale}
        fill={index === 0 ? 'var(--hairline)' : 'var(--sheet)'}
      />
    {/each}
    <line
      x1="0"
      x2={size}
      y1={size / 2}
      y2={size / 2}
      stroke="var(--soft)"
      stroke-dasharray="18 4 4 4"
    />
    {#each front.tool as part, index (index)}
      <path
        d={path(part.profile)}
        fill={part.kind === 'CUTTING' ? 'var(--edge)' : 'var(--steel)'}
        stroke="var(--ink)"
        stroke-width="0.8"
      />
    {/each}
    <g stroke="var(--working)" fill="none" stroke-width="1.5">
      <path
        d="M{size / 2 - side * turn * 0.87} {size / 2 -
          turn * 0.5}A{turn} {turn} 0 0 {front.clockwise ? 1 : 0} {size / 2 +
          side * turn * 0.87} {size / 2 - turn * 0.5}"
      />
      <path
        d="M{size / 2 + side * (turn * 0.87 - 9)} {size / 2 - turn * 0.5 - 5}L{size / 2 +
          side * turn * 0.87} {size / 2 - turn * 0.5}L{size / 2 + side * (turn * 0.87 + 1)} {size /
          2 -
          turn * 0.5 -
          11}"
      />
    </g>
    <text
      x={size / 2}
      y={size / 2 - turn * 0.5}
      text-anchor="middle"
      font-size="12"
      fill="var(--working)">{spindle}</text
    >
    <text x="6" y={size - 8} font-size="12" fill="var(--soft)">operator</text>
  </svg>
  <button class="button quiet" onclick={() => drawing && saveSvg(drawing, 'front.svg')}
    >Save front view</button
  >
</figure>
