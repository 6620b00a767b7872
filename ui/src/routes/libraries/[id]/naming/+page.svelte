<script lang="ts">
  import { page } from '$app/state';
  import { createInfiniteQuery, createQuery } from '@tanstack/svelte-query';
  import { Debounced, watch } from 'runed';
  import { namingPreviewQuery } from '$lib/naming/queries';
  import { patternFieldsQuery, patternsQuery } from '$lib/naming/queries';
  import { renameTools, savePatterns } from '$lib/naming/actions';
  import { libraryQuery } from '$lib/library/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import PatternInput from '$lib/naming/PatternInput.svelte';
  import { mayMaintain } from '$lib/library/rights';
  import { count } from '$lib/shell/text';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = $derived(Number(page.params.id));
  const library = createQuery(() => libraryQuery(id));
  const may = $derived(mayMaintain(library.data));
  const kept = createQuery(() => patternsQuery(id));
  const fields = createQuery(patternFieldsQuery);

  let code = $state('');
  let name = $state('');
  let left = $state<number[]>([]);
  let working = $state(false);
  /** What was kept when it last came: what somebody types since then stays. */
  let loaded = { code: '', name: '' };
  watch(
    () => kept.data,
    (patterns) => {
      if (!patterns) return;
      if (code === loaded.code) code = patterns.code;
      if (name === loaded.name) name = patterns.name;
      loaded = { code: patterns.code, name: patterns.name };
    }
  );
  const trouble = $derived(library.error ?? kept.error);
  const typed = new Debounced(() => ({ code, name }), 150);
  const preview = createInfiniteQuery(() => ({
    ...namingPreviewQuery(id, typed.current),
    enabled: Boolean(kept.data)
  }));
  const first = $derived(preview.data?.pages[0]);
  const faults = $derived(Boolean(first?.codeFault ?? first?.nameFault));
  const steps = $derived((preview.data?.pages ?? []).flatMap((page) => page.items));
  const changed = $derived(kept.data && (kept.data.code !== code || kept.data.name !== name));
  const faulty = $derived(Boolean(first?.codeFault || first?.nameFault));
  const patterned = $derived(!faulty && (code !== '' || name !== ''));
  const states = {
    FITS: ['as the patterns say', 'pass'],
    CHANGES: ['would change', 'note'],
    LACKS: ['cannot be named', 'hold'],
    CLASHES: ['code is not free', 'hold']
  } as const;
  const of = (state: keyof typeof states) => steps.filter((step) => step.state === state);
  const chosen = $derived(of('CHANGES').filter((step) => !left.includes(step.id)));
  const shown = $derived([...of('CLASHES'), ...of('LACKS'), ...of('CHANGES'), ...of('FITS')]);

  async function during(deed: Promise<unknown>) {
    working = true;
    await deed;
    working = false;
  }

  function keep() {
    void during(savePatterns(id, { code, name }));
  }

  function rename() {
    const tools = chosen.map((step) => ({
      toolId: step.id,
      code: step.newCode,
      name: step.newName
    }));
    void during(renameTools(id, tools));
  }
</script>

<svelte:head><title>Names of {library.data?.name ?? 'a library'} · Arbor Line</title></svelte:head>

{#if trouble}
  <ErrorNote error={trouble} retry={() => void kept.refetch()} />
{:else if library.data && kept.data}
  <header class="flex items-center gap-3 px-5 pb-2 pt-3">
    <h1>
      Names and codes of <a class="hover:text-working" href="/libraries/{id}">{library.data.name}</a
      >
    </h1>
    {#if may}
      <div class="ml-auto flex items-center gap-2">
        <button class="button" disabled={!changed || faults || working} onclick={keep}>
          Save patterns
        </button>
        <button
          class="button main"
          disabled={changed || faults || working || chosen.length === 0}
          title={changed ? 'keep the patterns first' : undefined}
          onclick={rename}
        >
          Rename {count(chosen.length, 'tool')}
        </button>
      </div>
    {/if}
  </header>
  <div class="band space-y-2 px-5 pb-3">
    <PatternInput
      label="Code"
      bind:value={code}
      fields={fields.data?.items ?? []}
      fault={first?.codeFault}
      placeholder={'such as {KIND}{DC 2}-{NO 3}'}
      readonly={!may}
    />
    <PatternInput
      label="Name"
      bind:value={name}
      fields={fields.data?.items ?? []}
      fault={first?.nameFault}
      placeholder={'such as {CLASS} {DC}[ R{RE}]'}
      readonly={!may}
    />
    <p class="text-[13px] text-soft">
      <span class="code">&#123;DC&#125;</span> is a property,
      <span class="code">&#123;DC in 1.3&#125;</span> in inches with digits before and after the
      point,
      <span class="code">&#123;NO 3&#125;</span> a running number;
      <span class="code">[…]</span> stands only where all in it is known.
    </p>
  </div>
  {#if preview.error}
    <ErrorNote error={preview.error} retry={() => void preview.refetch()} />
  {:else if steps.length === 0}
    <p class="px-5 py-6 text-soft">
      {preview.data ? 'This library has no tools to name.' : 'Looking at the tools …'}
    </p>
  {:else}
    <div class="min-h-0 flex-1 overflow-auto px-5 pb-8">
      <p class="flex gap-5 py-2" role="status">
        {#if patterned}
          {#each Object.entries(states) as [state, [words, kind]] (state)}
            {@const many = of(state as keyof typeof states).length}
            {#if many > 0}
              <Mark {kind} word="{many} {words}" />
            {/if}
          {/each}
        {:else if faulty}
          <span class="text-soft">Nothing would be renamed while a pattern is wrong.</span>
        {:else}
          <span class="text-soft">No pattern yet: any code and any name will do.</span>
        {/if}
        {#if preview.hasNextPage}
          <button class="button quiet h-6!" onclick={() => void preview.fetchNextPage()}>
            Look at more
          </button>
        {/if}
      </p>
      <table class="rows w-full table-fixed">
        <colgroup>
          <col class="w-8" /><col class="w-40" /><col class="w-44" /><col /><col /><col
            class="w-[22%]"
          />
        </colgroup>
        <thead>
          <tr>
            <th><span class="sr-only">Rename</span></th>
            <th>Code</th>
            <th>New code</th>
            <th>Name</th>
            <th>New name</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          {#each shown as step (step.id)}
            <tr class="hover:bg-faint">
              <td>
                {#if step.state === 'CHANGES' && may}
                  <Checkbox
                    hidden
                    label="Rename {step.code}"
                    bind:checked={
                      () => !left.includes(step.id),
                      (chosen) =>
                        (left = chosen
                          ? left.filter((other) => other !== step.id)
                          : [...left, step.id])
                    }
                  />
                {/if}
              </td>
              <td class="code truncate">
                <a class="hover:text-working" href="/tools/{step.id}">{step.code}</a>
              </td>
              <td class="code truncate" class:text-soft={step.code === step.newCode}>
                {step.code === step.newCode ? 'stays' : step.newCode}
              </td>
              <td class="truncate" title={step.name}>{step.name}</td>
              <td
                class="truncate"
                class:text-soft={step.name === step.newName}
                title={step.newName}
              >
                {step.name === step.newName ? 'stays' : step.newName}
              </td>
              <td title={step.why}>
                {#if patterned}
                  <span class="flex items-center gap-1.5">
                    <Mark kind={states[step.state][1]} word="" />
                    <span class="min-w-0 truncate">{step.why || states[step.state][0]}</span>
                  </span>
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
{/if}
