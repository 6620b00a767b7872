<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { differing } from './differing';
  import { baseQuery, marksQuery } from './queries';

  let { tool, library }: { tool: number; library: number } = $props();

  const base = createQuery(() => baseQuery(library));
  const from = $derived(base.data?.from);
  const marks = createQuery(() => ({ ...marksQuery(library, [tool]), enabled: from != null }));
  const mark = $derived(marks.data?.items[0]);
  const differs = $derived(differing(mark));
</script>

{#if from && mark && !mark.own}
  <p class="px-5 pt-3 text-[13px] text-soft">
    {differs ? 'Differs from' : 'As in'}
    <a class="text-working underline" href="/libraries/{library}/base"
      >{from.base || 'its base'}, edition {from.edition.number}</a
    >{differs ? `: ${differs}` : ''}
  </p>
{/if}
