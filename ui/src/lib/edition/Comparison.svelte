<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { EditionHead } from '$lib/api/client';
  import Overlay from '$lib/drawing/Overlay.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { count } from '$lib/shell/text';
  import FieldTable from './FieldTable.svelte';
  import { comparedQuery } from './queries';

  let {
    library,
    editions,
    first
  }: {
    library: number;
    /** The newest first. */
    editions: EditionHead[];
    /** The edition that is looked at. */
    first: EditionHead;
  } = $props();

  const NOW = 'now';
  let until = $state(NOW);
  const later = $derived(editions.filter(({ number }) => number > first.number));
  const second = $derived(later.find(({ id }) => String(id) === until));
  const compared = createQuery(() => comparedQuery(library, first.id, second?.id));
  const shown = $derived(compared.data);
  const sum = $derived(
    shown
      ? [
          shown.cameIn > 0 ? `${count(shown.cameIn, 'tool')} came in` : '',
          shown.wentOut > 0 ? `${count(shown.wentOut, 'tool')} went out` : '',
          shown.changed > 0 ? `${count(shown.changed, 'tool')} changed` : '',
          shown.parts.length > 0 ? `${count(shown.parts.length, 'part')} of stacks changed` : ''
        ]
          .filter(Boolean)
          .join(', ') || 'Both hold the same'
      : ''
  );
</script>

<section aria-label="What changed" class="min-w-0">
  <div class="flex flex-wrap items-center gap-2">
    <h2>Since edition {first.number}</h2>
    <span class="text-soft">until</span>
    <Choice
      label="Until"
      bind:value={() => (second ? until : NOW), (next) => (until = next)}
      options={[
        { value: NOW, label: 'now' },
        ...later.map(({ id, number }) => ({ value: String(id), label: `edition ${number}` }))
      ]}
    />
  </div>
  {#if compared.isPending}
    <p class="mt-3 text-soft" role="status">Comparing …</p>
  {:else if shown}
    <p class="mt-2" role="status">{sum}</p>
    {#each [{ head: 'Came in', tools: shown.in }, { head: 'Went out', tools: shown.out }] as group (group.head)}
      {#if group.tools.length > 0}
        <h3 class="mt-4 font-semibold">{group.head}</h3>
        <table class="rows w-full">
          <tbody>
            {#each group.tools as tool (tool.toolId)}
              <tr>
                <td class="code w-40"
                  ><a class="hover:text-working" href="/tools/{tool.toolId}">{tool.code}</a></td
                >
                <td>{tool.name}</td>
                <td class="number w-20">{tool.number}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    {/each}
    {#if shown.changes.length > 0}
      <h3 class="mt-4 font-semibold">Changed</h3>
      {#each shown.changes as tool (tool.toolId)}
        <details class="group border-b border-hairline py-1">
          <summary class="flex cursor-pointer items-center gap-3">
            <span class="text-soft group-open:rotate-90" aria-hidden="true">▸</span>
            <span class="code w-36 shrink-0">{tool.code}</span>
            <span class="min-w-0 flex-1 truncate">{tool.name}</span>
            {#if tool.codeBefore !== tool.code}
              <span class="text-soft">was <span class="code">{tool.codeBefore}</span></span>
            {/if}
            <span class="text-soft">{count(tool.fields.length, 'field')}</span>
          </summary>
          <div class="pb-2 pt-1">
            <Overlay
              before={tool.before}
              after={tool.after}
              label="{tool.code} before and after, to scale"
            />
            <div class="mt-2"><FieldTable fields={tool.fields} /></div>
            <p class="mt-1">
              <a class="text-working underline" href="/tools/{tool.toolId}">Open the sheet</a>
            </p>
          </div>
        </details>
      {/each}
    {/if}
    {#if shown.parts.length > 0}
      <h3 class="mt-4 font-semibold">Parts of stacks</h3>
      {#each shown.parts as part (part.code)}
        <div class="border-b border-hairline py-1">
          <span class="code">{part.code}</span>
          <FieldTable fields={part.fields} />
        </div>
      {/each}
    {/if}
  {/if}
  <NotLoaded query={compared} />
</section>
