<script lang="ts">
  import { dragged } from './dragged';
  import type { MachineView, PlaceView } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';

  let {
    view,
    chosen = null,
    refusals = {},
    marks = {},
    small = false,
    onchoose,
    ondropped
  }: {
    view: MachineView;
    chosen?: string | null;
    /** Why the picked-up tool cannot go into a place. */
    refusals?: Record<string, string>;
    /** Places that are out of step. */
    marks?: Record<string, string>;
    small?: boolean;
    onchoose?: (place: string) => void;
    ondropped?: (place: string, data: string) => void;
  } = $props();

  const count = $derived(view.machine.magazine.pockets);
  const half = $derived(Math.ceil(count / 2));
  const byPlace = $derived(new Map(view.plan.map((place) => [place.place, place])));
  const rows = $derived([
    Array.from({ length: half }, (_, i) => String(i + 1)),
    Array.from({ length: count - half }, (_, i) => String(count - i))
  ]);
  const height = $derived(small ? 44 : 96);
  const scale = $derived(
    Math.min(1, height / Math.max(1, ...view.plan.map((place) => place.outline?.length ?? 0)))
  );

  const rowHeight = $derived(18 + height + (small ? 4 : 24));

  function move(event: KeyboardEvent, place: string) {
    const number = Number(place);
    const upper = number <= half;
    const next = {
      ArrowRight: upper ? number + 1 : number - 1,
      ArrowLeft: upper ? number - 1 : number + 1,
      ArrowDown: count + 1 - number,
      ArrowUp: count + 1 - number
    }[event.key];
    if (next === undefined) {
      return;
    }
    event.preventDefault();
    const target = ((next - 1 + count) % count) + 1;
    document.getElementById(`pocket-${view.machine.id}-${target}`)?.focus();
  }

  function label(place: string, planned?: PlaceView): string {
    const what = planned ? `${planned.code}, ${planned.name}` : 'empty';
    const refused = refusals[place] ? `; not possible: ${refusals[place]}` : '';
    return `Pocket ${place}: ${what}${marks[place] ? `; ${marks[place]}` : ''}${refused}`;
  }
</script>

<div class="relative" role="group" aria-label="Magazine of {view.machine.name}">
  {#if view.machine.magazine.closed}
    {#each ['left', 'right'] as side (side)}
      <span class={['bend', side]} style:height="{rowHeight + 2}px" aria-hidden="true"></span>
    {/each}
  {/if}
  {#each rows as row, index (index)}
    <div class={['flex', index === 1 && (small ? 'mt-1' : 'mt-2')]}>
      {#each row as place (place)}
        {@const planned = byPlace.get(place)}
        {@const refused = refusals[place]}
        <button
          id="pocket-{view.machine.id}-{place}"
          class={[
            'group relative flex min-w-0 flex-1 flex-col items-center border-l border-hairline last:border-r hover:bg-faint',
            chosen === place && 'bg-faint',
            refused && 'refused'
          ]}
          aria-label={label(place, planned)}
          aria-pressed={chosen === place}
          title={refused ?? (planned ? `${planned.code} · ${planned.name}` : undefined)}
          draggable={Boolean(planned) && !small}
          ondragstart={(e) =>
            planned && e.dataTransfer?.setData('text/plain', dragged({ toolId: planned.toolId }))}
          ondragover={(e) => !refused && ondropped && e.preventDefault()}
          ondrop={(e) => {
            e.preventDefault();
            ondropped?.(place, e.dataTransfer?.getData('text/plain') ?? '');
          }}
          onclick={() => onchoose?.(place)}
          onkeydown={(e) => move(e, place)}
        >
          <span
            class={[
              'relative z-10 w-full text-center text-[11px] leading-4',
              planned ? 'text-ink' : 'text-soft',
              marks[place] && 'font-semibold text-query'
            ]}
          >
            {place}
          </span>
          <span class={['gauge block w-full', marks[place] ? 'broken' : '']} aria-hidden="true"
          ></span>
          <span class="flex w-full justify-center overflow-hidden" style:height="{height}px">
            {#if planned}
              <Silhouette
                outline={planned.outline}
                width={small ? 20 : 44}
                {height}
                {scale}
                upright
              />
            {/if}
          </span>
          {#if !small}
            <span class="code w-full truncate px-0.5 text-center text-[10.5px] leading-4">
              {planned?.code ?? ''}
            </span>
          {/if}
        </button>
      {/each}
    </div>
  {/each}
</div>

<style>
  /* The ends of a closed chain. */
  .bend {
    position: absolute;
    top: 16px;
    width: 12px;
    border: 2px solid var(--working);
  }
  .bend.left {
    left: -12px;
    border-right: 0;
    border-radius: 12px 0 0 12px;
  }
  .bend.right {
    right: -12px;
    border-left: 0;
    border-radius: 0 12px 12px 0;
  }
  .gauge {
    height: 2px;
    background: var(--working);
  }
  .gauge.broken {
    background: linear-gradient(
      90deg,
      var(--query) 0 35%,
      transparent 35% 65%,
      var(--query) 65% 100%
    );
  }
  .refused {
    background-image: repeating-linear-gradient(135deg, transparent 0 6px, var(--hairline) 6px 7px);
  }
</style>
