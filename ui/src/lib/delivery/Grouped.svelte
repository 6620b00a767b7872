<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { SvelteSet } from 'svelte/reactivity';
  import type { Line } from '$lib/api/client';
  import { lineGroupsQuery, type Narrowed } from '$lib/delivery/queries';
  import { classesQuery } from '$lib/tool/queries';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, count, day } from '$lib/shell/text';
  import Lines from './Lines.svelte';

  let {
    delivery,
    files,
    disposition,
    by,
    narrowed,
    onbeside
  }: {
    delivery: number;
    files: string[];
    disposition: string;
    /** What the lines are grouped by. */
    by: string;
    narrowed: Narrowed;
    onbeside: (line: Line) => void;
  } = $props();

  const groups = createQuery(() => lineGroupsQuery(delivery, by, disposition, narrowed.text));
  const classes = createQuery(classesQuery);
  const open = new SvelteSet<string>();

  function title(group: string): string {
    switch (by) {
      case 'class':
        return classes.data?.items.find(({ id }) => id === group)?.title ?? (group || 'no class');
      case 'number':
        return group === '' ? 'no number' : `${group} to ${Number(group) + 99}`;
      case 'file':
        return files[Number(group)] ?? `file ${Number(group) + 1}`;
      case 'date':
        return day(group);
      case 'kind':
        return capital(group === 'CUTTING' ? 'cutting data' : group.toLowerCase());
      default:
        return group || 'no name';
    }
  }

  function toggle(group: string) {
    if (!open.delete(group)) open.add(group);
  }
</script>

{#each groups.data?.items ?? [] as { group, count: lines } (group)}
  <section class="border-t border-hairline" aria-label={title(group)}>
    <h2 class="px-5 py-1">
      <button
        class="flex h-8 w-full items-center gap-3 text-left hover:text-working"
        aria-expanded={open.has(group)}
        onclick={() => toggle(group)}
      >
        <span class="w-3 text-soft">{open.has(group) ? '−' : '+'}</span>
        <span class="truncate">{title(group)}</span>
        <span class="text-[13px] font-normal text-soft">{count(lines, 'line')}</span>
      </button>
    </h2>
    {#if open.has(group)}
      <Lines
        {files}
        {delivery}
        {disposition}
        properties={['DC', 'OAL']}
        editable={false}
        narrowed={{ ...narrowed, by, group }}
        {onbeside}
      />
    {/if}
  </section>
{:else}
  {#if groups.data}<p class="px-5 py-4 text-soft">No line is like this.</p>{/if}
{/each}
<NotLoaded query={groups} />
