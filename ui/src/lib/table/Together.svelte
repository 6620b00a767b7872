<script lang="ts">
  import type { ReportRow } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital, count } from '$lib/shell/text';
  import { alike, type Alike } from './together';
  import { decisionWords } from './words';

  let {
    rows,
    word,
    decision,
    ondecide
  }: {
    rows: ReportRow[];
    /** What places of the machine are called. */
    word: string;
    decision: (row: ReportRow) => string;
    ondecide: (places: string[], next: string) => void;
  } = $props();

  let open = $state(false);
  const groups = $derived(alike(rows, decision));

  const options = (group: Alike) => [
    ...(group.decision ? [] : [{ value: '', label: 'not all the same' }]),
    ...(group.asked ? [{ value: 'ask', label: 'needs an answer' }] : []),
    ...group.possible.map((value) => ({ value, label: decisionWords(group.why, value) }))
  ];
</script>

{#if groups.length > 0}
  <button class="button" onclick={() => (open = true)}>Decide for several</button>
{/if}

<DialogFrame
  bind:open
  title="Decide for several"
  hint="Where the same is said of several {word}s. What only a look at each tool can tell is not among them. Nothing is written yet."
>
  {#each groups as group (`${group.why} ${group.asked}`)}
    <div class="flex items-start gap-4 border-t border-hairline py-3">
      <p class="min-w-0 flex-1">
        {capital(group.words)}
        <span class="block text-[13px] text-soft"
          >{count(group.places.length, word)}: {group.places.join(', ')}</span
        >
      </p>
      <Choice
        label="What to do where {group.words}"
        bind:value={
          () => group.decision,
          (next) => {
            if (next) ondecide(group.places, next);
          }
        }
        options={options(group)}
      />
    </div>
  {/each}
  <div class="mt-4 flex justify-end">
    <button class="button main" onclick={() => (open = false)}>Done</button>
  </div>
</DialogFrame>
