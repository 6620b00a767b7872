<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { LibraryRow } from '$lib/api/client';
  import { changeLibrary, deleteLibrary } from './actions';
  import { act } from '$lib/api/act';
  import { mayOwn } from './rights';

  let {
    row,
    onderive,
    oncopy,
    onmerge
  }: {
    row: LibraryRow;
    onderive: () => void;
    oncopy: () => void;
    onmerge: () => void;
  } = $props();

  const item = 'block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint';

  const archive = (archived: boolean) =>
    act({
      ask: () =>
        changeLibrary(
          row.id,
          { archived },
          archived ? `Archived ${row.name}` : `${row.name} is no longer archived`
        ),
      concerns: []
    });
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button quiet" aria-label="What to do with {row.name}">
    <span aria-hidden="true">···</span>
  </DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="floating z-50 min-w-52 p-1" align="end" sideOffset={4}>
      <DropdownMenu.Item>
        {#snippet child({ props })}
          <a {...props} class={item} href="/libraries/{row.id}/settings">Settings</a>
        {/snippet}
      </DropdownMenu.Item>
      <DropdownMenu.Item>
        {#snippet child({ props })}
          <a {...props} class={item} href="/libraries/{row.id}/history">History</a>
        {/snippet}
      </DropdownMenu.Item>
      <DropdownMenu.Item>
        {#snippet child({ props })}
          <a {...props} class={item} href="/libraries/{row.id}/rights">Sharing</a>
        {/snippet}
      </DropdownMenu.Item>
      <DropdownMenu.Item>
        {#snippet child({ props })}
          <a {...props} class={item} href="/libraries/{row.id}/editions">Editions</a>
        {/snippet}
      </DropdownMenu.Item>
      {#if row.base}
        <DropdownMenu.Item>
          {#snippet child({ props })}
            <a {...props} class={item} href="/libraries/{row.id}/base">Base</a>
          {/snippet}
        </DropdownMenu.Item>
      {/if}
      <DropdownMenu.Item>
        {#snippet child({ props })}
          <a {...props} class={item} href="/outlets?library={row.id}">Outlets</a>
        {/snippet}
      </DropdownMenu.Item>
      <DropdownMenu.Item class={item} onSelect={onderive}>Derive a library</DropdownMenu.Item>
      <DropdownMenu.Item class={item} onSelect={oncopy}>Copy</DropdownMenu.Item>
      {#if mayOwn(row)}
        <DropdownMenu.Item class={item} onSelect={onmerge}>Merge into another one</DropdownMenu.Item
        >
        <DropdownMenu.Item class={item} onSelect={() => void archive(!row.settings.archived)}>
          {row.settings.archived ? 'Take out of the archive' : 'Archive'}
        </DropdownMenu.Item>
        <DropdownMenu.Item class={item} onSelect={() => void deleteLibrary(row.id, row.name)}
          >Delete</DropdownMenu.Item
        >
      {/if}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
