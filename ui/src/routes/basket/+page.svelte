<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Strip from '$lib/drawing/Strip.svelte';
  import { copyInto } from '$lib/library/actions';
  import { basket, picksOf } from '$lib/library/basket.svelte';
  import { numberings } from '$lib/library/numberings';
  import Outcome from '$lib/library/Outcome.svelte';
  import { copyPreviewQuery, librariesQuery } from '$lib/library/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { mayMaintain } from '$lib/library/rights';
  import { who } from '$lib/shell/session.svelte';
  import { count } from '$lib/shell/text';

  const ROW = 'application/x-arborline-basket';

  let into = $state(String(who.current.defaultLibrary ?? ''));
  let numbering = $state('keep');
  let section = $state('');
  let chosen = $state<number | null>(null);
  let busy = $state(false);
  let over = $state<number | null>(null);

  const libraries = createQuery(librariesQuery);
  const target = $derived(libraries.data?.items.find(({ id }) => String(id) === into));
  const order = $derived({
    picks: picksOf(basket.picked),
    numbering,
    section: section.trim() || undefined
  });
  const preview = createQuery(() => ({
    ...copyPreviewQuery(target?.id ?? 0, order),
    enabled: target !== undefined && basket.picked.length > 0
  }));
  const told = $derived(
    Object.fromEntries((preview.data?.told ?? []).map((one) => [one.toolId, one]))
  );
  const hung = $derived(basket.picked.find(({ toolId }) => toolId === chosen));

  async function copy(move: boolean) {
    if (!target) return;
    busy = true;
    await copyInto(target.id, target.name, { ...order, move });
    busy = false;
  }

  function keys(event: KeyboardEvent, at: number) {
    const { toolId } = basket.picked[at];
    if (event.key === 'Delete') basket.remove([toolId]);
    else if (event.altKey && event.key === 'ArrowUp' && at > 0)
      basket.move(toolId, basket.picked[at - 1].toolId);
    else if (event.altKey && event.key === 'ArrowDown')
      basket.move(toolId, basket.picked[at + 2]?.toolId ?? null);
    else return;
    event.preventDefault();
  }

  function drop(event: DragEvent, before: number | null) {
    event.preventDefault();
    over = null;
    const moved = Number(event.dataTransfer?.getData(ROW));
    if (moved) basket.move(moved, before);
  }
</script>

<svelte:head><title>Basket · Arbor Line</title></svelte:head>

<header class="flex items-center gap-3 px-5 pb-2 pt-3">
  <h1>Basket</h1>
  <span class="text-soft">{count(basket.picked.length, 'tool')}</span>
  {#if basket.picked.length > 0}
    <span class="text-soft max-lg:hidden">
      <kbd>Alt</kbd> <kbd>↑</kbd> <kbd>↓</kbd> change the order · <kbd>Delete</kbd> takes out
    </span>
    <button class="button ml-auto" onclick={() => basket.clear()}>Empty it</button>
  {/if}
</header>
{#if basket.picked.length === 0}
  <div class="flex-1 px-5 py-4">
    <p>Nothing is in the basket.</p>
    <p class="mt-1 text-soft">
      Choose tools in <a class="text-working underline" href="/libraries/all">any list</a> and press
      <kbd>B</kbd>; they stay here while you go from page to page, and are copied from here into a
      library.
    </p>
  </div>
{:else}
  <div class="min-h-0 flex-1 overflow-auto px-2.5">
    <table class="rows w-full">
      <thead>
        <tr>
          <th class="number w-12">Order</th>
          <th class="w-40">Code</th>
          <th>Name</th>
          <th class="w-44">Silhouette</th>
          <th>From</th>
          <th class="number w-16">No.</th>
          <th>{target ? `In ${target.name}` : ''}</th>
          <th class="w-24"><span class="sr-only">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        {#each basket.picked as one, at (one.toolId)}
          {@const said = told[one.toolId]}
          <tr
            class={[
              'cursor-default hover:bg-faint',
              chosen === one.toolId && 'bg-faint',
              over === one.toolId && 'border-t-2 border-working'
            ]}
            draggable="true"
            tabindex="0"
            aria-label="{at + 1}: {one.code}"
            onfocus={() => (chosen = one.toolId)}
            onclick={() => (chosen = one.toolId)}
            onkeydown={(event) => keys(event, at)}
            ondragstart={(event) => event.dataTransfer?.setData(ROW, String(one.toolId))}
            ondragover={(event) => {
              if (!event.dataTransfer?.types.includes(ROW)) return;
              event.preventDefault();
              over = one.toolId;
            }}
            ondrop={(event) => drop(event, one.toolId)}
          >
            <td class="number text-soft">{at + 1}</td>
            <td><a class="code hover:text-working" href="/tools/{one.toolId}">{one.code}</a></td>
            <td class="max-w-64 truncate">{one.name}</td>
            <td><Silhouette outline={one.outline ?? undefined} width={150} height={24} /></td>
            <td
              ><a class="hover:text-working" href="/libraries/{one.libraryId}">{one.library}</a></td
            >
            <td class="number">{one.number}</td>
            <td class="max-w-80">
              {#if said}
                <Outcome one={said} />
              {:else if target && preview.data}
                <span class="text-soft">as it is</span>
              {/if}
            </td>
            <td>
              <button class="button quiet" onclick={() => basket.remove([one.toolId])}
                >Take out</button
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <NotLoaded query={preview} />
  </div>
  <Strip
    tools={hung ? [{ key: hung.toolId, code: hung.code, outline: hung.outline ?? undefined }] : []}
  />
  {#if who.may('EDIT')}
    <div
      role="group"
      aria-label="Copying"
      class="flex flex-wrap items-center gap-3 border-t border-hairline bg-sheet px-5 py-2.5"
    >
      <span>Copy into</span>
      <Choice
        label="Into which library"
        bind:value={into}
        options={[
          { value: '', label: 'choose a library' },
          ...(libraries.data?.items ?? [])
            .filter((library) => !library.settings.archived && mayMaintain(library))
            .map(({ id, name }) => ({ value: String(id), label: name }))
        ]}
      />
      <input
        class="field w-44"
        aria-label="Section"
        placeholder="section, else as they are"
        maxlength="130"
        bind:value={section}
      />
      <span>where they</span>
      <Choice label="Numbers" bind:value={numbering} options={numberings} />
      {#if preview.data && target}
        <span class="text-soft" role="status">
          {count(preview.data.entering, 'tool')} will enter{preview.data.renumbered > 0
            ? `, ${preview.data.renumbered} under other numbers`
            : ''}{preview.data.here > 0 ? `; ${preview.data.here} there already` : ''}{preview.data
            .refused > 0
            ? `; ${preview.data.refused} cannot`
            : ''}
        </span>
      {/if}
      <button
        class="button ml-auto"
        disabled={busy || !preview.data || preview.data.entering === 0}
        onclick={() => void copy(true)}>Move</button
      >
      <button
        class="button main"
        disabled={busy || !preview.data || preview.data.entering === 0}
        onclick={() => void copy(false)}>Copy</button
      >
    </div>
  {/if}
{/if}
