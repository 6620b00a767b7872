<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { refusalsQuery } from '$lib/machine/queries';
  import { machineQuery } from '$lib/machine/queries';
  import { clearPlace, planTool } from '$lib/machine/actions';
  import { type ToolRow } from '$lib/api/client';
  import Chain from '$lib/machine/Chain.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Picker from '$lib/machine/Picker.svelte';
  import { dropped } from '$lib/machine/dragged';
  import type { Measures } from '$lib/machine/measures';
  import MachineLibrary from '$lib/machine/MachineLibrary.svelte';
  import PocketDetail from '$lib/machine/PocketDetail.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = $derived(page.params.id ?? '');
  const machine = createQuery(() => machineQuery(id));
  /** A tool in the version and under the number of a library. */
  let picked = $state<{ toolId: number; libraryId?: number; code: string } | null>(null);
  let chosen = $state<string | null>(null);
  const may = $derived(who.may('LOAD'));
  const planned = $derived(
    new Map((machine.data?.plan ?? []).map((place) => [place.place, place]))
  );
  const refused = createQuery(() => ({
    ...refusalsQuery(id, picked?.toolId ?? 0, picked?.libraryId),
    enabled: picked !== null
  }));
  const refusals = $derived(
    picked && refused.data
      ? Object.fromEntries(
          Object.entries(refused.data).map(([place, findings]) => [place, findings[0].message])
        )
      : {}
  );

  /** A tool that is not released, which the lead may allow. */
  let asked = $state<{ place: string; toolId: number; libraryId?: number; why: string } | null>(
    null
  );

  async function allow() {
    const wanted = asked;
    asked = null;
    if (wanted) await put(wanted.place, wanted, undefined, true);
  }

  async function put(
    place: string,
    { toolId, libraryId }: { toolId: number; libraryId?: number },
    measures?: Measures,
    allow?: boolean
  ) {
    // At once, so that nobody types measures into the pocket that was chosen before.
    chosen = place;
    const planned = await planTool(
      id,
      place,
      { toolId, libraryId, ...measures, allow },
      who.current.role === 'lead' ? (why) => (asked = { place, toolId, libraryId, why }) : undefined
    );
    // Somebody may have picked up the next one meanwhile.
    if (planned && picked?.toolId === toolId) picked = null;
    return Boolean(planned);
  }

  function choose(place: string) {
    if (picked && may) {
      void put(place, picked);
    } else {
      chosen = place;
    }
  }

  function pick(tool: ToolRow, libraryId: number) {
    picked =
      picked?.toolId === tool.toolId && picked.libraryId === libraryId
        ? null
        : { toolId: tool.toolId, libraryId, code: tool.code };
    if (picked) {
      const free = machine.data?.machine
        ? Array.from({ length: machine.data.machine.magazine.pockets }, (_, i) =>
            String(i + 1)
          ).find((place) => !planned.has(place))
        : undefined;
      document.getElementById(`pocket-${id}-${free ?? '1'}`)?.focus();
    }
  }

  function onkeydown(event: KeyboardEvent) {
    const place = /^pocket-.*-(\d+)$/.exec(document.activeElement?.id ?? '')?.[1];
    const inPocket = place ? planned.get(place) : undefined;
    if (event.key === 'Escape') {
      picked = null;
    } else if (event.key === 'Delete' && place && inPocket && may) {
      void clearPlace(id, place);
    } else if (event.key === ' ' && inPocket && !picked && may) {
      event.preventDefault();
      picked = {
        toolId: inPocket.toolId,
        libraryId: inPocket.libraryId ?? undefined,
        code: inPocket.code
      };
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{machine.data?.machine.name ?? 'Machine'} · Arbor Line</title></svelte:head>

{#if machine.error}
  <ErrorNote error={machine.error} retry={() => void machine.refetch()} />
{:else if machine.data}
  {@const view = machine.data}
  <header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
    <h1>{view.machine.name}</h1>
    <span class="text-soft">
      {view.machine.kind}, {view.machine.magazine.form} of {view.machine.magazine.pockets}, {count(
        view.plan.length,
        'tool'
      )} planned
    </span>
    <MachineLibrary {view} may={who.may('EDIT')} />
    <span role="status" class="text-working">
      {picked ? `${picked.code} is picked up: choose its pocket, Escape puts it down` : ''}
    </span>
    <a class="button main ml-auto" href="/tables/{id}">Compare with the control</a>
  </header>
  <div class="px-5">
    <Chain
      {view}
      {chosen}
      {refusals}
      onchoose={choose}
      ondropped={may
        ? (place, data) => {
            const tool = dropped(data);
            if (tool) void put(place, tool);
          }
        : undefined}
    />
  </div>
  <div
    class="mt-4 grid min-h-0 flex-1 gap-8 px-5 pb-4 max-md:grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_420px]"
  >
    {#if may}
      <Picker
        {picked}
        usual={view.library?.libraryId}
        planned={new Set(view.plan.map((place) => place.toolId))}
        onpick={pick}
      />
    {:else}
      <p class="text-soft">Your role may look at the load plan, not change it.</p>
    {/if}
    <PocketDetail
      {view}
      place={chosen}
      planned={chosen ? planned.get(chosen) : undefined}
      editable={may}
      onmeasure={async (measures) => {
        const at = chosen ? planned.get(chosen) : undefined;
        return Boolean(chosen && at && (await put(chosen, { toolId: at.toolId }, measures)));
      }}
      onclear={() => chosen && void clearPlace(id, chosen)}
    />
  </div>
{:else}
  <Loading />
{/if}

{#if asked}
  <DialogFrame open title="Not released" hint={capital(asked.why)} onclose={() => (asked = null)}>
    <div class="flex justify-end gap-2">
      <button class="button" onclick={() => (asked = null)}>Leave it out</button>
      <button class="button main" onclick={() => void allow()}
        >Allow it for pocket {asked.place}</button
      >
    </div>
  </DialogFrame>
{/if}
