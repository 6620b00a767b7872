<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { watch } from 'runed';
  import { machinesQuery } from '$lib/machine/queries';
  import { materialsQuery } from '$lib/cutting/queries';
  import { defaultsQuery, machinePostsQuery } from '$lib/post/queries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import type { CutDraft, CutRequest } from './cut.svelte';

  let { cut }: { cut: CutDraft } = $props();

  const materials = createQuery(materialsQuery);
  const machines = createQuery(machinesQuery);
  const posts = createQuery(() => ({
    ...machinePostsQuery(cut.machine),
    enabled: cut.machine !== ''
  }));
  const offered = $derived(cut.machine === '' ? [] : (posts.data?.offered ?? []));
  const defaults = createQuery(() => ({
    ...defaultsQuery(cut.post, cut.machine),
    enabled: cut.post > 0 && cut.machine !== ''
  }));
  watch(
    () => [cut.machine, posts.data] as const,
    ([machine, known]) => {
      cut.post = machine === '' ? 0 : (known?.post ?? 0);
    }
  );
  watch(
    () => (cut.post > 0 ? defaults.data : undefined),
    (known) => cut.say(known?.items.find(({ key }) => key === 'coolant')?.value ?? '')
  );
  const sizes = {
    FEED_PER_TOOTH: 'feed',
    FEED_PER_REVOLUTION: 'feed',
    DEPTH: 'depth',
    WIDTH: 'width',
    WORK: 'work'
  } as const;
  const coolants = ['emulsion', 'through the tool', 'minimum quantity', 'air', 'dry'];
</script>

{#snippet size(
  title: string,
  unit: string,
  value: number | null,
  onvalue: (next: number | null) => void
)}
  <span class="text-soft">{title}</span>
  <span class="flex items-center gap-2">
    <NumberField label={title} {unit} {value} {onvalue} />
    <span class="text-soft">{units.label(unit)}</span>
  </span>
{/snippet}

<section aria-label="Cut">
  <h2>A cut</h2>
  <div class="mt-2 grid grid-cols-[110px_1fr] items-center gap-x-3 gap-y-1.5">
    <span class="text-soft">Material</span>
    <Choice
      label="Material"
      bind:value={
        () => cut.material,
        (next) => {
          cut.material = next;
          void cut.begin(false);
        }
      }
      options={(materials.data?.items ?? []).map((material) => ({
        value: material.id,
        label: `${material.group}  ${material.name}`
      }))}
    />
    <span class="text-soft">Machine</span>
    <Choice
      label="Machine"
      bind:value={
        () => cut.machine,
        (next) => {
          cut.machine = next;
          void cut.compute();
        }
      }
      options={[
        { value: '', label: 'no limits' },
        ...(machines.data?.items ?? []).map((machine) => ({
          value: machine.id,
          label: machine.name
        }))
      ]}
    />
    {#if offered.length > 0}
      <span class="text-soft">Post</span>
      <Choice
        label="Post"
        bind:value={() => String(cut.post), (next) => (cut.post = Number(next))}
        options={[
          { value: '0', label: 'no defaults' },
          ...offered.map(({ id, post }) => ({ value: String(id), label: post.name }))
        ]}
      />
    {/if}
    <label class="text-soft" for="purpose">Purpose</label>
    <input id="purpose" class="field" maxlength="60" bind:value={cut.purpose} />
    <label class="text-soft" for="coolant">Coolant</label>
    <input
      id="coolant"
      class="field"
      maxlength="60"
      list="coolants"
      placeholder="if it matters"
      bind:value={cut.coolant}
    />
    <datalist id="coolants">
      {#each coolants as coolant (coolant)}<option value={coolant}></option>{/each}
    </datalist>
    {@render size('Speed vc', 'm/min', cut.request.speed, (speed) =>
      cut.want({ speed: speed ?? 0 })
    )}
    {#each cut.inputs as { id, title } (id)}
      {#if id === 'CENTRED'}
        <span class="text-soft">Engaged</span>
        <Choice
          label="Engaged"
          bind:value={
            () => (cut.request.centred ? 'middle' : 'side'),
            (where) => cut.want({ centred: where === 'middle' })
          }
          options={[
            { value: 'side', label: 'at the side' },
            { value: 'middle', label: 'over the middle' }
          ]}
        />
      {:else}
        {@const key = sizes[id] as keyof CutRequest & ('feed' | 'depth' | 'width' | 'work')}
        {@render size(title, 'mm', cut.request[key], (next) => cut.want({ [key]: next ?? 0 }))}
      {/if}
    {/each}
    {#if cut.compliance > 0 && cut.asksFor('WIDTH')}
      {@render size('Bending allowed', 'um', cut.bend, (next) => {
        cut.bend = next ?? 0;
        void cut.compute();
      })}
    {/if}
  </div>
  {#each cut.findings as finding, index (index)}
    <p class={['mt-2', finding.severity === 'QUERY' ? 'text-query' : 'text-soft']}>
      {capital(finding.message)}
    </p>
  {/each}
</section>
