<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { ControlTool } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';
  import { historyQuery } from './queries';
  import { valueOf, type ValueColumn } from './slots';
  import TakeIntoLibrary from './TakeIntoLibrary.svelte';

  let {
    machine,
    tool,
    columns,
    word
  }: {
    machine: string;
    tool: ControlTool;
    /** What counts for tools of its class. */
    columns: ValueColumn[];
    word: string;
  } = $props();

  const SHOWN = 6;
  const place = $derived(tool.place === 'spindle' ? 'SPINDLE' : tool.place);
  const history = createQuery(() => ({
    ...historyQuery(machine, place),
    enabled: place !== ''
  }));
  let taking = $state(false);

  /** What programs do with a value; nothing where that is not known. */
  function used({ field, measured }: ValueColumn): string {
    const purpose = tool.neededFor[field];
    if (purpose) return `needed for ${purpose}`;
    return measured && tool.classId ? 'no program uses it' : '';
  }
</script>

<section
  aria-label="The tool with the cursor"
  class="grid h-52 shrink-0 grid-cols-[minmax(0,3fr)_minmax(260px,1fr)] gap-x-8 overflow-hidden border-t border-hairline bg-sheet px-5 pt-3 max-sm:h-auto max-sm:grid-cols-1"
>
  <div class="min-h-0 overflow-auto pb-3">
    <p class="flex flex-wrap items-baseline gap-x-3">
      {#if tool.toolId}
        <a class="code font-semibold hover:text-working" href="/tools/{tool.toolId}">{tool.code}</a>
      {:else}
        <span class="code font-semibold">{tool.code}</span>
      {/if}
      <span>{tool.name}</span>
      <span class="text-soft">
        {tool.place === 'spindle'
          ? 'in the spindle'
          : tool.place
            ? `${word} ${tool.place}`
            : `in no ${word}`}{tool.sister ? `, sister ${tool.sister}` : ''}
      </span>
      {#if !tool.classId && who.may('EDIT')}
        <button class="button" onclick={() => (taking = true)}>Put it into a library</button>
      {/if}
    </p>
    <table class="mt-2 text-[13px]">
      <thead class="sr-only">
        <tr><th>Value</th><th>Geometry</th><th>Wear</th><th>Unit</th><th>What it is</th></tr>
      </thead>
      <tbody>
        {#each columns as column (column.field)}
          {@const [value, wear] = valueOf(tool, column)}
          <tr class="align-baseline">
            <td class="whitespace-nowrap pr-5">{capital(column.title)}</td>
            <td class="code pr-3 text-right">{value}</td>
            <td
              class={['code pr-2 text-right', Number(wear) === 0 ? 'text-soft' : 'text-note']}
              title="wear">{wear}</td
            >
            <td class="pr-5 text-soft">{column.unit}</td>
            <td class="text-soft">
              {#if value === '–' && tool.neededFor[column.field]}
                <Mark kind="hold" word="not set: needed for {tool.neededFor[column.field]}" />
              {:else}
                {[column.meaning, used(column)].filter(Boolean).join('; ')}
              {/if}
            </td>
          </tr>
        {:else}
          <tr><td class="text-soft">The control has no values of it.</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="min-h-0 overflow-auto pb-3 text-[13px]">
    <h2 class="text-soft">
      {tool.place === 'spindle' ? 'Changed in the spindle' : `Changed in ${word} ${tool.place}`}
    </h2>
    {#if place === ''}
      <p class="mt-1">It is in no {word}.</p>
    {:else if history.error}
      <p class="mt-1 text-hold">{history.error.message}</p>
    {:else if history.data}
      <ul class="mt-1">
        {#each history.data.items.slice(0, SHOWN) as change (change.id)}
          <li class="mb-1">
            {capital(change.title)}
            <span class="code text-soft">{change.was ?? '–'}</span> →
            <span class="code">{change.became ?? '–'}</span>,
            <span class="text-soft">{moment(change.seenAt)}, {change.by ?? 'at the machine'}</span>
          </li>
        {:else}
          <li>Nothing since it was read first.</li>
        {/each}
      </ul>
    {/if}
  </div>
</section>

<TakeIntoLibrary {machine} code={tool.code} bind:open={taking} />
