<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Permission } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import { makeKey, removeKey } from './actions';
  import KeyTable from './KeyTable.svelte';
  import OnceShown from './OnceShown.svelte';
  import { ownKeysQuery } from './queries';
  import { scopes } from './words';

  const keys = createQuery(ownKeysQuery);
  let name = $state('');
  let chosen = $state<Permission[]>([]);
  let wrong = $state('');
  let busy = $state(false);
  let made = $state<{ name: string; secret: string } | null>(null);

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      const { secret } = await makeKey(name, $state.snapshot(chosen));
      made = { name, secret };
      name = '';
      chosen = [];
    } catch (error) {
      wrong = capital((error as Error).message);
    }
    busy = false;
  }
</script>

{#if keys.error}
  <ErrorNote error={keys.error} retry={() => void keys.refetch()} />
{:else if keys.data}
  {#if keys.data.items.length > 0}
    <KeyTable keys={keys.data.items} onremove={(key) => void removeKey(key.id)} />
  {:else}
    <p class="text-soft">
      You have no key. A script that asks Arbor Line for something sends one with each request.
    </p>
  {/if}
{/if}
{#if made}
  <div class="mt-3">
    <OnceShown
      text={made.secret}
      label="Key {made.name}"
      hint="This is the key {made.name}. It cannot be shown again; scripts send it as Authorization: Bearer."
    />
  </div>
{/if}
<form class="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2" {onsubmit}>
  <input
    class="field w-56"
    aria-label="Name of a new key"
    placeholder="what the key is for"
    maxlength="60"
    required
    bind:value={name}
  />
  <span class="text-soft">may look, and</span>
  {#each who.current.may as scope (scope)}
    <Checkbox
      label={scopes[scope]}
      bind:checked={
        () => chosen.includes(scope),
        (on) => (chosen = on ? [...chosen, scope] : chosen.filter((other) => other !== scope))
      }
    />
  {/each}
  <button class="button" disabled={busy}>Make a key</button>
  {#if wrong}<p role="alert" class="w-full text-hold">{wrong}</p>{/if}
</form>
