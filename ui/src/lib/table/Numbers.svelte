<script lang="ts">
  import type { NumberRange, ToolsOfControl } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital } from '$lib/shell/text';
  import { span } from './slots';

  let { tools, open = $bindable() }: { tools: ToolsOfControl; open: boolean } = $props();

  const word = $derived(tools.placeWord);
  const schemes = $derived<Record<string, string>>({
    'number-is-place': `Number, ${word} and offset are one at this machine.`,
    'number-apart': `A tool keeps its number whatever ${word} it is in.`,
    'sister-groups': `A tool keeps its number whatever ${word} it is in; sisters share one.`,
    'program-numbers':
      'A tool has a library number, and each program has a number of its own for it.'
  });
  const range = $derived(
    tools.from && tools.to
      ? ` Libraries give tools of this machine numbers ${tools.from} to ${tools.to}.`
      : ''
  );
  const offsets = $derived(
    tools.byNumber.some((one) => one.firstOffset != null && one.firstOffset !== one.firstNumber)
  );
  const programs = $derived(tools.byNumber.some((one) => one.firstInPrograms != null));
</script>

{#snippet list(title: string, ranges: NumberRange[], placesFirst: boolean)}
  <div class="min-w-0">
    <h3 class="text-soft">{title}</h3>
    <table class="mt-1 w-full text-[13px]">
      <thead>
        <tr class="text-left text-soft">
          <th class="py-1 pr-4 font-normal">{placesFirst ? capital(word) : 'Number'}</th>
          <th class="py-1 pr-4 font-normal">{placesFirst ? 'Number' : capital(word)}</th>
          {#if offsets}<th class="py-1 pr-4 font-normal">Offset</th>{/if}
          {#if programs}<th class="py-1 font-normal">In programs</th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each ranges as one (`${one.firstNumber} ${one.firstPlace}`)}
          {@const number = span(one.firstNumber, one.lastNumber)}
          {@const place = span(one.firstPlace, one.lastPlace)}
          <tr class="border-t border-hairline">
            <td class="py-1 pr-4 font-semibold">{placesFirst ? place : number}</td>
            <td class="py-1 pr-4">{placesFirst ? number : place}</td>
            {#if offsets}
              <td class="py-1 pr-4">{span(one.firstOffset ?? '–', one.lastOffset ?? '–')}</td>
            {/if}
            {#if programs}
              <td class="py-1">{span(one.firstInPrograms ?? '–', one.lastInPrograms ?? '–')}</td>
            {/if}
          </tr>
        {:else}
          <tr><td class="py-1 text-soft">No tool of it has a number.</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
{/snippet}

<DialogFrame bind:open wide title="Numbers at the control" hint={schemes[tools.scheme] + range}>
  <div class="grid max-h-[58vh] grid-cols-2 gap-x-10 gap-y-4 overflow-auto max-sm:grid-cols-1">
    {@render list('By number', tools.byNumber, false)}
    {@render list(`By ${word}`, tools.byPlace, true)}
  </div>
</DialogFrame>
