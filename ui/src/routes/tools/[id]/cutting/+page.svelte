<script lang="ts">
  import { page } from '$app/state';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { api, ask, type Computed, type CuttingLine } from '$lib/api/client';
  import WindowPlot from '$lib/cutting/WindowPlot.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { done, failed } from '$lib/shell/say';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';
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
  const diameter = $derived(
    Number(sheet.data?.answer.values.DC?.mm ?? sheet.data?.answer.values.DCX?.mm ?? 10)
  );
  const drills = $derived(/drill|sink|bore|reamer/.test(sheet.data?.classId ?? ''));

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
  let proving = $state<CuttingLine | null>(null);
  let asked = 0;
  const compliance = $derived(stacks.data?.items[0]?.answer.shape.deflection ?? 0);
  const chosen = $derived(materials.data?.items.find((each) => each.id === material));

  let started = false;
  $effect(() => {
    if (!started && sheet.data && materials.data) {
      started = true;
      depth = drills ? 0 : diameter;
      width = drills ? 0 : Math.round(diameter * 30) / 100;
      suggest();
    }
  });

  /** Usual values of the material for this diameter. */
  function suggest() {
    if (!chosen) return;
    const scale = Math.min(3, Math.max(0.1, diameter / 10)) * (drills ? 2 : 1);
    speed = Math.round((chosen.speedLow + chosen.speedHigh) / 2);
    feed = Math.round(((chosen.feedLow + chosen.feedHigh) / 2) * scale * 1000) / 1000;
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
    proving = null;
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
    <section aria-label="Lines" class="px-5">
      <table class="rows w-full">
        <thead>
          <tr>
            <th>Material</th>
            <th>Purpose</th>
            <th class="number">vc, m/min</th>
            <th class="number">{drills ? 'fn' : 'fz'}, mm</th>
            <th class="number">ap, mm</th>
            <th class="number">ae, mm</th>
            <th>Origin</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          {#each lines.data?.items ?? [] as line (line.id)}
            <tr
              class="hover:bg-faint"
              onkeydown={(event) => {
                if (event.key === 'p') proving = line;
                if (event.key === 'Escape') proving = null;
              }}
            >
              <td>
                <button class="hover:text-working" onclick={() => open(line)}>
                  {capital(named(line.material))}
                </button>
              </td>
              <td>{line.purpose}</td>
              {#if proving?.id === line.id}
                {@const proof = proving}
                <td class="number" colspan="5">
                  <form
                    class="flex items-center justify-end gap-2"
                    onsubmit={(event) => {
                      event.preventDefault();
                      prove(proof);
                    }}
                  >
                    <span class="text-soft">proved</span>
                    <input
                      class="field h-6! w-20 text-right"
                      type="number"
                      step="any"
                      aria-label="Proven speed"
                      bind:value={proof.speed}
                    />
                    <input
                      class="field h-6! w-24 text-right"
                      type="number"
                      step="any"
                      aria-label="Proven feed"
                      bind:value={proof.feed}
                    />
                    <button class="button main h-6!" {@attach (button) => button.focus()}>
                      Proven
                    </button>
                  </form>
                </td>
              {:else}
                <td class="number">{line.speed}</td>
                <td class="number">{line.feed}</td>
                <td class="number">{line.depth || ''}</td>
                <td class="number">{line.width || ''}</td>
                <td>
                  <span class={line.origin === 'proven' ? 'font-semibold text-working' : ''}>
                    {line.origin}
                  </span>
                  <span class="text-soft">
                    {#if line.origin === 'proven'}on {line.machine}, before {line.beforeSpeed} / {line.beforeFeed};{/if}
                    {line.by}, {moment(line.at)}
                  </span>
                </td>
              {/if}
              <td class="number">
                <button
                  class="button quiet h-6!"
                  title="Key p, then Enter"
                  onclick={() => (proving = { ...line })}>Proven …</button
                >
                {#if may}
                  <button
                    class="button quiet h-6!"
                    aria-label="Take out the line for {named(line.material)}"
                    onclick={() =>
                      act(
                        () =>
                          ask(
                            api.DELETE('/api/v1/cutting/{id}', {
                              params: { path: { id: line.id } }
                            })
                          ),
                        'Took the line out'
                      )}>Take out</button
                  >
                {/if}
              </td>
            </tr>
          {:else}
            <tr>
              <td colspan="8" class="text-soft"> No line yet: compute one below and keep it. </td>
            </tr>
          {/each}
          {#each lines.data?.elsewhere ?? [] as line (line.id)}
            <tr class="text-soft">
              <td>
                <button class="hover:text-working" onclick={() => open(line)}>
                  {capital(named(line.material))}
                </button>
              </td>
              <td>{line.purpose}</td>
              <td class="number">{line.speed}</td>
              <td class="number">{line.feed}</td>
              <td class="number">{line.depth || ''}</td>
              <td class="number">{line.width || ''}</td>
              <td colspan="2">proven on {line.machine} with another tool of the same geometry</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
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
                suggest();
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
          <label class="text-soft" for="vc">Speed vc</label>
          <span class="flex items-center gap-2"
            ><input
              id="vc"
              class="field w-24 text-right"
              type="number"
              step="any"
              bind:value={speed}
            />
            <span class="text-soft">m/min</span></span
          >
          <label class="text-soft" for="fz">Feed {drills ? 'fn' : 'fz'}</label>
          <span class="flex items-center gap-2"
            ><input
              id="fz"
              class="field w-24 text-right"
              type="number"
              step="any"
              bind:value={feed}
            />
            <span class="text-soft">mm</span></span
          >
          {#if !drills}
            <label class="text-soft" for="ap">Depth ap</label>
            <span class="flex items-center gap-2"
              ><input
                id="ap"
                class="field w-24 text-right"
                type="number"
                step="any"
                bind:value={depth}
              />
              <span class="text-soft">mm</span></span
            >
            <label class="text-soft" for="ae">Width ae</label>
            <span class="flex items-center gap-2"
              ><input
                id="ae"
                class="field w-24 text-right"
                type="number"
                step="any"
                bind:value={width}
              />
              <span class="text-soft">mm</span></span
            >
            {#if compliance}
              <label class="text-soft" for="bend">Bending allowed</label>
              <span class="flex items-center gap-2"
                ><input
                  id="bend"
                  class="field w-24 text-right"
                  type="number"
                  step="any"
                  bind:value={bend}
                />
                <span class="text-soft">µm</span></span
              >
            {/if}
          {/if}
        </div>
        {#if may}
          <div class="mt-3 flex gap-2">
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
{:else}
  <p class="px-5 py-6 text-soft">Opening …</p>
{/if}
