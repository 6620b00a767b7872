<script lang="ts">
  import type { MachineView, PlaceView, StorageView } from '$lib/api/client';
  import Parts from '$lib/drawing/Parts.svelte';
  import { view } from '$lib/drawing/geometry';
  import { capital } from '$lib/shell/text';
  import { dragged } from './dragged';
  import { placeId } from './places';

  let {
    machine,
    storage,
    chosen = null,
    refusals = {},
    marks = {},
    zoom = 1,
    whole = false,
    onchoose,
    ondropped
  }: {
    machine: MachineView;
    storage: StorageView;
    chosen?: string | null;
    /** Why the picked-up tool cannot go into a place. */
    refusals?: Record<string, string>;
    /** Places that are out of step. */
    marks?: Record<string, string>;
    zoom?: number;
    /** Drawn in the room there is, however small that makes it. */
    whole?: boolean;
    onchoose?: (place: string) => void;
    ondropped?: (place: string, data: string) => void;
  } = $props();

  /** Pixels per millimetre below which a row is scrolled, and to which a circle is drawn. */
  const ROW_SCALE = 0.48;
  const CIRCLE_WIDTH = 460;
  /** Room of a small drawing, and below which room numbers of places touch, in pixels. */
  const SMALL_WIDTH = 440;
  const CROWDED = 20;

  const layout = $derived(storage.layout);
  const circle = $derived(layout.spots.some((spot) => spot.angle !== 90 || spot.endOn));
  /** Too small for the number of every place: then every fifth is said. */
  const sparse = $derived(
    whole && !circle && (SMALL_WIDTH * (layout.spots[0]?.box.width ?? 0)) / layout.width < CROWDED
  );
  const planned = $derived(new Map(machine.plan.map((place) => [place.place, place])));
  const own = $derived(new Set(machine.ownPlaces ?? []));
  const id = (place: string) => placeId(machine.machine.id, place);
  const percent = (part: number, whole: number) => `${(100 * part) / whole}%`;

  function onkeydown(event: KeyboardEvent, next: Record<string, string | null | undefined>) {
    const aim = {
      ArrowRight: next.right,
      ArrowLeft: next.left,
      ArrowDown: next.down,
      ArrowUp: next.up
    }[event.key];
    if (aim) {
      event.preventDefault();
      document.getElementById(id(aim))?.focus();
    }
  }

  function label(place: string, driven: boolean, tool?: PlaceView): string {
    const what = tool ? `${tool.code}, ${tool.name}` : 'empty';
    const refused = refusals[place] ? `; not possible: ${refusals[place]}` : '';
    return `${capital(storage.placeWord)} ${place}${driven ? ', driven' : ''}: ${what}${own.has(place) ? '; kept for one tool' : ''}${
      marks[place] ? `; ${marks[place]}` : ''
    }${refused}`;
  }
</script>

<div class={['max-w-full overflow-x-auto', whole && !circle && 'pt-3']}>
  <div
    class="relative"
    role="group"
    aria-label="{capital(storage.word)} of {machine.machine.name}"
    style:width={circle ? `${CIRCLE_WIDTH * zoom}px` : `${100 * zoom}%`}
    style:min-width={circle || whole ? undefined : `${layout.width * ROW_SCALE * zoom}px`}
    style:max-width={circle && zoom === 1 ? '100%' : `${layout.width * 1.2 * zoom}px`}
    style:aspect-ratio="{layout.width} / {layout.height}"
  >
    <svg
      viewBox="0 0 {layout.width} {layout.height}"
      class="at-scale pointer-events-none absolute inset-0 h-full w-full overflow-visible"
      aria-hidden="true"
    >
      {#each layout.strokes as stroke, index (index)}
        {#if stroke.radius > 0}
          <circle class={stroke.kind} cx={stroke.x1} cy={stroke.y1} r={stroke.radius} />
        {:else}
          <line class={stroke.kind} x1={stroke.x1} y1={stroke.y1} x2={stroke.x2} y2={stroke.y2} />
        {/if}
      {/each}
      {#each layout.spots as spot (spot.place)}
        {@const tool = planned.get(spot.place)}
        {#if tool?.outline}
          <g transform="translate({spot.x} {spot.y}) rotate({spot.angle})">
            {#if spot.endOn}
              <circle class="tip" r={tool.outline.diameter / 2} />
            {:else}
              <Parts outline={tool.outline} at={view(0, 0, 1)} />
            {/if}
          </g>
        {/if}
      {/each}
    </svg>
    {#each layout.spots as spot, index (spot.place)}
      {@const tool = planned.get(spot.place)}
      {@const refused = refusals[spot.place]}
      <button
        id={id(spot.place)}
        class={[
          'place absolute flex flex-col items-center text-[11px] leading-4',
          !whole && 'overflow-hidden',
          circle ? 'round justify-center' : 'justify-between',
          chosen === spot.place && 'chosen',
          refused && 'refused'
        ]}
        style:left={percent(spot.box.left, layout.width)}
        style:top={percent(spot.box.top, layout.height)}
        style:width={percent(spot.box.width, layout.width)}
        style:height={percent(spot.box.height, layout.height)}
        aria-label={label(spot.place, spot.driven, tool)}
        aria-pressed={chosen === spot.place}
        title={refused ?? (tool ? `${tool.code} · ${tool.name}` : undefined)}
        draggable={Boolean(tool && ondropped)}
        ondragstart={(e) =>
          tool &&
          e.dataTransfer?.setData('text/plain', dragged({ toolId: tool.toolId, from: spot.place }))}
        ondragover={(e) => !refused && ondropped && e.preventDefault()}
        ondrop={(e) => {
          e.preventDefault();
          ondropped?.(spot.place, e.dataTransfer?.getData('text/plain') ?? '');
        }}
        onclick={() => onchoose?.(spot.place)}
        onkeydown={(e) => onkeydown(e, spot.next)}
      >
        <span
          class={[
            'number',
            whole && !circle && (sparse ? '-translate-y-2.5' : '-translate-y-1.5'),
            tool ? 'text-ink' : 'text-soft',
            spot.driven && 'driven',
            own.has(spot.place) && 'own',
            marks[spot.place] && 'font-semibold text-query'
          ]}>{sparse && index > 0 && (index + 1) % 5 > 0 ? '' : spot.place}</span
        >
        {#if !circle}
          <span class="code code-below w-full text-center" class:hidden={!tool}>
            {#each (tool?.code ?? '').split(/(?<=-)/) as part, index (index)}{#if index > 0}<wbr
                />{/if}{part}{/each}
          </span>
        {/if}
      </button>
    {/each}
  </div>
</div>

<style>
  .at-scale :global(path) {
    vector-effect: non-scaling-stroke;
  }
  .body {
    fill: none;
    stroke: var(--working);
    stroke-width: 2;
    vector-effect: non-scaling-stroke;
  }
  .swing {
    fill: none;
    stroke: var(--hold);
    stroke-width: 1;
    stroke-dasharray: 6 4;
    vector-effect: non-scaling-stroke;
  }
  .tip {
    fill: var(--steel);
    stroke: var(--ink);
    stroke-width: 0.7;
    vector-effect: non-scaling-stroke;
  }
  .place:hover {
    background: color-mix(in srgb, var(--working) 10%, transparent);
  }
  .place.round {
    border-radius: 50%;
  }
  .place.chosen {
    background: color-mix(in srgb, var(--working) 16%, transparent);
    box-shadow: inset 0 0 0 1px var(--working);
  }
  .refused {
    background-image: repeating-linear-gradient(135deg, transparent 0 6px, var(--hairline) 6px 7px);
  }
  .code-below {
    max-height: 22px;
    overflow: hidden;
    font-size: 10px;
    line-height: 11px;
  }
  .number.own {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .number.driven {
    min-width: 20px;
    padding: 0 3px;
    border: 1px solid var(--working);
    border-radius: 9px;
    text-align: center;
  }
</style>
