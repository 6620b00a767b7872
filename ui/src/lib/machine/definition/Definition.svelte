<script lang="ts">
  import { Debounced } from 'runed';
  import type { DefinitionChange, Machine, MachineView } from '$lib/api/client';
  import { entries } from '$lib/quantity/entries';
  import Leaving from '$lib/shell/Leaving.svelte';
  import { capital } from '$lib/shell/text';
  import { faultsOf } from './faults';
  import StorageDrawing from '../StorageDrawing.svelte';
  import DefinitionForm from './DefinitionForm.svelte';

  let {
    start,
    readonly,
    isNew,
    look,
    save,
    saving
  }: {
    /** The definition that somebody begins with. */
    start: Machine;
    readonly: boolean;
    isNew: boolean;
    /** What a definition would come to. */
    look: (machine: Machine) => Promise<DefinitionChange>;
    /** Saves it; answers whether it is saved. */
    save: (machine: Machine, letFall: boolean) => Promise<boolean>;
    /** What the button says. */
    saving: string;
  } = $props();

  // svelte-ignore state_referenced_locally
  let draft = $state(structuredClone($state.snapshot(start)) as Machine);
  // svelte-ignore state_referenced_locally
  const first = JSON.stringify(start);
  const text = $derived(JSON.stringify(draft));
  const changed = $derived(text !== first);
  const settled = new Debounced(() => text, 250);
  let seen = $state<DefinitionChange | null>(null);
  let faults = $state<string[]>([]);
  let letFall = $state(false);
  let busy = $state(false);
  let saved = $state(false);

  $effect(() => {
    const asked = settled.current;
    look(JSON.parse(asked) as Machine)
      .then((answer) => {
        if (asked !== settled.current) return;
        seen = answer;
        faults = [];
      })
      .catch((error: Error) => {
        if (asked === settled.current) faults = faultsOf(error);
      });
  });

  const drawn = $derived(
    seen && ({ machine: seen.machine, plan: [], storages: seen.storages } as unknown as MachineView)
  );

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    if (busy || !(await entries.sound())) return;
    busy = true;
    saved = await save($state.snapshot(draft) as Machine, letFall);
    busy = false;
  }
</script>

<Leaving changed={changed && !saved && !readonly} what="the definition" />

<form
  class="grid min-h-0 flex-1 gap-8 px-5 pb-6 max-lg:grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_440px]"
  {onsubmit}
>
  <div class="min-h-0 overflow-auto pr-2 max-lg:overflow-visible">
    <DefinitionForm bind:machine={draft} {readonly} {isNew} />
  </div>
  <aside class="flex min-h-0 flex-col gap-4 overflow-auto" aria-label="As it is then">
    {#if faults.length > 0}
      <ul class="text-[13px] text-hold" role="alert">
        {#each faults as fault, index (index)}<li>{capital(fault)}</li>{/each}
      </ul>
    {/if}
    {#if seen && seen.fallsOut.length > 0}
      <section class="text-[13px]" aria-label="What leaves the load plan">
        <h2 class="text-query">These leave the load plan, since their places go away</h2>
        <ul>
          {#each seen.fallsOut as { place, code } (place)}
            <li><span class="code">{code}</span>, place {place}</li>
          {/each}
        </ul>
        <label class="mt-1 flex items-center gap-2">
          <input type="checkbox" bind:checked={letFall} /> Let them go
        </label>
      </section>
    {/if}
    {#if seen && seen.misfits.length > 0}
      <section class="text-[13px]" aria-label="What does not fit any more">
        <h2 class="text-query">These would not fit any more</h2>
        <ul>
          {#each seen.misfits as { place, code, why } (place)}
            <li><span class="code">{code}</span>, place {place}: {why}</li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if seen && seen.jobs.length > 0}
      <section class="text-[13px]" aria-label="Jobs that would change">
        <h2 class="text-query">
          {seen.jobs.length === 1 ? 'This job would change' : 'These jobs would change'}
        </h2>
        <ul>
          {#each seen.jobs as { job, name, why } (job)}
            <li>
              <a class="font-semibold underline hover:text-working" href="/jobs/{job}">{name}</a>
              {why}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if !readonly}
      <div class="flex items-center gap-3">
        <button
          class="button main"
          disabled={busy ||
            faults.length > 0 ||
            (!isNew && !changed) ||
            ((seen?.fallsOut.length ?? 0) > 0 && !letFall)}>{saving}</button
        >
        {#if changed && !isNew}<span class="text-[13px] text-soft">Not saved yet</span>{/if}
      </div>
    {/if}
    {#if drawn}
      {#each drawn.storages as storage (storage.id)}
        <section aria-label={capital(storage.word)}>
          <p class="pb-1 text-[13px] text-soft">{capital(storage.word)}, {storage.seatName}</p>
          <StorageDrawing machine={drawn} {storage} whole />
        </section>
      {/each}
    {/if}
  </aside>
</form>
