<script lang="ts">
  import type { ColumnDecision, Reading } from '$lib/api/client';
  import { wordsOf, wordsText } from './draft.svelte';

  let {
    column,
    title,
    ondecide
  }: {
    column: Reading['columns'][number];
    title: string;
    ondecide: (change: Partial<ColumnDecision>) => void;
  } = $props();

  const decision = $derived(column.decision);
</script>

<div class="flex flex-wrap items-start gap-x-5 gap-y-2 border-b border-hairline px-5 py-2">
  <p class="w-28 truncate pt-1 font-semibold" {title}>{title}</p>
  <label class="flex items-center gap-2">
    <span class="text-soft">Take apart as</span>
    <input
      class="field w-52"
      placeholder={'D{DC}xL{LU}'}
      value={decision?.split ?? ''}
      onchange={(event) => ondecide({ split: event.currentTarget.value.trim() || undefined })}
    />
  </label>
  <label class="flex items-center gap-2">
    <span class="text-soft">Times</span>
    <input
      class="field w-20"
      inputmode="decimal"
      placeholder="1"
      value={decision?.factor ?? ''}
      onchange={(event) => ondecide({ factor: event.currentTarget.value.trim() || undefined })}
    />
  </label>
  <label class="flex items-center gap-2">
    <span class="text-soft">Join to the column before it with</span>
    <input
      class="field w-12"
      maxlength="5"
      value={decision?.behind ?? ''}
      onchange={(event) => ondecide({ behind: event.currentTarget.value || undefined })}
    />
  </label>
  <label class="flex items-start gap-2">
    <span class="pt-1 text-soft">Words</span>
    <textarea
      class="field h-14! w-56"
      placeholder="SF = end-mill-flat"
      value={wordsText(decision?.words)}
      onchange={(event) => {
        const words = wordsOf(event.currentTarget.value);
        ondecide({ words: Object.keys(words).length > 0 ? words : undefined });
      }}></textarea>
  </label>
</div>
