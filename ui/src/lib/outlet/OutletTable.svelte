<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { OutletView } from '$lib/api/client';
  import { formatLabel } from '$lib/conversion/formats';
  import Mark from '$lib/marks/Mark.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { bytes, capital, count, moment } from '$lib/shell/text';
  import { closeOutlet, newAddress, writeAgain } from './actions';
  import { holds, stands } from './words';

  let {
    outlets,
    onaddress
  }: {
    outlets: OutletView[];
    onaddress: (name: string, address: string) => void;
  } = $props();

  const item = 'block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint';
  const units: Record<string, string> = { mm: 'in mm', in: 'in inches' };

  async function renew(outlet: OutletView) {
    const renewed = await newAddress(outlet.id);
    if (renewed?.address) onaddress(outlet.name, location.origin + renewed.address);
  }
</script>

<table class="rows w-full">
  <thead>
    <tr>
      <th>Library</th>
      <th>Holds</th>
      <th>As</th>
      <th>Where</th>
      <th>How it stands</th>
      <th>Last written</th>
      <th><span class="sr-only">Actions</span></th>
    </tr>
  </thead>
  <tbody>
    {#each outlets as outlet (outlet.id)}
      {@const stand = stands[outlet.state]}
      <tr class="align-top hover:bg-faint">
        <td class="py-1.5">
          <a class="font-semibold hover:text-working" href="/libraries/{outlet.libraryId}"
            >{outlet.library}</a
          >
        </td>
        <td class="py-1.5">{holds(outlet)}</td>
        <td class="py-1.5">
          {formatLabel(outlet.format)}
          {#if outlet.unit}<span class="block text-[13px] text-soft"
              >{units[outlet.unit] ?? outlet.unit}</span
            >{/if}
        </td>
        <td class="max-w-72 py-1.5">
          {#if outlet.kind === 'FOLDER'}
            <span class="block truncate" title={outlet.path}>{outlet.folder} / {outlet.name}</span>
          {:else}
            <span class="block truncate">{outlet.name}</span>
            <span class="block text-[13px] text-soft">behind an address</span>
          {/if}
        </td>
        <td class="max-w-80 whitespace-normal py-1.5">
          <Mark kind={stand.kind} word={stand.word} />
          {#if outlet.note}<span class="block text-[13px] text-soft">{capital(outlet.note)}</span
            >{/if}
        </td>
        <td class="py-1.5">
          {#if outlet.file}
            {@const file = outlet.file}
            edition {file.edition}, {moment(file.at)}
            <details class="text-[13px]">
              <summary class="cursor-pointer text-soft">
                {count(file.tools, 'tool')}, {bytes(file.size)},
                {file.equal ? 'read back equal' : 'read back with differences'}{file.lossCount > 0
                  ? `, ${count(file.lossCount, 'value')} not carried`
                  : ''}
              </summary>
              <p class="code mt-1 truncate text-soft" title={file.sha256}>
                SHA-256 {file.sha256.slice(0, 20)}
              </p>
              {#each file.differences as difference (difference)}
                <p class="whitespace-normal text-hold">{difference}</p>
              {/each}
              {#if file.losses.length > 0}
                <table class="mt-1">
                  <tbody>
                    {#each file.losses.slice(0, 20) as group, index (index)}
                      <tr class="align-top">
                        <td class="code pr-3">{group.symbol}</td>
                        <td class="number pr-3">{group.count}</td>
                        <td class="whitespace-normal">{group.what}</td>
                      </tr>
                    {/each}
                  </tbody>
                </table>
              {/if}
            </details>
          {:else}
            <span class="text-soft">never</span>
          {/if}
        </td>
        <td class="py-1">
          {#if outlet.mine && who.may('EDIT')}
            <DropdownMenu.Root>
              <DropdownMenu.Trigger class="button quiet" aria-label="What to do with {outlet.name}">
                <span aria-hidden="true">···</span>
              </DropdownMenu.Trigger>
              <DropdownMenu.Portal>
                <DropdownMenu.Content class="floating z-50 min-w-44 p-1" align="end" sideOffset={4}>
                  <DropdownMenu.Item
                    class={item}
                    onSelect={() => void writeAgain(outlet.id, outlet.name)}
                    >Write it again</DropdownMenu.Item
                  >
                  {#if outlet.kind === 'ADDRESS'}
                    <DropdownMenu.Item class={item} onSelect={() => void renew(outlet)}
                      >Another address</DropdownMenu.Item
                    >
                  {/if}
                  <DropdownMenu.Item
                    class={item}
                    onSelect={() => void closeOutlet(outlet.id, outlet.name)}
                    >Close</DropdownMenu.Item
                  >
                </DropdownMenu.Content>
              </DropdownMenu.Portal>
            </DropdownMenu.Root>
          {/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
