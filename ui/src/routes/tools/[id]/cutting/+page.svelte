<script lang="ts">
  import { page } from '$app/state';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, ask, type Computed, type CuttingLine } from '$lib/api/client';
  import WindowPlot from '$lib/cutting/WindowPlot.svelte';
  import Lines from '$lib/cutting/Lines.svelte';
  import OwnMaterials from '$lib/cutting/OwnMaterials.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { done, failed } from '$lib/shell/say';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import Trouble from '$lib/shell/Trouble.svelte';

  const id = Number(page.params.id);
  const client = useQueryClient();
  const sheet = createQuery(() => ({
    queryKey: ['tool', id],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}', { params: { path: { id } } }))
  }));
  const lines = createQuery(() => ({
    queryKey: ['tool', id, 'cutting'],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}/cutting', { params: { path: { id } } }))
  }));
  const materials = createQuery(() => ({
    queryKey: ['materials'],
    queryFn: () => ask(api.GET('/api/v1/materials')),
    staleTime: Infinity
  }));
  const machines = createQuery(() => ({
    queryKey: ['machines'],
    queryFn: () => ask(api.GET('/api/v1/machines'))
  }));
  const stacks = createQuery(() => ({
    queryKey: ['tool', id, 'stacks'],
    queryFn: () => ask(api.GET('/api/v1/tools/{id}/stacks', { params: { path: { id } } }))
  }));
  const may = $derived(who.may('EDIT'));
  let drills = $state(false);
  let unusual = $state<string[]>([]);

  let material = $state('p-alloy-annealed');
  let machine = $state('');
  let purpose = $state('rough');
  let speed = $state(150);
  let feed = $state(0.05);
  let depth = $state(0);
  let width = $state(0);
  let bend = $state(100);
  let computed = $state<Computed | null>(null);
  let problem = $state('');
  let adding = $state(false);
  let asked = 0;
  const compliance = $derived(stacks.data?.items[0]?.answer.shape.deflection ?? 0);

  let started = false;
  $effect(() => {
    if (!started && sheet.data) {
      started = true;
      void begin(true);
    }
  });

  /** Asks where to begin with the tool in the material; depth and width only the first time. */
  async function begin(all: boolean) {
    try {
      const start = await ask(
        api.GET('/api/v1/tools/{id}/cutting/start', {
          params: { path: { id }, query: { material } }
        })
      );
      speed = start.speed;
      feed = start.feed;
      drills = start.drills;
      unusual = start.findings.map((each) => each.message);
      if (all) {
        depth = start.depth;
        width = start.width;
      }
    } catch (error) {
      failed(error);
    }
  }

  $effect(() => {
    const body = {
      material,
      speed,
      feed,
      depth,
      width,
      machine: machine || undefined,
      compliance: compliance || undefined,
      bend: compliance ? bend : undefined
    };
    const mine = ++asked;
    const timer = setTimeout(() => void compute(body, mine), 80);
    return () => clearTimeout(timer);
  });

  async function compute(
    body: { material: string; speed: number; feed: number; depth: number; width: number },
    mine: number
  ) {
    try {
      const answer = await ask(
        api.POST('/api/v1/tools/{id}/cutting/compute', { params: { path: { id } }, body })
      );
      if (mine === asked) {
        computed = answer;
        problem = '';
      }
    } catch (error) {
      if (mine === asked) problem = (error as Error).message;
    }
  }

  async function act(what: () => Promise<unknown>, said: string) {
    try {
      await what();
      done(said);
      await client.invalidateQueries({ queryKey: ['tool', id, 'cutting'] });
    } catch (error) {
      failed(error);
    }
  }

  function keep(origin: string) {
    const cut = computed?.cut;
    if (!cut) return;
    void act(
      () =>
        ask(
          api.POST('/api/v1/tools/{id}/cutting', {
            params: { path: { id } },
            body: {
              material: origin === 'fixed' ? '' : material,
              purpose,
              speed: Math.round(cut.speed * 1000) / 1000,
              feed: Math.round(cut.feed * 100000) / 100000,
              depth,
              width,
              coolant: '',
              origin
            }
          })
        ),
      'Kept the cutting data'
    );
  }

  function prove(line: CuttingLine) {
    void act(
      () =>
        ask(
          api.PUT('/api/v1/cutting/{id}/proven', {
            params: { path: { id: line.id } },
            body: {
              machine: machine || (machines.data?.items[0]?.id ?? ''),
              speed: line.speed,
              feed: line.feed
            }
          })
        ),
      `Proven on ${machine || machines.data?.items[0]?.name}`
    );
  }

  function remove(line: CuttingLine) {
    void act(
      () => ask(api.DELETE('/api/v1/cutting/{id}', { params: { path: { id: line.id } } })),
      'Took the line out'
    );
  }

  function open(line: CuttingLine) {
    material = line.material || material;
    purpose = line.purpose;
    speed = line.speed;
    feed = line.feed;
    depth = line.depth;
    width = line.width;
  }

  function named(materialId: string): string {
    return (
      materials.data?.items.find((each) => each.id === materialId)?.name ??
      (materialId === '' ? 'any material' : materialId)
    );
  }

  function number(value: number, decimals: number): string {
    return value.toLocaleString('en', {
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals
    });
  }
</script>

{#snippet size(
  key: string,
  title: string,
  unit: string,
  get: () => number,
  set: (next: number) => void
)}
  <label class="text-soft" for={key}>{title}</label>
  <span class="flex items-center gap-2">
    <input id={key} class="field w-24 text-right" type="number" step="any" bind:value={get, set} />
    <span class="text-soft">{unit}</span>
  </span>
{/snippet}

<svelte:head><title>Cutting data of {sheet.data?.code ?? 'a tool'} · Arbor Line</title></svelte:head
>

{#if sheet.error}
  <Trouble error={sheet.error} retry={() => void sheet.refetch()} />
{:else if sheet.data}
  <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3">
    <h1>
      Cutting data of <a class="code hover:text-working" href="/tools/{id}">{sheet.data.code}</a>
    </h1>
    <span class="text-soft">{sheet.data.name}</span>
  </header>
  <div class="min-h-0 flex-1 overflow-auto pb-8">
    <Lines
      lines={lines.data?.items ?? []}
      elsewhere={lines.data?.elsewhere ?? []}
      {drills}
      {named}
      {may}
      onopen={open}
      onprove={prove}
      onremove={remove}
    />
    <div class="mt-4 grid grid-cols-[300px_250px_minmax(0,1fr)] gap-8 px-5">
      <section aria-label="A cut">
        <h2>A cut</h2>
        <div class="mt-2 grid grid-cols-[120px_1fr] items-center gap-x-3 gap-y-1.5">
          <span class="text-soft">Material</span>
          <Choice
            label="Material"
            bind:value={
              () => material,
              (next) => {
                material = next;
                void begin(false);
              }
            }
            options={(materials.data?.items ?? []).map((each) => ({
              value: each.id,
              label: `${each.group}  ${each.name}`
            }))}
          />
          <span class="text-soft">Machine</span>
          <Choice
            label="Machine"
            bind:value={machine}
            options={[
              { value: '', label: 'no limits' },
              ...(machines.data?.items ?? []).map((each) => ({ value: each.id, label: each.name }))
            ]}
          />
          <label class="text-soft" for="purpose">Purpose</label>
          <input id="purpose" class="field" maxlength="60" bind:value={purpose} />
          {@render size(
            'vc',
            'Speed vc',
            'm/min',
            () => speed,
            (next) => (speed = next)
          )}
          {@render size(
            'fz',
            `Feed ${drills ? 'fn' : 'fz'}`,
            'mm',
            () => feed,
            (next) => (feed = next)
          )}
          {#if !drills}
            {@render size(
              'ap',
              'Depth ap',
              'mm',
              () => depth,
              (next) => (depth = next)
            )}
            {@render size(
              'ae',
              'Width ae',
              'mm',
              () => width,
              (next) => (width = next)
            )}
            {#if compliance}
              {@render size(
                'bend',
                'Bending allowed',
                'µm',
                () => bend,
                (next) => (bend = next)
              )}
            {/if}
          {/if}
        </div>
        {#each unusual as message (message)}
          <p class="mt-2 text-query">{capital(message)}</p>
        {/each}
        {#if may}
          <div class="mt-3 flex flex-wrap gap-2">
            <button
              class="button main"
              disabled={!computed?.cut}
              onclick={() => keep('calculated')}
            >
              Keep
            </button>
            <button class="button" disabled={!computed?.cut} onclick={() => keep('fixed')}>
              Keep for any material
            </button>
            <button class="button" onclick={() => (adding = true)}>Own materials</button>
          </div>
        {/if}
      </section>
      <section aria-label="What follows">
        <h2>What follows</h2>
        {#if problem}
          <p role="alert" class="mt-2 text-hold">{capital(problem)}</p>
        {:else if computed}
          {#if computed.cut}
            {@const cut = computed.cut}
            <dl class="mt-2 grid grid-cols-[1fr_auto_62px] gap-x-2 gap-y-0.5">
              {#each [['Rotation n', number(cut.rotation, 0), '1/min'], ['Feed rate vf', number(cut.feedRate, 0), 'mm/min'], ['Speed reached', number(cut.speed, 1), 'm/min'], [drills ? 'Feed fn' : 'Feed fz', number(cut.feed, 4), 'mm'], ['Chip thickness', number(cut.chip, 4), 'mm'], ['Removal Q', number(cut.removal, 1), 'cm³/min'], ['Power', number(cut.power, 2), 'kW'], ['Torque', number(cut.torque, 1), 'N·m'], ...(cut.bend > 0 ? [['Bending', number(cut.bend, 1), 'µm']] : [])] as [title, value, unit] (title)}
                <dt class="text-soft">{title}</dt>
                <dd class="text-right">{value}</dd>
                <dd class="text-soft">{unit}</dd>
              {/each}
            </dl>
          {/if}
          <ul class="mt-2" aria-live="polite">
            {#each computed.findings as finding (finding.code)}
              <li class="flex gap-2 py-1">
                <Mark kind={finding.severity.toLowerCase() as 'hold'} word="" />
                <span>{capital(finding.message)}</span>
              </li>
            {/each}
          </ul>
        {/if}
      </section>
      <section aria-label="Usable window">
        <h2>Usable window</h2>
        {#if computed?.window && computed.cut}
          <WindowPlot
            window={computed.window}
            speed={computed.cut.speed}
            feed={computed.cut.feed}
          />
        {/if}
      </section>
    </div>
  </div>
  <OwnMaterials
    bind:open={adding}
    materials={materials.data?.items ?? []}
    onadd={(added) => {
      material = added;
      void begin(false);
    }}
  />
{:else}
  <p class="px-5 py-6 text-soft">Opening …</p>
{/if}
