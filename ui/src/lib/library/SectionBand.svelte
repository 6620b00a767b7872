<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { SectionView } from '$lib/api/client';
  import type { ListFilter } from './filter.svelte';
  import type { Carried } from './copied';
  import { carries, dropped } from './dragging';
  import { fileTools } from './actions';
  import { sectionsQuery } from './queries';
  import { path } from './sections';
  import SectionEditor from './SectionEditor.svelte';

  let {
    library,
    may,
    filter,
    onarriving
  }: {
    library: number;
    /** Whether what stands in it may be changed. */
    may: boolean;
    filter: ListFilter;
    /** Tools of other libraries were dropped on a section. */
    onarriving: (tools: Carried[], section: string) => void;
  } = $props();

  const sections = createQuery(() => sectionsQuery(library));
  const all = $derived(sections.data?.items ?? []);
  const outer = $derived(all.filter(({ parent }) => parent === null || parent === undefined));
  const chosen = $derived(all.find(({ id }) => id === filter.section));
  /** The section on the first level that the chosen one is, or is in. */
  const within = $derived(chosen?.parent ?? chosen?.id);
  const inner = $derived(all.filter(({ parent }) => parent !== null && parent === within));
  let over = $state<number | null>(null);

  // A section that somebody deleted is no longer chosen.
  $effect(() => {
    if (sections.data && filter.section && !chosen) filter.section = null;
  });

  function ondragover(event: DragEvent, section: SectionView) {
    if (!may || !carries(event)) return;
    event.preventDefault();
    over = section.id;
  }

  async function ondrop(event: DragEvent, section: SectionView) {
    event.preventDefault();
    event.stopPropagation();
    over = null;
    const tools = dropped(event);
    const own = tools.filter(({ libraryId }) => libraryId === library);
    const others = tools.filter(({ libraryId }) => libraryId !== library);
    if (others.length > 0) onarriving(others, path(all, section));
    else if (own.length > 0)
      await fileTools(
        library,
        section,
        own.map(({ toolId }) => toolId),
        true
      );
  }
</script>

{#snippet chip(section: SectionView)}
  {@const on = filter.section === section.id}
  <button
    class={[
      'flex h-7 items-center gap-1.5 whitespace-nowrap rounded-sm border px-2 text-[13px]',
      on || over === section.id
        ? 'border-working bg-faint'
        : section.id === within
          ? 'border-hairline bg-faint'
          : 'border-hairline hover:border-working'
    ]}
    aria-pressed={on}
    onclick={() => (filter.section = on ? null : section.id)}
    ondragover={(event) => ondragover(event, section)}
    ondragleave={() => (over = null)}
    ondrop={(event) => void ondrop(event, section)}
  >
    {section.name}
    <span class="text-soft">{section.tools.toLocaleString('en')}</span>
  </button>
{/snippet}

{#if all.length > 0}
  <div class="flex flex-wrap items-center gap-1 px-5 pb-2" role="group" aria-label="Sections">
    {#each outer as section (section.id)}{@render chip(section)}{/each}
    {#if inner.length > 0}
      <span class="px-1 text-soft" aria-hidden="true">›</span>
      {#each inner as section (section.id)}{@render chip(section)}{/each}
    {/if}
    {#if may}<SectionEditor {library} sections={all} />{/if}
  </div>
{/if}
