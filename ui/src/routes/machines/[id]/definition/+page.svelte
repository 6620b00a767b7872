<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Machine } from '$lib/api/client';
  import { changeDefinition, lookAtDefinition, retireMachine } from '$lib/machine/actions';
  import ControlLink from '$lib/machine/definition/ControlLink.svelte';
  import Definition from '$lib/machine/definition/Definition.svelte';
  import { machineQuery } from '$lib/machine/queries';
  import Touched from '$lib/link/Touched.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const id = $derived(page.params.id ?? '');
  const machine = createQuery(() => machineQuery(id));
  const may = $derived(who.may('EDIT'));
  /** What the form began with: what others change meanwhile is joined when it is saved. */
  let base = $state.raw<Machine | null>(null);
  $effect(() => {
    if (machine.data && base?.id !== id) base = machine.data.machine;
  });

  async function save(wanted: Machine, letFall: boolean) {
    if (!base) return false;
    const done = await changeDefinition(id, base, wanted, letFall);
    if (done) base = done.machine;
    return Boolean(done);
  }

  async function retire() {
    if (await retireMachine(id)) void goto('/machines');
  }
</script>

<svelte:head
  ><title>Definition of {machine.data?.machine.name ?? 'a machine'} · Arbor Line</title
  ></svelte:head
>

{#if machine.error}
  <ErrorNote error={machine.error} retry={() => void machine.refetch()} />
{:else if machine.data && base}
  <header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
    <h1>Definition of {machine.data.machine.name}</h1>
    <a class="text-working hover:underline" href="/machines/{id}">Its load</a>
    {#if !may}
      <span class="text-soft">Your role may look at it, not change it.</span>
    {/if}
    <span class="ml-auto flex gap-2">
      <Touched kind="MACHINE" {id} name={machine.data.machine.name} />
      <a class="button quiet" href="/api/v1/machines/{id}/definition" download>As a file</a>
      {#if may}
        <a class="button quiet" href="/machines/new?copy={id}">Copy</a>
        <button class="button quiet" onclick={() => void retire()}>Retire</button>
      {/if}
    </span>
  </header>
  {#if may}<ControlLink machine={id} />{/if}
  {#key base}
    <Definition
      start={base}
      readonly={!may}
      isNew={false}
      look={(wanted) => lookAtDefinition(id, base ?? wanted, wanted)}
      {save}
      saving="Save"
    />
  {/key}
{:else}
  <Loading />
{/if}
