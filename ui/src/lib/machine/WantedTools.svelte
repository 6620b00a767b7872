<script lang="ts">
  import type { MachineView, ToolRow } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { offeredTools } from './offeredTools.svelte';
  import type { Wanted } from './wanted';

  let {
    machine,
    wanted = $bindable(),
    allow = $bindable(false),
    any = false
  }: {
    machine: MachineView;
    wanted: Wanted[];
    /** Whether the lead lets tools in that are not released. */
    allow?: boolean;
    /** Whether it does not matter how far they are trusted. */
    any?: boolean;
  } = $props();

  let named = $state<string | undefined>();
  const tools = offeredTools(
    () => machine.machine.id,
    () => named,
    // svelte-ignore state_referenced_locally
    any
  );
  const isWanted = (toolId: number) => wanted.some((tool) => tool.toolId === toolId);

  const row = ({ toolId, code, name, outline }: ToolRow): Wanted => ({
    toolId,
    libraryId: tools.library,
    code,
    name,
    outline
  });

  function want(tool: ToolRow, on: boolean) {
    const others = wanted.filter(({ toolId }) => toolId !== tool.toolId);
    wanted = on ? [...others, row(tool)] : others;
  }

  function all() {
    wanted = [...wanted, ...tools.fitting.filter(({ toolId }) => !isWanted(toolId)).map(row)];
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
      bind:value={tools.text}
    />
    <Choice
      label="Library"
      bind:value={() => String(tools.library), (value) => (named = value)}
      options={tools.libraries}
    />
    <button class="button" disabled={tools.fitting.length === 0} onclick={all}>All listed</button>
  </div>
  {#if tools.mayAll}
    <div class="pb-2">
      <Checkbox
        label="Also tools that are not released"
        bind:checked={() => allow, (on) => (allow = tools.all = on)}
      />
    </div>
  {/if}
  <ul class="min-h-0 flex-1 overflow-auto border-t border-hairline">
    {#each tools.fitting as tool (tool.entryId)}
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
      {#if tools.listed.length > 0 || tools.nothing}
        <li class="py-3 text-soft">
          {tools.nothing || `None of these can go into ${machine.machine.name}.`}
        </li>
      {/if}
    {/each}
  </ul>
  {#each tools.asked as query, index (index)}<NotLoaded {query} />{/each}
</section>
