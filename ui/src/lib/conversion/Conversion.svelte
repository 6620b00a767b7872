<script lang="ts">
  import type { Conversion } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, count, moment } from '$lib/shell/text';
  import { TimeLeft } from '$lib/shell/timeLeft.svelte';
  import LastingDelete from '$lib/shell/LastingDelete.svelte';
  import { removeConversion, stopConversion } from './actions';
  import { formatLabel } from './formats';

  let { conversion, may }: { conversion: Conversion; may: boolean } = $props();

  const running = $derived(['waiting', 'running'].includes(conversion.state));
  const left = new TimeLeft(() => (running ? conversion.share : undefined));
  const missing = $derived(conversion.reports.filter((report) => !report.output).length);
  const equal = $derived(conversion.reports.every((report) => report.equal));

  function kind(report: Conversion['reports'][number]): 'pass' | 'query' | 'hold' {
    if (!report.output) return 'hold';
    return report.equal && report.lossCount === 0 && report.left === 0 ? 'pass' : 'query';
  }

  function word(report: Conversion['reports'][number]): string {
    if (!report.output) return 'not converted';
    return report.equal ? 'read back equal' : count(report.differences.length, 'difference');
  }

  function told(report: Conversion['reports'][number]): string {
    return capital(
      [
        report.problem,
        report.left > 0 ? `${count(report.left, 'item')} left out` : '',
        ...report.lossGroups
          .slice(0, 3)
          .map(({ symbol, what, count: values }) => `${symbol} ${what} (${values})`),
        ...report.differences.slice(0, 2)
      ]
        .filter(Boolean)
        .join('; ') || 'nothing'
    );
  }
</script>

<section class="border-t border-hairline py-3" aria-label={conversion.name}>
  <header class="flex items-center gap-4">
    <h2 class="truncate">{conversion.name}</h2>
    <span class="text-soft">
      to {formatLabel(conversion.format)}{conversion.unit
        ? `, lengths in ${conversion.unit === 'in' ? 'inches' : 'mm'}`
        : ''}
    </span>
    <span class="text-soft">{moment(conversion.at)}, {conversion.by}</span>
    <span class="ml-auto flex items-center gap-2">
      {#if running}
        <progress
          aria-label="Converting {conversion.name}"
          max="1"
          value={conversion.share || undefined}
        ></progress>
        <span role="status">
          {conversion.state === 'waiting'
            ? 'waiting'
            : `${count(conversion.filesDone, 'file')} done${left.text ? `, about ${left.text} left` : ''}`}
        </span>
        {#if may}
          <button class="button" onclick={() => void stopConversion(conversion.id)}
            >Stop, keep nothing</button
          >
        {/if}
      {:else}
        {#if conversion.state === 'done' && missing > 0}
          <Mark kind="hold" word={`${count(missing, 'file')} not converted`} />
        {:else if conversion.state === 'done'}
          <Mark
            kind={equal ? 'pass' : 'query'}
            word={equal ? 'proved equal' : 'with differences'}
          />
        {:else}
          <Mark kind="hold" word={conversion.state} />
        {/if}
        {#if conversion.state === 'done'}
          <a class="button" href="/api/v1/conversions/{conversion.id}/content" download
            >Save the ZIP</a
          >
        {/if}
        {#if may}
          <LastingDelete
            label="Delete the conversion {conversion.name}"
            ondelete={() => void removeConversion(conversion.id)}
          />
        {/if}
      {/if}
    </span>
  </header>
  {#if conversion.note}<p class="mt-1">{capital(conversion.note)}.</p>{/if}
  {#if conversion.reports.length > 0}
    <table class="rows mt-2 w-full table-fixed">
      <thead>
        <tr>
          <th class="w-56">File</th>
          <th class="number w-20">Read</th>
          <th class="number w-20">Written</th>
          <th class="w-40">Proof</th>
          <th>What was lost or left</th>
        </tr>
      </thead>
      <tbody>
        {#each conversion.reports.slice(0, 50) as report, index (index)}
          <tr>
            <td class="truncate" title={report.file}>{report.output || report.file}</td>
            <td class="number">{report.read}</td>
            <td class="number">{report.written}</td>
            <td><Mark kind={kind(report)} word={word(report)} /></td>
            <td class="truncate text-[13px] text-soft" title={told(report)}>{told(report)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if conversion.reports.length > 50}
      <p class="mt-1 text-soft">and {count(conversion.reports.length - 50, 'file')} more</p>
    {/if}
  {/if}
</section>
