<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { feedsQuery } from '$lib/post/queries';
  import { keyWords, sources } from '$lib/post/words';
  import { units } from '$lib/quantity/units.svelte';

  let {
    post,
    machine,
    feed
  }: {
    post: number;
    machine: string;
    /** What the cut has, mm/min. */
    feed: number;
  } = $props();

  const feeds = createQuery(() => ({
    ...feedsQuery(post, machine, feed),
    placeholderData: keepPreviousData
  }));
</script>

{#if (feeds.data?.items.length ?? 0) > 0}
  <h2 class="mt-4">Feeds by purpose</h2>
  <dl class="mt-2 grid grid-cols-[1fr_auto_62px] gap-x-2 gap-y-0.5">
    {#each feeds.data?.items ?? [] as one (one.key)}
      <dt class="text-soft" title="{one.share} of the feed rate, {sources[one.source]}">
        {keyWords[one.key] ?? one.key}
      </dt>
      <dd class="text-right">{units.show(one.feed, 'mm/min', 0)}</dd>
      <dd class="text-soft">{units.label('mm/min')}</dd>
    {/each}
  </dl>
{/if}
