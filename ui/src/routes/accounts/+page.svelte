<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { AccountHead } from '$lib/api/client';
  import AccountTable from '$lib/account/AccountTable.svelte';
  import { inviteAgain } from '$lib/account/actions';
  import InviteDialog from '$lib/account/InviteDialog.svelte';
  import InviteLink from '$lib/account/InviteLink.svelte';
  import KeysOfDialog from '$lib/account/KeysOfDialog.svelte';
  import { accountsQuery } from '$lib/account/queries';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';

  const accounts = createQuery(accountsQuery);
  let inviting = $state(false);
  let link = $state<{ name: string; token: string; endsAt: string } | null>(null);
  let keysOf = $state<AccountHead | null>(null);

  async function again(account: AccountHead) {
    const made = await inviteAgain(account.id);
    if (made) link = { name: account.name, token: made.token, endsAt: made.endsAt };
  }
</script>

<svelte:head><title>Accounts · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex flex-wrap items-center gap-3">
    <h1>Accounts</h1>
    {#if accounts.data}
      <span class="text-soft">{count(accounts.data.items.length, 'account')}</span>
    {/if}
    {#if who.may('MANAGE_ACCOUNTS')}
      <button class="button main ml-auto" onclick={() => (inviting = true)}>Invite somebody</button>
    {/if}
  </header>
  {#if accounts.error}
    <ErrorNote error={accounts.error} retry={() => void accounts.refetch()} />
  {:else if accounts.data}
    <div class="mt-3">
      <AccountTable
        accounts={accounts.data.items}
        own={who.current.account ?? null}
        onlink={(account) => void again(account)}
        onkeys={(account) => (keysOf = account)}
      />
    </div>
    <p class="mt-4 max-w-3xl text-soft">
      A role says what somebody may do at most. What he may do in a single library is said on that
      library's page, under Sharing. Whoever gets another role or is shut out has to sign in again
      at once.
    </p>
  {:else}
    <Loading />
  {/if}
</div>

{#if inviting}<InviteDialog onclose={() => (inviting = false)} />{/if}
{#if link}
  <DialogFrame open title="Link for {link.name}" onclose={() => (link = null)}>
    <InviteLink {...link} />
    <div class="mt-4 flex justify-end">
      <button class="button main" onclick={() => (link = null)}>Done</button>
    </div>
  </DialogFrame>
{/if}
{#if keysOf}
  {#key keysOf.id}<KeysOfDialog account={keysOf} onclose={() => (keysOf = null)} />{/key}
{/if}
