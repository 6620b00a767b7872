<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Choice from '$lib/shell/Choice.svelte';
  import { editionsQuery } from './queries';

  let {
    library,
    label = 'Edition',
    edition = $bindable()
  }: {
    /** Id of the library; empty while none is chosen. */
    library: string;
    label?: string;
    /** Id of the edition; empty for none in particular. */
    edition: string;
  } = $props();

  const editions = createQuery(() => ({
    ...editionsQuery(Number(library)),
    enabled: library !== ''
  }));
  const known = $derived(library === '' ? [] : (editions.data?.items ?? []));
</script>

{#if known.length > 0}
  <Choice
    {label}
    bind:value={edition}
    options={[
      { value: '', label: 'no edition in particular' },
      ...known.map(({ id, number }) => ({ value: String(id), label: `edition ${number}` }))
    ]}
  />
{/if}
