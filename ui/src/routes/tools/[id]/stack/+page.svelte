<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { sheetQuery } from '$lib/tool/queries';
  import { componentsQuery, seatsQuery, stacksQuery } from '$lib/stack/queries';
  import { deleteStack, saveStack, stackBack } from '$lib/stack/actions';
  import { machinesQuery } from '$lib/machine/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import { entries } from '$lib/quantity/entries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import Leaving from '$lib/shell/Leaving.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { saveSvg } from '$lib/drawing/save';
  import WallBeside from '$lib/stack/WallBeside.svelte';
  import { StackBuilder } from '$lib/stack/builder.svelte';
  import PartHistory from '$lib/stack/PartHistory.svelte';
  import StackDrawing from '$lib/stack/StackDrawing.svelte';

  const id = Number(page.params.id);
  const builder = new StackBuilder(id);
  const sheet = createQuery(() => sheetQuery(id));
  const kept = createQuery(() => stacksQuery(id));
  let sought = $state('');
  let others = $state(false);
  let solid = $state(false);
  let versions = $state(false);
  const may = $derived(who.may('EDIT') && !sheet.data?.closed);
  const sockets = createQuery(seatsQuery);
  const machines = createQuery(machinesQuery);
  const components = createQuery(componentsQuery);
  /** What the next part goes into, in the words of the trade. */
  const socket = $derived(
    components.data?.items.find((known) => known.component.workSide === builder.socket)
      ?.workSideName ?? builder.socket
  );
  /** Any spindle, then each socket with the machines that have it. */
  const seats = $derived([
    { value: '', label: 'any spindle' },
    ...[...new Set([...(sockets.data?.items ?? []).map((socket) => socket.code), builder.seat])]
      .filter((code) => code !== '')
      .map((code) => {
        const having = (machines.data?.items ?? []).filter((machine) => machine.seat === code);
        const names = having.map((machine) => machine.name).join(', ');
        const called = sockets.data?.items.find((socket) => socket.code === code)?.name ?? code;
        return { value: code, label: names ? `${called}  ${names}` : called };
      })
  ]);
  const found = $derived(
    builder.offers.filter((offer) =>
      `${offer.component.code} ${offer.component.name}`.toLowerCase().includes(sought.toLowerCase())
    )
  );
  const fitting = $derived(found.filter((offer) => offer.fits));
  const refused = $derived(found.filter((offer) => !offer.fits));
  const complete = $derived(builder.parts.length > 0 && builder.holds.length === 0);

  /** That a turned axis has no wall is said where the wall is asked for. */
  const findings = $derived(
    (builder.answer?.findings ?? []).filter((finding) => finding.code !== 'wall-turned')
  );

  /** A turning tool: no solid of revolution, and nothing that goes down beside a wall. */
  const flat = $derived(builder.answer?.shape.spans.some(({ plan }) => plan.length > 0) ?? false);

  const rows = $derived.by(() => {
    const shape = builder.answer?.shape;
    if (!shape) return [];
    const turned = shape.turned
      ? [
          {
            title: 'Beside the spindle axis',
            value: shape.turned.sideways,
            unit: 'mm',
            decimals: 1
          }
        ]
      : [];
    return [
      { title: 'Gauge length', value: shape.length, unit: 'mm', decimals: 1 },
      ...turned,
      { title: 'Overhang', value: shape.overhang, unit: 'mm', decimals: 1 },
      { title: 'Functional length', value: shape.functional, unit: 'mm', decimals: 1 },
      ...(flat ? [] : [{ title: 'Reach', value: shape.reach, unit: 'mm', decimals: 1 }]),
      { title: 'Largest diameter', value: shape.widest, unit: 'mm', decimals: 1 },
      { title: 'near the gauge line', value: shape.widestNearGauge, unit: 'mm', decimals: 1 },
      { title: 'Mass', value: shape.mass, unit: 'kg', decimals: 2 },
      ...(shape.massBehind
        ? [{ title: 'in the spindle, about', value: shape.massBehind, unit: 'kg', decimals: 2 }]
        : []),
      ...(shape.massBored
        ? [
            {
              title: 'taken off for the bore, about',
              value: shape.massBored,
              unit: 'kg',
              decimals: 2
            }
          ]
        : []),
      { title: 'Centre of mass', value: shape.centre, unit: 'mm', decimals: 1 },
      { title: 'Tilting moment', value: shape.moment, unit: 'N.m', decimals: 2 },
      { title: 'Bends by 100 N', value: shape.deflection * 100, unit: 'um', decimals: 1 }
    ];
  });

  onMount(() => void builder.check());

  let first = true;
  $effect(() => {
    const newest = kept.data?.items[0];
    if (!first || !newest) return;
    first = false;
    if (!builder.changed) builder.open(newest);
  });

  /** Shows what is kept now, after a deed or when it was taken back. */
  async function again() {
    await kept.refetch();
    const now = kept.data?.items.find((stack) => stack.id === builder.kept) ?? kept.data?.items[0];
    if (now) builder.open(now);
    else builder.empty();
  }

  let saving = $state.raw<Promise<void>>();

  async function keep() {
    if (!(await entries.sound())) return;
    const { said } = builder;
    const saved = await saveStack(
      id,
      builder.kept,
      builder.version,
      builder.body,
      () => void again()
    );
    if (!saved) return;
    builder.saved(saved.id, saved.version, said);
    if (!builder.changed) await again();
  }

  function saveDrawing() {
    const svg = document.querySelector<SVGSVGElement>('[aria-label="Stack drawing"] svg');
    if (svg) saveSvg(svg, `${sheet.data?.code ?? 'stack'}.svg`);
  }

  async function back(base: number, version: number) {
    if (!builder.kept || !(await stackBack(id, builder.kept, base, version))) return false;
    await again();
    return true;
  }

  async function takeApart() {
    if (!builder.kept) return;
    if (await deleteStack(id, builder.kept, () => void again())) {
      builder.empty();
      await again();
    }
  }
</script>

<svelte:head><title>Stack of {sheet.data?.code ?? 'a tool'} · Arbor Line</title></svelte:head>

<Leaving changed={may && builder.changed} what="The stack" {saving} />

{#if sheet.error}
  <ErrorNote error={sheet.error} retry={() => void sheet.refetch()} />
{:else if sheet.data}
  <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3">
    <h1>
      Stack of <a class="code hover:text-working" href="/tools/{id}">{sheet.data.code}</a>
    </h1>
    {#if kept.data && kept.data.items.length > 0}
      <Choice
        label="Saved stacks"
        bind:value={
          () => String(builder.kept ?? ''),
          (chosen) => {
            const stack = kept.data.items.find((stack) => String(stack.id) === chosen);
            if (stack) builder.open(stack);
            else builder.empty();
          }
        }
        options={[
          ...kept.data.items.map((stack) => ({
            value: String(stack.id),
            label: stack.name || `${stack.parts[0]?.component.code ?? 'stack'} …`
          })),
          { value: '', label: 'a new stack' }
        ]}
      />
    {/if}
    <input
      class="field w-56"
      aria-label="Name of the stack"
      placeholder="name, if it needs one"
      readonly={!may}
      bind:value={builder.name}
    />
    <span class="flex items-center gap-2">
      <span class="text-soft">for</span>
      <Choice
        label="Spindle"
        options={seats}
        disabled={!may}
        bind:value={
          () => builder.seat,
          (seat) => {
            builder.seat = seat;
            void builder.check();
          }
        }
      />
    </span>
    {#if may}
      <div class="ml-auto flex gap-2">
        <button class="button" aria-pressed={solid} onclick={() => (solid = !solid)}>
          {solid ? 'Drawing' : '3D view'}
        </button>
        <button class="button" disabled={solid} onclick={saveDrawing}>Save drawing</button>
        {#if builder.kept}
          <button class="button" onclick={() => (versions = true)}>Versions</button>
          {#if !flat && !builder.answer?.shape.turned}
            <a class="button" href="/api/v1/stacks/{builder.kept}/step" download>Save solid</a>
          {/if}
          <button class="button" onclick={takeApart}>Delete</button>
        {/if}
        <button class="button main" disabled={!complete} onclick={() => (saving = keep())}
          >Save</button
        >
      </div>
    {/if}
  </header>
  {#if builder.kept}
    <PartHistory
      bind:open={versions}
      owner="stacks"
      id={builder.kept}
      onback={may ? back : undefined}
    />
  {/if}
  {#if builder.problem}
    <p role="alert" class="m-5 border-l-4 border-hold py-2 pl-4">{capital(builder.problem)}.</p>
  {/if}
  {#if builder.answer}
    {@const answer = builder.answer}
    <div class="min-h-0 flex-1 overflow-auto">
      {#if solid}
        {#await import('$lib/stack/Solid.svelte') then { default: Solid }}
          <Solid shape={answer.shape} />
        {/await}
      {:else}
        <StackDrawing
          shape={answer.shape}
          wall={answer.wall}
          pocket={builder.beside === 'pocket'}
          clearance={answer.clearance}
          onoverhang={may ? (mm) => builder.setOverhang(mm) : undefined}
        />
      {/if}
      <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_300px] gap-8 px-5 pb-8 pt-3">
        <section aria-label="Parts">
          <h2>Parts, from the machine</h2>
          <ol class="mt-1">
            {#each builder.parts as part, index (index)}
              <li class="band flex min-h-8 items-center gap-3 py-1">
                <a class="code hover:text-working" href="/holders/{part.id}"
                  >{part.component.code}</a
                >
                <span class="min-w-0 flex-1 truncate text-soft" title={part.component.name}
                  >{part.component.name}</span
                >
                {#if part.stays}
                  <span class="text-query">stays at version {part.stays} of {part.version}</span>
                  {#if may}
                    <button class="button quiet h-6!" onclick={() => builder.follow(index)}
                      >Follow</button
                    >
                  {/if}
                {/if}
                {#if may}
                  <button
                    class="button quiet h-6!"
                    aria-label="Remove {part.component.code} and what it carries"
                    onclick={() => builder.remove(index)}>Remove</button
                  >
                {/if}
              </li>
            {/each}
            <li class="band flex min-h-8 items-center gap-3 py-1">
              <span class="code">{sheet.data.code}</span>
              <span class="text-soft">overhang</span>
              <NumberField
                label="Overhang"
                unit="mm"
                class="h-6! w-20"
                readonly={!may}
                value={builder.overhang ?? answer.shape.overhang}
                onvalue={(mm) => builder.setOverhang(mm ?? 0)}
              />
              <span class="text-soft"
                >of {units.show(answer.cutterLength, 'mm', 1)} {units.label('mm')}</span
              >
            </li>
          </ol>
          <ul class="mt-2" aria-live="polite">
            {#each findings as finding, index (index)}
              <li class="flex gap-3 py-1">
                <Mark kind={finding.severity.toLowerCase() as 'hold'} />
                <span>{capital(finding.message)}</span>
              </li>
            {/each}
          </ul>
          {#if !flat}<WallBeside {builder} {may} />{/if}
        </section>
        <section aria-label="Next part">
          <div class="flex items-center gap-3">
            <h2>Next part</h2>
            <input
              class="field h-6! min-w-0 flex-1"
              data-search
              aria-label="Search parts"
              placeholder="code or name"
              bind:value={sought}
            />
          </div>
          <ul class="mt-1 max-h-72 overflow-auto">
            {#each fitting as offer (offer.id)}
              <li class="band">
                <button
                  class="flex h-8 w-full items-center gap-3 px-1 text-left hover:bg-faint disabled:opacity-60"
                  disabled={!may}
                  onclick={() => builder.add(offer)}
                >
                  <span class="code w-36 shrink-0 truncate">{offer.component.code}</span>
                  <span class="min-w-0 flex-1 truncate text-soft">{offer.component.name}</span>
                  {#if offer.takesCutter}<span class="text-[12px] text-working">takes it</span>{/if}
                </button>
              </li>
            {:else}
              <li class="py-1 text-soft">Nothing that mates with {socket}.</li>
            {/each}
            {#if others}
              {#each refused as offer (offer.id)}
                <li class="band px-1 py-1 text-soft">
                  <span class="code">{offer.component.code}</span>: {offer.why}
                </li>
              {/each}
            {/if}
          </ul>
          {#if refused.length > 0}
            <button class="button quiet mt-1" onclick={() => (others = !others)}>
              {others ? 'Hide' : 'Show'} the {refused.length} that do not fit, and why
            </button>
          {/if}
        </section>
        <section aria-label="Results">
          <h2>Results</h2>
          <dl class="mt-1 grid grid-cols-[1fr_auto_44px] gap-x-2 gap-y-0.5">
            {#each rows as row (row.title)}
              <dt class="text-soft">{row.title}</dt>
              <dd class="text-right">{units.show(row.value, row.unit, row.decimals)}</dd>
              <dd class="text-soft">{units.label(row.unit)}</dd>
            {/each}
          </dl>
        </section>
      </div>
    </div>
  {:else if !builder.problem}
    <Loading />
  {/if}
{:else}
  <Loading />
{/if}
