<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Mark from '$lib/marks/Mark.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { trustQuery } from './queries';
  import { trustReasons } from './words';

  let { id }: { id: number } = $props();

  const trust = createQuery(() => trustQuery(id));
</script>

<section aria-label="Why it can be trusted">
  <h2 class="px-5 pb-1 pt-3">Why it can be trusted</h2>
  {#if trust.data}
    <ul class="px-5">
      {#each trustReasons(trust.data) as reason (reason.text)}
        <li class="flex gap-3 py-0.5">
          <Mark kind={reason.kind} word="" />
          <span class="min-w-0">{reason.text}</span>
        </li>
      {/each}
    </ul>
  {/if}
  <NotLoaded query={trust} />
</section>
