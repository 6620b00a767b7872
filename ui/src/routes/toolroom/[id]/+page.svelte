<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { assemblePiece, changeState, deletePiece } from '$lib/physical/actions';
  import Carry from '$lib/physical/Carry.svelte';
  import MeasureForm from '$lib/physical/MeasureForm.svelte';
  import { measurementsQuery, partsQuery, pieceQuery, piecesQuery } from '$lib/physical/queries';
  import { gauges, nextToMeasure, stateWords } from '$lib/physical/words';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const piece = createQuery(() => pieceQuery(id));
  const parts = createQuery(() => partsQuery(id));
  const measured = createQuery(() => measurementsQuery(id));
  const pieces = createQuery(() => ({
    ...piecesQuery(piece.data?.forMachine ?? undefined),
    enabled: piece.data !== undefined
  }));
  const may = $derived(who.may('HANDLE'));
  const next = $derived(nextToMeasure(pieces.data?.items ?? [], id));
  const withWhat = (gauge: string) => gauges.find(({ value }) => value === gauge)?.label ?? '';
</script>

<svelte:head><title>{piece.data?.serial ?? 'Toolroom'} · Arbor Line</title></svelte:head>

{#if piece.error}
  <ErrorNote error={piece.error} retry={() => void piece.refetch()} />
{:else if piece.data}
  {@const it = piece.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
    <header class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h1 class="code text-[20px]">{it.serial}</h1>
      <a class="hover:text-working" href="/tools/{it.toolId}">{it.name}</a>
      <span class="text-soft">
        {it.forMachineName ? `for ${it.forMachineName}, ` : ''}{stateWords[it.state]}, in {it.where}
        {it.plannedFor ? `, planned for ${it.plannedFor}` : ''}
      </span>
      <span class="ml-auto flex gap-2">
        {#if may && next}<a class="button" href="/toolroom/{next.id}">Next to measure</a>{/if}
        <a class="button" href="/toolroom">Toolroom</a>
      </span>
    </header>
    <div class="overflow-x-auto py-3">
      <Silhouette outline={it.outline} width={720} height={130} />
    </div>
    <div
      class="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
    >
      <section aria-label="Sizes">
        <h2 class="pb-2 font-semibold">Measure</h2>
        {#if !it.assembledAt}
          <p class="text-soft">It is measured once it is put together.</p>
        {:else if may}
          <MeasureForm piece={it} onmeasured={() => next && void goto(`/toolroom/${next.id}`)} />
        {:else}
          <p class="text-soft">Your role may look at what was measured, not measure.</p>
        {/if}
        {#if measured.data && measured.data.items.length > 0}
          <table class="rows mt-5 w-full">
            <thead>
              <tr><th>Size</th><th class="number">mm</th><th>With, by, when</th></tr>
            </thead>
            <tbody>
              {#each measured.data.items as one, index (index)}
                <tr>
                  <td>{one.title}</td>
                  <td class="number">{one.size}</td>
                  <td class="whitespace-normal text-soft">
                    {withWhat(one.gauge)}, {one.by}, {moment(one.at)}{one.although
                      ? `; kept although it was questioned (${one.although})`
                      : ''}
                  </td>
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
      </section>
      <div class="flex flex-col gap-6">
        <section aria-label="Parts">
          <h2 class="pb-2 font-semibold">Parts, from the gauge line on</h2>
          <ol>
            {#each parts.data?.parts ?? [] as part (part.code)}
              <li class="flex items-baseline gap-3 border-b border-hairline py-1.5">
                <span class="code w-40 shrink-0 truncate max-sm:w-32" title={part.code}
                  >{part.code}</span
                >
                <span class="min-w-0 flex-1 truncate">{part.name}</span>
                {#if part.torque}<span class="text-soft">{part.torque}</span>{/if}
              </li>
            {/each}
          </ol>
          {#each parts.data?.questions ?? [] as question (question)}
            <p class="pt-1 text-[13px] text-query">{capital(question)}</p>
          {/each}
          <p class="flex flex-wrap items-center gap-3 pt-2 text-soft">
            {it.assembledAt
              ? `put together ${moment(it.assembledAt)} by ${it.assembledBy}`
              : 'not put together'}
            {#if may}
              <button class="button" onclick={() => void assemblePiece(it, !it.assembledAt)}
                >{it.assembledAt ? 'Taken apart' : 'Put together'}</button
              >
            {/if}
          </p>
        </section>
        <section aria-label="Where it is">
          <h2 class="pb-2 font-semibold">In {it.where}</h2>
          {#if may}<Carry piece={it} />{/if}
        </section>
        <section aria-label="How it is">
          <h2 class="pb-2 font-semibold">
            {capital(stateWords[it.state])}{it.regrinds > 0 ? `, ground ${it.regrinds} times` : ''}
          </h2>
          {#if it.cut.length > 0}
            <p class="pb-2 text-soft">
              Has cut {it.cut.map(({ name }) => name).join(', ')}: it stays with
              {it.cut[0].family.toLowerCase()}.
            </p>
          {/if}
          {#if may}
            <div class="flex flex-wrap gap-2">
              {#each it.next as state (state)}
                <button class="button" onclick={() => void changeState(it, state)}
                  >{capital(stateWords[state])}</button
                >
              {/each}
              {#if !it.machine}
                <button
                  class="button"
                  onclick={async () => {
                    if (await deletePiece(it)) void goto('/toolroom');
                  }}>Delete</button
                >
              {/if}
            </div>
          {/if}
        </section>
      </div>
    </div>
  </div>
{:else}
  <Loading />
{/if}
