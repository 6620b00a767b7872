<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { WrittenFile } from '$lib/api/client';
  import { formats, lengths } from '$lib/conversion/formats';
  import { stopWriting, writeFile } from '$lib/library/actions';
  import { lossesQuery, writtenFilesQuery } from '$lib/library/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { bytes, capital, count, moment } from '$lib/shell/text';
  import { TimeLeft } from '$lib/shell/timeLeft.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';

  let { open = $bindable(false), library }: { open: boolean; library: number } = $props();

  let format = $state('csv');
  let unit = $state('');
  /** The file that was ordered here, and whether the browser was told to save it. */
  let ordered = $state<number | null>(null);
  let saved = $state(false);
  const losses = createQuery(() => ({ ...lossesQuery(library, format, unit), enabled: open }));
  const earlier = createQuery(() => ({ ...writtenFilesQuery(library), enabled: open }));
  const address = $derived(
    `/api/v1/libraries/${library}/export?format=${format}${unit ? `&unit=${unit}` : ''}`
  );
  const files = $derived(earlier.data?.items ?? []);
  const kept = $derived(files.filter(({ state }) => state === 'done').slice(0, 5));
  const written = $derived(files.find(({ id }) => id === ordered) ?? null);
  const writing = $derived(written ? ['waiting', 'writing'].includes(written.state) : false);
  const left = new TimeLeft(() => (writing ? written?.share : undefined));

  async function write() {
    saved = false;
    ordered = (await writeFile(library, format, unit))?.id ?? null;
  }

  $effect(() => {
    if (written?.state === 'done' && !saved) {
      saved = true;
      location.assign(`/api/v1/files/${written.id}/content`);
    }
  });

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
          ordered = null;
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
          ordered = null;
        }
      }
      options={lengths}
    />
    {#if who.may('RECEIVE')}
      <button class="button main ml-auto" disabled={writing} onclick={write}>
        Write the file
      </button>
    {:else}
      <a class="button main ml-auto" href={address} download onclick={() => (open = false)}>
        Write the file
      </a>
    {/if}
  </div>
  <div class="mt-4 min-h-24">
    {#if written && writing}
      <div class="mb-3 flex items-center gap-3" role="status">
        <progress aria-label="Writing" max="1" value={written.share || undefined}></progress>
        <span>
          Writing and reading back{left.text ? `, about ${left.text} left` : ' …'}
        </span>
        <button class="button" onclick={() => void stopWriting(library, written.id)}>
          Stop, keep nothing
        </button>
      </div>
    {:else if written && written.state !== 'done'}
      <p class="mb-3"><Mark kind="hold" word={written.state} /> {capital(written.note)}.</p>
    {:else if written}
      <p class="mb-3">
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
    {#if losses.data && losses.data.absent.length > 0}
      <p class="mt-3">
        <Mark kind="note" word="not in the shop" />
        {losses.data.absent
          .slice(0, 5)
          .map(({ code, what }) => `${what} of ${code}`)
          .join(', ')}{losses.data.absent.length > 5
          ? ` and ${losses.data.absent.length - 5} more`
          : ''}. The file carries the designation only.
      </p>
    {/if}
  </div>
  {#if kept.length > 0}
    <h2 class="mt-4">Files written before</h2>
    <table class="rows mt-1 w-full">
      <tbody>
        {#each kept as file (file.id)}
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
