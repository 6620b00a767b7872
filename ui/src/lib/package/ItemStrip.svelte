<script lang="ts">
  import type { DeliveryFile, Line } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { address, pictureOf } from './files';
  import type { Inspection } from './inspection';

  let {
    delivery,
    files,
    groups,
    label = 'All items',
    inspection,
    chosen,
    onchoose
  }: {
    delivery: number;
    files: DeliveryFile[];
    /** Items that have something in common, with the word for it; one without a word for all. */
    groups: { word: string; lines: Line[] }[];
    label?: string;
    /** How far an item is. */
    inspection: (line: Line) => Inspection;
    chosen: number | undefined;
    onchoose: (line: Line) => void;
  } = $props();

  let pointed = $state<{ line: Line; left: number } | null>(null);
  const picture = $derived(pointed ? pictureOf(pointed.line, files) : undefined);
  let nav: HTMLElement | undefined = $state();

  const headings = $derived(groups.map((group) => group.word).join('/'));

  $effect(() => {
    void headings;
    nav
      ?.querySelector(`[data-line="${chosen}"]`)
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  });

  function point(event: PointerEvent, line: Line) {
    const { left, width } = (event.currentTarget as Element).getBoundingClientRect();
    pointed = { line, left: Math.max(8, Math.min(left + width / 2 - 130, innerWidth - 268)) };
  }
</script>

<div class="relative shrink-0">
  {#if pointed && pointed.line.id !== chosen && (picture || pointed.line.outline)}
    <figure
      class="pointer-events-none fixed bottom-[150px] z-20 w-[260px] border border-hairline bg-sheet p-2 shadow-lg"
      style:left="{pointed.left}px"
    >
      {#if picture}
        <img
          src={address(delivery, picture)}
          alt="Picture of {pointed.line.code}"
          class="h-[104px] w-full bg-white object-contain"
        />
      {:else}
        <div class="flex h-[104px] items-center justify-center">
          <Silhouette outline={pointed.line.outline} width={240} height={90} />
        </div>
      {/if}
      <figcaption class="mt-1 truncate text-[13px]">
        <span class="code">{pointed.line.code}</span>
        <span class="text-soft">{pointed.line.name}</span>
      </figcaption>
    </figure>
  {/if}
  <nav
    bind:this={nav}
    class="flex gap-4 overflow-x-auto border-t border-hairline bg-sheet px-3 py-1.5"
    aria-label={label}
  >
    {#each groups as group (group.word)}
      <div class="shrink-0" role="group" aria-label={group.word || 'Items'}>
        {#if group.word}
          <p class="sticky left-0 px-1 text-[12px] text-soft">
            {group.word} <span class="code">{group.lines.length}</span>
          </p>
        {/if}
        <div class="flex gap-1">
          {#each group.lines as one (one.id)}
            <button
              class={[
                'item flex w-[160px] scroll-mx-4 shrink-0 flex-col items-center gap-1 border-b-2 px-1 py-1 hover:bg-faint',
                one.id === chosen ? 'border-working' : 'border-transparent'
              ]}
              aria-current={one.id === chosen}
              data-line={one.id}
              onclick={() => onchoose(one)}
              onpointerenter={(event) => point(event, one)}
              onpointerleave={() => (pointed = null)}
            >
              <span class="flex h-8 items-center">
                {#if one.outline}
                  <Silhouette outline={one.outline} width={144} height={30} />
                {:else}
                  <span class="text-[12px] text-soft">no drawing</span>
                {/if}
              </span>
              <span class="flex w-full items-center justify-center gap-1 text-[12px]">
                <Mark kind={inspection(one).mark} word="" />
                <span
                  class={['code truncate', one.code.length > 14 && 'text-[11px]']}
                  title="{one.code}: {inspection(one).word}">{one.code}</span
                >
              </span>
            </button>
          {/each}
        </div>
      </div>
    {/each}
  </nav>
</div>

<style>
  .item {
    content-visibility: auto;
    contain-intrinsic-size: 160px 60px;
  }
</style>
