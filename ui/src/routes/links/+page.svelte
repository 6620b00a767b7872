<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import LinkColumns from '$lib/link/LinkColumns.svelte';
  import { linksQuery } from '$lib/link/queries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { capital, count } from '$lib/shell/text';
  import Mark from '$lib/marks/Mark.svelte';

  const links = createQuery(linksQuery);
  const strays = $derived((links.data?.items ?? []).filter(({ stray }) => stray));
  let only = $state(false);
</script>

<svelte:head><title>Links · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex flex-wrap items-center gap-4">
    <h1>Links</h1>
    <span class="text-soft">What belongs together, and what leads nowhere.</span>
    {#if strays.length > 0}
      <Checkbox label="Only strays ({strays.length})" bind:checked={only} />
    {/if}
  </header>
  {#if links.error}
    <ErrorNote error={links.error} retry={() => void links.refetch()} />
  {:else if links.data}
    {#if strays.length > 0}
      <section class="mt-3" aria-label="Strays">
        <h2>{count(strays.length, 'link')} to set anew</h2>
        <ul class="text-[13px]">
          {#each strays as stray, index (index)}
            <li>
              <Mark kind="query" word="" />
              {#if stray.from.href}<a class="text-working hover:underline" href={stray.from.href}
                  >{stray.from.name}</a
                >{:else}{stray.from.name}{/if}
              {stray.relation}
              {stray.to.name}: {capital(stray.stray ?? '')}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    <div class="mt-4 overflow-x-auto">
      {#if links.data.items.length === 0}
        <p class="text-soft">
          Nothing is linked yet: choose the library of a machine, or make a post.
        </p>
      {:else}
        <LinkColumns links={only ? strays : links.data.items} />
      {/if}
    </div>
  {:else}
    <Loading />
  {/if}
</div>
