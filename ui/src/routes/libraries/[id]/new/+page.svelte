<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { cache } from '$lib/api/cache';
  import { classesQuery, nextSize } from '$lib/tool/queries';
  import { patternsQuery } from '$lib/naming/queries';
  import { reserveCode } from '$lib/naming/actions';
  import { libraryQuery } from '$lib/library/queries';
  import { mayMaintain, mayPropose } from '$lib/library/rights';
  import { controlDraft } from '$lib/table/queries';
  import { readProposal } from '$lib/proposal/queries';
  import ProposeDialog from '$lib/proposal/ProposeDialog.svelte';
  import { createTool } from '$lib/library/actions';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { Draft } from '$lib/tool/draft.svelte';
  import Drawing from '$lib/tool/Drawing.svelte';
  import Fields from '$lib/tool/Fields.svelte';
  import Notes from '$lib/tool/Notes.svelte';
  import Findings from '$lib/tool/Findings.svelte';
  import { failed } from '$lib/shell/toast';
  import { capital } from '$lib/shell/text';
  import HeldBy from '$lib/stack/HeldBy.svelte';
  import Leaving from '$lib/shell/Leaving.svelte';
  import Loading from '$lib/shell/Loading.svelte';

  const id = $derived(Number(page.params.id));
  const classes = createQuery(classesQuery);
  const patterns = createQuery(() => patternsQuery(id));
  const draft = new Draft();
  const library = createQuery(() => libraryQuery(id));
  const may = $derived(mayMaintain(library.data));
  let proposing = $state(false);
  const processes: [string, string][] = [
    ['milling', 'Milling'],
    ['hole_making', 'Hole making'],
    ['threading', 'Threading'],
    ['turning', 'Turning'],
    ['routing', 'Routing'],
    ['probing', 'Probing'],
    ['jet', 'Beam and jet']
  ];
  let sought = $state('');
  type ToolClass = NonNullable<typeof classes.data>['items'][number];

  /** The classes that are called like what was typed. */
  function like(all: ToolClass[]): ToolClass[] {
    const words = sought.toLowerCase().split(/\s+/);
    return all.filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)));
  }

  function grouped(all: ToolClass[]) {
    return processes
      .map(([id, title]) => ({ title, items: all.filter((offer) => offer.process === id) }))
      .filter((group) => group.items.length > 0);
  }
  const groups = $derived(grouped(like(classes.data?.items ?? [])));

  /** Takes the class that is called so, else the first; once the classes have come. */
  async function takeFirst() {
    try {
      const { items } = await cache.ensureQueryData(classesQuery());
      const offered = like(items);
      const first =
        offered.find(({ title }) => title === sought.trim().toLowerCase()) ??
        grouped(offered)[0]?.items[0];
      if (first) await draft.become(first.id);
    } catch (error) {
      failed(error);
    }
  }

  let saving = $state(false);
  /** While it is a sketch nobody knows yet what could hold it; an insert never is held so. */
  const held = $derived(draft.answer?.held ?? false);
  let holder = $state('');
  let overhang = $state<number | null>(null);

  const another = page.url.searchParams.get('like');
  /** Until the other tool has come, or has not. */
  let copying = $state(another !== null);
  if (another) void begin(Number(another));

  const control = page.url.searchParams.get('control');
  if (control) {
    copying = true;
    void beginFromControl(control);
  }

  const collection = Number(page.url.searchParams.get('collected'));
  if (collection > 0) {
    copying = true;
    void continueCollected(Number(page.url.searchParams.get('place')));
  }

  /** Goes on with a new tool that was collected to be proposed. */
  async function continueCollected(place: number) {
    try {
      const { changes } = await readProposal(collection);
      const collected = changes.find((change) => change.place === place)?.draft;
      if (collected) draft.begin({ ...collected, notes: collected.notes ?? {} });
    } catch (error) {
      failed(error);
    } finally {
      copying = false;
    }
  }

  /** Begins with the values of another tool, one size up. */
  async function begin(toolId: number) {
    try {
      draft.begin(await nextSize(toolId));
    } catch (error) {
      failed(error);
    } finally {
      copying = false;
    }
  }

  /** Begins with what the control of a machine knows of a tool. */
  async function beginFromControl(machine: string) {
    const { searchParams } = page.url;
    try {
      const known = await controlDraft(
        machine,
        searchParams.get('code') ?? '',
        searchParams.get('class') ?? undefined
      );
      draft.begin({ ...known, notes: known.notes ?? {} });
    } catch (error) {
      failed(error);
    } finally {
      copying = false;
    }
  }

  async function reserve() {
    const reserved = await reserveCode(id, draft.body);
    if (!reserved) return;
    draft.code = reserved.code;
    draft.name ||= reserved.name ?? '';
    draft.check();
  }

  /**
   * @param incomplete true for a draft that may lack what a tool of its class must have
   */
  async function create(incomplete = false) {
    saving = true;
    const stack =
      holder && !incomplete ? { holder: Number(holder), overhang: overhang ?? undefined } : null;
    const made = await createTool(
      id,
      draft.body,
      stack,
      incomplete,
      () => void goto(`/libraries/${id}`)
    );
    saving = false;
    if (!made) return;
    draft.changed = false;
    await goto(`/tools/${made.toolId}`);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key.toLowerCase() === 's' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      if (draft.classId && draft.holds.length === 0) {
        if (may) void create();
        else proposing = true;
      }
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>New tool · Arbor Line</title></svelte:head>

<Leaving changed={draft.changed} what="The new tool" />

{#if !draft.classId && !copying}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
    <h1>New tool</h1>
    <label class="mt-2 flex items-center gap-3">
      <span class="text-soft">Which class is it?</span>
      <!-- svelte-ignore a11y_autofocus (choosing the class is the first step) -->
      <input
        class="field w-72"
        autofocus
        data-search
        placeholder="such as ball, or reamer; Enter takes the first"
        bind:value={sought}
        onkeydown={(event) => event.key === 'Enter' && void takeFirst()}
      />
      <span class="text-soft">It brings its fields and trade defaults.</span>
    </label>
    {#each groups as group (group.title)}
      <section aria-label={group.title}>
        <h2 class="mt-4 border-b border-hairline pb-1 text-soft">{group.title}</h2>
        <div class="grid grid-cols-3 gap-x-6 lg:grid-cols-4">
          {#each group.items as toolClass (toolClass.id)}
            <button
              class="flex h-9 items-center gap-3 px-1 text-left hover:bg-faint"
              onclick={() => draft.become(toolClass.id).catch(failed)}
            >
              <Silhouette outline={toolClass.outline} width={84} height={26} />
              {capital(toolClass.title)}
            </button>
          {/each}
        </div>
      </section>
    {:else}
      {#if classes.data}<p class="mt-4">No class is called that.</p>{/if}
    {/each}
  </div>
{:else if draft.answer}
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_auto] grid-rows-[auto_minmax(0,1fr)_auto]"
  >
    <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3 max-sm:col-span-full">
      <h1>
        New {classes.data?.items.find((toolClass) => toolClass.id === draft.classId)?.title ??
          'tool'}
      </h1>
      <label class="flex items-center gap-2">
        <span class="text-soft">Code</span>
        <!-- svelte-ignore a11y_autofocus (a new form begins here) -->
        <input
          class="field code w-44"
          autofocus
          bind:value={
            () => draft.code,
            (code) => {
              draft.code = code;
              draft.check();
            }
          }
        />
      </label>
      {#if patterns.data?.code}
        <button class="button -ml-2" type="button" onclick={reserve}>Next code</button>
      {/if}
      <label class="flex items-center gap-2">
        <span class="text-soft">Name</span>
        <input
          class="field w-80 max-sm:w-64"
          placeholder={draft.answer?.usualName ?? ''}
          bind:value={draft.name}
        />
      </label>
    </header>
    <div class="col-span-full row-start-2 overflow-auto pb-8">
      {#snippet heldBy()}
        <HeldBy {draft} bind:holder bind:overhang />
      {/snippet}
      <Drawing {draft} machineSide={held ? heldBy : undefined} />
      <div
        class="grid gap-6 max-md:grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_280px] xl:grid-cols-[minmax(0,1fr)_360px]"
      >
        <Fields {draft} />
        <Notes {draft} />
        <Findings {draft} />
      </div>
    </div>
    <!-- After the fields: what comes and goes here must not stand between them for the keyboard. -->
    <div
      class="band col-start-2 row-start-1 flex items-center justify-end gap-2 pr-5 max-sm:col-span-full max-sm:col-start-1 max-sm:row-start-3 max-sm:py-2"
    >
      <a class="button" href="/libraries/{id}">Cancel</a>
      {#if !may}
        <button
          class="button main"
          disabled={draft.holds.length > 0 || !mayPropose(library.data)}
          onclick={() => (proposing = true)}>Propose</button
        >
      {:else if draft.unfinished}
        <button class="button" disabled={saving} onclick={() => void create(true)}>
          Keep unfinished
        </button>
      {/if}
      {#if may}
        <button
          class="button main"
          disabled={draft.holds.length > 0 || saving}
          onclick={() => void create()}
        >
          Create
        </button>
      {/if}
    </div>
  </div>
{:else}
  <Loading />
{/if}

{#if proposing}
  <ProposeDialog
    library={id}
    title="Propose the new tool {draft.code}"
    changes={[{ kind: 'NEW', draft: draft.body }]}
    onclose={() => (proposing = false)}
    onproposed={() => {
      proposing = false;
      draft.changed = false;
      void goto(`/libraries/${id}`);
    }}
  />
{/if}
