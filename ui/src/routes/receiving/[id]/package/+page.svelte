<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { lookedAtLines, stopWork } from '$lib/delivery/actions';
  import { deliveryQuery } from '$lib/delivery/queries';
  import TakeBar from '$lib/delivery/TakeBar.svelte';
  import { inspectItems } from '$lib/package/actions';
  import ItemSheet from '$lib/package/ItemSheet.svelte';
  import ItemStage from '$lib/package/ItemStage.svelte';
  import ItemStrip from '$lib/package/ItemStrip.svelte';
  import PackageBand from '$lib/package/PackageBand.svelte';
  import { itemsQuery } from '$lib/package/queries';
  import { firstShown, inspection, nextOpen, shares } from '$lib/package/inspection';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';
  import { classesQuery } from '$lib/tool/queries';

  const id = $derived(Number(page.params.id));
  const delivery = createQuery(() => deliveryQuery(id));
  let sort = $state('position');
  let by = $state('');
  let share = $state('');
  let text = $state('');
  const items = createQuery(() => ({
    ...itemsQuery(id, sort),
    placeholderData: (before: Line[] | undefined) => before
  }));
  const classes = createQuery(classesQuery);
  const inspecting = $derived(
    delivery.data?.state === 'reading' || delivery.data?.state === 'waiting'
  );
  const narrowed = $derived(
    (items.data ?? []).filter(
      (line) =>
        (share === '' || inspection(line).word === share) &&
        `${line.code} ${line.name} ${line.vendorItem ?? ''}`
          .toLowerCase()
          .includes(text.trim().toLowerCase())
    )
  );
  let chosen = $state<number | undefined>();
  $effect(() => {
    // What was kept from before may not have been inspected yet.
    if (chosen !== undefined || inspecting || !items.data || items.isFetching) return;
    chosen = firstShown(items.data, page.url.searchParams.get('finding'));
  });
  const sorts = [
    { value: 'position', label: 'as in the package' },
    { value: 'name', label: 'by name' },
    { value: 'vendor', label: 'by the vendor’s code' },
    { value: 'class', label: 'by class' },
    { value: 'date', label: 'by date' }
  ];
  const groupings = [
    { value: '', label: 'not grouped' },
    { value: 'class', label: 'by class' },
    { value: 'inspection', label: 'by what is to do' },
    { value: 'name', label: 'by first word of the name' },
    { value: 'code', label: 'by the vendor’s code' }
  ];

  function word(one: Line): string {
    if (by === 'inspection') return inspection(one).word;
    if (by === 'name') return one.name.split(' ')[0];
    if (by === 'code') return (one.vendorItem ?? one.code).split(/[-_ ]/).slice(0, 2).join('-');
    const title = classes.data?.items.find((known) => known.id === one.classId)?.title;
    return title ?? one.kind;
  }

  const groups = $derived.by(() => {
    if (by === '') return [{ word: '', lines: narrowed }];
    const found: Record<string, Line[]> = {};
    for (const one of narrowed) (found[word(one)] ??= []).push(one);
    const order = ['cannot enter', 'needs a look', ...shares.map(({ value }) => value)];
    return Object.entries(found)
      .map(([name, some]) => ({ word: name, lines: some }))
      .sort((one, other) => order.indexOf(one.word) - order.indexOf(other.word));
  });
  /** In the order in which they are shown. */
  const lines = $derived(groups.flatMap((group) => group.lines));
  const at = $derived(
    Math.max(
      0,
      lines.findIndex((line) => line.id === chosen)
    )
  );
  const line = $derived<Line | undefined>(lines[at]);
  const editable = $derived(
    line !== undefined &&
      who.may('RECEIVE') &&
      !inspecting &&
      !line.takenToolId &&
      !line.takenPartId
  );
  const left = $derived((delivery.data?.left ?? 0) + (delivery.data?.asked ?? 0));

  async function next() {
    if (!line) return;
    const following = lines[nextOpen(lines, at)]?.id;
    const asked = editable && inspection(line).mark === 'query';
    if (!asked || (await lookedAtLines(id, [line.id]))) chosen = following;
  }

  function keys(event: KeyboardEvent) {
    const busy =
      event.target instanceof Element &&
      event.target.closest('input, summary, [role=listbox], [role=option], [role=dialog]') !== null;
    if (busy || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'ArrowRight') chosen = lines[Math.min(at + 1, lines.length - 1)]?.id;
    else if (event.key === 'ArrowLeft') chosen = lines[Math.max(at - 1, 0)]?.id;
    else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) void next();
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>Package · {delivery.data?.name ?? 'Delivery'} · Arbor Line</title></svelte:head>

{#if delivery.error || items.error}
  <ErrorNote
    error={(delivery.error ?? items.error)!}
    retry={() => void (delivery.error ? delivery.refetch() : items.refetch())}
  />
{:else if delivery.data && items.data}
  {@const arrived = delivery.data}
  <div class="flex min-h-0 flex-1 flex-col max-lg:overflow-auto">
    <header class="band flex flex-wrap items-end gap-x-6 gap-y-2 px-5 pb-2 pt-3">
      <div>
        <h1>{arrived.name}</h1>
        <p class="text-soft">
          {lines.length === items.data.length
            ? count(lines.length, 'item')
            : `${lines.length} of ${count(items.data.length, 'item')}`} ·
          <a class="hover:text-working" href="/receiving/{id}">all lines of the delivery</a>
        </p>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <input
          class="field w-40"
          type="search"
          aria-label="Search the items"
          placeholder="code or name"
          bind:value={text}
        />
        <Choice label="Shown" bind:value={share} options={shares} />
        <Choice label="Sorted" bind:value={sort} options={sorts} />
        <Choice label="Grouped" bind:value={by} options={groupings} />
      </div>
      <div class="ml-auto flex items-center gap-3">
        {#if inspecting}
          <progress
            aria-label="Inspected"
            max={items.data.length}
            value={items.data.length - arrived.asked}
          ></progress>
          <p role="status">
            {items.data.length - arrived.asked} of {count(items.data.length, 'item')} inspected
          </p>
          {#if who.may('RECEIVE')}
            <button class="button" onclick={() => void stopWork(id)}>Stop</button>
          {/if}
        {:else if left > 0 && who.may('RECEIVE')}
          <button class="button" onclick={() => void inspectItems(id, null)}
            >Inspect all {left}</button
          >
          {#if lines.length < items.data.length && lines.some((one) => !one.inspected)}
            <button
              class="button"
              onclick={() =>
                void inspectItems(
                  id,
                  lines.filter((one) => !one.inspected).map((one) => one.id)
                )}>Inspect those shown</button
            >
          {/if}
        {:else}
          <p class="text-soft max-xl:hidden">
            <kbd>←</kbd> <kbd>→</kbd> another one · <kbd>Enter</kbd> next to do
          </p>
        {/if}
      </div>
    </header>
    {#if arrived.vendor}<PackageBand
        delivery={id}
        editable={who.may('RECEIVE') && !inspecting}
      />{/if}
    {#if line}
      <div class="flex min-h-0 flex-1 max-lg:flex-none max-lg:flex-col">
        <ItemStage delivery={id} {line} files={arrived.files} {editable} />
        <ItemSheet
          delivery={id}
          {line}
          {editable}
          vendor={arrived.vendor ?? ''}
          oninspected={() => void next()}
        />
      </div>
    {:else}
      <p class="flex-1 px-5 py-6 text-soft">
        {items.data.length === 0
          ? 'This delivery has no items.'
          : 'No item is like that. Show all items, or search for something else.'}
      </p>
    {/if}
  </div>
  {#if line}
    <ItemStrip
      delivery={id}
      files={arrived.files}
      {inspection}
      {groups}
      chosen={line.id}
      onchoose={(one) => (chosen = one.id)}
    />
  {/if}
  {#if who.may('RECEIVE') && !inspecting}<TakeBar delivery={arrived} />{/if}
{:else}
  <Loading />
{/if}
