<script lang="ts">
  import type { Line } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { capital } from '$lib/shell/text';
  import Mark from '$lib/marks/Mark.svelte';

  let { lines, shown, onshow }: { lines: Line[]; shown: number; onshow: (index: number) => void } =
    $props();

  const HIDDEN = ['CODE', 'NAME', 'CLASS'];

  function values(line: Line): string {
    return Object.entries(line.cells)
      .filter(([symbol, cell]) => !HIDDEN.includes(symbol) && !cell.implied)
      .map(([symbol, { text, unit }]) => `${symbol} ${text}${unit ? ` ${unit}` : ''}`)
      .join('   ');
  }

  function said(line: Line): string {
    return capital(
      line.findings.find(({ severity }) => severity !== 'NOTE')?.message ??
        line.findings[0]?.message ??
        ''
    );
  }
</script>

<table class="rows ml-2.5 w-[calc(100%-20px)] table-fixed">
  <thead>
    <tr>
      <th class="w-40">Code</th>
      <th class="w-44">Class</th>
      <th class="w-40">Drawn</th>
      <th>Values</th>
      <th class="w-28">Ends as</th>
      <th class="w-[26%]">What is said</th>
    </tr>
  </thead>
  <tbody>
    {#each lines as line, index (line.id)}
      <tr
        class={['cursor-pointer hover:bg-faint', index === shown && 'bg-faint']}
        onclick={() => onshow(index)}
      >
        <td class="code truncate" title={line.code}>{line.code || 'none'}</td>
        <td class="truncate">{line.classId || (line.kind === 'cutter' ? 'none' : line.kind)}</td>
        <td><Silhouette outline={line.outline} width={148} height={22} /></td>
        <td class="code truncate whitespace-pre text-[13px]" title={values(line)}>{values(line)}</td
        >
        <td><Mark kind={line.disposition as 'pass'} word={line.disposition} /></td>
        <td class="truncate text-[13px] text-soft" title={said(line)}>{said(line)}</td>
      </tr>
    {/each}
  </tbody>
</table>
