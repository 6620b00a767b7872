<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import type { ItemNews, VendorNews } from '$lib/api/client';
  import { fetchPackage } from '$lib/package/actions';
  import { newsQuery } from '$lib/package/queries';
  import UsedIn from '$lib/package/UsedIn.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { bytes, count, day } from '$lib/shell/text';
  import PropertyName from '$lib/tool/PropertyName.svelte';

  const news = createQuery(newsQuery);
  let fetching = $state('');

  async function fetchOne(id: string) {
    fetching = id;
    const brought = await fetchPackage(id);
    fetching = '';
    if (brought) await goto(`/receiving/${brought.id}/package`);
  }

  function of(vendor: VendorNews, change: ItemNews['change']): ItemNews[] {
    return vendor.changes.filter((item) => item.change === change);
  }

  function place(item: ItemNews): string {
    return item.toolId ? `/tools/${item.toolId}` : `/holders/${item.partId}`;
  }

  /** What it comes to, in words. */
  function sum(vendor: VendorNews): string {
    if (!vendor.taken) return `${count(vendor.fresh, 'item')}, none of them in the shop`;
    const parts = [
      ...(vendor.changed > 0 ? [`${vendor.changed} changed`] : []),
      ...(vendor.discontinued > 0 ? [`${vendor.discontinued} no longer made`] : []),
      ...(vendor.fresh > 0 ? [`${vendor.fresh} new`] : [])
    ];
    const nothing = vendor.newest.delivery ? 'its newest package is here' : 'nothing has changed';
    return parts.length > 0 ? parts.join(', ') : nothing;
  }

  const words = {
    FOLLOWS: '',
    CONFLICT: 'the shop has another value: you will be asked',
    WITHDRAWN: 'no longer said: you will be asked',
    UNREAD: 'could not be read: you will be asked',
    AGREES: 'the shop has it already'
  };
</script>

<svelte:head><title>News of vendors · Arbor Line</title></svelte:head>

<header class="band flex flex-wrap items-end gap-x-8 gap-y-2 px-5 pb-3 pt-4">
  <div>
    <h1>News of vendors</h1>
    <p class="text-soft">What their newest releases would change, before anything is fetched</p>
  </div>
  <button class="button ml-auto" disabled={news.isFetching} onclick={() => void news.refetch()}
    >{news.isFetching ? 'Looking …' : 'Look again'}</button
  >
</header>
{#if news.error}
  <ErrorNote error={news.error} retry={() => void news.refetch()} />
{:else if news.data}
  <div class="min-h-0 flex-1 overflow-auto">
    {#each news.data.vendors as vendor (vendor.vendor)}
      <section class="border-b border-hairline px-5 py-3" aria-label={vendor.vendor}>
        <header class="flex flex-wrap items-center gap-x-6 gap-y-1">
          <h2>{vendor.vendor}</h2>
          <p>
            {#if vendor.taken}
              <span class="code">{vendor.taken}</span> <span class="text-soft">taken</span>
              {#if vendor.newer}→ <span class="code">{vendor.newest.release}</span>{/if}
            {:else}
              <span class="code">{vendor.newest.release}</span>
            {/if}
            {#if vendor.newest.dated}
              <span class="text-soft">of {day(vendor.newest.dated)}</span>
            {/if}
          </p>
          <p class="text-soft">{sum(vendor)}</p>
          {#if vendor.newest.delivery}
            <a class="button ml-auto" href="/receiving/{vendor.newest.delivery}/package"
              >Open the package</a
            >
          {:else if who.may('RECEIVE')}
            <button
              class={['button ml-auto', vendor.newer && 'main']}
              disabled={fetching !== ''}
              onclick={() => void fetchOne(vendor.newest.id)}
              >{fetching === vendor.newest.id
                ? 'Fetching …'
                : `Fetch ${bytes(vendor.newest.size)}`}</button
            >
          {/if}
        </header>
        {#if of(vendor, 'CHANGED').length > 0}
          <table class="mt-2 w-full max-w-6xl text-[13px]">
            <caption class="sr-only">What {vendor.vendor} changed</caption>
            <thead class="text-left text-soft">
              <tr>
                <th class="w-52 font-normal">Changed</th>
                <th class="w-64 font-normal">Property</th>
                <th class="w-36 font-normal">Before</th>
                <th class="w-36 font-normal">Now</th>
                <th class="font-normal">The shop has</th>
              </tr>
            </thead>
            <tbody>
              {#each of(vendor, 'CHANGED') as item (item.item)}
                {#each item.fields as field, at (field.field)}
                  <tr class={at === 0 ? 'border-t border-hairline' : ''}>
                    <td class="py-0.5">
                      {#if at === 0}
                        <a class="code hover:text-working" href={place(item)}>{item.code}</a>
                        {#if item.code !== item.item}
                          <span class="text-soft">their {item.item}</span>
                        {/if}
                      {/if}
                    </td>
                    <td class="pr-4"><PropertyName symbol={field.field} /></td>
                    <td><s class="text-soft">{field.before || 'not said'}</s></td>
                    <td>{field.now || '–'}</td>
                    <td>
                      {#if words[field.outcome]}
                        <span class="mr-2">{field.ours || 'none'}</span>
                        {#if field.outcome === 'AGREES'}
                          <span class="text-soft">{words[field.outcome]}</span>
                        {:else}
                          <Mark kind="query" word={words[field.outcome]} />
                        {/if}
                      {:else}
                        <span class="text-soft">what it was before</span>
                      {/if}
                    </td>
                  </tr>
                {/each}
              {/each}
            </tbody>
          </table>
        {/if}
        {#if of(vendor, 'DISCONTINUED').length > 0}
          <ul class="mt-2 text-[13px]" aria-label="No longer made">
            {#each of(vendor, 'DISCONTINUED') as item (item.item)}
              <li class="flex flex-wrap items-baseline gap-x-3">
                <span class="text-soft">No longer made:</span>
                <a class="code hover:text-working" href={place(item)}>{item.code}</a>
                <span>{item.name}</span>
                <UsedIn uses={item.used} />
              </li>
            {/each}
          </ul>
        {/if}
        {#if of(vendor, 'NEW').length > 0}
          <details class="mt-2 text-[13px]" open={vendor.taken !== null && vendor.fresh < 9}>
            <summary class="cursor-pointer">{count(vendor.fresh, 'new item')}</summary>
            <ul class="mt-1 grid grid-cols-[repeat(auto-fill,minmax(min(420px,100%),1fr))] gap-x-6">
              {#each of(vendor, 'NEW') as item (item.item)}
                <li class="flex gap-2">
                  <span class="code shrink-0">{item.item}</span>
                  <span class="truncate text-soft" title={item.name}>{item.name}</span>
                </li>
              {/each}
            </ul>
          </details>
        {/if}
        {#if vendor.earlier.length > 0}
          <p class="mt-1 text-[13px] text-soft">
            Earlier:
            {#each vendor.earlier as one, at (one.id)}
              {#if one.delivery}<a
                  class="hover:text-working"
                  href="/receiving/{one.delivery}/package">{one.release}</a
                >{:else if who.may('RECEIVE')}<button
                  class="underline decoration-dotted hover:text-working"
                  disabled={fetching !== ''}
                  onclick={() => void fetchOne(one.id)}>fetch {one.release}</button
                >{:else}{one.release}{/if}{at < vendor.earlier.length - 1 ? ', ' : ''}
            {/each}
          </p>
        {/if}
      </section>
    {:else}
      <p class="px-5 py-6 text-soft">No vendor has a package at the dispatch.</p>
    {/each}
  </div>
{:else}
  <Loading />
{/if}
