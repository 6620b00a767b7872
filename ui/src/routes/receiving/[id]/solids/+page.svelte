<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { lookedAtLines, nameLine } from '$lib/delivery/actions';
  import CellField from '$lib/delivery/CellField.svelte';
  import { deliveryQuery } from '$lib/delivery/queries';
  import ItemStrip from '$lib/package/ItemStrip.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';
  import Proposals from '$lib/solid/Proposals.svelte';
  import { isTurned, solidQuery, trayQuery } from '$lib/solid/queries';
  import SolidStage from '$lib/solid/SolidStage.svelte';
  import { nextOpen } from '$lib/package/inspection';
  import { kinds, inspection } from '$lib/solid/tray';
  import PropertyName from '$lib/tool/PropertyName.svelte';
  import { classesQuery } from '$lib/tool/queries';

  const id = $derived(Number(page.params.id));
  const delivery = createQuery(() => deliveryQuery(id));
  const files = $derived(delivery.data?.files ?? []);
  const solids = $derived(
    files
      .filter((file) => file.format === 'attachment' && /\.(stp|step)$/i.test(file.name))
      .map((file) => file.file)
  );
  const tray = createQuery(() => ({
    ...trayQuery(id, solids),
    enabled: delivery.data?.state === 'ready'
  }));
  const classes = createQuery(classesQuery);
  const lines = $derived(tray.data ?? []);
  let at = $state(0);
  const line = $derived<Line | undefined>(lines[Math.min(at, lines.length - 1)]);
  const fileName = $derived(files.find((file) => file.file === line?.file)?.name ?? '');
  const solid = createQuery(() => ({
    ...solidQuery(id, line?.file ?? 0, fileName, isTurned(line)),
    enabled: line !== undefined
  }));
  const open = $derived(
    line !== undefined && who.may('RECEIVE') && !line.takenToolId && !line.takenPartId
  );
  const cutting = $derived(line?.kind === 'cutter' || line?.kind === 'insert');
  const done = $derived(
    lines.filter((one) => ['taken', 'inspected'].includes(inspection(one).word)).length
  );
  const hidden = ['CODE', 'NAME', 'CLASS', 'ATTACHMENT', 'BODIES', 'CCMS', 'CCWS', 'BODYMATERIAL'];
  /** Sizes that are there, and those that are asked for. */
  const sizes = $derived(
    [
      ...new Set([
        ...Object.keys(line?.cells ?? {}).filter((symbol) => !line?.cells[symbol]?.implied),
        ...(line?.findings ?? [])
          .filter((finding) => finding.code.startsWith('missing.'))
          .flatMap((finding) => finding.properties)
      ])
    ].filter((symbol) => !hidden.includes(symbol) && !symbol.startsWith('NOTE'))
  );
  const classOptions = $derived([
    { value: '', label: 'class not known yet' },
    ...(classes.data?.items ?? []).map(({ id: value, title }) => ({ value, label: title }))
  ]);

  async function inspected() {
    if (!line || !open) return;
    if (await lookedAtLines(id, [line.id])) at = nextOpen(lines, at, inspection);
  }

  function keys(event: KeyboardEvent) {
    const inField =
      event.target instanceof Element &&
      event.target.closest('input, [role=listbox], [role=option]') !== null;
    if (inField || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'ArrowRight') at = Math.min(at + 1, lines.length - 1);
    else if (event.key === 'ArrowLeft') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement))
      void inspected();
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>Solids · {delivery.data?.name ?? 'Delivery'} · Arbor Line</title></svelte:head>

{#if delivery.error || tray.error}
  <ErrorNote
    error={(delivery.error ?? tray.error)!}
    retry={() => void (delivery.error ? delivery.refetch() : tray.refetch())}
  />
{:else if delivery.data && tray.data}
  <header class="band flex flex-wrap items-end gap-x-8 gap-y-2 px-5 pb-3 pt-4">
    <div>
      <h1>Solids of {delivery.data.name}</h1>
      <p class="text-soft">
        {done} of {lines.length} inspected ·
        <a class="hover:text-working" href="/receiving/{id}">all lines of the delivery</a>
      </p>
    </div>
    <p class="ml-auto text-soft max-sm:hidden">
      <kbd>←</kbd> <kbd>→</kbd> another one · <kbd>Enter</kbd> right, next
    </p>
  </header>
  {#if line}
    <div class="flex min-h-0 flex-1 max-lg:flex-col">
      <SolidStage
        delivery={id}
        code={line.code}
        file={line.file}
        name={fileName}
        {line}
        editable={open}
      />
      <aside
        class="flex w-[340px] shrink-0 flex-col xl:w-[400px] gap-3 overflow-auto border-l border-hairline px-5 py-4 max-lg:w-full"
        aria-label="What it is"
      >
        <div class="flex items-center gap-3">
          <Mark kind={inspection(line).mark} word={inspection(line).word} />
        </div>
        <Proposals
          delivery={id}
          {line}
          proposals={solid.data?.solid.proposals ?? []}
          editable={open}
        />
        <div class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-2">
          <span class="text-soft">Code</span>
          {#if open}<CellField delivery={id} {line} symbol="CODE" />{:else}<span class="code"
              >{line.code}</span
            >{/if}
          <span class="text-soft">Kind</span>
          <Choice
            label="Kind"
            disabled={!open}
            options={kinds}
            bind:value={() => line.kind, (kind) => void nameLine(id, line.id, kind, {})}
          />
          {#if cutting}
            <span class="text-soft">Class</span>
            <Choice
              label="Class"
              disabled={!open}
              options={classOptions}
              bind:value={
                () => line.classId ?? '',
                (chosen) => void nameLine(id, line.id, undefined, { CLASS: chosen })
              }
            />
          {:else}
            <span class="text-soft">To machine</span>
            {#if open}<CellField delivery={id} {line} symbol="CCMS" />{:else}<span
                >{line.cells.CCMS?.text}</span
              >{/if}
            <span class="text-soft">To work</span>
            {#if open}<CellField delivery={id} {line} symbol="CCWS" />{:else}<span
                >{line.cells.CCWS?.text}</span
              >{/if}
          {/if}
          {#each sizes as symbol (symbol)}
            <PropertyName {symbol} />
            {#if open}
              <CellField delivery={id} {line} {symbol} />
            {:else}
              <span>{line.cells[symbol]?.text} {line.cells[symbol]?.unit ?? ''}</span>
            {/if}
          {/each}
        </div>
        <ul class="flex flex-col gap-1.5 text-[13px]" aria-label="What is said">
          {#each line.findings as finding, index (index)}
            <li class="flex gap-2">
              <Mark kind={finding.severity.toLowerCase() as 'note'} word="" />
              <span>{capital(finding.message)}</span>
            </li>
          {/each}
        </ul>
        {#if open}
          <div class="sticky -bottom-4 mt-auto bg-paper py-3">
            <button class="button main w-full justify-center" onclick={() => void inspected()}
              >It is right, next</button
            >
          </div>
        {/if}
      </aside>
    </div>
    <ItemStrip
      delivery={id}
      {files}
      groups={[{ word: '', lines }]}
      label="All solids"
      {inspection}
      chosen={line.id}
      onchoose={(chosen) => (at = lines.indexOf(chosen))}
    />
  {:else}
    <p class="px-5 py-6 text-soft">No solid of this delivery is an item of its own.</p>
  {/if}
{:else if delivery.data && delivery.data.state !== 'ready'}
  <p class="px-5 py-6 text-soft">The delivery is still being read.</p>
{:else}
  <Loading />
{/if}
