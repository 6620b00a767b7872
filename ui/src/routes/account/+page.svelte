<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { chooseDefaultLibrary } from '$lib/library/actions';
  import { librariesQuery } from '$lib/library/queries';
  import OwnKeys from '$lib/account/OwnKeys.svelte';
  import PasswordForm from '$lib/account/PasswordForm.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import { who } from '$lib/shell/session.svelte';

  const libraries = createQuery(librariesQuery);
  const options = $derived([
    { value: '', label: 'none' },
    ...(libraries.data?.items ?? [])
      .filter(({ right }) => right)
      .map(({ id, name }) => ({ value: String(id), label: name }))
  ]);
</script>

<svelte:head><title>My account · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1>My account</h1>
  <p class="mt-1 text-soft">
    {who.current.name}{who.current.role === who.current.name ? '' : `, ${who.current.role}`}
  </p>
  <section class="mt-6">
    <h2>My library</h2>
    <p class="mb-2 mt-1 text-soft">Proposed first where tools are taken or copied somewhere.</p>
    <Choice
      label="My library"
      bind:value={
        () => String(who.current.defaultLibrary ?? ''),
        (next) => void chooseDefaultLibrary(next ? Number(next) : null)
      }
      {options}
    />
  </section>
  <section class="mt-6">
    <h2>Password</h2>
    <div class="mt-2"><PasswordForm /></div>
  </section>
  <section class="mt-6">
    <h2>Keys for scripts</h2>
    <div class="mt-2"><OwnKeys /></div>
  </section>
</div>
