<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { refusalsQuery } from '$lib/machine/queries';
  import { machineQuery } from '$lib/machine/queries';
  import { clearPlace, keepPlace, planTool } from '$lib/machine/actions';
  import { type ToolRow } from '$lib/api/client';
  import StorageDrawing from '$lib/machine/StorageDrawing.svelte';
  import PlaceList from '$lib/machine/PlaceList.svelte';
  import { focusedPlace, placeId } from '$lib/machine/places';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Picker from '$lib/machine/Picker.svelte';
  import { dropped, type Dragged } from '$lib/machine/dragged';
  import type { Measures } from '$lib/machine/measures';
  import MachinePosts from '$lib/machine/MachinePosts.svelte';
  import MachineLibrary from '$lib/machine/MachineLibrary.svelte';
  import WorkScene from '$lib/machine/WorkScene.svelte';
  import NumbersDialog from '$lib/machine/NumbersDialog.svelte';
  import SortMenu from '$lib/machine/SortMenu.svelte';
  import UsePanel from '$lib/machine/use/UsePanel.svelte';
  import PocketDetail from '$lib/machine/PocketDetail.svelte';
  import Zoom from '$lib/machine/Zoom.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = $derived(page.params.id ?? '');
  const machine = createQuery(() => machineQuery(id));
  /** A tool in the version and under the number of a library. */
  let picked = $state<(Dragged & { code: string; another?: boolean }) | null>(null);
  let numbering = $state(false);
  let chosen = $state<string | null>(null);
  const may = $derived(who.may('LOAD'));
  /** So many places in one storage can be looked at closer. */
  const ZOOMED = 30;
  let zoom = $state(1);
  const planned = $derived(
    new Map((machine.data?.plan ?? []).map((place) => [place.place, place]))
  );
  const refused = createQuery(() => ({
    ...refusalsQuery(id, picked ?? {}),
    enabled: picked !== null
  }));
  const refusals = $derived(
    picked && refused.data
      ? Object.fromEntries(
          Object.entries(refused.data).map(([place, findings]) => [place, findings[0].message])
        )
      : {}
  );

  /** Several of one tool may be in, and take turns. */
  const sisters = $derived(machine.data?.machine.numbering.scheme === 'SISTER_GROUPS');
  const isPlanned = (toolId: number) =>
    (machine.data?.plan ?? []).some((place) => place.toolId === toolId);
  type Placed = Dragged & { another?: boolean };

  /** What was dropped is one more of its tool where it comes out of a library. */
  const arriving = (tool: Dragged): Placed => ({
    ...tool,
    another: sisters && tool.from === undefined && isPlanned(tool.toolId)
  });

  /** A tool that is not released, which the lead may allow. */
  let asked = $state<{ place: string; tool: Placed; why: string } | null>(null);

  const wordOf = (place: string) =>
    machine.data?.storages.find(({ places }) => places.includes(place))?.placeWord ?? 'place';

  async function allow() {
    const wanted = asked;
    asked = null;
    if (wanted) await put(wanted.place, wanted.tool, undefined, true);
  }

  async function put(
    place: string,
    { toolId, libraryId, from, another }: Placed,
    measures?: Measures,
    allow?: boolean
  ) {
    // At once, so that nobody types measures into the pocket that was chosen before.
    chosen = place;
    const planned = await planTool(
      id,
      place,
      `${wordOf(place)} ${place}`,
      { toolId, libraryId, from, another, sizes: measures, allow },
      who.current.role === 'lead'
        ? (why) => (asked = { place, tool: { toolId, libraryId, from, another }, why })
        : undefined
    );
    // Somebody may have picked up the next one meanwhile.
    if (planned && picked?.toolId === toolId) picked = null;
    return Boolean(planned);
  }

  const clear = (place: string) => clearPlace(id, place, `${wordOf(place)} ${place}`);

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
        : {
            toolId: tool.toolId,
            libraryId,
            code: tool.code,
            another: sisters && isPlanned(tool.toolId)
          };
    if (picked) {
      const places = (machine.data?.storages ?? []).flatMap((storage) => storage.places);
      const free = places.find((place) => !planned.has(place)) ?? places[0];
      document.getElementById(placeId(id, free ?? ''))?.focus();
    }
  }

  function onkeydown(event: KeyboardEvent) {
    const place = focusedPlace(id);
    const inPocket = place ? planned.get(place) : undefined;
    if (event.key === 'Escape') {
      picked = null;
    } else if (event.key === 'Delete' && place && inPocket && may) {
      void clear(place);
    } else if (event.key === ' ' && inPocket && !picked && may) {
      event.preventDefault();
      picked = {
        toolId: inPocket.toolId,
        libraryId: inPocket.libraryId ?? undefined,
        from: inPocket.place,
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
  <div class="flex min-h-0 flex-1 flex-col overflow-auto">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 px-5 pb-3 pt-4">
      <h1>{view.machine.name}</h1>
      <span class="text-soft">
        {view.machine.kind}, {view.storagesInWords}, {count(view.plan.length, 'tool')} planned
      </span>
      <MachineLibrary {view} may={who.may('EDIT')} />
      <MachinePosts machine={id} may={who.may('EDIT')} />
      <span role="status" class="text-working">
        {picked
          ? `${picked.another ? `Another ${picked.code}` : picked.code} is picked up: choose its ${view.placeWord}, Escape puts it down`
          : ''}
      </span>
      <span class="ml-auto flex items-center gap-2">
        {#if may}<a class="button" href="/machines/{id}/load">Plan a load</a>{/if}
        {#if may && view.plan.length > 0 && view.machine.numbering.scheme !== 'NUMBER_IS_PLACE'}
          <button class="button" onclick={() => (numbering = true)}>Numbers</button>
        {/if}
        <a class="button" href="/machines/{id}/definition">Definition</a>
        {#if view.linked}
          <a class="button main" href="/tables/{id}">Compare with the control</a>
        {/if}
      </span>
    </header>
    <div class="flex flex-col gap-4 px-5">
      {#each view.storages as storage (storage.id)}
        {@const circle = storage.layout.spots.some((spot) => spot.angle !== 90)}
        {@const tools = storage.places.filter((place) => planned.has(place)).length}
        <section aria-label={capital(storage.word)}>
          {#if view.storages.length > 1 || storage.places.length > ZOOMED || (may && tools > 1)}
            <header class="flex items-center gap-3 pb-1 text-[13px] text-soft">
              <span>{capital(storage.word)}, {storage.seatName}</span>
              {#if may && tools > 1}<SortMenu machine={view} {storage} />{/if}
              {#if storage.places.length > ZOOMED}
                <Zoom label="Zoom of the {storage.word}" bind:value={zoom} />
              {/if}
            </header>
          {/if}
          <div class={circle ? 'flex flex-wrap items-start gap-6' : ''}>
            <!-- A row does not fit a phone; there it is a list. -->
            <div class={circle ? 'min-w-0 max-w-full' : 'max-sm:hidden'}>
              <StorageDrawing
                machine={view}
                {storage}
                {chosen}
                {refusals}
                {zoom}
                onchoose={choose}
                ondropped={may
                  ? (place, data) => {
                      const tool = dropped(data);
                      if (tool) void put(place, arriving(tool));
                    }
                  : undefined}
              />
            </div>
            <div class={circle ? 'min-w-[300px] flex-1' : 'sm:hidden'}>
              <PlaceList machine={view} {storage} {chosen} alone={!circle} onchoose={choose} />
              {#if circle}<WorkScene {view} {chosen} />{/if}
            </div>
          </div>
        </section>
      {/each}
    </div>
    <div
      class="mt-4 grid min-h-[360px] flex-1 gap-8 px-5 pb-4 max-md:grid-cols-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_420px]"
    >
      {#if may}
        <Picker
          {picked}
          machine={view}
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
        onkeep={(kept) => chosen && void keepPlace(id, chosen, `${wordOf(chosen)} ${chosen}`, kept)}
        onclear={() => chosen && void clear(chosen)}
      >
        {#if chosen}
          <UsePanel machine={view.machine} place={chosen} {may} />
        {/if}
      </PocketDetail>
    </div>
  </div>
{:else}
  <Loading />
{/if}

{#if numbering && machine.data}
  <NumbersDialog view={machine.data} onclose={() => (numbering = false)} />
{/if}
{#if asked}
  <DialogFrame open title="Not released" hint={capital(asked.why)} onclose={() => (asked = null)}>
    <div class="flex justify-end gap-2">
      <button class="button" onclick={() => (asked = null)}>Leave it out</button>
      <button class="button main" onclick={() => void allow()}
        >Allow it for {wordOf(asked.place)} {asked.place}</button
      >
    </div>
  </DialogFrame>
{/if}
