<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced, PersistedState } from 'runed';
  import { foundToolsQuery, librariesQuery } from '$lib/library/queries';
  import type { MachineView, ToolRow } from '$lib/api/client';
  import { rulesQuery } from '$lib/rule/queries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count } from '$lib/shell/text';
  import { standingLabel } from '$lib/standing/standing';
  import { pickedFromQuery, unsuitedQuery } from './queries';
  import { pickedLibrary } from './pickedLibrary';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { dragged, type Dragged } from './dragged';

  let {
    machine,
    picked,
    planned,
    onpick
  }: {
    machine: MachineView;
    picked: Dragged | null;
    planned: Set<number>;
    /** The library of the machine. */
    onpick: (tool: ToolRow, libraryId: number) => void;
  } = $props();

  let text = $state('');
  /** Chosen last, by machine. */
  const last = new PersistedState<Record<string, string>>('picker libraries', {});
  const q = new Debounced(() => text.trim(), 150);
  const libraries = createQuery(librariesQuery);
  const usual = createQuery(() => pickedFromQuery(machine.machine.id));
  const chosen = $derived(
    pickedLibrary(
      libraries.data?.items ?? [],
      usual.data?.library,
      last.current[machine.machine.id]
    )
  );
  const rules = createQuery(rulesQuery);
  /** Only released tools are offered, unless the shop or the lead looks at all. */
  let all = $state(false);
  const onlyReleased = $derived(!rules.data?.unreleased && !all);
  const tools = createQuery(() => ({
    ...foundToolsQuery(chosen, q.current, onlyReleased),
    enabled: chosen > 0
  }));
  const unsuited = createQuery(() => ({
    ...unsuitedQuery(
      machine.machine.id,
      chosen,
      (tools.data?.items ?? []).map(({ toolId }) => toolId)
    ),
    enabled: (tools.data?.items.length ?? 0) > 0
  }));
  const why = (toolId: number): string | undefined => unsuited.data?.[toolId];
  let fitting = $state(true);
  const left = $derived(Object.keys(unsuited.data ?? {}).length);
  const standing = $derived(
    (tools.data?.items ?? []).filter(({ standing }) =>
      onlyReleased ? standing === 'RELEASED' : standing !== 'RETIRED'
    )
  );
  const offered = $derived(standing.filter(({ toolId }) => !fitting || !why(toolId)));
  const isPicked = (tool: ToolRow) =>
    picked?.toolId === tool.toolId && (picked.libraryId ?? chosen) === chosen;
</script>

<section class="flex min-h-0 flex-col" aria-label="Tools to load">
  <div class="flex items-center gap-2 pb-2">
    <input
      class="field flex-1"
      data-search
      type="search"
      aria-label="Search tools"
      placeholder="words, or dia 6..12 flutes 3"
      bind:value={text}
    />
    <Choice
      label="Library"
      bind:value={
        () => String(chosen),
        (value) => (last.current = { ...last.current, [machine.machine.id]: value })
      }
      options={(libraries.data?.items ?? []).map((library) => ({
        value: String(library.id),
        label: library.name
      }))}
    />
  </div>
  {#if who.current.role === 'lead' && !rules.data?.unreleased}
    <div class="pb-2"><Checkbox label="Also tools that are not released" bind:checked={all} /></div>
  {/if}
  {#if left > 0}
    <div class="pb-2">
      <Checkbox
        label="Only what can go into the machine ({count(left, 'tool')} here cannot)"
        bind:checked={fitting}
      />
    </div>
  {/if}
  <ul class="min-h-0 flex-1 overflow-auto border-t border-hairline">
    {#each offered as tool (tool.entryId)}
      <li>
        <button
          class={[
            'band flex h-[30px] w-full items-center gap-3 px-2 text-left hover:bg-faint',
            isPicked(tool) && 'bg-faint',
            (planned.has(tool.toolId) || why(tool.toolId)) && 'text-soft'
          ]}
          aria-pressed={isPicked(tool)}
          draggable="true"
          ondragstart={(e) => {
            e.dataTransfer?.setData(
              'text/plain',
              dragged({ toolId: tool.toolId, libraryId: chosen })
            );
          }}
          onclick={() => onpick(tool, chosen)}
        >
          <span class="code w-32 shrink-0 truncate">{tool.code}</span>
          <span class="min-w-0 flex-1 truncate">{tool.name}</span>
          {#if why(tool.toolId)}
            <span class="min-w-0 flex-1 truncate text-[13px] text-query" title={why(tool.toolId)}
              >{capital(why(tool.toolId) ?? '')}</span
            >
          {/if}
          <span class="text-[13px] text-soft"
            >{planned.has(tool.toolId)
              ? 'planned'
              : tool.standing === 'RELEASED'
                ? ''
                : standingLabel(tool.standing).toLowerCase()}</span
          >
          <Silhouette outline={tool.outline} width={110} height={22} />
        </button>
      </li>
    {:else}
      {#if tools.data}
        <li class="py-3 text-soft">
          {standing.length > 0
            ? `None of these ${count(standing.length, 'tool')} can go into ${machine.machine.name}: show them to see why.`
            : tools.data.items.length > 0
              ? 'No tool of these is released; only released tools are planned.'
              : q.current
                ? 'No tool is like that.'
                : 'This library is empty: take a delivery into it first.'}
        </li>
      {/if}
    {/each}
  </ul>
  {#if chosen === 0}<NotLoaded query={usual} />{/if}
  <NotLoaded query={tools} />
</section>
