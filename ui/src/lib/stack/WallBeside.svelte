<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import type { StackBuilder } from './builder.svelte';

  let { builder, may }: { builder: StackBuilder; may: boolean } = $props();

  const clearance = $derived(builder.answer?.clearance);
  const turned = $derived(Boolean(builder.answer?.shape.turned));
  const fields = $derived(
    builder.beside === 'wall'
      ? [
          { key: 'height' as const, label: 'Height above the tip' },
          { key: 'distance' as const, label: 'Distance from the axis' }
        ]
      : [
          { key: 'depth' as const, label: 'Depth of the pocket' },
          { key: 'corner' as const, label: 'Radius of its corners' }
        ]
  );

  function give(key: (typeof fields)[number]['key'], mm: number | null) {
    if (key === 'corner') builder.corner = mm;
    else builder[key] = mm ?? 0;
    void builder.check();
  }
</script>

<div class="mt-4 flex items-center gap-2">
  <h2 id="beside">Clearance</h2>
  <Choice
    label="Clearance"
    options={[
      { value: 'wall', label: 'to a wall' },
      { value: 'pocket', label: 'to the walls of a pocket it cuts' }
    ]}
    bind:value={
      () => builder.beside,
      (chosen) => {
        builder.beside = chosen === 'pocket' ? 'pocket' : 'wall';
        void builder.check();
      }
    }
  />
</div>
<div class="mt-1 grid grid-cols-[170px_84px_30px] items-center gap-x-2 gap-y-1">
  {#each fields as field (field.key)}
    <label class="text-soft" for="beside-{field.key}">{field.label}</label>
    <NumberField
      id="beside-{field.key}"
      label={field.label}
      unit="mm"
      class="h-6! w-full"
      optional
      positive
      value={field.key === 'corner' ? builder.corner : builder[field.key] || null}
      onvalue={(mm) => give(field.key, mm)}
    />
    <span class="text-soft">{units.label('mm')}</span>
  {/each}
</div>
<p role="status" class="mt-2">
  {#if clearance}
    <span class="flex gap-2">
      <Mark kind={clearance.clear ? 'pass' : 'hold'} word="" />
      <span class={clearance.clear ? 'text-working' : 'text-hold'}
        >{capital(clearance.sentence)}</span
      >
    </span>
    {#if !clearance.clear && clearance.shortest && may}
      {@const needed = Math.ceil(clearance.shortest)}
      <button class="button mt-1" onclick={() => builder.setOverhang(needed)}>
        Set overhang to {units.show(needed, 'mm', 0)}
        {units.label('mm')}
      </button>
    {/if}
  {:else if turned}
    <span class="text-soft">Beside a turned axis no wall is judged.</span>
  {:else if builder.beside === 'wall'}
    <span class="text-soft">Give height and distance to see whether the holder clears.</span>
  {:else}
    <span class="text-soft">
      Give its depth to see whether shank and holder go in; with the corners, also whether the
      cutter does.
    </span>
  {/if}
</p>
