<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { SectionView } from '$lib/api/client';
  import { addSection, changeSection, deleteSection } from './actions';
  import { droppedOn, neighbour } from './sections';

  let { library, sections }: { library: number; sections: SectionView[] } = $props();

  let fresh = $state('');
  let within = $state<number | null>(null);
  let busy = $state(false);

  async function during(deed: Promise<unknown>) {
    busy = true;
    await deed;
    busy = false;
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    if (await addSection(library, fresh, within)) fresh = '';
    busy = false;
  }

  function rename(section: SectionView, name: string) {
    if (name.trim() && name.trim() !== section.name)
      void during(changeSection(library, section.id, { name }));
  }

  function move(section: SectionView, down: boolean) {
    const before = neighbour(sections, section, down);
    if (before !== undefined) void during(changeSection(library, section.id, { before }));
  }

  let carried = $state<SectionView | null>(null);
  let over = $state<number | null>(null);

  function ondragover(event: DragEvent, target: SectionView) {
    if (busy || !carried || !droppedOn(sections, carried, target)) return;
    event.preventDefault();
    over = target.id;
  }

  function ondrop(event: DragEvent, target: SectionView) {
    event.preventDefault();
    const change = carried && droppedOn(sections, carried, target);
    if (carried && change) void during(changeSection(library, carried.id, change));
    carried = over = null;
  }

  function keys(event: KeyboardEvent, section: SectionView) {
    if (!event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
    event.preventDefault();
    move(section, event.key === 'ArrowDown');
  }
</script>

<Popover.Root>
  <Popover.Trigger class={['button', sections.length > 0 && 'quiet text-[13px]']}>
    {sections.length === 0 ? 'Sections' : 'Edit sections'}
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content class="floating z-50 w-[460px] p-3" align="start" sideOffset={4}>
      <p class="font-semibold">Sections</p>
      <p class="text-[13px] text-soft">
        A tool can stand in several. Drag a section before another one, or move it with
        <kbd>Alt</kbd> <kbd>↑</kbd> <kbd>↓</kbd>.
      </p>
      <ul class="mt-2 grid max-h-80 gap-1 overflow-auto">
        {#each sections as section (section.id)}
          <li
            class={[
              'flex items-center gap-1 border-t-2',
              section.parent ? 'pl-6' : '',
              over === section.id ? 'border-working' : 'border-transparent'
            ]}
            ondragover={(event) => ondragover(event, section)}
            ondragleave={() => (over = null)}
            ondrop={(event) => ondrop(event, section)}
          >
            <span
              class="cursor-grab px-1 text-soft"
              role="img"
              aria-label="Drag {section.name}"
              title="Drag it before another section"
              draggable="true"
              ondragstart={(event) => {
                carried = section;
                event.dataTransfer?.setData('text/plain', section.name);
              }}
              ondragend={() => (carried = over = null)}>⋮⋮</span
            >
            <input
              class="field min-w-0 flex-1"
              aria-label="Name of section {section.name}"
              maxlength="60"
              value={section.name}
              disabled={busy}
              onchange={(event) => rename(section, event.currentTarget.value)}
              onkeydown={(event) => keys(event, section)}
            />
            <button
              class="button quiet"
              aria-label="Move {section.name} up"
              disabled={busy || neighbour(sections, section, false) === undefined}
              onclick={() => move(section, false)}>↑</button
            >
            <button
              class="button quiet"
              aria-label="Move {section.name} down"
              disabled={busy || neighbour(sections, section, true) === undefined}
              onclick={() => move(section, true)}>↓</button
            >
            {#if section.parent}
              <button
                class="button quiet"
                disabled={busy}
                title="Out of the section that it is in"
                onclick={() => void during(changeSection(library, section.id, { parent: 0 }))}
                >Out</button
              >
            {:else}
              <button
                class={['button quiet', within === section.id && 'bg-faint!']}
                aria-pressed={within === section.id}
                title="The next new section goes into {section.name}"
                onclick={() => (within = within === section.id ? null : section.id)}
                >Add inside</button
              >
            {/if}
            <button
              class="button quiet"
              disabled={busy}
              aria-label="Delete section {section.name}"
              onclick={() => void during(deleteSection(library, section))}>Delete</button
            >
          </li>
        {/each}
      </ul>
      <form class="mt-2 flex gap-2" onsubmit={add}>
        <input
          class="field min-w-0 flex-1"
          aria-label="New section"
          placeholder={within
            ? `new section in ${sections.find(({ id }) => id === within)?.name ?? ''}`
            : 'new section'}
          maxlength="60"
          bind:value={fresh}
        />
        <button class="button" disabled={busy || !fresh.trim()}>Add</button>
      </form>
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
