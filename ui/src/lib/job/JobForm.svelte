<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { JobHead, JobOrder } from '$lib/api/client';
  import { machinesQuery } from '$lib/machine/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';

  let {
    title,
    begin,
    jobs,
    saving,
    save,
    onclose
  }: {
    title: string;
    begin: { name: string; part: string; machine: string };
    /** Jobs whose tools it can begin with; none where it stands already. */
    jobs?: JobHead[];
    saving: string;
    save: (order: JobOrder, start: { ofLoad?: boolean; copyOf?: number }) => Promise<boolean>;
    onclose: () => void;
  } = $props();

  const LOAD = 'load';
  const NOTHING = '';
  const machines = createQuery(machinesQuery);
  // svelte-ignore state_referenced_locally
  let name = $state(begin.name);
  // svelte-ignore state_referenced_locally
  let part = $state(begin.part);
  // svelte-ignore state_referenced_locally
  let machine = $state(begin.machine);
  let start = $state(LOAD);
  let missing = $state('');
  let busy = $state(false);

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    missing = name.trim() === '' ? 'Give it a name.' : machine === '' ? 'Choose its machine.' : '';
    if (missing) return;
    busy = true;
    const done = await save(
      { name: name.trim(), part: part.trim(), machine },
      start === LOAD ? { ofLoad: true } : start === NOTHING ? {} : { copyOf: Number(start) }
    );
    busy = false;
    if (done) onclose();
  }
</script>

<DialogFrame open {title} {onclose}>
  <form class="grid grid-cols-[110px_1fr] items-center gap-x-3 gap-y-2" {onsubmit}>
    <label class="text-soft" for="job-name">Name</label>
    <input id="job-name" class="field" maxlength="80" bind:value={name} />
    <label class="text-soft" for="job-part">Part</label>
    <input id="job-part" class="field" maxlength="80" bind:value={part} />
    <span class="text-soft">Machine</span>
    <Choice
      label="Machine"
      bind:value={machine}
      options={[
        { value: '', label: 'choose one' },
        ...(machines.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
      ]}
    />
    {#if jobs}
      <span class="text-soft">Begins with</span>
      <Choice
        label="Begins with"
        bind:value={start}
        options={[
          { value: LOAD, label: 'all that is planned at the machine' },
          { value: NOTHING, label: 'no tools yet' },
          ...jobs.map(({ id, name }) => ({ value: String(id), label: `the tools of ${name}` }))
        ]}
      />
    {/if}
    <p role="alert" class="col-span-2 min-h-5 text-hold">{missing}</p>
    <div class="col-span-2 flex justify-end gap-2">
      <button type="button" class="button" onclick={onclose}>Cancel</button>
      <button class="button main" disabled={busy}>{saving}</button>
    </div>
  </form>
</DialogFrame>
