<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { librariesQuery } from '$lib/library/queries';
  import { stopWork, takeLines } from '$lib/delivery/actions';
  import { type Delivery } from '$lib/api/client';
  import { mayMaintain } from '$lib/library/rights';
  import Choice from '$lib/shell/Choice.svelte';
  import { soFar } from '$lib/shell/live.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count } from '$lib/shell/text';

  let { delivery }: { delivery: Delivery } = $props();

  const libraries = createQuery(librariesQuery);
  let library = $state('');
  let numbering = $state('keep');
  let section = $state('');
  let busy = $state(false);
  /** Libraries that may be changed, and the one that the delivery is for. */
  const possible = $derived(
    (libraries.data?.items ?? []).filter(
      (one) => mayMaintain(one) || (one.id === delivery.library && one.right)
    )
  );
  const only = $derived(possible.length === 1 ? possible[0] : null);
  const chosen = $derived(
    library || String(delivery.library ?? only?.id ?? who.current.defaultLibrary ?? '')
  );
  const name = $derived(
    libraries.data?.items.find((library) => String(library.id) === chosen)?.name ?? 'a library'
  );
  const work = $derived(soFar(delivery.id));
  const entering = $derived(delivery.pass - delivery.taken);
  /** Holders and other parts stand in no library. */
  const partsOnly = $derived(entering > 0 && entering === delivery.others);
  /** What will enter, in words: tools, and what is no tool. */
  const items = $derived(
    [
      ...(entering > delivery.others || delivery.others === 0
        ? [count(entering - delivery.others, 'tool')]
        : []),
      ...(delivery.others > 0 ? [count(delivery.others, partsOnly ? 'item' : 'other item')] : [])
    ].join(' and ')
  );
  const staying = $derived(delivery.hold + delivery.query);
  const numberings = [
    { value: 'keep', label: 'keep their numbers' },
    { value: 'next', label: 'get the next free numbers' },
    { value: 'range', label: 'get numbers by kind of work' },
    { value: 'position', label: 'are numbered by line' }
  ];

  async function take() {
    busy = true;
    const into = partsOnly ? { name: 'the shop' } : { id: Number(chosen), name };
    await takeLines(delivery, into, numbering, section);
    busy = false;
  }
</script>

<section
  aria-label="Taking"
  class="flex min-h-14 shrink-0 flex-wrap items-center gap-x-3 gap-y-2 border-t border-hairline bg-sheet px-5 py-2"
>
  {#if work?.deed === 'taking'}
    <progress class="w-64" max={entering} value={work.count} aria-label="taken"></progress>
    <p role="status">{work.count.toLocaleString('en')} of {items} taken so far</p>
    <button class="button ml-auto" onclick={() => void stopWork(delivery.id)}
      >Stop, take nothing</button
    >
  {:else if work}
    <progress class="w-64" aria-label="corrected"></progress>
    <p role="status">{count(work.count, 'line')} corrected so far</p>
    <button class="button ml-auto" onclick={() => void stopWork(delivery.id)}
      >Stop, change nothing</button
    >
  {:else if entering > 0}
    <p>
      <strong>{items}</strong> will enter{#if partsOnly}&nbsp;the shop{/if}
    </p>
    {#if !partsOnly}
      <Choice
        label="Library"
        bind:value={() => chosen, (value) => (library = value)}
        options={[
          ...(chosen ? [] : [{ value: '', label: 'choose a library' }]),
          ...possible.map((library) => ({
            value: String(library.id),
            label: library.name
          }))
        ]}
      />
      <input
        class="field w-32"
        aria-label="Section"
        placeholder="section, if any"
        maxlength="100"
        bind:value={section}
      />
      <p>and</p>
      <Choice label="Numbering" bind:value={numbering} options={numberings} />
    {/if}
    {#if staying > 0}
      <p class="text-soft">{count(staying, 'line')} will stay here</p>
    {/if}
    <button class="button main ml-auto" disabled={busy || (!chosen && !partsOnly)} onclick={take}>
      {busy ? 'Taking …' : `Take ${items}`}
    </button>
  {:else}
    <p class="text-soft">
      {staying > 0
        ? `Nothing can be taken now: ${count(staying, 'line')} must be corrected or looked at first.`
        : capital(delivery.note) ||
          (delivery.taken > 0
            ? `All is taken: ${count(delivery.taken, 'item')}.`
            : 'Nothing to take.')}
    </p>
  {/if}
</section>
