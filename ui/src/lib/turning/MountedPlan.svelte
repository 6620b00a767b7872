<script lang="ts">
  import type { components } from '$lib/api/schema';
  import type { Part } from '$lib/api/client';

  let {
    shown,
    sub,
    svg = $bindable()
  }: {
    shown: components['schemas']['MountedView'];
    /** True for work on the sub spindle, whose chuck is on the right. */
    sub: boolean;
    svg?: SVGSVGElement;
  } = $props();

  const width = 500;
  const height = 280;
  const fills: Record<Part['kind'], string> = {
    SHANK: 'var(--steel)',
    BODY: 'var(--steel)',
    NECK: 'var(--steel)',
    FLUTES: 'var(--steel-dark)',
    CUTTING: 'var(--edge)'
  };
  const view = $derived.by(() => {
    const work = shown.work.flat();
    if (work.length === 0) return null;
    const z = work.map((point) => point.z);
    const r = work.map((point) => point.r);
    const wide = Math.max(...z) - Math.min(...z);
    const high = (Math.max(...r) - Math.min(...r)) * 1.9;
    const scale = Math.min(width / wide, height / high);
    const low = r.reduce((sum, each) => sum + each, 0) / r.length < 0 ? 0.62 : 0.38;
    return {
      x: (at: number) => width / 2 + at * scale,
      y: (at: number) => height * (Math.abs(shown.axis) < 1e-6 ? 0.5 : low) + at * scale
    };
  });

  function path(points: { z: number; r: number }[]): string {
    const at = view!;
    return `M${points.map((p) => `${at.x(p.z).toFixed(2)} ${at.y(p.r).toFixed(2)}`).join('L')}Z`;
  }
</script>

{#if view}
  <svg
    bind:this={svg}
    viewBox="0 0 {width} {height}"
    class="w-full bg-sheet"
    role="img"
    aria-label="The tool at the work, seen from above; the operator stands below"
  >
    {#each shown.work as polygon, index (index)}
      <path d={path(polygon)} fill="var(--hairline)" stroke="none" />
    {/each}
    <line
      x1="0"
      x2={width}
      y1={view.y(shown.axis)}
      y2={view.y(shown.axis)}
      stroke="var(--soft)"
      stroke-dasharray="18 4 4 4"
    />
    {#each shown.tool as part, index (index)}
      <path d={path(part.profile)} fill={fills[part.kind]} stroke="var(--ink)" stroke-width="0.8" />
    {/each}
    <text x={width - 8} y={height - 8} text-anchor="end" font-size="12" fill="var(--soft)">
      operator
    </text>
    <text
      x={sub ? width - 8 : 8}
      y={view.y(shown.axis) - 6}
      text-anchor={sub ? 'end' : 'start'}
      font-size="12"
      fill="var(--soft)"
    >
      chuck
    </text>
  </svg>
{/if}
