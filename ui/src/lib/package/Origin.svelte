<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { originQuery } from './queries';
  import Mark from '$lib/marks/Mark.svelte';

  let { owner, id }: { owner: 'tools' | 'components'; id: number } = $props();

  const origin = createQuery(() => originQuery(owner, id));
  const last = $derived(origin.data?.items[0]);
</script>

{#if last}
  <span class="text-soft">
    {last.vendor} <span class="code">{last.item}</span>{last.release
      ? `, release ${last.release}`
      : ''}
  </span>
  {#if last.discontinued}
    <Mark kind="query" word="no longer made since {last.discontinued}" />
  {/if}
{/if}
