<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Machine } from '$lib/api/client';
  import { lookAtNewMachine, setUpMachine } from '$lib/machine/actions';
  import Definition from '$lib/machine/definition/Definition.svelte';
  import { machineFile } from '$lib/machine/machineFile';
  import { machineQuery, machineKindsQuery, machinesQuery } from '$lib/machine/queries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import FilePicker from '$lib/shell/FilePicker.svelte';
  import { Ground } from '$lib/shell/ground.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import { failed } from '$lib/shell/toast';

  const copied = $derived(page.url.searchParams.get('copy') ?? '');
  const kinds = createQuery(machineKindsQuery);
  const machines = createQuery(machinesQuery);
  const original = createQuery(() => ({ ...machineQuery(copied), enabled: copied !== '' }));
  const copy = new Ground(
    () => original.data?.machine,
    ({ id }) => id,
    ({ id }) => id
  );
  let begun = $state.raw<Machine | null>(null);
  let withPlan = $state(true);
  const start = $derived(
    begun ?? (copied && copy.began ? { ...copy.began, id: '', name: '' } : null)
  );
  const planned = $derived(copied && original.data ? original.data.plan.length : 0);

  async function save(machine: Machine) {
    const done = await setUpMachine(machine, planned > 0 && withPlan ? copied : undefined);
    if (done) void goto(`/machines/${machine.id}`);
    return Boolean(done);
  }

  async function read(files: File[]) {
    try {
      begun = machineFile(await files[0].text());
    } catch (error) {
      failed(error);
    }
  }
</script>

<svelte:head><title>New machine · Arbor Line</title></svelte:head>

<header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
  <h1>New machine</h1>
  {#if start}
    <span class="text-soft"
      >{copied && original.data ? `as ${original.data.machine.name} is` : start.name || start.kind};
      give it an id and a name</span
    >
    {#if planned > 0}
      <Checkbox label="With its load plan ({planned})" bind:checked={withPlan} />
    {/if}
    <a
      class="button quiet ml-auto"
      href="/machines/new"
      onclick={() => (begun = null)}
      data-sveltekit-replacestate>Begin with another</a
    >
  {/if}
</header>
{#if !who.may('EDIT')}
  <p class="px-5 text-soft">The lead and programmers set machines up.</p>
{:else if kinds.error}
  <ErrorNote error={kinds.error} retry={() => void kinds.refetch()} />
{:else if original.error}
  <ErrorNote error={original.error} retry={() => void original.refetch()} />
{:else if start}
  {#key start}
    <Definition {start} readonly={false} isNew look={lookAtNewMachine} {save} saving="Set it up" />
  {/key}
{:else if kinds.data && machines.data && !original.isLoading}
  <div class="grid max-w-4xl gap-8 px-5 sm:grid-cols-2">
    <section>
      <h2>Begin with a kind</h2>
      <p class="text-[13px] text-soft">Sizes are what is usual; put in what yours has.</p>
      <ul class="mt-2 border-t border-hairline">
        {#each kinds.data.items as kind (kind.kind)}
          <li class="border-b border-hairline">
            <button class="w-full py-2 text-left hover:bg-faint" onclick={() => (begun = kind)}
              >{capital(kind.kind)}</button
            >
          </li>
        {/each}
      </ul>
    </section>
    <section>
      <h2>Or as one that you have</h2>
      <p class="text-[13px] text-soft">With its load plan, if you like.</p>
      <ul class="mt-2 border-t border-hairline">
        {#each machines.data.items as machine (machine.id)}
          <li class="border-b border-hairline">
            <a class="block py-2 hover:bg-faint" href="/machines/new?copy={machine.id}"
              >{machine.name}<span class="text-soft">, {machine.kind}</span></a
            >
          </li>
        {/each}
      </ul>
      <div class="mt-4">
        <FilePicker label="From a file" purpose="A machine definition" send={read} />
      </div>
    </section>
  </div>
{:else}
  <Loading />
{/if}
