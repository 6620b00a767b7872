<script lang="ts">
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query';
  import type { Component } from 'svelte';

  let { part: Part, props }: { part: Component; props: Record<string, unknown> } = $props();

  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
</script>

<QueryClientProvider {client}><Part {...props} /></QueryClientProvider>
