<script lang="ts">
  import type { AccountHead, Role } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { moment } from '$lib/shell/text';
  import AccountMenu from './AccountMenu.svelte';
  import { changeAccount } from './actions';
  import { roles, roleWord } from './words';

  let {
    accounts,
    own,
    onlink,
    onkeys
  }: {
    accounts: AccountHead[];
    /** The account of whoever looks. */
    own: number | null;
    onlink: (account: AccountHead) => void;
    onkeys: (account: AccountHead) => void;
  } = $props();

  const become = (account: AccountHead, role: Role) =>
    changeAccount(account.id, { role }, `${account.name} is ${roleWord(role)} now`);
</script>

<table class="rows w-full">
  <thead>
    <tr>
      <th>Name</th>
      <th>Role</th>
      <th>Can sign in</th>
      <th>Last signed in</th>
      <th class="number">Browsers</th>
      <th class="number">Keys</th>
      <th class="w-10"><span class="sr-only">Actions</span></th>
    </tr>
  </thead>
  <tbody>
    {#each accounts as account (account.id)}
      <tr class="h-10 hover:bg-faint">
        <td class="font-semibold">
          {account.name}
          {#if account.id === own}<span class="font-normal text-soft">(you)</span>{/if}
        </td>
        <td>
          <Choice
            label="Role of {account.name}"
            bind:value={
              () => account.role, (role) => void (role !== account.role && become(account, role))
            }
            options={roles}
          />
        </td>
        <td>
          {#if account.state === 'DISABLED'}
            <Mark kind="hold" word="no, shut out" />
          {:else if account.state === 'INVITED'}
            <Mark
              kind="query"
              word={account.invitedUntil
                ? `invited, link works until ${moment(account.invitedUntil)}`
                : 'invited, the link is too old'}
            />
          {:else}
            <Mark kind="pass" word="yes" />
            {#if account.invitedUntil}
              <span class="text-soft">or by a link until {moment(account.invitedUntil)}</span>
            {/if}
          {/if}
        </td>
        <td>{account.signedInAt ? moment(account.signedInAt) : 'never'}</td>
        <td class="number">{account.sessions || ''}</td>
        <td class="number">
          {#if account.keys > 0}
            <button
              class="button quiet"
              aria-label="{account.keys} keys of {account.name}"
              onclick={() => onkeys(account)}>{account.keys}</button
            >
          {/if}
        </td>
        <td><AccountMenu {account} onlink={() => onlink(account)} /></td>
      </tr>
    {/each}
  </tbody>
</table>
