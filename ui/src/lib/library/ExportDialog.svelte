<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { WrittenFile } from '$lib/api/client';
  import { formats, lengths } from '$lib/conversion/formats';
  import { writeFile } from '$lib/library/actions';
  import { lossesQuery, writtenFilesQuery } from '$lib/library/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { bytes, count, moment } from '$lib/shell/text';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';

  let { open = $bindable(false), library }: { open: boolean; library: number } = $props();

  let format = $state('csv');
  let unit = $state('');
  let writing = $state(false);
  let written = $state<WrittenFile | null>(null);
  const losses = createQuery(() => ({ ...lossesQuery(library, format, unit), enabled: open }));
  const earlier = createQuery(() => ({ ...writtenFilesQuery(library), enabled: open }));
  const address = $derived(
    `/api/v1/libraries/${library}/export?format=${format}${unit ? `&unit=${unit}` : ''}`
  );
  async function write() {
    writing = true;
    written = (await writeFile(library, format, unit)) ?? null;
    writing = false;
    if (written) location.assign(`/api/v1/files/${written.id}/content`);
  }

  function proof(file: WrittenFile): string {
    return file.equal
      ? `read back: ${count(file.proof.compared, 'item')} equal`
      : `read back: ${count(file.proof.differences.length, 'difference')}`;
  }
</script>

<DialogFrame bind:open title="Export" hint="Everything the list holds, whatever it is narrowed to.">
  <div class="flex items-center gap-3">
    <Choice
      label="Format"
      bind:value={
        () => format,
        (next) => {
          format = next;
          written = null;
        }
      }
      options={formats}
    />
    <Choice
      label="Lengths"
      bind:value={
        () => unit,
        (next) => {
          unit = next;
          written = null;
        }
      }
      options={lengths}
    />
    {#if who.may('RECEIVE')}
      <button class="button main ml-auto" disabled={writing} onclick={write}>
        {writing ? 'Writing, reading back …' : 'Write the file'}
      </button>
    {:else}
      <a class="button main ml-auto" href={address} download onclick={() => (open = false)}>
        Write the file
      </a>
    {/if}
  </div>
  <div class="mt-4 min-h-24">
    {#if written}
      <p>
        <Mark kind={written.equal ? 'pass' : 'hold'} word={written.name} />
        <span class="ml-2">{proof(written)}.</span>
      </p>
      {#each written.proof.differences.slice(0, 20) as difference (difference)}
        <p class="mt-1 text-[13px] text-hold">{difference}</p>
      {/each}
    {/if}
    {#if losses.data && losses.data.count === 0}
      <p>Nothing is lost: the file carries every value.</p>
    {:else if losses.data}
      <p><strong>{count(losses.data.count, 'value')}</strong> will not be carried as they are:</p>
      <table class="rows mt-2 w-full">
        <thead>
          <tr>
            <th>What</th>
            <th class="number">Values</th>
            <th>What happens</th>
            <th>For example</th>
          </tr>
        </thead>
        <tbody>
          {#each losses.data.groups.slice(0, 30) as group, index (index)}
            <tr>
              <td class="code">{group.symbol}</td>
              <td class="number">{group.count}</td>
              <td class="text-[13px]">{group.what}</td>
              <td class="code max-w-40 truncate text-[13px] text-soft">
                {group.examples.join(', ')}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {:else if losses.error}
      <NotLoaded query={losses} />
    {:else}
      <p class="text-soft">Looking at what the format can carry …</p>
    {/if}
  </div>
  {#if (earlier.data?.items ?? []).length > 0}
    <h2 class="mt-4">Files written before</h2>
    <table class="rows mt-1 w-full">
      <tbody>
        {#each (earlier.data?.items ?? []).slice(0, 5) as file (file.id)}
          <tr>
            <td class="max-w-44 truncate">
              {#if file.there}
                <a class="text-working underline" href="/api/v1/files/{file.id}/content"
                  >{file.name}</a
                >
              {:else}
                {file.name}
              {/if}
            </td>
            <td class="number">{bytes(file.size)}</td>
            <td><Mark kind={file.equal ? 'pass' : 'hold'} word={proof(file)} /></td>
            <td class="text-[13px] text-soft">{moment(file.at)}, {file.by}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</DialogFrame>
