<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { watch } from 'runed';
  import { componentStacksQuery } from '$lib/stack/queries';
  import { componentQuery, turnChoiceQuery } from '$lib/stack/queries';
  import {
    componentBack,
    createComponent,
    retireComponent,
    saveComponent
  } from '$lib/stack/actions';
  import { Problem, type Component, type Finding, type StackKept } from '$lib/api/client';
  import Attachments from '$lib/attachment/Attachments.svelte';
  import Touched from '$lib/link/Touched.svelte';
  import Origin from '$lib/package/Origin.svelte';
  import CentreLine from '$lib/drawing/CentreLine.svelte';
  import Parts from '$lib/drawing/Parts.svelte';
  import { fit, view } from '$lib/drawing/geometry';
  import { saveSvg } from '$lib/drawing/save';
  import { entries } from '$lib/quantity/entries';
  import { readQuantity } from '$lib/quantity/read';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { failed } from '$lib/shell/toast';
  import { who } from '$lib/shell/session.svelte';
  import { fromClipboard, isTable } from '$lib/grid/clipboard';
  import { capital, count } from '$lib/shell/text';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import Leaving from '$lib/shell/Leaving.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { profileOf } from '$lib/stack/bodies';
  import PartHistory from '$lib/stack/PartHistory.svelte';

  const fresh = $derived(page.params.id === 'new');
  const id = $derived(Number(page.params.id));
  const known = createQuery(() => ({ ...componentQuery(id), enabled: !fresh }));
  const using = createQuery(() => ({ ...componentStacksQuery(id), enabled: !fresh }));
  const empty: Component = {
    code: '',
    name: '',
    kind: 'HOLDER',
    machineSide: 'ST-JD-40:m',
    workSide: 'CY-SF-10:f',
    bodies: [{ length: 27, from: 63, to: 63 }],
    material: 'STEEL',
    clamping: 0,
    properties: {}
  };
  let draft = $state<Component>(empty);
  const turnChoice = createQuery(() => turnChoiceQuery(draft.kind, draft.machineSide));
  let findings = $state<Finding[]>([]);
  const may = $derived(who.may('EDIT'));

  /** The version that somebody started from. */
  let base = 0;
  /** What the draft was then, as text. */
  let begun = $state('');
  const changed = $derived(JSON.stringify(draft) !== begun);

  function begin() {
    draft = structuredClone(known.data?.component ?? empty);
    base = known.data?.version ?? 0;
    begun = JSON.stringify(draft);
  }

  // A draft that nobody is writing on follows the newest version.
  watch(
    () => known.data,
    () => {
      if (begun === '' || !changed) begin();
    }
  );

  const titles = {
    length: 'Length',
    from: 'Machine-side diameter',
    to: 'Workpiece-side diameter'
  };
  /** Stacks that are to stay with what the component was; asked for while somebody saves. */
  let stays = $state<number[]>([]);
  let deciding = $state(false);
  let versions = $state(false);
  let svg = $state<SVGSVGElement>();

  let width = $state(900);
  const outline = $derived(profileOf(draft.bodies.filter((body) => body.length > 0)));
  /** Room for the length that is said behind the tip, in pixels. */
  const SAID = 150;
  const at = $derived(outline ? view(80, 110, fit([outline], width - 80 - SAID, 190)) : null);

  /** A change asks first which stacks follow, where there are any. */
  async function change() {
    if (!(await entries.sound())) return;
    stays = [];
    if (using.data?.items.some((stack) => follows(stack))) deciding = true;
    else saving = save(false);
  }

  function follows(stack: StackKept): boolean {
    return stack.parts.some((part) => part.id === id && !part.stays);
  }

  let saving = $state.raw<Promise<void>>();

  async function save(asNew: boolean) {
    if (!(await entries.sound())) return;
    deciding = false;
    findings = [];
    const body = $state.snapshot(draft) as Component;
    try {
      const saved = asNew
        ? await createComponent(body)
        : await saveComponent(id, base, stays, body);
      begun = JSON.stringify(body);
      base = saved.version;
      if (!asNew && !changed) begin();
      await goto(`/holders/${saved.id}`);
    } catch (error) {
      findings =
        error instanceof Problem && Array.isArray(error.details)
          ? (error.details as Finding[])
          : [];
      if (findings.length === 0) failed(error);
    }
  }

  /**
   * Rows of length, machine-side and workpiece-side diameter from a spreadsheet, in the unit that
   * lengths are looked at in when they are pasted.
   */
  async function paste(event: ClipboardEvent, row: number) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!isTable(text)) return;
    event.preventDefault();
    const from = units.code('mm');
    try {
      const rows = await Promise.all(
        fromClipboard(text).map((cells) =>
          Promise.all(cells.map((cell) => readQuantity(cell, from, 'mm')))
        )
      );
      draft.bodies.splice(
        row,
        rows.length,
        ...rows.map(([length, machine, work]) => ({
          length,
          from: machine,
          to: work ?? machine
        }))
      );
    } catch (error) {
      failed(error);
    }
  }
</script>

<svelte:head><title>{fresh ? 'New holder' : draft.code} · Arbor Line</title></svelte:head>

<Leaving changed={may && changed} what={fresh ? 'The new holder' : draft.code} {saving} />

{#if known.error}
  <ErrorNote error={known.error} retry={() => void known.refetch()} />
{:else if fresh || known.data}
  <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3">
    <h1>{fresh ? 'New holder' : draft.code}</h1>
    {#if known.data?.retired}<span class="text-query">retired</span>{/if}
    {#if !fresh}<Origin owner="components" {id} />{/if}
    <div class="ml-auto flex gap-2">
      {#if !fresh}
        <Touched kind="HOLDER" id={String(id)} name={draft.code} />
        <button class="button" onclick={() => (versions = true)}>Versions</button>
        <a class="button" href="/trail?kind=component&subject={id}">History</a>
      {/if}
      {#if may && !fresh}
        <button class="button" onclick={() => svg && saveSvg(svg, `${draft.code || 'holder'}.svg`)}
          >Save drawing</button
        >
        <button class="button" onclick={() => retireComponent(id, !known.data?.retired)}>
          {known.data?.retired ? 'Take back into use' : 'Retire'}
        </button>
        <button class="button" onclick={() => (saving = save(true))}>Save under a new code</button>
        <button class="button main" onclick={change}>Save</button>
      {:else if may}
        <button class="button main" onclick={() => (saving = save(true))}>Save</button>
      {/if}
    </div>
  </header>
  <div class="min-h-0 flex-1 overflow-auto pb-8">
    <section aria-label="Drawing" class="band bg-sheet" bind:clientWidth={width}>
      <svg bind:this={svg} {width} height="220" role="img" aria-label="{draft.code} to scale">
        {#if outline && at}
          <Parts {outline} {at} />
          <CentreLine from={60} to={at.x(outline.length) + 20} y={110} />
          <line x1="80" x2="80" y1="10" y2="210" stroke="var(--working)" stroke-width="1.5" />
          <text x={at.x(outline.length) + 26} y="114" font-size="13" fill="var(--soft)">
            {units.show(outline.length, 'mm', 1)}
            {units.label('mm')} long
          </text>
        {/if}
      </svg>
    </section>
    {#if findings.length > 0}
      <ul role="alert" class="m-5 border-l-4 border-hold py-1 pl-4">
        {#each findings as finding, index (index)}<li>{capital(finding.message)}</li>{/each}
      </ul>
    {/if}
    <div
      class="grid grid-cols-[360px_minmax(0,1fr)] grid-rows-[auto_auto_1fr] gap-8 px-5 pt-4 xl:grid-cols-[380px_minmax(0,1fr)_300px]"
    >
      <div class="row-span-3 grid grid-cols-[130px_1fr] content-start items-center gap-2">
        <label class="text-soft" for="code">Code</label>
        <input id="code" class="field code" readonly={!may} bind:value={draft.code} />
        <label class="text-soft" for="name">Name</label>
        <input id="name" class="field" readonly={!may} bind:value={draft.name} />
        <span class="text-soft">Kind</span>
        <Choice
          label="Kind"
          disabled={!may}
          bind:value={
            () => draft.kind,
            (kind) => {
              draft.kind = kind;
              draft.turn = kind === 'AGGREGATE' ? { angle: 90, at: 100, out: 50 } : undefined;
            }
          }
          options={[
            { value: 'HOLDER', label: 'holder' },
            { value: 'EXTENSION', label: 'extension' },
            { value: 'COLLET', label: 'collet' },
            { value: 'ARBOR', label: 'arbor' },
            { value: 'AGGREGATE', label: 'aggregate' }
          ]}
        />
        {#if draft.kind !== 'AGGREGATE' && turnChoice.data?.may}
          <span class="text-soft">Holds</span>
          <Choice
            label="Holds"
            disabled={!may}
            bind:value={
              () => (draft.turn ? 'ACROSS' : 'STRAIGHT'),
              (way) => {
                draft.turn = way === 'ACROSS' ? { angle: 90, at: 45, out: 35 } : undefined;
              }
            }
            options={[
              { value: 'STRAIGHT', label: 'straight on' },
              { value: 'ACROSS', label: 'at an angle' }
            ]}
          />
        {/if}
        {#if draft.turn}
          {@const turn = draft.turn}
          {#each [['angle', 'Turns by', 'deg'], ['at', 'Axes cross at', 'mm'], ['out', 'Face beyond it', 'mm']] as const as [key, title, unit] (key)}
            <label class="text-soft" for={key}>{title}</label>
            <span class="flex items-center gap-2">
              <NumberField id={key} label={title} {unit} readonly={!may} bind:value={turn[key]} />
              <span class="text-soft">{units.label(unit)}</span>
            </span>
          {/each}
        {/if}
        <label class="text-soft" for="ccms">Machine side</label>
        <input id="ccms" class="field code" readonly={!may} bind:value={draft.machineSide} />
        <label class="text-soft" for="ccws">Workpiece side</label>
        <input id="ccws" class="field code" readonly={!may} bind:value={draft.workSide} />
        <span class="text-soft">Material</span>
        <Choice
          label="Material"
          disabled={!may}
          bind:value={draft.material}
          options={[
            { value: 'STEEL', label: 'steel' },
            { value: 'CARBIDE', label: 'carbide' },
            { value: 'HEAVY_METAL', label: 'heavy metal' },
            { value: 'ALUMINIUM', label: 'aluminium' }
          ]}
        />
        <label class="text-soft" for="clamping">Least clamping</label>
        <span class="flex items-center gap-2">
          <NumberField
            id="clamping"
            label="Least clamping"
            unit="mm"
            readonly={!may}
            bind:value={draft.clamping}
          />
          <span class="text-soft">{units.label('mm')}</span>
        </span>
      </div>
      {#if Object.keys(draft.properties).length > 0}
        <section aria-label="Further properties">
          <h2 class="px-5 pb-1 pt-4">Further properties</h2>
          <div class="further px-5">
            {#each Object.keys(draft.properties) as symbol (symbol)}
              <label class="code text-soft" for="further-{symbol}">{symbol}</label>
              <input
                id="further-{symbol}"
                class="field w-48"
                readonly={!may}
                bind:value={draft.properties[symbol]}
              />
            {/each}
          </div>
        </section>
      {/if}
      <section aria-label="Cylinders and cones">
        <h2>Cylinders and cones, from the gauge line</h2>
        <table class="rows mt-1">
          <thead>
            <tr>
              <th class="number">Length, {units.label('mm')}</th>
              <th class="number">Ø machine side</th>
              <th class="number">Ø workpiece side</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            {#each draft.bodies as body, row (row)}
              <tr>
                {#each ['length', 'from', 'to'] as const as field (field)}
                  <td onpaste={(event) => paste(event, row)}>
                    <NumberField
                      label="{titles[field]} of row {row + 1}"
                      unit="mm"
                      class="h-6! w-28"
                      readonly={!may}
                      bind:value={body[field]}
                    />
                  </td>
                {/each}
                <td>
                  {#if may}
                    <button
                      class="button quiet h-6!"
                      aria-label="Remove row {row + 1}"
                      onclick={() => draft.bodies.splice(row, 1)}>Remove</button
                    >
                  {/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
        {#if may}
          <button
            class="button mt-2"
            onclick={() => {
              const last = draft.bodies.at(-1)?.to ?? 30;
              draft.bodies.push({ length: 20, from: last, to: last });
            }}>Add a row</button
          >
        {/if}
      </section>
      <section aria-label="Stacks that use it" class="col-start-2 xl:col-start-auto">
        <h2>Stacks that use it</h2>
        {#if using.data && using.data.items.length > 0}
          <p class="text-soft">
            {count(using.data.items.length, 'stack')}: saving a change asks which of them follow.
          </p>
          <ul class="mt-1">
            {#each using.data.items as stack (stack.id)}
              <li class="band py-1">
                <a class="hover:text-working" href="/tools/{stack.toolId}/stack">
                  {stack.name || stack.parts.map((part) => part.component.code).join(' + ')}
                </a>
                <span class="text-soft">
                  A {units.show(stack.answer.shape.length, 'mm', 1)}{follows(stack)
                    ? ''
                    : ', stays with an earlier version'}
                </span>
              </li>
            {/each}
          </ul>
        {:else}
          <p class="text-soft">No stack uses it.</p>
        {/if}
      </section>
      {#if !fresh}
        <div class="col-start-2 -mx-5 xl:col-span-2">
          <Attachments owner={{ kind: 'components', id }} readonly={!may} />
        </div>
      {/if}
    </div>
  </div>
  {#if !fresh}
    <PartHistory
      bind:open={versions}
      owner="components"
      {id}
      onback={may
        ? async (base, version) => {
            const now = await componentBack(id, base, version);
            if (now) begin();
            return Boolean(now);
          }
        : undefined}
    />
  {/if}
  <DialogFrame
    bind:open={deciding}
    title="Which stacks follow?"
    hint="Those that stay keep the holder as it was, until they are told to follow."
  >
    <ul>
      {#each (using.data?.items ?? []).filter(follows) as stack (stack.id)}
        <li class="band flex h-9 items-center gap-3">
          <Checkbox
            label={stack.name || stack.parts.map((part) => part.component.code).join(' + ')}
            bind:checked={
              () => !stays.includes(stack.id),
              (follow) =>
                (stays = follow
                  ? stays.filter((other) => other !== stack.id)
                  : [...stays, stack.id])
            }
          />
          <span class="ml-auto text-soft">{stays.includes(stack.id) ? 'stays' : 'follows'}</span>
        </li>
      {/each}
    </ul>
    <div class="mt-4 flex justify-end gap-2">
      <button class="button" onclick={() => (deciding = false)}>Cancel</button>
      <button class="button main" onclick={() => (saving = save(false))}>Save</button>
    </div>
  </DialogFrame>
{:else}
  <Loading />
{/if}

<style>
  .further {
    display: grid;
    grid-template-columns: 140px minmax(0, 1fr);
    gap: 4px 12px;
    align-items: center;
  }
</style>
