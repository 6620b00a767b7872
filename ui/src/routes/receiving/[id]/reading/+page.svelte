<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { readAgain } from '$lib/delivery/actions';
  import { deliveryQuery } from '$lib/delivery/queries';
  import { classesQuery } from '$lib/tool/queries';
  import { patternFieldsQuery } from '$lib/naming/queries';
  import Adjusting from '$lib/recipe/Adjusting.svelte';
  import ColumnCard from '$lib/recipe/ColumnCard.svelte';
  import Converted from '$lib/recipe/Converted.svelte';
  import { ReadingDraft, symbolsOf } from '$lib/recipe/draft.svelte';
  import Leaders from '$lib/recipe/Leaders.svelte';
  import { saveRecipe } from '$lib/recipe/actions';
  import { previewQuery, recipesQuery } from '$lib/recipe/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { count } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const file = $derived(Number(page.url.searchParams.get('file') ?? 0));
  const delivery = createQuery(() => deliveryQuery(id));
  const recipes = createQuery(recipesQuery);
  const classes = createQuery(classesQuery);
  const fields = createQuery(patternFieldsQuery);
  const document = $derived(delivery.data?.files.find((one) => one.file === file));

  let draft = $state<ReadingDraft>();
  /** The file of which the draft is. */
  let begun: number | undefined;
  $effect.pre(() => {
    if (!document?.reading || begun === document.file) return;
    begun = document.file;
    draft = new ReadingDraft(document.reading);
  });

  const preview = createQuery(() => ({
    ...previewQuery(id, file, draft?.body ?? {}),
    enabled: draft !== undefined
  }));
  const reading = $derived(preview.data?.reading ?? document?.reading);
  const lines = $derived(preview.data?.lines ?? []);
  const columns = $derived(draft?.over(reading?.columns ?? []) ?? []);

  let chosen = $state<number | null>(null);
  let shown = $state(0);
  let name = $state('');
  let busy = $state(false);
  let strip = $state<HTMLElement>();
  let drawing = $state<HTMLElement>();
  let starts = $state<Record<number, number>>({});
  let targets: { symbol: string; x: number; y: number }[] = [];
  let pulled = $state<number | null>(null);
  let finger = $state<{ x: number; y: number } | null>(null);

  const own = [
    ['CODE', 'code: what a tool is known by'],
    ['NAME', 'name, description'],
    ['CLASS', 'class, in words or by its name'],
    ['NUMBER', 'number in the library'],
    ['SECTION', 'section of the library'],
    ['MATERIAL', 'material that is cut'],
    ['PURPOSE', 'what cutting data is for'],
    ['VC', 'cutting speed'],
    ['FEED', 'feed per tooth or revolution'],
    ['AP', 'depth of cut'],
    ['AE', 'width of cut'],
    ['COOLANT', 'coolant']
  ];
  const symbols = $derived([
    ...own,
    ...(fields.data?.items ?? [])
      .filter(({ symbol }) => !own.some(([known]) => known === symbol))
      .map(({ symbol, name: called }) => [symbol, called])
  ]);
  const drawn = $derived(lines[shown] ?? lines[0]);
  /** Dimensions that the class has and that no column gives. */
  const wanted = $derived(
    [
      ...new Set([
        ...(classes.data?.items
          .find(({ id: known }) => known === drawn?.classId)
          ?.outline?.marks.map(({ symbol }) => symbol) ?? ['DC', 'DMM', 'LU', 'OAL']),
        'NOF'
      ])
    ].filter((symbol) => !columns.some((column) => symbolsOf(column).includes(symbol)))
  );
  const notes = $derived(
    columns.filter((column) => symbolsOf(column).every((symbol) => symbol.startsWith('NOTE')))
      .length
  );
  const delimiters: Record<string, string> = {
    ',': 'comma',
    ';': 'semicolon',
    '\t': 'tab',
    '|': 'bar',
    ' ': 'blanks'
  };

  /** Where the lines of the columns begin, after each scrolling and each answer. */
  function measure() {
    if (!strip || !drawing) return;
    const left = drawing.getBoundingClientRect().left;
    const found: Record<number, number> = {};
    strip.querySelectorAll<HTMLElement>('[data-column]').forEach((card) => {
      const box = card.getBoundingClientRect();
      found[Number(card.dataset.column)] = box.left + box.width / 2 - left;
    });
    starts = found;
  }

  $effect(() => {
    void columns;
    measure();
  });

  function place(event: PointerEvent) {
    const box = drawing!.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  }

  function pull(position: number, event: PointerEvent) {
    event.preventDefault();
    pulled = position;
    finger = place(event);
  }

  function move(event: PointerEvent) {
    if (pulled !== null) finger = place(event);
  }

  function drop() {
    if (pulled === null || !finger || !draft) return;
    const { x, y } = finger;
    const near = targets
      .map((target) => ({ ...target, far: Math.hypot(target.x - x, target.y - y) }))
      .sort((one, other) => one.far - other.far)[0];
    if (near && near.far < 28) draft.give(near.symbol, pulled, columns);
    pulled = null;
    finger = null;
  }

  async function read() {
    if (!draft) return;
    busy = true;
    const done = await readAgain(id, file, draft.body);
    busy = false;
    if (done) await goto(`/receiving/${id}`);
  }

  async function save() {
    if (!draft || !name.trim()) return;
    busy = true;
    if (await readAgain(id, file, draft.body)) {
      const saved = await saveRecipe(id, file, name.trim());
      if (saved) await goto(`/receiving/${id}`);
    }
    busy = false;
  }
</script>

<svelte:window onpointermove={move} onpointerup={drop} onresize={measure} />

<svelte:head><title>Reading {document?.name ?? 'a table'} · Arbor Line</title></svelte:head>

{#if delivery.error}
  <ErrorNote error={delivery.error} retry={() => void delivery.refetch()} />
{:else if !document || !draft || !reading}
  <Loading />
{:else}
  <header class="flex flex-wrap items-center gap-x-3 gap-y-2 px-5 pb-2 pt-3">
    <h1 class="truncate">Reading {document.name}</h1>
    <a class="button quiet" href="/receiving/{id}">Back to the delivery</a>
    <div class="ml-auto flex items-center gap-2">
      <input
        class="field w-44"
        aria-label="Name of the recipe"
        placeholder="name of a recipe"
        maxlength="100"
        bind:value={name}
      />
      <button class="button" disabled={busy || !name.trim()} onclick={save}>Save as recipe</button>
      <button class="button main" disabled={busy || Boolean(preview.error)} onclick={read}>
        {busy ? 'Reading …' : 'Read it so'}
      </button>
    </div>
  </header>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1 px-5 pb-2 text-soft">
    <label class="flex items-center gap-2">
      Recipe
      <Choice
        label="Recipe"
        bind:value={
          () => draft?.recipe ?? reading.recipe?.name ?? '',
          (value) => {
            if (draft) draft.recipe = value;
          }
        }
        options={[
          { value: '', label: 'none' },
          ...(recipes.data?.items ?? []).map((one) => ({
            value: one.name,
            label: `${one.name}, ${one.number}`
          }))
        ]}
      />
    </label>
    <label class="flex items-center gap-2">
      Between cells
      <Choice
        label="Between cells"
        bind:value={
          () => reading.delimiter,
          (value) => {
            if (draft) draft.delimiter = value;
          }
        }
        options={Object.entries(delimiters).map(([value, label]) => ({ value, label }))}
      />
    </label>
    <label class="flex items-center gap-2">
      Decimals
      <Choice
        label="Decimals"
        bind:value={
          () => reading.decimal,
          (value) => {
            if (draft) draft.decimal = value;
          }
        }
        options={[
          { value: '.', label: 'point' },
          { value: ',', label: 'comma' }
        ]}
      />
    </label>
    <label class="flex items-center gap-2">
      Lengths
      <Choice
        label="Lengths"
        bind:value={
          () => reading.unit ?? 'mm',
          (value) => {
            if (draft) draft.unit = value;
          }
        }
        options={[
          { value: 'mm', label: 'mm' },
          { value: 'in', label: 'inch' }
        ]}
      />
    </label>
    <label class="flex items-center gap-2">
      Every tool is
      <input
        class="field w-40"
        aria-label="Class of every tool that says none"
        placeholder="class, if none is said"
        list="classes"
        value={draft.constants.CLASS ?? ''}
        onchange={(event) => {
          if (draft)
            draft.constants = { ...draft.constants, CLASS: event.currentTarget.value.trim() };
        }}
      />
    </label>
    <span class="ml-auto">
      {columns.length - notes} of {count(columns.length, 'column')} read, {notes === 0
        ? 'no notes'
        : count(notes, 'note')}
    </span>
  </div>
  {#if reading.recipe && reading.recipe.missing.length > 0}
    <p role="alert" class="mx-5 mb-2 border-l-4 border-query py-1 pl-3">
      Recipe {reading.recipe.name} decides about {reading.recipe.missing.join(', ')}, which this
      table does not have. The rest of it is used.
    </p>
  {/if}
  {#if preview.error}
    <p role="alert" class="mx-5 mb-2 border-l-4 border-hold py-1 pl-3">{preview.error.message}</p>
  {/if}
  <div
    bind:this={strip}
    class="flex overflow-x-auto border-y border-hairline bg-sheet pl-5"
    onscroll={measure}
  >
    {#each columns as column, position (position)}
      <ColumnCard
        {column}
        {position}
        chosen={chosen === position}
        onchoose={() => (chosen = chosen === position ? null : position)}
        ondecide={(change) => draft?.decide(position, column, change)}
        onpull={(event) => pull(position, event)}
      />
    {/each}
  </div>
  {#if chosen !== null && columns[chosen]}
    {@const position = chosen}
    <Adjusting
      column={columns[position]}
      title={columns[position].header || `column ${position + 1}`}
      ondecide={(change) => draft?.decide(position, columns[position], change)}
    />
  {/if}
  <div bind:this={drawing}>
    <Leaders
      line={drawn}
      {columns}
      {starts}
      {pulled}
      {finger}
      {wanted}
      ontarget={(found) => (targets = found)}
    />
  </div>
  <div class="min-h-0 flex-1 overflow-auto" aria-live="polite">
    <Converted {lines} {shown} onshow={(index) => (shown = index)} />
    {#if preview.data?.problem}
      <p class="px-5 py-3 text-hold">{preview.data.problem}</p>
    {/if}
  </div>
  <datalist id="column-symbols">
    {#each symbols as [symbol, called] (symbol)}
      <option value={symbol}>{called}</option>
    {/each}
  </datalist>
  <datalist id="classes">
    {#each classes.data?.items ?? [] as known (known.id)}
      <option value={known.id}>{known.title}</option>
    {/each}
  </datalist>
{/if}
