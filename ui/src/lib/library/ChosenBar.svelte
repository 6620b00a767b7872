<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { DropdownMenu } from 'bits-ui';
  import type { SectionView, ToolRow } from '$lib/api/client';
  import { count } from '$lib/shell/text';
  import ProposeDialog from '$lib/proposal/ProposeDialog.svelte';
  import { moveTools } from '$lib/standing/actions';
  import StandingMenu from '$lib/standing/StandingMenu.svelte';
  import { failed } from '$lib/shell/toast';
  import { copyTool, fileTools, holdVersions, takeOut } from './actions';
  import { basket } from './basket.svelte';
  import BulkDialog from './BulkDialog.svelte';
  import type { ListFilter } from './filter.svelte';
  import { allIds, sectionsQuery } from './queries';

  let {
    library,
    may,
    proposes = false,
    filter,
    listed,
    chosen = $bindable()
  }: {
    /** Null where the rows stand in a list of all libraries. */
    library: number | null;
    /** Whether what stands in it may be changed. */
    may: boolean;
    /** Whether changes of it may be proposed to others. */
    proposes?: boolean;
    filter: ListFilter;
    /** How many tools the list has. */
    listed: number;
    chosen: ToolRow[];
  } = $props();

  const item = 'block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint';
  const sections = createQuery(() => sectionsQuery(library ?? 0));
  const all = $derived(sections.data?.items ?? []);
  const here = $derived(all.find(({ id }) => id === filter.section));
  const single = $derived(chosen.length === 1 ? chosen[0] : null);
  const fresh = $derived(chosen.filter(({ toolId }) => !basket.has(toolId)));

  let changing = $state<number[] | null>(null);
  let retiring = $state(false);

  async function changeListed() {
    try {
      changing = (await allIds(library, filter.query)).items;
    } catch (error) {
      failed(error);
    }
  }

  async function file(into: SectionView, put: boolean) {
    if (library === null) return;
    await fileTools(
      library,
      into,
      chosen.map(({ toolId }) => toolId),
      put
    );
  }

  async function versions(follow: boolean) {
    if (library !== null && (await holdVersions(library, chosen, follow))) chosen = [];
  }

  async function remove() {
    if (library !== null && (await takeOut(library, chosen))) chosen = [];
  }
</script>

{#if chosen.length > 0}
  <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Chosen tools">
    <span class="text-soft">{chosen.length === 1 ? '' : count(chosen.length, 'tool')}</span>
    <button
      class="button"
      disabled={fresh.length === 0}
      title="Key B"
      onclick={() => basket.add(chosen)}
      >{fresh.length === 0 ? 'In the basket' : 'Add to basket'}</button
    >
    {#if may}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger class="button">Change ▾</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content class="floating z-50 min-w-52 p-1" align="end" sideOffset={4}>
            <DropdownMenu.Item
              class={item}
              onSelect={() => (changing = chosen.map(({ toolId }) => toolId))}
              >{single ? single.code : `The ${chosen.length} chosen`}</DropdownMenu.Item
            >
            {#if listed > chosen.length}
              <DropdownMenu.Item class={item} onSelect={() => void changeListed()}
                >All {listed.toLocaleString('en')} that are listed</DropdownMenu.Item
              >
            {/if}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <StandingMenu
        label="How far the chosen tools are trusted"
        now={single?.standing}
        onmove={(to) =>
          void moveTools(
            chosen.map(({ toolId }) => toolId),
            to
          )}>Standing</StandingMenu
      >
    {/if}
    {#if library !== null && may}
      {#if all.length > 0}
        <DropdownMenu.Root>
          <DropdownMenu.Trigger class="button">Section ▾</DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              class="floating z-50 max-h-96 min-w-52 overflow-auto p-1"
              align="end"
              sideOffset={4}
            >
              {#each all as one (one.id)}
                <DropdownMenu.Item
                  class={[item, one.parent ? 'pl-7!' : '']}
                  onSelect={() => void file(one, true)}>{one.name}</DropdownMenu.Item
                >
              {/each}
              {#if here}
                <DropdownMenu.Separator class="my-1 border-t border-hairline" />
                <DropdownMenu.Item class={item} onSelect={() => void file(here, false)}
                  >Take out of {here.name}</DropdownMenu.Item
                >
              {/if}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      {/if}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger class="button">Version ▾</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content class="floating z-50 min-w-60 p-1" align="end" sideOffset={4}>
            <DropdownMenu.Item class={item} onSelect={() => void versions(true)}
              >Follow the newest version</DropdownMenu.Item
            >
            <DropdownMenu.Item class={item} onSelect={() => void versions(false)}
              >Stay at the version held now</DropdownMenu.Item
            >
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {#if single}
        <button
          class="button"
          title="A new tool like {single.code}"
          onclick={() => void copyTool(library, single)}>Copy</button
        >
      {/if}
      <button class="button" onclick={() => void remove()}>Remove</button>
    {/if}
    {#if !may && proposes}
      <button class="button" onclick={() => (retiring = true)}>Propose to retire</button>
    {/if}
    {#if single}<a class="button" href="/tools/{single.toolId}">Open sheet</a>{/if}
  </div>
{/if}
{#if retiring && library !== null}
  <ProposeDialog
    {library}
    title="Propose to retire {single ? single.code : count(chosen.length, 'tool')}"
    changes={chosen.map(({ toolId }) => ({ kind: 'RETIRE' as const, tool: toolId }))}
    onclose={() => (retiring = false)}
    onproposed={() => {
      retiring = false;
      chosen = [];
    }}
  />
{/if}
{#if changing}
  <BulkDialog tools={changing} {library} onclose={() => (changing = null)} />
{/if}
