<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { lastReconciliationQuery, watchQuery } from '$lib/table/queries';
  import { machineQuery } from '$lib/machine/queries';
  import Mark from '$lib/marks/Mark.svelte';
  import { count, moment } from '$lib/shell/text';
  import Loading from '$lib/shell/Loading.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import PlaceStrip from './PlaceStrip.svelte';
  import { goto } from '$app/navigation';

  let { id }: { id: string } = $props();

  const machine = createQuery(() => machineQuery(id));
  const table = createQuery(() => lastReconciliationQuery(id));
  const unread = createQuery(() => ({ ...watchQuery(id), enabled: table.data === null }));
  const silentSince = $derived((table.data?.watch ?? unread.data)?.silentSince);
  const differing = $derived((table.data?.items ?? []).filter((row) => row.state !== 'in step'));
  const marks = $derived(Object.fromEntries(differing.map((row) => [row.place, row.reason])));
</script>

{#if machine.data}
  {@const { machine: definition, plan } = machine.data}
  <article class="mt-2 border-t border-hairline pt-2">
    <header class="flex items-baseline gap-4 pb-2">
      <a class="font-semibold hover:text-working" href="/machines/{id}">{definition.name}</a>
      <span class="text-soft">
        {definition.kind}, {machine.data.storagesInWords}, {count(plan.length, 'tool')} planned
      </span>
      {#if machine.data.linked}<a class="ml-auto hover:underline" href="/tables/{id}">
          {#if silentSince}
            <Mark kind="query" word="no answer since {moment(silentSince)}" />
          {:else if table.data === null}
            <Mark kind="note" word="control not read yet" />
          {:else if differing.length > 0}
            <Mark
              kind="differs"
              word="{count(differing.length, machine.data.placeWord)} out of step"
            />
          {:else if table.data}
            <Mark kind="in step" word="in step, read {moment(table.data.readAt)}" />
          {/if}
        </a>{:else}<span class="ml-auto text-soft">no control linked</span>{/if}
    </header>
    {#if plan.length > 0 || differing.length > 0}
      <PlaceStrip view={machine.data} {marks} onchoose={() => void goto(`/machines/${id}`)} />
    {/if}
  </article>
{:else if machine.error}
  <ErrorNote error={machine.error} retry={() => void machine.refetch()} />
{:else}
  <Loading />
{/if}
