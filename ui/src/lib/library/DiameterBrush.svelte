<script lang="ts">
  import type { Facets } from '$lib/api/client';
  import { settings } from '$lib/shell/settings.svelte';

  let { bars, range = $bindable() }: { bars: Facets['diameters']; range: [number, number] | null } =
    $props();

  const WIDTH = 300;
  const HEIGHT = 34;
  const top = $derived(Math.max(1, ...bars.map((bar) => Math.sqrt(bar.count))));
  const step = $derived(WIDTH / Math.max(1, bars.length));
  let from = $state<number | null>(null);

  function index(event: PointerEvent): number {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    return Math.min(bars.length - 1, Math.max(0, Math.floor((event.clientX - box.left) / step)));
  }

  function span(one: number, other: number) {
    const [low, high] = one <= other ? [one, other] : [other, one];
    range = [bars[low].from, bars[high].to];
  }

  function inside(bar: Facets['diameters'][number]): boolean {
    return !range || (bar.from >= range[0] && bar.to <= range[1]);
  }

  function shown(mm: number): string {
    return settings.unit === 'mm' ? String(mm) : (mm / 25.4).toFixed(2);
  }

  function typed(end: 0 | 1, text: string) {
    const value = Number(text.replace(',', '.')) * (settings.unit === 'mm' ? 1 : 25.4);
    if (text.trim() === '' || !Number.isFinite(value)) {
      range = null;
      return;
    }
    range = end === 0 ? [value, range?.[1] ?? 1000] : [range?.[0] ?? 0, value];
  }
</script>

<div class="flex shrink-0 items-end gap-2">
  <div>
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label="Diameters of the tools listed; drag over the bars to narrow"
      class="block cursor-crosshair touch-none"
      onpointerdown={(e) => {
        from = index(e);
        e.currentTarget.setPointerCapture(e.pointerId);
        span(from, from);
      }}
      onpointermove={(e) => from !== null && span(from, index(e))}
      onpointerup={() => (from = null)}
    >
      {#each bars as bar, i (i)}
        {@const height = bar.count ? Math.max(2, (Math.sqrt(bar.count) / top) * (HEIGHT - 2)) : 0}
        <rect
          x={i * step + 0.5}
          y={HEIGHT - height}
          width={step - 1}
          {height}
          fill={inside(bar) ? 'var(--working)' : 'var(--hairline)'}
        />
        <title>Ø {bar.from} to {bar.to} mm: {bar.count}</title>
      {/each}
      <line x1="0" x2={WIDTH} y1={HEIGHT - 0.5} y2={HEIGHT - 0.5} stroke="var(--steel-dark)" />
    </svg>
  </div>
  <label class="text-[13px] text-soft">
    <span class="block leading-4">Ø from</span>
    <input
      class="field h-6! w-16"
      value={range ? shown(range[0]) : ''}
      onchange={(e) => typed(0, e.currentTarget.value)}
    />
  </label>
  <label class="text-[13px] text-soft">
    <span class="block leading-4">to ({settings.unit})</span>
    <input
      class="field h-6! w-16"
      value={range ? shown(range[1]) : ''}
      onchange={(e) => typed(1, e.currentTarget.value)}
    />
  </label>
</div>
