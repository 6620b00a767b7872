<script lang="ts">
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { linesQuery } from '$lib/delivery/queries';
  import { correctLines } from '$lib/delivery/actions';
  import { type Line } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { fromClipboard, isTable } from '$lib/shell/sheetcells';
  import { capital } from '$lib/shell/text';
  import CellField from './CellField.svelte';

  let {
    delivery,
    files = [],
    finding,
    disposition,
    properties,
    editable
  }: {
    delivery: number;
    /** Names of the files where there are several. */
    files?: string[];
    finding?: string;
    disposition?: string;
    properties: string[];
    editable: boolean;
  } = $props();

  const lines = createInfiniteQuery(() => linesQuery(delivery, finding, disposition));
  const rows = $derived((lines.data?.pages ?? []).flatMap((page) => page.items));
  const pointedAt = $derived(
    rows.flatMap((line) =>
      line.findings.filter((each) => each.code === finding).flatMap((each) => each.properties)
    )
  );
  const columns = $derived(
    [...new Set([...properties, ...pointedAt])].filter(
      (each) => !['CODE', 'NAME', 'CLASS'].includes(each)
    )
  );

  /** Pasted cells go to the right and down from where they were pasted, as far as there is room. */
  async function paste(event: ClipboardEvent, row: number, column: number) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!isTable(text)) return;
    event.preventDefault();
    const corrections = fromClipboard(text).flatMap((values, down) => {
      const line = rows[row + down];
      if (!line || line.takenToolId) return [];
      const cells = Object.fromEntries(
        values.flatMap((value, right) =>
          columns[column + right] ? [[columns[column + right], value]] : []
        )
      );
      return [{ line: line.id, cells }];
    });
    await correctLines(delivery, corrections);
  }

  function message(line: Line): string {
    const found = finding ? line.findings.find((each) => each.code === finding) : line.findings[0];
    return capital(found?.message ?? (line.takenToolId ? 'Taken into a library' : ''));
  }
</script>

<table class="rows w-full">
  <thead>
    <tr>
      {#if files.length > 0}<th class="w-32">File</th>{/if}
      <th class="number w-14">Line</th>
      <th class="w-44">Code</th>
      <th class="w-64">Name</th>
      {#if !finding}<th class="w-28">Ends as</th>{/if}
      <th class="w-36">Silhouette</th>
      {#each columns as symbol (symbol)}
        <th class="w-32">{symbol}</th>
      {/each}
      <th>What is said</th>
    </tr>
  </thead>
  <tbody>
    {#each rows as line, row (line.id)}
      <tr>
        {#if files.length > 0}
          <td class="max-w-32 truncate text-soft" title={files[line.file]}>{files[line.file]}</td>
        {/if}
        <td class="number text-soft">{line.line}</td>
        <td class="max-w-44">
          {#if editable && properties.includes('CODE') && !line.takenToolId}
            <CellField {delivery} {line} symbol="CODE" />
          {:else if line.takenToolId}
            <a class="code hover:text-working" href="/tools/{line.takenToolId}">{line.code}</a>
          {:else}
            <span class="code">{line.code}</span>
          {/if}
        </td>
        <td class="max-w-64 truncate" title={line.name}>{line.name}</td>
        {#if !finding}
          <td>
            <Mark
              kind={line.disposition as 'pass'}
              word={line.takenToolId ? 'taken' : line.disposition}
            />
          </td>
        {/if}
        <td><Silhouette outline={line.outline} width={130} height={22} /></td>
        {#each columns as symbol, column (symbol)}
          <td onpaste={editable ? (event) => void paste(event, row, column) : undefined}>
            {#if editable && !line.takenToolId}
              <CellField {delivery} {line} {symbol} />
            {:else}
              <span
                class={[line.cells[symbol]?.implied && 'text-soft italic']}
                title={line.cells[symbol]?.implied}>{line.cells[symbol]?.text ?? ''}</span
              >
              <span class="text-soft">{line.cells[symbol]?.unit ?? ''}</span>
            {/if}
          </td>
        {/each}
        <td class="max-w-0 truncate text-soft" title={message(line)}>{message(line)}</td>
      </tr>
    {/each}
  </tbody>
</table>
{#if lines.hasNextPage}
  <button class="button quiet mx-5 my-1" onclick={() => void lines.fetchNextPage()}>
    Show more lines
  </button>
{/if}
