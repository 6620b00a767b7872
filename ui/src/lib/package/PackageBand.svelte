<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { noteDiscontinued } from './actions';
  import { packageQuery } from './queries';
  import UsedIn from './UsedIn.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { count } from '$lib/shell/text';

  let { delivery, editable }: { delivery: number; editable: boolean } = $props();

  const report = createQuery(() => packageQuery(delivery));
  const news = $derived(report.data);
  const open = $derived((news?.discontinued ?? []).filter((item) => !item.noted));
  let busy = $state(false);

  async function note(items: string[] | null) {
    busy = true;
    await noteDiscontinued(delivery, items);
    busy = false;
  }
</script>

{#if news}
  <section aria-label="Package" class="border-b border-hairline bg-sheet px-5 py-2">
    <p class="flex flex-wrap items-center gap-x-5 gap-y-1">
      <span>
        <strong>{news.vendor}</strong>{news.release
          ? `, release ${news.release}`
          : ', no release named'}
        <span class="text-soft">
          {#if news.taken && news.taken !== news.release}after {news.taken}, which the shop took{/if}
        </span>
      </span>
      {#if news.older}
        <Mark kind="query" word="older than {news.taken}: nothing of it changes the shop" />
      {/if}
      <span>{count(news.fresh, 'new item')}</span>
      {#if news.changed > 0}<span>{count(news.changed, 'change')} will follow</span>{/if}
      {#if news.asked > 0}<Mark kind="hold" word="{count(news.asked, 'change')} to decide" />{/if}
      {#if news.unchanged > 0}<span class="text-soft">{news.unchanged} unchanged</span>{/if}
    </p>
    {#if news.gone > 0}
      <details class="mt-1">
        <summary class="cursor-pointer">
          {count(news.gone, 'item')} that the shop has
          {news.gone === 1 ? 'is' : 'are'} no longer made
          {open.length === 0 ? '(noted)' : ''}
        </summary>
        <ul class="mt-1 text-[13px]">
          {#each news.discontinued as item (item.item)}
            <li class="flex flex-wrap items-baseline gap-x-3 py-0.5">
              <a
                class="code hover:text-working"
                href={item.toolId ? `/tools/${item.toolId}` : `/holders/${item.partId}`}
                >{item.code}</a
              >
              <span>{item.name}</span>
              <UsedIn uses={item.used} />
              {#if item.noted}
                <span class="text-soft">noted, since {item.noted}</span>
              {:else if editable}
                <button class="button quiet" disabled={busy} onclick={() => void note([item.item])}
                  >Note it</button
                >
              {/if}
            </li>
          {/each}
        </ul>
        {#if editable && open.length > 1}
          <button class="button my-1" disabled={busy} onclick={() => void note(null)}
            >Note all of them as no longer made</button
          >
        {/if}
      </details>
    {/if}
    {#if news.faults.length > 0 || news.notCompared.length > 0}
      <details class="mt-1" open={news.faults.length < 4}>
        <summary class="cursor-pointer"
          >{count(news.faults.length, 'fault')} in the package itself</summary
        >
        <ul class="mt-1 text-[13px]">
          {#each news.faults as fault (fault.file + fault.kind)}
            <li class="flex gap-2 py-0.5">
              <Mark kind="query" word="" />
              <span class="code">{fault.file}</span>
              <span>{fault.message}</span>
            </li>
          {/each}
          {#if news.notCompared.length > 0}
            <li class="py-0.5 text-soft">
              Of {news.notCompared.join(', ')} nothing is said: neither changed nor no longer made.
            </li>
          {/if}
        </ul>
      </details>
    {/if}
  </section>
{/if}
<NotLoaded query={report} />
