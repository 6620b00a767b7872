<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import CuttingLines from './CuttingLines.svelte';
  import { inspectItems } from './actions';
  import { inspection, reason } from './inspection';
  import VendorChange from './VendorChange.svelte';
  import type { Line } from '$lib/api/client';
  import { nameLine } from '$lib/delivery/actions';
  import CellField from '$lib/delivery/CellField.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';
  import PropertyName from '$lib/tool/PropertyName.svelte';
  import { classesQuery } from '$lib/tool/queries';

  let {
    delivery,
    line,
    editable,
    vendor,
    oninspected
  }: {
    delivery: number;
    line: Line;
    editable: boolean;
    /** From whom it comes; empty where nobody is named. */
    vendor: string;
    oninspected: () => void;
  } = $props();

  const classes = createQuery(classesQuery);
  const tool = $derived(line.kind === 'cutter' || line.kind === 'insert');
  const now = $derived(inspection(line));
  const why = $derived(reason(line));
  const rest = $derived(
    line.findings.filter(
      (finding) =>
        !why.includes(finding.message) &&
        !finding.code.startsWith('vendor-') &&
        !(tool && finding.code.startsWith('cutting-')) &&
        finding.code !== 'changes-shop'
    )
  );
  const hidden = [
    'CODE',
    'NAME',
    'CLASS',
    'NUMBER',
    'SECTION',
    'ATTACHMENT',
    'BODIES',
    'BODYMATERIAL'
  ];
  /** Values that are written, and those that are asked for, which come first. */
  const symbols = $derived.by(() => {
    const asked = line.findings
      .filter((finding) => finding.severity !== 'NOTE')
      .flatMap((finding) => finding.properties);
    const written = Object.keys(line.cells).filter((symbol) => !line.cells[symbol].implied);
    return [...new Set([...asked, ...written])].filter(
      (symbol) => !hidden.includes(symbol) && !symbol.startsWith('NOTE')
    );
  });
  const classOptions = $derived([
    { value: '', label: 'class not known yet' },
    ...(classes.data?.items ?? []).map(({ id: value, title }) => ({ value, label: title }))
  ]);
</script>

<aside
  class="flex w-[360px] shrink-0 xl:w-[420px] flex-col gap-3 overflow-auto border-l border-hairline px-5 py-3 max-lg:w-full max-lg:border-l-0 max-lg:border-t"
  aria-label="What it is"
>
  <div>
    <Mark kind={now.mark} word={now.word} />
    {#if why}<p class="mt-0.5 text-[13px]">{capital(why)}</p>{/if}
    {#if vendor && line.vendorItem}
      <p class="mt-0.5 text-[13px] text-soft">
        {vendor}: <span class="code">{line.vendorItem}</span>
      </p>
    {/if}
  </div>
  <VendorChange {delivery} {line} {editable} />
  <div class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1.5">
    <span class="text-soft">Code</span>
    {#if editable}<CellField {delivery} {line} symbol="CODE" />{:else}<span class="code"
        >{line.code}</span
      >{/if}
    {#if tool}
      <span class="text-soft">Class</span>
      {#if editable}
        <Choice
          label="Class"
          options={classOptions}
          bind:value={
            () => line.classId ?? '',
            (chosen) => void nameLine(delivery, line.id, undefined, { CLASS: chosen })
          }
        />
      {:else}
        <span>{classOptions.find(({ value }) => value === (line.classId ?? ''))?.label}</span>
      {/if}
      <span class="text-soft">Number</span>
      {#if editable}<CellField {delivery} {line} symbol="NUMBER" />{:else}<span
          >{line.cells.NUMBER?.text ?? 'as it is numbered'}</span
        >{/if}
      <span class="text-soft">Section</span>
      {#if editable}<CellField {delivery} {line} symbol="SECTION" />{:else}<span
          >{line.cells.SECTION?.text ?? 'none'}</span
        >{/if}
    {/if}
    {#each symbols as symbol (symbol)}
      <PropertyName {symbol} />
      {#if editable}
        <CellField {delivery} {line} {symbol} />
      {:else}
        <span>{line.cells[symbol]?.text} {line.cells[symbol]?.unit ?? ''}</span>
      {/if}
    {/each}
  </div>
  {#if tool}<CuttingLines {delivery} {line} {editable} />{/if}
  {#if rest.length > 0}
    <ul class="flex flex-col gap-1.5 text-[13px]" aria-label="What else is said">
      {#each rest as finding, index (index)}
        <li class="flex gap-2">
          <Mark kind={finding.severity.toLowerCase() as 'note'} word="" />
          <span>{finding.message.includes('/') ? finding.message : capital(finding.message)}</span>
        </li>
      {/each}
    </ul>
  {/if}
  {#if editable}
    <div class="mt-auto flex gap-2 pt-2">
      {#if line.inspected}
        <button class="button main flex-1 justify-center" onclick={oninspected}
          >{now.mark === 'query' ? 'It is right, next' : 'Next'}</button
        >
      {:else}
        <button
          class="button main flex-1 justify-center"
          onclick={() => void inspectItems(delivery, [line.id])}>Inspect this one</button
        >
      {/if}
    </div>
  {/if}
</aside>
