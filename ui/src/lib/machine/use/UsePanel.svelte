<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import type { Machine, UseOrder, UseView } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { entries } from '$lib/quantity/entries';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital } from '$lib/shell/text';
  import Front from '$lib/turning/Front.svelte';
  import MountedPlan from '$lib/turning/MountedPlan.svelte';
  import { chooseUse, resetUse } from '../actions';
  import { useLookQuery, useQuery } from '../queries';
  import UseFields from './UseFields.svelte';
  import { useInWords } from './words';

  let { machine, place, may }: { machine: Machine; place: string; may: boolean } = $props();

  const kept = createQuery(() => useQuery(machine.id, place));
  /** What is to be otherwise. */
  let order = $state.raw<UseOrder>({});
  let open = $state(false);
  const key = $derived(`${machine.id} ${place}`);
  $effect(() => {
    void key;
    order = {};
    open = false;
  });
  const settled = new Debounced(() => order, 200);
  const changed = $derived(Object.keys(order).length > 0);
  const looked = createQuery(() => ({
    ...useLookQuery(machine.id, place, settled.current),
    enabled: changed
  }));
  const shown = $derived<UseView | undefined>((changed && looked.data) || kept.data);
  const holds = $derived(
    (shown?.reading.findings ?? []).filter(({ severity }) => severity === 'HOLD')
  );
  const sub = $derived(
    machine.spindles
      .filter(({ carries }) => carries === 'WORK')
      .findIndex(({ name }) => name === shown?.use.spindle) > 0
  );

  async function save() {
    if (!(await entries.sound())) return;
    if (await chooseUse(machine.id, place, order)) order = {};
  }

  async function reset() {
    if (await resetUse(machine.id, place)) order = {};
  }
</script>

<section class="mt-4 border-t border-hairline pt-2" aria-label="How it is used">
  <div class="flex flex-wrap items-baseline gap-2">
    <h2>Use</h2>
    {#if shown}
      <span class="text-soft">{useInWords(shown)}{shown.usual ? ', as usual' : ''}</span>
    {/if}
    <button
      type="button"
      class="button quiet ml-auto"
      aria-expanded={open}
      onclick={() => (open = !open)}>{open ? 'Less' : 'More'}</button
    >
  </div>
  <NotLoaded query={kept} />
  {#if shown}
    {@const { reading } = shown}
    {#if shown.turnsWork}
      <dl class="flex flex-wrap gap-x-5 gap-y-1">
        <div class="flex gap-2">
          <dt class="text-soft">Tip orientation</dt>
          <dd class="font-semibold">{reading.orientation ?? 'none'}</dd>
        </div>
        <div class="flex gap-2">
          <dt class="text-soft">{shown.use.driven ? 'Drive' : 'Spindle'}</dt>
          <dd class="font-semibold">{reading.sense ?? 'stands still'}</dd>
        </div>
        {#if reading.clearances}
          <div class="flex gap-2">
            <dt class="text-soft">End clearance</dt>
            <dd>{reading.clearances.end}°</dd>
          </div>
          <div class="flex gap-2">
            <dt class="text-soft">Undercuts</dt>
            <dd>{reading.clearances.undercut}°</dd>
          </div>
        {/if}
      </dl>
    {/if}
    {#each reading.findings as finding (finding.code + finding.message)}
      <p class={finding.severity === 'HOLD' ? 'text-hold' : 'text-soft'}>
        {#if finding.severity === 'HOLD'}<Mark kind="hold" word="" />{/if}
        {capital(finding.message)}
      </p>
    {/each}
    {#if open}
      {#if reading.view}
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <div class="min-w-60 max-w-[500px] flex-1">
            <MountedPlan shown={reading.view} {sub} />
          </div>
          {#if reading.front}<Front front={reading.front} spindle={reading.sense ?? ''} />{/if}
        </div>
      {/if}
      {#if may}
        <UseFields view={shown} {machine} bind:order />
        <div class="mt-3 flex gap-2">
          <button
            type="button"
            class="button main"
            disabled={!changed || holds.length > 0}
            onclick={() => void save()}>Use it so</button
          >
          {#if changed}
            <button type="button" class="button" onclick={() => (order = {})}>Leave it</button>
          {:else if !shown.usual}
            <button type="button" class="button" onclick={() => void reset()}>As usual</button>
          {/if}
        </div>
      {/if}
    {/if}
  {/if}
</section>
