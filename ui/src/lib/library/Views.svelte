<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Popover } from 'bits-ui';
  import type { ListView } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import type { ListFilter } from './filter.svelte';
  import LastingDelete from '$lib/shell/LastingDelete.svelte';
  import { changeView, deleteView, keepView, viewsQuery } from './views';

  let { filter }: { filter: ListFilter } = $props();

  const views = createQuery(viewsQuery);
  let open = $state(false);
  let name = $state('');
  let shared = $state(false);
  let wrong = $state('');
  const all = $derived(views.data?.items ?? []);
  const current = $derived(all.find(({ id }) => id === filter.view));

  function show(view: ListView) {
    filter.apply(view.definition);
    filter.view = view.id;
    open = false;
  }

  async function saying(deed: () => Promise<unknown>) {
    wrong = '';
    try {
      await deed();
      return true;
    } catch (error) {
      wrong = (error as Error).message;
      return false;
    }
  }

  async function keep() {
    const kept = name.trim();
    const done = await saying(async () => {
      const view = await keepView(kept, shared, filter.definition());
      filter.view = view.id;
    });
    if (done) {
      name = '';
      shared = false;
    }
  }
</script>

<Popover.Root bind:open>
  <Popover.Trigger class="field inline-flex max-w-44 items-center gap-2" aria-label="View">
    <span class="truncate">{current ? current.name : 'views'}</span>
    <span class="text-soft" aria-hidden="true">▾</span>
  </Popover.Trigger>
  <Popover.Portal>
    <Popover.Content class="floating z-50 w-80 p-3" align="end" sideOffset={4}>
      <ul class="max-h-64 overflow-auto">
        {#each all as view (view.id)}
          <li class="flex items-center gap-2">
            <button
              class={[
                'min-w-0 flex-1 truncate rounded-sm px-2 py-1 text-left hover:bg-faint',
                view.id === filter.view && 'font-semibold'
              ]}
              onclick={() => show(view)}>{view.name}</button
            >
            {#if view.shared}<span class="text-[12px] text-soft">of {view.owner}</span>{/if}
            {#if view.changeable}
              <LastingDelete
                label="Delete the view {view.name}"
                ondelete={() => void deleteView(view)}
              />
            {/if}
          </li>
        {:else}
          {#if views.data}
            <li class="px-2 py-1 text-soft">
              No view is kept yet: columns, order, groups and filters of a list under a name.
            </li>
          {/if}
        {/each}
      </ul>
      <NotLoaded query={views} />
      {#if current?.changeable}
        <button
          class="button mt-2"
          onclick={() =>
            void saying(() => changeView(current, current.shared, filter.definition()))}
        >
          Keep {current.name} as the list is now
        </button>
      {/if}
      <form
        class="mt-2 grid gap-2 border-t border-hairline pt-2"
        onsubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <label class="flex items-center gap-2">
          <span class="text-soft">Name</span>
          <input class="field min-w-0 flex-1" maxlength="60" bind:value={name} />
        </label>
        {#if who.may('EDIT')}<Checkbox label="For everybody" bind:checked={shared} />{/if}
        <button class="button main justify-self-start" disabled={name.trim() === ''}
          >Keep as a new view</button
        >
      </form>
      {#if wrong}<p role="alert" class="mt-2 text-hold">{capital(wrong)}</p>{/if}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
