<script lang="ts">
  import type { JobView } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital } from '$lib/shell/text';
  import { changeJob, orderOf } from './actions';
  import ProgramUses from './ProgramUses.svelte';
  import { usesText } from './words';

  let { view, may }: { view: JobView; may: boolean } = $props();

  type JobTool = JobView['tools'][number];

  async function renumber(tool: JobTool, input: HTMLInputElement) {
    const number = input.valueAsNumber;
    const order = orderOf(view);
    const done =
      Number.isInteger(number) &&
      (await changeJob(
        view,
        {
          ...order,
          tools: (order.tools ?? []).map((one) =>
            one?.number === tool.number ? { ...one, number } : one
          )
        },
        `${tool.code} is T${number}`
      ));
    if (!done) input.value = String(tool.number);
  }

  async function does(tool: JobTool, uses: string[]) {
    const order = orderOf(view);
    await changeJob(
      view,
      {
        ...order,
        tools: (order.tools ?? []).map((one) =>
          one?.number === tool.number ? { ...one, uses } : one
        )
      },
      `${tool.code}: ${usesText({ ...tool, uses })}`
    );
  }

  async function drop(tool: JobTool) {
    const order = orderOf(view);
    await changeJob(
      view,
      { ...order, tools: (order.tools ?? []).filter((one) => one?.number !== tool.number) },
      `Took ${tool.code} out of the job`
    );
  }
</script>

{#snippet uses(tool: JobTool)}
  <ProgramUses
    {tool}
    {may}
    possible={view.possibleUses}
    state={(stated) => void does(tool, stated)}
  />
{/snippet}

<section class="min-w-0 overflow-x-auto" aria-label="Tools that the job calls">
  <table class="rows w-full">
    <thead>
      <tr>
        <th class="w-px">Number</th>
        <th>Tool</th>
        <th class="max-xl:hidden"><span class="sr-only">Drawing</span></th>
        <th>In the load</th>
        <th class="max-xl:hidden">Program uses</th>
        <th class="max-xl:hidden">From</th>
        {#if may}<th><span class="sr-only">Take out</span></th>{/if}
      </tr>
    </thead>
    <tbody>
      {#each view.tools as tool (tool.number)}
        <tr>
          <td class="whitespace-nowrap">
            T{#if may}<input
                class="field number ml-1 w-16"
                type="number"
                min="1"
                aria-label="Number of {tool.code}"
                value={tool.number}
                onchange={(event) => void renumber(tool, event.currentTarget)}
              />{:else}{tool.number}{/if}
          </td>
          <td>
            {#if tool.seen}
              <a class="code hover:text-working" href="/tools/{tool.toolId}">{tool.code}</a>
            {:else}
              <span class="code" title="Its sheet is in a private library">{tool.code}</span>
            {/if}
            <span
              class="block max-w-64 text-[13px] whitespace-normal text-soft sm:min-w-34"
              title={tool.name}>{tool.name}</span
            >
            <span class="block max-w-40 text-[13px] whitespace-normal xl:hidden"
              >{@render uses(tool)}</span
            >
          </td>
          <td class="max-xl:hidden"><Silhouette outline={tool.outline} width={90} height={22} /></td
          >
          <td
            class={[
              'min-w-28 whitespace-normal',
              !tool.found && !view.head.finished && 'text-query'
            ]}
          >
            {#if !tool.found && !view.head.finished}<Mark kind="query" word="" />{/if}
            {capital(tool.stands)}
          </td>
          <td class="min-w-36 whitespace-normal max-xl:hidden">{@render uses(tool)}</td>
          <td class="max-w-24 whitespace-normal max-xl:hidden">
            {#if tool.library}
              <a class="hover:text-working" href="/libraries/{tool.libraryId}">{tool.library}</a>
            {/if}
          </td>
          {#if may}
            <td class="text-right">
              <button
                class="button quiet"
                aria-label="Take {tool.code} out of the job"
                onclick={() => void drop(tool)}>Take out</button
              >
            </td>
          {/if}
        </tr>
      {:else}
        <tr>
          <td colspan="7" class="text-soft">
            {may ? 'Tick the tools that its program calls.' : 'It calls no tool yet.'}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
