<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import type { MachineView, ToolRow } from '$lib/api/client';
  import { foundToolsQuery, librariesQuery } from '$lib/library/queries';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { pickedLibrary } from './pickedLibrary';
  import { pickedFromQuery, unsuitedQuery } from './queries';
  import type { Wanted } from './wanted';

  let { machine, wanted = $bindable() }: { machine: MachineView; wanted: Wanted[] } = $props();

  let text = $state('');
  let named = $state<string | undefined>();
  const q = new Debounced(() => text.trim(), 150);
  const libraries = createQuery(librariesQuery);
  const usual = createQuery(() => pickedFromQuery(machine.machine.id));
  const library = $derived(pickedLibrary(libraries.data?.items ?? [], usual.data?.library, named));
  const tools = createQuery(() => ({
    ...foundToolsQuery(library, q.current, true),
    enabled: library > 0
  }));
  const unsuited = createQuery(() => ({
    ...unsuitedQuery(
      machine.machine.id,
      library,
      (tools.data?.items ?? []).map(({ toolId }) => toolId)
    ),
    enabled: (tools.data?.items.length ?? 0) > 0
  }));
  const offered = $derived(
    (tools.data?.items ?? []).filter(
      ({ toolId, standing }) => standing !== 'RETIRED' && !unsuited.data?.[toolId]
    )
  );
  const isWanted = (toolId: number) => wanted.some((tool) => tool.toolId === toolId);

  const row = ({ toolId, code, name, outline }: ToolRow): Wanted => ({
    toolId,
    libraryId: library,
    code,
    name,
    outline
  });

  function want(tool: ToolRow, on: boolean) {
    const others = wanted.filter(({ toolId }) => toolId !== tool.toolId);
    wanted = on ? [...others, row(tool)] : others;
  }

  function all() {
    wanted = [...wanted, ...offered.filter(({ toolId }) => !isWanted(toolId)).map(row)];
  }
</script>

<section class="flex min-h-0 flex-col" aria-label="Tools that have to be in">
  <div class="flex items-center gap-2 pb-2">
    <input
      class="field min-w-0 flex-1"
      data-search
      type="search"
      aria-label="Search tools"
      placeholder="words, or dia 6..12 flutes 3"
      bind:value={text}
    />
    <Choice
      label="Library"
      bind:value={() => String(library), (value) => (named = value)}
      options={(libraries.data?.items ?? []).map(({ id, name }) => ({
        value: String(id),
        label: name
      }))}
    />
    <button class="button" disabled={offered.length === 0} onclick={all}>All listed</button>
  </div>
  <ul class="min-h-0 flex-1 overflow-auto border-t border-hairline">
    {#each offered as tool (tool.entryId)}
      <li class="band flex h-[30px] items-center gap-3 border-b border-hairline px-1">
        <Checkbox
          label="{tool.code} {tool.name}"
          hidden
          bind:checked={() => isWanted(tool.toolId), (on) => want(tool, on)}
        />
        <span class="code w-32 shrink-0 truncate">{tool.code}</span>
        <span class="min-w-0 flex-1 truncate">{tool.name}</span>
        <Silhouette outline={tool.outline} width={90} height={22} />
      </li>
    {:else}
      {#if tools.data}
        <li class="py-3 text-soft">
          {tools.data.items.length > 0
            ? `None of these can go into ${machine.machine.name}.`
            : q.current
              ? 'No tool is like that.'
              : 'This library is empty.'}
        </li>
      {/if}
    {/each}
  </ul>
  {#if library === 0}<NotLoaded query={usual} />{/if}
  <NotLoaded query={tools} />
</section>
