<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { AccountHead } from '$lib/api/client';
  import { changeAccount, signOutEverywhere } from './actions';

  let { account, onlink }: { account: AccountHead; onlink: () => void } = $props();

  const item =
    'block cursor-pointer rounded-sm px-3 py-1.5 data-highlighted:bg-faint data-disabled:cursor-default data-disabled:text-soft';
  const out = $derived(account.state === 'DISABLED');
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button quiet" aria-label="What to do with {account.name}">
    <span aria-hidden="true">···</span>
  </DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="floating z-50 min-w-52 p-1" align="end" sideOffset={4}>
      <DropdownMenu.Item class={item} disabled={out} onSelect={onlink}>
        {account.state === 'INVITED' ? 'Another link' : 'Link for a new password'}
      </DropdownMenu.Item>
      <DropdownMenu.Item
        class={item}
        disabled={account.sessions === 0}
        onSelect={() => void signOutEverywhere(account.id, account.name)}
        >Sign out everywhere</DropdownMenu.Item
      >
      <DropdownMenu.Item
        class={item}
        onSelect={() =>
          void changeAccount(
            account.id,
            { disabled: !out },
            out ? `${account.name} may sign in again` : `${account.name} was shut out`
          )}>{out ? 'Let in again' : 'Shut out'}</DropdownMenu.Item
      >
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
