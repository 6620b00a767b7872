<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { mountedQuery } from '$lib/turning/queries';
  import { saveSvg } from '$lib/drawing/save';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import Front from './Front.svelte';
  import MountedPlan from './MountedPlan.svelte';

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
  const feeds: Record<string, string> = {
    toward_chuck: 'towards the chuck',
    away_from_chuck: 'away from the chuck',
    toward_axis: 'towards the axis',
    away_from_axis: 'away from the axis',
    either: 'both ways'
  };
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
  {:else if mounted.data?.view}
    {@const orientation = mounted.data.orientation}
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <figure class="flex w-full max-w-[500px] flex-col items-start gap-2">
        <MountedPlan shown={mounted.data.view} sub={spindle === 'sub'} bind:svg={plan} />
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
