<script lang="ts">
  import type { MachineHead } from '$lib/api/client';
  import { offeredTools } from '$lib/machine/offeredTools.svelte';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { makePiece } from './actions';

  let {
    machines,
    machine = $bindable(),
    onmade,
    onclose
  }: {
    machines: MachineHead[];
    machine: string;
    onmade: (id: number) => void;
    onclose: () => void;
  } = $props();

  let library = $state<string | undefined>();
  const tools = offeredTools(
    () => machine,
    () => library,
    true
  );

  async function make(toolId: number) {
    const made = await makePiece(toolId, machine);
    if (made) onmade(made.id);
  }
</script>

<DialogFrame
  open
  title="New piece of a tool"
  hint="One real tool with a label of its own. It is put together and measured next."
  {onclose}
>
  <div class="flex flex-wrap items-center gap-2 pb-2">
    <Choice
      label="For which machine"
      bind:value={machine}
      options={machines.map(({ id, name }) => ({ value: id, label: name }))}
    />
    <Choice
      label="Library"
      bind:value={() => String(tools.library), (value) => (library = value)}
      options={tools.libraries}
    />
    <input
      class="field min-w-0 flex-1"
      type="search"
      aria-label="Search tools"
      placeholder="words, or dia 6..12 flutes 3"
      bind:value={tools.text}
    />
  </div>
  <ul class="h-72 overflow-auto border-t border-hairline">
    {#each tools.listed as tool (tool.entryId)}
      <li>
        <button
          class="band flex h-[30px] w-full items-center gap-3 px-2 text-left hover:bg-faint"
          onclick={() => void make(tool.toolId)}
        >
          <span class="code w-32 shrink-0 truncate">{tool.code}</span>
          <span class="min-w-0 flex-1 truncate">{tool.name}</span>
          <Silhouette outline={tool.outline} width={110} height={22} />
        </button>
      </li>
    {:else}
      {#if tools.nothing}<li class="py-3 text-soft">{tools.nothing}</li>{/if}
    {/each}
  </ul>
  {#each tools.asked as query, index (index)}<NotLoaded {query} />{/each}
</DialogFrame>
