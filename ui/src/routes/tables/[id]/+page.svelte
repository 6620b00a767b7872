<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { machinesQuery } from '$lib/machine/queries';
  import { reconciliationQuery } from '$lib/table/queries';
  import { applyDecisions, compareAgain, dryRun, makeRule } from '$lib/table/actions';
  import { Problem, type Applied, type ControlFile, type ReportRow } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { failed } from '$lib/shell/toast';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count, moment } from '$lib/shell/text';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import LastWriting from '$lib/table/LastWriting.svelte';
  import Differences from '$lib/table/Differences.svelte';
  import History from '$lib/table/History.svelte';
  import ControlTools from '$lib/table/ControlTools.svelte';
  import { clockWords } from '$lib/table/words';
  import Outcome from '$lib/table/Outcome.svelte';
  import Rules from '$lib/table/Rules.svelte';
  import Together from '$lib/table/Together.svelte';
  import TakeIntoLibrary from '$lib/table/TakeIntoLibrary.svelte';

  const id = $derived(page.params.id ?? '');
  const report = createQuery(() => reconciliationQuery(id));
  const machines = createQuery(machinesQuery);
  const name = $derived(machines.data?.items.find((machine) => machine.id === id)?.name ?? id);
  let all = $state(false);
  let sought = $state('');
  let decisions = $state<Record<string, string>>({});
  let files = $state<ControlFile[] | null>(null);
  let showing = $state(false);
  let applied = $state<Applied | null>(null);
  let changes = $state<string[]>([]);
  let busy = $state(false);
  let history = $state(false);
  let rules = $state(false);
  /** The tool of the control that goes into a library. */
  let taken = $state('');
  let taking = $state(false);
  /** What is shown; it stands in the address, so that it can be sent to somebody. */
  const whole = $derived(page.url.searchParams.get('show') === 'tools');
  const may = $derived(who.may('LOAD'));
  const rows = $derived(report.data?.items ?? []);
  const word = $derived(report.data?.placeWord ?? 'place');
  const wrongClock = $derived(clockWords(report.data?.watch?.clockAheadSeconds));
  const troubles = $derived(report.data?.troubles ?? []);
  const shown = $derived(
    rows.filter((row) => all || row.state !== 'in step' || row.missing.some(({ hold }) => hold))
  );
  const decided = $derived(
    Object.fromEntries(
      rows
        .filter((row) => row.state !== 'in step')
        .map((row) => [row.place, decisions[row.place] ?? row.suggested])
    )
  );
  const doing = $derived(
    Object.values(decided).filter((decision) => decision !== 'leave' && decision !== 'ask').length
  );
  const asked = $derived(Object.values(decided).filter((decision) => decision === 'ask').length);
  /** What is decided; what needs an answer is left until it has one. */
  const orders = $derived(
    Object.fromEntries(
      Object.entries(decided).map(([place, each]) => [place, each === 'ask' ? 'leave' : each])
    )
  );

  async function compare() {
    decisions = {};
    changes = [];
    applied = null;
    await compareAgain(id);
  }

  /** Makes a decision a rule; it is the rule's from then on, not that of this place. */
  async function always(row: ReportRow, decision: string) {
    if (await makeRule(id, row.why, decision)) delete decisions[row.place];
  }

  const body = $derived({ read: report.data?.read, decisions: orders });

  async function show() {
    const dry = await dryRun(id, body);
    if (!dry) return;
    files = dry.files;
    showing = true;
  }

  async function apply() {
    busy = true;
    try {
      applied = await applyDecisions(id, body);
      showing = false;
      decisions = {};
    } catch (error) {
      showing = false;
      if (error instanceof Problem && error.status === 409 && Array.isArray(error.details)) {
        changes = error.details as string[];
      } else {
        failed(error);
      }
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>Tool table · Arbor Line</title></svelte:head>

<header class="band flex flex-wrap items-center gap-x-6 gap-y-2 px-5 pb-3 pt-4">
  <div>
    <h1>Tool table of {name}</h1>
    <p class="text-soft">
      {#if report.data}
        control read {moment(report.data.readAt)}{#if wrongClock}<span class="text-query"
            >; {wrongClock}</span
          >{/if}
      {:else if report.isFetching}
        reading the control …
      {:else}
        the control was not read
      {/if}
    </p>
  </div>
  {#if report.data}
    <div class="flex gap-5">
      <Mark kind="in step" word="{report.data.inStep} in step" />
      <Mark kind="differs" word="{report.data.differ} differ" />
      <Mark kind="unknown tool" word="{report.data.unknown} unknown" />
    </div>
  {/if}
  <div class="ml-auto flex gap-2">
    <a class="button" href="/machines/{id}">Load plan</a>
    <button class="button" onclick={() => (rules = true)}>Rules</button>
    <button class="button" onclick={() => (history = true)}>History</button>
    <button class="button" onclick={compare} disabled={report.isFetching}>Read again</button>
  </div>
  {#if report.data}
    <nav aria-label="What is shown" class="-mb-3 flex basis-full flex-wrap items-end gap-x-5">
      {#each [['', 'Differences'], ['tools', 'All tools']] as [show, title] (show)}
        {@const here = whole === (show === 'tools')}
        <a
          class={[
            'whitespace-nowrap pb-2',
            here ? 'font-semibold' : 'text-soft hover:text-working'
          ]}
          class:here
          aria-current={here ? 'page' : undefined}
          data-sveltekit-replacestate
          href={show ? `?show=${show}` : '?'}>{title}</a
        >
      {/each}
      {#if !whole}
        <div class="ml-auto flex items-center gap-4 pb-2 max-sm:order-first max-sm:basis-full">
          <input
            class="field w-40"
            data-search
            aria-label="Find a {word}"
            placeholder="{word} or code"
            bind:value={sought}
          />
          <Checkbox label="all {word}s" bind:checked={all} />
        </div>
      {/if}
    </nav>
  {/if}
</header>

{#if report.error}
  {#if applied}<Outcome {applied} {word} />{:else}<LastWriting machine={id} read={false} />{/if}
  <ErrorNote error={report.error} retry={compare} />
{:else if report.data && whole}
  <ControlTools machine={id} read={report.data.read} />
{:else if report.data}
  <div class="max-h-[45%] shrink-0 overflow-auto">
    {#if troubles.length > 0 && !applied}
      <div role="alert" class="m-5 border-l-4 border-hold py-2 pl-4">
        <p class="font-semibold">Its table does not agree with itself.</p>
        <ul class="mt-1">
          {#each troubles as trouble, index (index)}<li>{trouble}</li>{/each}
        </ul>
        {#if may}
          <p class="mt-1 text-soft">
            The next writing brings it together; nothing else is changed by that.
          </p>
          <button class="button mt-2" onclick={show}>Show what will be written</button>
        {/if}
      </div>
    {/if}
    {#if changes.length > 0}
      <div role="alert" class="m-5 border-l-4 border-hold py-2 pl-4">
        <p class="font-semibold">The control changed since it was read. Nothing was written.</p>
        <ul class="mt-1">
          {#each changes as change, index (index)}<li>{capital(change)}</li>{/each}
        </ul>
        <button class="button mt-2" onclick={compare}>Read and compare again</button>
      </div>
    {/if}
    {#if applied}<Outcome {applied} {word} />{/if}
    {#if !applied}<LastWriting machine={id} read />{/if}
    {#if shown.length === 0 && troubles.length === 0}
      <div class="px-5 py-6">
        <div
          class="centre-line mb-4 w-64"
          style="--line-colour: var(--working)"
          aria-hidden="true"
        ></div>
        <p class="text-working">In step: plan and control are the same in all {word}s.</p>
      </div>
    {/if}
  </div>
  {#if shown.length > 0}
    <Differences
      rows={shown}
      {sought}
      {word}
      unit={report.data.unit}
      editable={may}
      decision={(row) => decided[row.place] ?? 'leave'}
      ondecide={(row, next) => (decisions[row.place] = next)}
      onalways={who.may('EDIT') ? always : undefined}
      onput={who.may('EDIT')
        ? (code) => {
            taken = code;
            taking = true;
          }
        : undefined}
    />
  {:else}
    <div class="flex-1"></div>
  {/if}
  {#if may && shown.some((row) => row.state !== 'in step')}
    <section
      aria-label="Settling"
      class="flex min-h-14 shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-t border-hairline bg-sheet px-5 py-2"
    >
      <p class="max-sm:basis-full">
        <strong>{count(doing, word)}</strong> will be settled{#if asked > 0},
          <span class="text-query">{asked} {asked === 1 ? 'needs' : 'need'} an answer</span>{/if}, {rows.length -
          report.data.inStep -
          doing -
          asked} left as they are
      </p>
      <div class="ml-auto max-sm:ml-0">
        <Together
          {rows}
          {word}
          decision={(row) => decided[row.place] ?? 'leave'}
          ondecide={(some, next) => some.forEach((place) => (decisions[place] = next))}
        />
      </div>
      <button class="button main" disabled={doing === 0} onclick={show}>
        Show what will be written
      </button>
    </section>
  {/if}
{:else}
  <Loading what="Reading the control …" />
{/if}

<DialogFrame
  bind:open={showing}
  title="What will be written"
  hint="In the control's own terms. Before writing, the control is read once more. What it has taken cannot be undone, only written anew."
>
  {#each files ?? [] as file (file.name)}
    <h3 class="code mt-2 text-soft">{file.name}</h3>
    <pre
      class="code max-h-56 overflow-auto border border-hairline bg-paper p-3 text-[12.5px]">{file.content}</pre>
  {:else}
    <p>Nothing goes to the control; the plan follows it.</p>
  {/each}
  <div class="mt-4 flex justify-end gap-2">
    <button class="button" onclick={() => (showing = false)}>Cancel</button>
    <button class="button main" disabled={busy} onclick={apply}>
      {busy ? 'Writing …' : files?.length ? 'Write, read back, compare' : 'Take into the plan'}
    </button>
  </div>
</DialogFrame>

<History machine={id} {word} bind:open={history} />
<Rules machine={id} bind:open={rules} />
<TakeIntoLibrary machine={id} code={taken} bind:open={taking} />

<style>
  .here {
    box-shadow: inset 0 -2px var(--working);
  }
</style>
