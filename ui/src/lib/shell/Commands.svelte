<script lang="ts">
  import { goto } from '$app/navigation';
  import { Command, Dialog } from 'bits-ui';
  import { machinesQuery } from '$lib/machine/queries';
  import { librariesQuery } from '$lib/library/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { who } from './session.svelte';
  import { settings } from './settings.svelte';

  let { open = $bindable(false) }: { open: boolean } = $props();

  const libraries = createQuery(librariesQuery);
  const machines = createQuery(machinesQuery);

  const places = $derived([
    { title: 'Today', href: '/' },
    { title: 'Receiving', href: '/receiving' },
    { title: 'Libraries', href: '/libraries' },
    { title: 'Tools of all libraries', href: '/libraries/all' },
    { title: 'Proposals', href: '/proposals' },
    { title: 'Duplicates', href: '/duplicates' },
    { title: 'Holders, extensions, collets', href: '/holders' },
    { title: 'Machines', href: '/machines' },
    { title: 'Posts', href: '/posts' },
    { title: 'Links', href: '/links' },
    { title: 'Tool tables', href: '/tables' },
    { title: 'Toolroom', href: '/toolroom' },
    { title: 'Jobs', href: '/jobs' },
    { title: 'Trail', href: '/trail' },
    { title: 'My account', href: '/account' },
    ...(who.may('MANAGE_ACCOUNTS') ? [{ title: 'Accounts', href: '/accounts' }] : []),
    { title: 'Outlets', href: '/outlets' },
    { title: 'Shop rules', href: '/rules' }
  ]);
  const targets = $derived([
    ...places,
    ...(libraries.data?.items ?? []).map((library) => ({
      title: `Library ${library.name}`,
      href: `/libraries/${library.id}`
    })),
    ...(libraries.data?.items ?? []).map((library) => ({
      title: `New tool in ${library.name}`,
      href: `/libraries/${library.id}/new`
    })),
    ...(machines.data?.items ?? []).flatMap((machine) => [
      { title: `Machine ${machine.name}`, href: `/machines/${machine.id}` },
      { title: `Tool table of ${machine.name}`, href: `/tables/${machine.id}` }
    ])
  ]);

  function go(href: string) {
    open = false;
    void goto(href);
  }
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/30" />
    <Dialog.Content
      class="floating fixed left-1/2 top-24 z-50 w-[520px] max-w-[94vw] -translate-x-1/2 overflow-hidden"
    >
      <Dialog.Title class="sr-only">Go to</Dialog.Title>
      <Command.Root label="Go to">
        <Command.Input
          placeholder="Where to?"
          class="h-11 w-full border-b border-hairline bg-transparent px-4 text-[15px] outline-none"
        />
        <Command.List class="max-h-80 overflow-auto p-1">
          <Command.Viewport>
            <Command.Empty class="px-3 py-2 text-soft">Nothing is called that.</Command.Empty>
            {#each targets as target (target.title)}
              <Command.Item
                class="cursor-pointer rounded-sm px-3 py-1.5 data-selected:bg-faint"
                onSelect={() => go(target.href)}
              >
                {target.title}
              </Command.Item>
            {/each}
            <Command.Item
              class="cursor-pointer rounded-sm px-3 py-1.5 data-selected:bg-faint"
              onSelect={() => {
                settings.toggleTheme();
                open = false;
              }}
            >
              Switch between daylight and night shift
            </Command.Item>
          </Command.Viewport>
        </Command.List>
      </Command.Root>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
