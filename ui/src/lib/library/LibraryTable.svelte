<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LibraryRow } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { proposalsQuery } from '$lib/proposal/queries';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';
  import { processWord } from './arrangement';
  import ClassBand from './ClassBand.svelte';
  import LibraryMenu from './LibraryMenu.svelte';

  let {
    groups,
    onderive,
    oncopy,
    onmerge
  }: {
    groups: { head: string; rows: LibraryRow[] }[];
    onderive: (row: LibraryRow) => void;
    oncopy: (row: LibraryRow) => void;
    onmerge: (row: LibraryRow) => void;
  } = $props();

  const proposals = createQuery(proposalsQuery);
  const of = (row: LibraryRow) =>
    (proposals.data?.items ?? []).filter(({ libraryId }) => libraryId === row.id);
  const toMe = (row: LibraryRow) =>
    of(row).filter((one) => one.state === 'OPEN' && one.toMe).length;
  const answered = (row: LibraryRow) =>
    of(row).filter((one) => one.state === 'ANSWERED' && one.mine && !one.seen).length;
</script>

<table class="rows w-full">
  <thead>
    <tr>
      <th>Library</th>
      <th class="number w-20">Tools</th>
      <th>What stands in it</th>
      <th>For</th>
      <th>Changed by</th>
      <th>Used at</th>
      <th>What waits</th>
      <th class="w-10"><span class="sr-only">Actions</span></th>
    </tr>
  </thead>
  {#each groups as group (group.head)}
    <tbody>
      {#if group.head !== '' || groups.length > 1}
        <tr>
          <th
            colspan="8"
            scope="rowgroup"
            class="h-9 px-2.5 pt-3 text-left align-bottom font-semibold"
            >{group.head || 'Without one'}</th
          >
        </tr>
      {/if}
      {#each group.rows as row (row.id)}
        <tr class="hover:bg-faint">
          <td class="max-w-56 2xl:max-w-80">
            {#if row.right}
              <a class="font-semibold hover:text-working" href="/libraries/{row.id}">{row.name}</a>
              {#if row.edition > 0}
                <a
                  class="ml-2 whitespace-nowrap text-[13px] text-soft hover:text-working"
                  href="/libraries/{row.id}/editions">edition {row.edition}</a
                >
              {/if}
            {:else}
              <span class="font-semibold text-soft">{row.name}</span>
            {/if}
            {#if row.base}
              <a
                class="block truncate text-[13px] text-soft hover:text-working"
                href="/libraries/{row.id}/base">derived from {row.base}</a
              >
            {/if}
            {#if row.settings.purpose}
              <span class="block truncate text-[13px] text-soft" title={row.settings.purpose}
                >{row.settings.purpose}</span
              >
            {/if}
          </td>
          <td class="number">{row.right ? row.tools.toLocaleString('en') : ''}</td>
          <td><ClassBand {row} /></td>
          <td class="max-w-40 2xl:max-w-56">
            {row.right ? processWord(row.settings.processes) : ''}
            {#if row.settings.labels.length > 0}
              <span class="block truncate text-[13px] text-soft"
                >{row.settings.labels.map(({ label }) => label).join(', ')}</span
              >
            {/if}
          </td>
          <td class="max-w-36 2xl:max-w-64">
            <a
              class="block whitespace-normal leading-5 hover:text-working"
              href="/libraries/{row.id}/rights"
              title="Who may do what"
            >
              {row.sharing === 'REFERENCE' ? 'nobody' : row.maintainers}
            </a>
            {#if row.sharing !== 'SHOP'}
              <span class="block text-[13px] text-soft"
                >{row.sharing === 'PRIVATE' ? 'private' : 'reference'}</span
              >
            {/if}
          </td>
          <td>
            {#each row.machines as machine (machine.id)}
              <a
                class="mr-2 hover:text-working"
                href="/machines/{machine.id}"
                title="{count(machine.tools, 'tool')} in its load plan">{machine.name}</a
              >
            {/each}
          </td>
          <td class="max-w-52 whitespace-normal! leading-5 2xl:max-w-80">
            {#each row.waiting as waiting (waiting.delivery)}
              <a
                class="block hover:text-working"
                href="/receiving/{waiting.delivery}"
                title={waiting.name}
              >
                <Mark kind="query" word="" />
                {count(waiting.lines, 'line')} of {waiting.name}
              </a>
            {/each}
            {#if toMe(row) > 0}
              <a class="block hover:text-working" href="/proposals">
                <Mark kind="query" word="" />
                {count(toMe(row), 'proposal')} to answer
              </a>
            {/if}
            {#each of(row).filter(({ state }) => state === 'COLLECTED') as one (one.id)}
              <a class="block hover:text-working" href="/proposals/{one.id}">
                <Mark kind="note" word="" />
                {count(one.changes, 'change')} to propose
              </a>
            {/each}
            {#if answered(row) > 0}
              <a class="block hover:text-working" href="/proposals">
                <Mark kind="note" word="" />
                {count(answered(row), 'answer')} to yours
              </a>
            {/if}
            {#if row.baseEdition > 0}
              <a class="block hover:text-working" href="/libraries/{row.id}/base">
                <Mark kind="query" word="" />
                edition {row.baseEdition} of {row.base} to take in
              </a>
            {/if}
            {#if row.staleOutlets > 0}
              <a class="block hover:text-working" href="/outlets">
                <Mark kind="query" word="" />
                {count(row.staleOutlets, 'outlet')} out of date
              </a>
            {/if}
            {#if row.drafts > 0}
              <a class="block hover:text-working" href="/libraries/{row.id}?sort=standing">
                <Mark kind="note" word="" />
                {count(row.drafts, 'draft')}
              </a>
            {/if}
            {#if row.alike > 0}
              <a
                class="block hover:text-working"
                href="/duplicates?library={row.id}"
                title="Groups of tools that may be one"
              >
                <Mark kind="query" word="" />
                {count(row.alike, 'group')} alike
              </a>
            {/if}
            {#if row.behind > 0}
              <span class="block">
                <Mark kind="note" word="" />
                {count(row.behind, 'tool')} with a newer version
              </span>
            {/if}
          </td>
          <td>
            {#if who.may('EDIT') && row.right}
              <LibraryMenu
                {row}
                onderive={() => onderive(row)}
                oncopy={() => oncopy(row)}
                onmerge={() => onmerge(row)}
              />
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  {/each}
</table>
