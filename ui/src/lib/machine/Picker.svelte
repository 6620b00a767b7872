<script lang="ts">
  import { PersistedState } from 'runed';
  import type { MachineView, ToolRow } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital, count } from '$lib/shell/text';
  import { standingLabel } from '$lib/standing/standing';
  import { offeredTools } from './offeredTools.svelte';
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

  /** Chosen last, by machine. */
  const last = new PersistedState<Record<string, string>>('picker libraries', {});
  const tools = offeredTools(
    () => machine.machine.id,
    () => last.current[machine.machine.id]
  );
  let fitting = $state(true);
  const offered = $derived(fitting ? tools.fitting : tools.listed);
  const isPicked = (tool: ToolRow) =>
    picked?.toolId === tool.toolId && (picked.libraryId ?? tools.library) === tools.library;
</script>

<section class="flex min-h-0 flex-col" aria-label="Tools to load">
  <div class="flex items-center gap-2 pb-2">
    <input
      class="field flex-1"
      data-search
      type="search"
      aria-label="Search tools"
      placeholder="words, or dia 6..12 flutes 3"
      bind:value={tools.text}
    />
    <Choice
      label="Library"
      bind:value={
        () => String(tools.library),
        (value) => (last.current = { ...last.current, [machine.machine.id]: value })
      }
      options={tools.libraries}
    />
  </div>
  {#if tools.mayAll}
    <div class="pb-2">
      <Checkbox label="Also tools that are not released" bind:checked={tools.all} />
    </div>
  {/if}
  <!-- Always there, so that the tools below do not move under a pointer once it is known. -->
  <div class="pb-2">
    <Checkbox
      label="Only what can go into the machine{tools.left > 0
        ? ` (${count(tools.left, 'tool')} here cannot)`
        : ''}"
      bind:checked={fitting}
    />
  </div>
  <ul class="min-h-0 flex-1 overflow-auto border-t border-hairline">
    {#each offered as tool (tool.entryId)}
      <li>
        <button
          class={[
            'band flex h-[30px] w-full items-center gap-3 px-2 text-left hover:bg-faint',
            isPicked(tool) && 'bg-faint',
            (planned.has(tool.toolId) || tools.why(tool.toolId)) && 'text-soft'
          ]}
          aria-pressed={isPicked(tool)}
          draggable="true"
          ondragstart={(e) => {
            e.dataTransfer?.setData(
              'text/plain',
              dragged({ toolId: tool.toolId, libraryId: tools.library })
            );
          }}
          onclick={() => onpick(tool, tools.library)}
        >
          <span class="code w-32 shrink-0 truncate">{tool.code}</span>
          <span class="min-w-0 flex-1 truncate">{tool.name}</span>
          {#if tools.why(tool.toolId)}
            <span
              class="min-w-0 flex-1 truncate text-[13px] text-query"
              title={tools.why(tool.toolId)}>{capital(tools.why(tool.toolId) ?? '')}</span
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
      {#if tools.listed.length > 0}
        <li class="py-3 text-soft">
          None of these {count(tools.listed.length, 'tool')} can go into {machine.machine.name}:
          show them to see why.
        </li>
      {:else if tools.nothing}
        <li class="py-3 text-soft">{tools.nothing}</li>
      {/if}
    {/each}
  </ul>
  {#each tools.asked as query, index (index)}<NotLoaded {query} />{/each}
</section>
