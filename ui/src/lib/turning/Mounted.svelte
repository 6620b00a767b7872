<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { mountedQuery } from '$lib/turning/queries';
  import { type Part } from '$lib/api/client';
  import { saveSvg } from '$lib/drawing/save';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import Front from './Front.svelte';

  let { toolId, version, hand }: { toolId: number; version: number; hand: string } = $props();

  type Work = 'external' | 'internal' | 'face' | 'center';
  let turret = $state<'rear' | 'front'>('rear');
  let spindle = $state<'main' | 'sub'>('main');
  let turned = $state<'up' | 'down' | null>(null);
  const rake = $derived(turned ?? (hand === 'L' ? 'up' : 'down'));
  let asked = $state<Work | null>(null);

  const mounted = createQuery(() =>
    mountedQuery(toolId, version, { turretSide: turret, spindle, rake, work: asked ?? undefined })
  );

  const chosen = $derived(asked ?? ((mounted.data?.work ?? 'external') as Work));
  let plan = $state<SVGSVGElement>();
  const width = 500;
  const height = 280;
  const fills: Record<Part['kind'], string> = {
    SHANK: 'var(--steel)',
    BODY: 'var(--steel)',
    NECK: 'var(--steel)',
    FLUTES: 'var(--steel-dark)',
    CUTTING: 'var(--edge)'
  };
  const feeds: Record<string, string> = {
    toward_chuck: 'towards the chuck',
    away_from_chuck: 'away from the chuck',
    toward_axis: 'towards the axis',
    away_from_axis: 'away from the axis',
    either: 'both ways'
  };
  const view = $derived.by(() => {
    const shown = mounted.data?.view;
    const work = shown?.work.flat() ?? [];
    if (!shown || work.length === 0) return null;
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

<section aria-label="Mounted" class="px-5 pt-4">
  <h2 class="pb-1">Mounted on the turret</h2>
  <div class="flex flex-wrap gap-2">
    <Choice
      label="Turret"
      bind:value={turret}
      options={[
        { value: 'rear', label: 'turret behind the axis' },
        { value: 'front', label: 'turret before the axis' }
      ]}
    />
    <Choice
      label="Spindle"
      bind:value={spindle}
      options={[
        { value: 'main', label: 'main spindle' },
        { value: 'sub', label: 'sub spindle' }
      ]}
    />
    <Choice
      label="Rake"
      bind:value={() => rake, (next) => (turned = next)}
      options={[
        { value: 'up', label: 'rake up' },
        { value: 'down', label: 'rake down' }
      ]}
    />
    <Choice
      label="Work"
      bind:value={() => chosen, (next) => (asked = next)}
      options={[
        { value: 'external', label: 'outside' },
        { value: 'internal', label: 'bore' },
        { value: 'face', label: 'face' },
        { value: 'center', label: 'on centre' }
      ]}
    />
  </div>
  <NotLoaded query={mounted} />
  {#if mounted.data && !mounted.data.orientation.valid}
    <p class="mt-2 text-hold">{mounted.data.orientation.findings[0]?.message}</p>
  {:else if mounted.data?.view && view}
    {@const orientation = mounted.data.orientation}
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <figure class="flex w-full max-w-[500px] flex-col items-start gap-2">
        <svg
          bind:this={plan}
          viewBox="0 0 {width} {height}"
          class="w-full bg-sheet"
          role="img"
          aria-label="The tool at the work, seen from above; the operator stands below"
        >
          {#each mounted.data.view.work as polygon, index (index)}
            <path d={path(polygon)} fill="var(--hairline)" stroke="none" />
          {/each}
          <line
            x1="0"
            x2={width}
            y1={view.y(mounted.data.view.axis)}
            y2={view.y(mounted.data.view.axis)}
            stroke="var(--soft)"
            stroke-dasharray="18 4 4 4"
          />
          {#each mounted.data.view.tool as part, index (index)}
            <path
              d={path(part.profile)}
              fill={fills[part.kind]}
              stroke="var(--ink)"
              stroke-width="0.8"
            />
          {/each}
          <text x={width - 8} y={height - 8} text-anchor="end" font-size="12" fill="var(--soft)">
            operator
          </text>
          <text
            x={spindle === 'main' ? 8 : width - 8}
            y={view.y(mounted.data.view.axis) - 6}
            text-anchor={spindle === 'main' ? 'start' : 'end'}
            font-size="12"
            fill="var(--soft)"
          >
            chuck
          </text>
        </svg>
        <button class="button quiet" onclick={() => plan && saveSvg(plan, 'mounted.svg')}
          >Save plan</button
        >
      </figure>
      {#if mounted.data.front}
        <Front front={mounted.data.front} spindle={orientation.spindle ?? ''} />
      {/if}
    </div>
    <dl class="mt-2 flex flex-wrap gap-x-6 gap-y-1">
      <div class="flex gap-2">
        <dt class="text-soft">Tip orientation</dt>
        <dd class="font-semibold">{orientation.code}</dd>
      </div>
      <div class="flex gap-2">
        <dt class="text-soft">Spindle</dt>
        <dd class="font-semibold">{orientation.spindle}</dd>
      </div>
      <div class="flex gap-2">
        <dt class="text-soft">Feed</dt>
        <dd>{feeds[orientation.feed ?? ''] ?? orientation.feed}</dd>
      </div>
      {#if mounted.data.clearances}
        <div class="flex gap-2">
          <dt class="text-soft">End clearance</dt>
          <dd>{mounted.data.clearances.end}°</dd>
        </div>
        <div class="flex gap-2">
          <dt class="text-soft">Plunges up to</dt>
          <dd>{mounted.data.clearances.plunge}°</dd>
        </div>
        <div class="flex gap-2">
          <dt class="text-soft">Undercuts</dt>
          <dd>{mounted.data.clearances.undercut}°</dd>
        </div>
      {/if}
    </dl>
    {#each orientation.findings as finding, index (index)}
      <p class="text-[13px] text-note">{finding.message}</p>
    {/each}
  {/if}
</section>
