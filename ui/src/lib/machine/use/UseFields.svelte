<script lang="ts">
  import type { Machine, UseOrder, UseView } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ChoiceField from '../definition/ChoiceField.svelte';
  import SizeField from '../definition/SizeField.svelte';
  import { offsetNumbers, pointing, setPoints, works } from './words';

  let {
    view,
    machine,
    order = $bindable()
  }: { view: UseView; machine: Machine; order: UseOrder } = $props();

  const OTHER = 'other';
  const id = $props.id();
  const use = $derived(view.use);
  const set = (part: UseOrder) => (order = { ...order, ...part });
  let typed = $state<string | null>(null);
  const wrong = $derived(typed !== null && offsetNumbers(typed) === undefined);
  let leaning = $state(false);
  const straight = $derived(use.angle === 0 || use.angle === 90);

  function offsets(text: string) {
    typed = text;
    const numbers = offsetNumbers(text);
    if (numbers) set({ offsets: numbers });
  }

  /** A limit that is taken away is named as none. */
  function limit(name: 'depth' | 'speed' | 'hood', value: number | null | undefined) {
    const none = (order.unlimited ?? []).filter((other) => other !== name);
    set({
      [name]: value ?? undefined,
      unlimited: value == null ? [...none, name] : none
    });
  }
</script>

<div class="mt-3 flex flex-wrap items-end gap-3">
  {#if view.turnsWork}
    <ChoiceField
      label="Tool"
      bind:value={
        () => (use.driven ? 'driven' : 'static'), (next) => set({ driven: next === 'driven' })
      }
      options={[
        { value: 'static', label: 'static' },
        { value: 'driven', label: 'driven' }
      ]}
    />
    <ChoiceField
      label="Pointing"
      bind:value={
        () => (leaning || !straight ? OTHER : String(use.angle)),
        (next) => {
          leaning = next === OTHER;
          if (!leaning) set({ angle: Number(next) });
        }
      }
      options={[
        { value: '0', label: pointing(0) },
        { value: '90', label: pointing(90) },
        { value: OTHER, label: 'at an angle' }
      ]}
    />
    {#if leaning || !straight}
      <SizeField
        label="Angle, °"
        unit="1"
        signed
        bind:value={() => use.angle, (next) => next != null && set({ angle: next })}
      />
    {/if}
    {#if view.spindles.length > 1}
      <ChoiceField
        label="Spindle"
        bind:value={() => use.spindle, (next) => set({ spindle: next })}
        options={view.spindles.map((name) => ({ value: name, label: name }))}
      />
    {/if}
    {#if !use.driven}
      <ChoiceField
        label="Works on"
        bind:value={() => use.work, (next) => set({ work: next })}
        options={works}
      />
      <ChoiceField
        label="Rake"
        bind:value={() => (use.rakeUp ? 'up' : 'down'), (next) => set({ rakeUp: next === 'up' })}
        options={[
          { value: 'up', label: 'up' },
          { value: 'down', label: 'down' }
        ]}
      />
    {/if}
  {/if}
  {#if view.setPoints.length > 1}
    <ChoiceField
      label="Set by"
      bind:value={() => use.setPoint, (next) => set({ setPoint: next })}
      options={view.setPoints.map((point) => ({ value: point, label: setPoints[point] }))}
    />
  {/if}
  <label class="flex flex-col gap-0.5" for={id}>
    <span class="text-[12px] text-soft">Offset numbers</span>
    <input
      {id}
      class="field w-28"
      value={typed ?? use.offsets.join(', ')}
      aria-invalid={wrong}
      oninput={(e) => offsets(e.currentTarget.value)}
      onblur={() => !wrong && (typed = null)}
    />
  </label>
  <SizeField
    label="Deepest"
    optional
    bind:value={() => use.depth, (next) => limit('depth', next)}
  />
  <SizeField
    label="Fastest, 1/min"
    unit="1/min"
    optional
    bind:value={() => use.speed, (next) => limit('speed', next)}
  />
  {#if use.driven}
    <ChoiceField
      label="Cuts"
      bind:value={
        () => (use.climb ? 'climb' : 'conventional'), (next) => set({ climb: next === 'climb' })
      }
      options={[
        { value: 'climb', label: 'climb' },
        { value: 'conventional', label: 'conventional' }
      ]}
    />
  {/if}
  {#if view.coolants.length > 0}
    <ChoiceField
      label="Coolant"
      bind:value={() => use.coolant, (next) => set({ coolant: next })}
      options={[
        { value: '', label: 'none' },
        ...view.coolants.map((kind) => ({ value: kind, label: kind }))
      ]}
    />
  {/if}
  {#if machine.outputs.hoodFrom != null}
    <SizeField
      label="Hood at"
      signed
      optional
      bind:value={() => use.hood, (next) => limit('hood', next)}
    />
  {/if}
  {#if machine.outputs.blower}
    <Checkbox label="Blower on" bind:checked={() => use.blower, (next) => set({ blower: next })} />
  {/if}
</div>
{#if wrong}
  <p class="text-hold" role="alert">Offset numbers: write numbers such as 7 or 7, 27.</p>
{/if}
