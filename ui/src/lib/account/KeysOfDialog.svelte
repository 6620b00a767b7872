<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { AccountHead } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { removeKeyOf } from './actions';
  import KeyTable from './KeyTable.svelte';
  import { keysOfQuery } from './queries';

  let { account, onclose }: { account: AccountHead; onclose: () => void } = $props();

  const keys = createQuery(() => keysOfQuery(account.id));
</script>

<DialogFrame open title="Keys of {account.name}" {onclose}>
  {#if keys.error}
    <ErrorNote error={keys.error} retry={() => void keys.refetch()} />
  {:else if keys.data}
    {#if keys.data.items.length > 0}
      <KeyTable keys={keys.data.items} onremove={(key) => void removeKeyOf(account.id, key.id)} />
    {:else}
      <p class="text-soft">No key is left.</p>
    {/if}
  {/if}
</DialogFrame>
