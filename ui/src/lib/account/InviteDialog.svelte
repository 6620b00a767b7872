<script lang="ts">
  import type { Role } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { capital } from '$lib/shell/text';
  import { invite } from './actions';
  import InviteLink from './InviteLink.svelte';
  import { roles } from './words';

  let { onclose }: { onclose: () => void } = $props();

  let name = $state('');
  let role = $state<Role>('PROGRAMMER');
  let wrong = $state('');
  let busy = $state(false);
  let invited = $state<{ name: string; token: string; endsAt: string } | null>(null);
  const does = $derived(roles.find(({ value }) => value === role)?.does ?? '');

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      const { account, token, endsAt } = await invite(name, role);
      invited = { name: account.name, token, endsAt };
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

<DialogFrame open title="Invite somebody" {onclose}>
  {#if invited}
    <InviteLink {...invited} />
    <div class="mt-4 flex justify-end">
      <button class="button main" onclick={onclose}>Done</button>
    </div>
  {:else}
    <form class="grid grid-cols-[110px_1fr] items-center gap-x-4 gap-y-3" {onsubmit}>
      <label for="invited-name">Name</label>
      <input
        id="invited-name"
        class="field"
        maxlength="60"
        required
        autocomplete="off"
        bind:value={name}
      />
      <span>Role</span>
      <div class="flex items-center gap-3">
        <Choice label="Role" bind:value={role} options={roles} />
        <span class="text-soft">{does}</span>
      </div>
      <p role="alert" class="col-span-2 min-h-5 text-hold">{wrong}</p>
      <div class="col-span-2 flex justify-end gap-2">
        <button type="button" class="button" onclick={onclose}>Cancel</button>
        <button class="button main" disabled={busy}>Invite</button>
      </div>
    </form>
  {/if}
</DialogFrame>
