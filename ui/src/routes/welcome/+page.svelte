<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { Problem } from '$lib/api/client';
  import { acceptInvitation, welcome } from '$lib/account/actions';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';

  let token = '';
  let invited = $state<{ name: string; again: boolean } | null>(null);
  let password = $state('');
  let again = $state('');
  let wrong = $state('');
  let useless = $state('');
  let busy = $state(false);

  const said = (error: unknown) =>
    capital(error instanceof Problem ? error.message : 'the server does not answer');

  onMount(async () => {
    token = location.hash.slice(1);
    try {
      invited = await welcome(token);
    } catch (error) {
      useless = said(error);
    }
  });

  async function choose(event: SubmitEvent) {
    event.preventDefault();
    if (password !== again) {
      wrong = 'The password was typed differently the second time';
      return;
    }
    busy = true;
    wrong = '';
    try {
      const { name } = await acceptInvitation(token, password);
      await who.signIn(name, password);
      await goto('/');
    } catch (error) {
      wrong = said(error);
    }
    busy = false;
  }
</script>

<svelte:head><title>Welcome · Arbor Line</title></svelte:head>

<div class="relative flex h-full items-center">
  <div class="centre-line absolute inset-x-0 top-1/2" aria-hidden="true"></div>
  <form class="relative ml-[16vw] w-80 bg-paper p-6" onsubmit={choose}>
    <h1 class="text-[26px] leading-8">Arbor Line</h1>
    {#if useless}
      <p role="alert" class="mt-4 text-hold">{useless}</p>
      <p class="mt-3"><a class="text-working underline" href="/sign-in">Sign in</a></p>
    {:else if invited}
      <p class="mt-1 text-soft">
        {invited.again ? 'A new password for' : 'Welcome,'}
        <strong class="text-ink">{invited.name}</strong>. Choose a password of at least 10
        characters.
      </p>
      <label class="mt-6 block">
        <span class="text-soft">Password</span>
        <input
          class="field mt-1 w-full"
          type="password"
          bind:value={password}
          autocomplete="new-password"
          minlength="10"
          required
        />
      </label>
      <label class="mt-3 block">
        <span class="text-soft">Once more</span>
        <input
          class="field mt-1 w-full"
          type="password"
          bind:value={again}
          autocomplete="new-password"
          required
        />
      </label>
      <p role="alert" class="mt-3 min-h-5 text-hold">{wrong}</p>
      <button class="button main mt-2" disabled={busy}>Enter</button>
    {/if}
  </form>
</div>
