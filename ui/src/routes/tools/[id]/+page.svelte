<script lang="ts">
  import Touched from '$lib/link/Touched.svelte';
  import Origin from '$lib/package/Origin.svelte';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { watch } from 'runed';
  import { classesQuery, readSheet, sheetQuery } from '$lib/tool/queries';
  import { backToVersion, saveTool } from '$lib/tool/actions';
  import { Problem } from '$lib/api/client';
  import Attachments from '$lib/attachment/Attachments.svelte';
  import Comments from '$lib/naming/Comments.svelte';
  import FromBase from '$lib/derived/FromBase.svelte';
  import Dropped from '$lib/tool/Dropped.svelte';
  import { Draft } from '$lib/tool/draft.svelte';
  import Drawing from '$lib/tool/Drawing.svelte';
  import Fields from '$lib/tool/Fields.svelte';
  import Notes from '$lib/tool/Notes.svelte';
  import SaveAs from '$lib/tool/SaveAs.svelte';
  import Glance from '$lib/tool/Glance.svelte';
  import History from '$lib/tool/History.svelte';
  import Findings from '$lib/tool/Findings.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ToolStanding from '$lib/standing/ToolStanding.svelte';
  import ProposeDialog from '$lib/proposal/ProposeDialog.svelte';
  import { readProposal } from '$lib/proposal/queries';
  import TrustReasons from '$lib/trust/TrustReasons.svelte';
  import Mounted from '$lib/turning/Mounted.svelte';
  import { failed } from '$lib/shell/toast';
  import { who } from '$lib/shell/session.svelte';
  import Leaving from '$lib/shell/Leaving.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital } from '$lib/shell/text';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  interface Conflict {
    symbol: string;
    base: string;
    theirs: string;
    mine: string;
  }

  const id = $derived(Number(page.params.id));
  /** So many libraries are named in the head. */
  const NAMED = 2;
  const sheet = createQuery(() => sheetQuery(id));
  const classes = createQuery(classesQuery);
  const known = $derived(
    classes.data?.items.find((toolClass) => toolClass.id === sheet.data?.classId)
  );
  const held = $derived(Boolean(sheet.data?.answer.held && !sheet.data.answer.sketch));
  const turning = $derived(known?.process === 'turning');
  let draft = $state(new Draft());
  let base = $state(0);
  let conflicts = $state<Conflict[]>([]);
  /** The version that the conflicts were seen in. */
  let seen = 0;
  let saving = $state(false);
  const may = $derived(who.may('EDIT') && !sheet.data?.closed);
  /** The library whose maintainers a change is proposed to. */
  const proposedTo = $derived(who.may('PROPOSE') ? (sheet.data?.proposedTo ?? null) : null);
  const types = $derived(may || proposedTo !== null);
  let proposing = $state(false);
  let retiring = $state(false);
  /** A draft may lack what is still to be given. */
  const unfinished = $derived(draft.unfinished && sheet.data?.trusted.standing === 'DRAFT');

  // A sheet that nobody is writing on follows the newest version.
  watch(
    () => sheet.data,
    (newest) => {
      if (newest && !draft.changed) {
        draft = Draft.of(newest);
        base = newest.version;
      }
    }
  );

  const collection = Number(page.url.searchParams.get('collected'));
  if (collection > 0) void continueCollected();

  /** Goes on with a change that was collected to be proposed. */
  async function continueCollected() {
    try {
      const [{ changes }, now] = await Promise.all([readProposal(collection), readSheet(id)]);
      const collected = changes.find(({ toolId }) => toolId === id);
      if (!collected?.draft) return;
      draft = Draft.of(now);
      draft.begin({
        ...collected.draft,
        code: now.code,
        notes: collected.draft.notes ?? now.notes
      });
      draft.changed = true;
      base = collected.base;
    } catch (error) {
      failed(error);
    }
  }

  function reset() {
    draft.changed = false;
    if (sheet.data) {
      draft = Draft.of(sheet.data);
      base = sheet.data.version;
    }
  }

  let work = $state.raw<Promise<void>>();

  async function save(choice?: { keep: 'mine' | 'theirs'; seen: number }) {
    if (!draft.changed || saving) return;
    saving = true;
    const sent = draft.body;
    try {
      await saveTool(id, base, sent, choice, unfinished);
      const since = draft.since(sent);
      reset();
      draft.add(since);
    } catch (error) {
      const both = error instanceof Problem && Array.isArray(error.details) ? error.details : [];
      if (both.length > 0 && 'theirs' in both[0]) {
        seen = (await readSheet(id)).version;
        conflicts = both as Conflict[];
      } else {
        failed(error);
      }
    } finally {
      saving = false;
    }
  }

  /** Whose values stand is the answer to what was just seen. */
  async function settle(keep: 'mine' | 'theirs') {
    conflicts = [];
    await save({ keep, seen });
  }

  async function back(version: number) {
    if (await backToVersion(id, version)) reset();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key.toLowerCase() === 's' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      if (may) work = save();
      else if (proposedTo !== null && draft.changed) proposing = true;
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{sheet.data?.code ?? 'Tool'} · Arbor Line</title></svelte:head>

<Leaving changed={draft.changed} what={sheet.data?.code ?? 'The tool'} saving={work} />

{#if (proposing || retiring) && proposedTo !== null}
  <ProposeDialog
    library={proposedTo}
    title={retiring
      ? `Propose to retire ${sheet.data?.code ?? ''}`
      : `Propose this change of ${sheet.data?.code ?? ''}`}
    changes={retiring
      ? [{ kind: 'RETIRE', tool: id }]
      : [{ kind: 'CHANGE', tool: id, version: base, draft: draft.body }]}
    onclose={() => (proposing = retiring = false)}
    onproposed={() => {
      if (!retiring) reset();
      proposing = retiring = false;
    }}
  />
{/if}
{#if sheet.error}
  <ErrorNote error={sheet.error} retry={() => void sheet.refetch()} />
{:else if sheet.data}
  {@const shown = sheet.data}
  <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3">
    <h1 class="code text-[17px]!">{shown.code}</h1>
    <input
      class="field min-w-48 max-w-80 flex-1"
      aria-label="Name"
      readonly={!types}
      bind:value={
        () => draft.name,
        (name) => {
          draft.name = name;
          draft.changed = true;
        }
      }
    />
    <Choice
      label="Class"
      disabled={!types || saving}
      bind:value={() => draft.classId, (classId) => void draft.become(classId).catch(failed)}
      options={(classes.data?.items ?? []).map((toolClass) => ({
        value: toolClass.id,
        label: toolClass.title
      }))}
    />
    <span class="text-soft">
      {#if shown.mergedInto}
        <span class="text-query">
          merged into <a class="code underline" href="/tools/{shown.mergedInto.toolId}"
            >{shown.mergedInto.code}</a
          >
        </span>
      {/if}
      {#each shown.usedIn.slice(0, NAMED) as use (use.libraryId)}
        <a class="mr-1 hover:text-working" href="/libraries/{use.libraryId}" title={use.section}>
          {use.library}, number {use.number}
        </a>
      {:else}
        in no library now
      {/each}
      {#if shown.usedIn.length > NAMED}
        <span
          title={shown.usedIn
            .slice(NAMED)
            .map(({ library, number }) => `${library}, number ${number}`)
            .join('\n')}>and {shown.usedIn.length - NAMED} more</span
        >
      {/if}
    </span>
    <Origin owner="tools" {id} />
    <span class="text-soft">version {shown.version}</span>
    <ToolStanding {id} trusted={shown.trusted} readonly={!may} />
    {#if held}
      <a class="button" href="/tools/{id}/stack">Stack</a>
    {/if}
    {#if known?.cuts}
      <a class="button" href="/tools/{id}/cutting">Cutting data</a>
    {/if}
    <Touched kind="TOOL" id={String(id)} name={shown.code} />
    <SaveAs {id} solid={held && !shown.answer.outline?.parts.some((part) => part.flat)} />
    {#if !may && proposedTo !== null}
      <div class="ml-auto flex items-center gap-2">
        {#if shown.trusted.standing !== 'RETIRED' && !draft.changed}
          <button class="button" onclick={() => (retiring = true)}>Propose to retire</button>
        {/if}
        <button class="button" disabled={!draft.changed} onclick={reset}>Discard</button>
        <button
          class="button main"
          disabled={!draft.changed || draft.holds.length > 0}
          onclick={() => (proposing = true)}>Propose</button
        >
      </div>
    {/if}
    {#if may}
      <div class="ml-auto flex items-center gap-2">
        {#if shown.usedIn.length > 0 && !draft.changed && (shown.answer.values.DC ?? shown.answer.values.DCX)}
          <a class="button" href="/libraries/{shown.usedIn[0].libraryId}/new?like={id}">Next size</a
          >
        {/if}
        {#if draft.changed && draft.holds.length > 0}
          {#if unfinished}
            <span class="text-query">stays an unfinished draft</span>
          {:else}
            <span class="text-hold">cannot be saved yet</span>
          {/if}
        {/if}
        <button class="button" disabled={!draft.changed} onclick={reset}>Discard</button>
        <button
          class="button main"
          disabled={!draft.changed || (draft.holds.length > 0 && !unfinished) || saving}
          onclick={() => (work = save())}
        >
          Save
        </button>
      </div>
    {/if}
  </header>
  <div class="min-h-0 flex-1 overflow-auto pb-8">
    {#if (who.may('EDIT') || who.may('PROPOSE')) && shown.closed}
      <p class="flex items-center gap-2 px-5 py-2 text-soft">
        <Mark kind="note" word="" />
        {capital(shown.closed)}.
        {#if proposedTo !== null}Change it here and propose that.{/if}
      </p>
    {/if}
    <Dropped {draft} />
    <Drawing {draft} readonly={!types} />
    <div
      class="grid gap-6 max-md:grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_280px] xl:grid-cols-[minmax(0,1fr)_360px]"
    >
      <div>
        <Fields {draft} readonly={!types} />
        <Notes {draft} readonly={!types} />
        <Attachments owner={{ kind: 'tools', id }} readonly={!may} />
        {#if turning}
          <Mounted
            toolId={id}
            version={shown.version}
            hand={(shown.answer.values.HAND ?? shown.answer.implied.HAND?.value)?.text ?? 'R'}
          />
        {/if}
      </div>
      <div class="pr-5">
        <Findings {draft} />
        {#each shown.usedIn.slice(0, NAMED) as use (use.libraryId)}
          <FromBase tool={id} library={use.libraryId} />
        {/each}
        <TrustReasons {id} />
        <Glance toolId={id} rotates={held} cuts={known?.cuts ?? false} />
        <Comments name={draft.name} />
        <History
          {id}
          versions={shown.history}
          stands={shown.version}
          usedIn={shown.usedIn}
          onback={may ? back : undefined}
        />
      </div>
    </div>
  </div>
  <DialogFrame
    open={conflicts.length > 0}
    title="Somebody else changed the same values"
    hint="All other changes of both of you are kept."
  >
    <table class="rows w-full">
      <thead><tr><th></th><th>Was</th><th>Theirs</th><th>Yours</th></tr></thead>
      <tbody>
        {#each conflicts as conflict (conflict.symbol)}
          <tr>
            <td class="code">{conflict.symbol}</td>
            <td>{conflict.base}</td>
            <td>{conflict.theirs}</td>
            <td>{conflict.mine}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <div class="mt-4 flex justify-end gap-2">
      <button class="button" onclick={() => settle('theirs')}>Keep theirs</button>
      <button class="button main" onclick={() => settle('mine')}>Keep yours</button>
    </div>
  </DialogFrame>
{:else}
  <Loading />
{/if}
