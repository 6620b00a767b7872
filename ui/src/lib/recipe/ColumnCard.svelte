<script lang="ts">
  import type { ColumnDecision, Reading } from '$lib/api/client';
  import { capital } from '$lib/shell/text';
  import { kept } from './draft.svelte';

  let {
    column,
    position,
    chosen,
    onchoose,
    ondecide,
    onpull
  }: {
    column: Reading['columns'][number];
    position: number;
    chosen: boolean;
    onchoose: () => void;
    ondecide: (change: Partial<ColumnDecision>) => void;
    /** The line of this column is taken hold of. */
    onpull: (event: PointerEvent) => void;
  } = $props();

  const title = $derived(column.header || `column ${position + 1}`);
  const note = $derived(kept(column.symbol));
  const adjusted = $derived(
    Boolean(
      column.decision?.split ??
      column.decision?.factor ??
      column.decision?.behind ??
      column.decision?.words
    )
  );
</script>

<div
  class={[
    'relative flex w-36 shrink-0 flex-col border-r border-hairline px-2 pb-6 pt-1.5',
    chosen && 'bg-faint'
  ]}
  data-column={position}
>
  <button
    class="flex min-h-6 items-center gap-1 text-left font-semibold"
    {title}
    aria-pressed={chosen}
    onclick={onchoose}
  >
    <span class="truncate">{title}</span>
    {#if adjusted}<span class="text-working" title="Its cells are adjusted">✎</span>{/if}
  </button>
  <div class="h-[60px] overflow-hidden">
    {#each (column.samples ?? []).slice(0, 3) as sample, index (index)}
      <p class="code truncate text-[13px] leading-5 text-soft" title={sample}>{sample}</p>
    {/each}
  </div>
  <div class="mt-1 flex items-center gap-1">
    <input
      class={['field h-7! w-full min-w-0 px-1.5!', note && 'text-soft']}
      list="column-symbols"
      aria-label="What {title} is read as"
      value={note ? '' : column.symbol}
      placeholder={column.decision?.split ? 'taken apart' : 'a note'}
      onchange={(event) =>
        ondecide({ symbol: event.currentTarget.value.trim() || 'NOTE', unit: undefined })}
    />
    {#if column.unit && column.unit !== '1'}
      <span class="shrink-0 text-[13px] text-soft">{column.unit}</span>
    {/if}
  </div>
  {#if column.guess && !column.decision}
    <p class="mt-1 text-[12px] leading-4" title={column.guessEvidence}>
      <span class="text-query">Is it {column.guess}?</span>
      <button class="underline" onclick={() => ondecide({ symbol: column.guess, unit: undefined })}
        >Yes</button
      >
    </p>
  {:else}
    <p class="mt-1 truncate text-[12px] leading-4 text-soft" title={capital(column.evidence)}>
      {capital(column.evidence)}
    </p>
  {/if}
  <button
    class="absolute bottom-0.5 left-1/2 size-4 -translate-x-1/2 touch-none rounded-full border border-working bg-sheet"
    title="Pull the line of {title} to a dimension"
    aria-label="Pull the line of {title} to a dimension"
    tabindex="-1"
    onpointerdown={onpull}
  ></button>
</div>
