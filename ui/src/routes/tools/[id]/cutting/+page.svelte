<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { watch } from 'runed';
  import { sheetQuery } from '$lib/tool/queries';
  import { stacksQuery } from '$lib/stack/queries';
  import { cache } from '$lib/api/cache';
  import { cuttingLinesQuery, materialsQuery } from '$lib/cutting/queries';
  import { proveLine, removeLine, saveLine } from '$lib/cutting/actions';
  import { CutDraft } from '$lib/cutting/cut.svelte';
  import CutResults from '$lib/cutting/CutResults.svelte';
  import Lines from '$lib/cutting/Lines.svelte';
  import OwnMaterials from '$lib/cutting/OwnMaterials.svelte';
  import WindowPlot from '$lib/cutting/WindowPlot.svelte';
  import CutInputs from '$lib/cutting/CutInputs.svelte';
  import { entries } from '$lib/quantity/entries';
  import { who } from '$lib/shell/session.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = Number(page.params.id);
  const cut = new CutDraft(id);
  const sheet = createQuery(() => sheetQuery(id));
  const lines = createQuery(() => cuttingLinesQuery(id));
  const materials = createQuery(materialsQuery);
  const stacks = createQuery(() => stacksQuery(id));
  const may = $derived(who.may('EDIT') && !sheet.data?.closed);
  const possible = $derived(Boolean(cut.computed?.cut) && !cut.problem);
  let adding = $state(false);

  /** Begins with the work material that the tool has data for. */
  async function begin() {
    const known = await cache.ensureQueryData(cuttingLinesQuery(id)).catch(() => undefined);
    cut.material = known?.items.find(({ material }) => material)?.material ?? cut.material;
    await cut.begin(true);
  }

  onMount(() => void begin());
  watch(
    () => stacks.data?.items[0]?.answer.shape.deflection,
    (deflection) => {
      cut.compliance = deflection ?? 0;
      if (deflection && cut.computed) void cut.compute();
    }
  );

  async function keep(origin: string) {
    if (!(await entries.sound())) return;
    const line = await cut.line(origin);
    if (line) void saveLine(id, line);
  }

  function named(material: string): string {
    return (
      materials.data?.items.find((known) => known.id === material)?.name ??
      (material === '' ? 'any material' : material)
    );
  }
</script>

<svelte:head><title>Cutting data of {sheet.data?.code ?? 'a tool'} · Arbor Line</title></svelte:head
>

{#if sheet.error}
  <ErrorNote error={sheet.error} retry={() => void sheet.refetch()} />
{:else if sheet.data}
  <header class="band flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-3">
    <h1>
      Cutting data of <a class="code hover:text-working" href="/tools/{id}">{sheet.data.code}</a>
    </h1>
    <span class="text-soft">{sheet.data.name}</span>
  </header>
  <div class="min-h-0 flex-1 overflow-auto pb-8">
    <Lines
      lines={lines.data?.items ?? []}
      elsewhere={lines.data?.elsewhere ?? []}
      feedTitle={cut.feedTitle}
      machine={cut.machine}
      {named}
      {may}
      onopen={(line) => cut.open(line)}
      onprove={async (line, machine) => Boolean(await proveLine(id, line, machine))}
      onremove={(line) => void removeLine(id, line)}
    />
    <div
      class="mt-4 grid grid-cols-[290px_240px_minmax(0,1fr)] gap-6 px-5 xl:grid-cols-[310px_260px_minmax(0,1fr)] xl:gap-8"
    >
      <div>
        <CutInputs {cut} />
        {#if may}
          <div class="mt-3 flex flex-wrap gap-2">
            <button class="button main" disabled={!possible} onclick={() => keep('calculated')}>
              Save
            </button>
            <button class="button" disabled={!possible} onclick={() => keep('catalogue')}>
              Save as catalogue's
            </button>
            <button class="button" disabled={!possible} onclick={() => keep('fixed')}>
              Save for any material
            </button>
            <button class="button" onclick={() => (adding = true)}>Own materials</button>
          </div>
        {/if}
      </div>
      <CutResults {cut} />
      <section aria-label="Usable window">
        <h2>Usable window</h2>
        {#if cut.computed?.window && cut.computed.cut}
          <WindowPlot
            window={cut.computed.window}
            speed={cut.computed.cut.speed}
            feed={cut.computed.cut.feed}
          />
        {:else if cut.computed?.cut}
          <p class="mt-2 text-soft">
            The feed is the pitch of the thread: only the speed can be chosen.
          </p>
        {/if}
      </section>
    </div>
  </div>
  <OwnMaterials
    bind:open={adding}
    materials={materials.data?.items ?? []}
    onadd={(added) => {
      cut.material = added;
      void cut.begin(false);
    }}
  />
{:else}
  <Loading />
{/if}
