<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { Problem } from '$lib/api/client';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';

  let name = $state('');
  let password = $state('');
  let trouble = $state('');
  let busy = $state(false);

  async function signIn(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    trouble = '';
    const sent = password;
    try {
      await who.signIn(name, sent);
      const then = page.url.searchParams.get('then') ?? '/';
      await goto(then.startsWith('/') && !then.startsWith('//') ? then : '/');
    } catch (error) {
      trouble = capital(error instanceof Problem ? error.message : 'the server does not answer');
      // What somebody typed since then stays.
      if (password === sent) password = '';
    } finally {
      busy = false;
    }
  }
</script>

<svelte:head><title>Sign in · Arbor Line</title></svelte:head>

<div class="relative flex h-full items-center">
  <div class="centre-line absolute inset-x-0 top-1/2" aria-hidden="true"></div>
  <form class="relative ml-[16vw] w-80 bg-paper p-6" onsubmit={signIn}>
    <h1 class="text-[26px] leading-8">Arbor Line</h1>
    <p class="mt-1 text-soft">Tool libraries and tool tables, in one line.</p>
    <label class="mt-6 block">
      <span class="text-soft">Name</span>
      <input class="field mt-1 w-full" bind:value={name} autocomplete="username" required />
    </label>
    <label class="mt-3 block">
      <span class="text-soft">Password</span>
      <input
        class="field mt-1 w-full"
        type="password"
        bind:value={password}
        autocomplete="current-password"
        required
      />
    </label>
    <p role="alert" class="mt-3 min-h-5 text-hold">{trouble}</p>
    <button class="button main mt-2" disabled={busy}>Sign in</button>
  </form>
</div>
