<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { comparedQuery, deliveryQuery, findingsQuery } from '$lib/delivery/queries';
  import { deleteDelivery, stopWork } from '$lib/delivery/actions';
  import { type Delivery, type Line } from '$lib/api/client';
  import Beside from '$lib/delivery/Beside.svelte';
  import Compared from '$lib/delivery/Compared.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import Balance from '$lib/delivery/Balance.svelte';
  import Group from '$lib/delivery/Group.svelte';
  import Grouped from '$lib/delivery/Grouped.svelte';
  import HowRead from '$lib/delivery/HowRead.svelte';
  import Lines from '$lib/delivery/Lines.svelte';
  import PackageBand from '$lib/package/PackageBand.svelte';
  import TakeBar from '$lib/delivery/TakeBar.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, count, moment } from '$lib/shell/text';
  import { TimeLeft } from '$lib/shell/timeLeft.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';

  const id = $derived(Number(page.params.id));
  const delivery = createQuery(() => deliveryQuery(id));
  const groups = createQuery(() => ({
    ...findingsQuery(id),
    enabled: delivery.data?.state === 'ready'
  }));
  const compared = createQuery(() => ({
    ...comparedQuery(id),
    enabled: delivery.data?.state === 'ready'
  }));
  let part = $state('');
  let text = $state('');
  let sort = $state('position');
  let by = $state('');
  let beside = $state<Line | null>(null);
  const narrowed = $derived({ text, sort });
  const sorts = [
    { value: 'position', label: 'as in the file' },
    { value: 'code', label: 'by code' },
    { value: 'name', label: 'by name' },
    { value: 'number', label: 'by number' },
    { value: 'class', label: 'by class' },
    { value: 'diameter', label: 'by diameter' },
    { value: 'date', label: 'by date of the file' },
    { value: 'finding', label: 'by finding' }
  ];
  const may = $derived(who.may('RECEIVE'));
  /** Names of the files where there are several. */
  const files = $derived(
    (delivery.data?.files.length ?? 0) > 1 ? delivery.data!.files.map((file) => file.name) : []
  );
  /** True where models came that may be items of their own. */
  const solids = $derived(
    delivery.data?.files.some(
      (file) => file.format === 'attachment' && /\.(stp|step)$/i.test(file.name)
    ) ?? false
  );
  const groupings = $derived([
    { value: '', label: 'not grouped' },
    { value: 'class', label: 'by class' },
    { value: 'kind', label: 'by kind' },
    { value: 'name', label: 'by first word of the name' },
    { value: 'number', label: 'by hundreds of the number' },
    ...(files.length > 0
      ? [
          { value: 'file', label: 'by file' },
          { value: 'date', label: 'by date of the file' }
        ]
      : [])
  ]);
  const reading = $derived(
    delivery.data?.state === 'reading' || delivery.data?.state === 'waiting'
  );

  const left = new TimeLeft(() => (reading ? delivery.data?.share : undefined));

  async function putAway() {
    const name = delivery.data?.name ?? 'the delivery';
    if (await deleteDelivery(id, name, () => void goto(`/receiving/${id}`))) {
      await goto('/receiving');
    }
  }
</script>

{#snippet howRead(arrived: Delivery)}
  {#each arrived.files as file (file.file)}
    <HowRead delivery={id} {file} named={arrived.files.length > 1} />
  {/each}
{/snippet}

<svelte:head><title>{delivery.data?.name ?? 'Delivery'} · Arbor Line</title></svelte:head>

{#if delivery.error}
  <ErrorNote error={delivery.error} retry={() => void delivery.refetch()} />
{:else if delivery.data}
  {@const arrived = delivery.data}
  <header class="band flex flex-wrap items-end gap-x-8 gap-y-2 px-5 pb-3 pt-4">
    <div>
      <h1>{arrived.name}</h1>
      <p class="text-soft">received {moment(arrived.at)} by {arrived.by}</p>
    </div>
    <div class="w-[640px] max-w-full">
      <Balance
        delivery={arrived}
        chosen={part}
        onchoose={(next) => (part = part === next ? '' : next)}
      />
    </div>
    {#if may && !reading}
      <button class="button quiet ml-auto" onclick={putAway}>Delete this delivery</button>
    {/if}
  </header>
  {#if reading}
    <div class="flex items-center gap-4 px-5 py-6" role="status">
      <progress aria-label="Reading" max="1" value={arrived.share || undefined}></progress>
      <p>
        Reading: {count(arrived.read, 'line')} so far{left.text ? `, about ${left.text} left` : ''}.
      </p>
      {#if may}<button class="button" onclick={() => void stopWork(id)}>Stop reading</button>{/if}
    </div>
  {:else if arrived.state === 'failed' || arrived.state === 'stopped'}
    {@render howRead(arrived)}
    <div role="alert" class="m-5 max-w-3xl border-l-4 border-hold py-2 pl-4">
      <p>{capital(arrived.note)}</p>
      <p class="mt-1 text-soft">
        Change how it is read above, or delete the delivery and add the file again.
      </p>
    </div>
  {:else}
    <div class="min-h-0 flex-1 overflow-auto">
      {#if arrived.vendor}<PackageBand delivery={id} editable={may} />{/if}
      {@render howRead(arrived)}
      {#if compared.data && (compared.data.same > 0 || compared.data.changed > 0)}
        <Compared compared={compared.data} />
      {/if}
      <div class="flex items-center gap-3 px-5 py-2">
        <button
          class={['button', part === 'all' && 'border-working!']}
          aria-pressed={part === 'all'}
          onclick={() => (part = part === 'all' ? '' : 'all')}>All lines as a list</button
        >
        {#if arrived.vendor}
          <a class="button" href="/receiving/{id}/package">Go through the package</a>
        {:else if solids}
          <a class="button" href="/receiving/{id}/solids">Go through the solids</a>
        {/if}
        {#if part}
          <input
            class="field w-56"
            type="search"
            aria-label="Search the lines"
            placeholder="code or name"
            bind:value={text}
          />
          <Choice label="Sorted" bind:value={sort} options={sorts} />
          <Choice label="Grouped" bind:value={by} options={groupings} />
        {/if}
      </div>
      {#if part && by}
        <Grouped
          {files}
          delivery={id}
          disposition={part}
          {by}
          {narrowed}
          onbeside={(line) => (beside = line)}
        />
      {:else if part}
        <Lines
          {files}
          delivery={id}
          disposition={part}
          properties={['DC', 'OAL']}
          editable={false}
          {narrowed}
          onbeside={(line) => (beside = line)}
        />
      {:else}
        {#each groups.data?.items ?? [] as group (group.code + group.severity)}
          <Group
            {files}
            delivery={id}
            {group}
            editable={may}
            onbeside={(line) => (beside = line)}
          />
        {/each}
        {#if groups.data && groups.data.items.length === 0 && arrived.read > 0}
          <p class="px-5 py-4 text-soft">No line has a finding.</p>
        {/if}
        {#if arrived.note}
          <p class="px-5 py-4">{capital(arrived.note)}.</p>
        {/if}
        {#if arrived.pass > 0}
          <section class="border-t border-hairline" aria-label="Lines that pass">
            <h2 class="px-5 pb-1 pt-3">{count(arrived.pass, 'line')} without objection</h2>
            <Lines
              {files}
              delivery={id}
              disposition="pass"
              properties={['DC', 'OAL']}
              editable={false}
              onbeside={(line) => (beside = line)}
            />
          </section>
        {/if}
      {/if}
    </div>
    {#if beside}
      <Beside delivery={id} line={beside} editable={may} onclose={() => (beside = null)} />
    {/if}
    {#if may}<TakeBar delivery={arrived} />{/if}
  {/if}
{:else}
  <Loading />
{/if}
