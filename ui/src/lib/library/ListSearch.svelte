<script lang="ts">
  import type { ListFilter } from './filter.svelte';
  import ListControls from './ListControls.svelte';

  let { filter }: { filter: ListFilter } = $props();
</script>

<input
  class="field ml-3 w-64"
  data-search
  type="search"
  aria-label="Search"
  placeholder="words, or dia 6..12 reach>30"
  bind:value={filter.text}
/>
<ListControls {filter} />
{#if filter.narrowed}
  <button class="button quiet" onclick={() => filter.clear()}>Show all</button>
{/if}
