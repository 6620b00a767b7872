<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { lossesQuery } from '$lib/library/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { count } from '$lib/shell/text';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';

  let { open = $bindable(false), library }: { open: boolean; library: number } = $props();

  let format = $state('csv');
  let unit = $state('');
  const losses = createQuery(() => ({ ...lossesQuery(library, format, unit), enabled: open }));
  const address = $derived(
    `/api/v1/libraries/${library}/export?format=${format}${unit ? `&unit=${unit}` : ''}`
  );
</script>

<DialogFrame bind:open title="Export" hint="Everything the list holds, whatever it is narrowed to.">
  <div class="flex items-center gap-3">
    <Choice
      label="Format"
      bind:value={format}
      options={[
        { value: 'csv', label: 'CSV table' },
        { value: 'json', label: 'JSON' }
      ]}
    />
    <Choice
      label="Lengths"
      bind:value={unit}
      options={[
        { value: '', label: 'lengths as authored' },
        { value: 'mm', label: 'lengths in mm' },
        { value: 'in', label: 'lengths in inches' }
      ]}
    />
    <a class="button main ml-auto" href={address} download onclick={() => (open = false)}>
      Write the file
    </a>
  </div>
  <div class="mt-4 min-h-24">
    {#if losses.data && losses.data.count === 0}
      <p>Nothing is lost: the file carries every value.</p>
    {:else if losses.data}
      <p><strong>{count(losses.data.count, 'value')}</strong> will not be carried as they are:</p>
      <ul class="mt-2 max-h-56 overflow-auto text-[13px]">
        {#each losses.data.losses.slice(0, 200) as loss, index (index)}
          <li><span class="code">{loss.code}</span> {loss.symbol}: {loss.how}</li>
        {/each}
      </ul>
    {:else if losses.error}
      <NotLoaded query={losses} />
    {:else}
      <p class="text-soft">Looking at what the format can carry …</p>
    {/if}
  </div>
</DialogFrame>
