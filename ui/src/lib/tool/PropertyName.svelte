<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { propertiesQuery } from './queries';

  let { symbol }: { symbol: string } = $props();

  const properties = createQuery(propertiesQuery);
  const known = $derived(properties.data?.find((one) => one.symbol === symbol));
</script>

<span class="flex min-w-0 items-baseline gap-2" title={known?.sentence}>
  <span class="code shrink-0">{symbol}</span>
  {#if known}<span class="truncate text-[13px] text-soft">{known.name}</span>{/if}
</span>
