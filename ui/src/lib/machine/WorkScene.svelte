<script lang="ts">
  import type { MachineView, PlaceView } from '$lib/api/client';
  import Parts from '$lib/drawing/Parts.svelte';
  import { view as at } from '$lib/drawing/geometry';
  import Checkbox from '$lib/shell/Checkbox.svelte';

  let {
    view,
    chosen
  }: {
    view: MachineView;
    /** The place whose tool is at the work; the first tools that are planned where none is. */
    chosen: string | null;
  } = $props();

  let beside = $state(false);
  const scene = $derived(view.scene);
  const planned = $derived(new Map(view.plan.map((place) => [place.place, place])));
  /** Where nothing is planned for the chosen place, what stands there while none is chosen. */
  const standing = $derived(
    (view.atWork[chosen ?? ''] ?? view.atWork[''] ?? []).flatMap(
      ({ place, mount: number, beside, station }) => {
        const tool = planned.get(place);
        const mount = scene?.mounts[number];
        const neighbours = beside.flatMap((name) => planned.get(name) ?? []);
        return tool && mount ? [{ place, tool, mount, neighbours, station }] : [];
      }
    )
  );
  const turret = $derived(standing.some(({ mount }) => mount.radius != null));

  const path = (points: { x: number; y: number }[]) =>
    `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;
  /** From the tip back to the gauge line; to where the axes cross where a block turned the tool. */
  const length = (tool: PlaceView) => (tool.turned?.outline ?? tool.outline)?.length ?? 0;

  /** A station faces the work as it does, however its block holds the tool. */
  const block = (tool: PlaceView, station: number): string | undefined =>
    tool.turned ? `rotate(${station}) translate(${-tool.turned.at} 0)` : undefined;
</script>

{#if scene}
  <figure class="mt-4 flex max-w-3xl flex-col gap-1">
    <svg
      viewBox="0 0 {scene.width} {scene.height}"
      class="scene max-h-[260px] w-full bg-sheet"
      role="img"
      aria-label="Tools at the work of {view.machine.name}: {standing
        .map(({ tool, mount }) => `${tool.code} at ${mount.spindle}`)
        .join(', ') || 'none'}"
    >
      {#each scene.chucks as chuck (chuck.name)}
        <path class="chuck" d={path(chuck.body)} />
        <path class="work" d={path(chuck.work)} />
        <text
          x={(chuck.body[0].x + chuck.body[1].x) / 2}
          y={chuck.body[0].y - 12}
          text-anchor="middle">{chuck.name}</text
        >
      {/each}
      <line class="axis" x1="0" x2={scene.width} y1={scene.axis} y2={scene.axis} />
      {#each standing as { place, tool, mount, neighbours, station } (place)}
        <g
          transform="translate({mount.x} {mount.y}) rotate({mount.angle}) translate({-length(
            tool
          )} 0)"
        >
          {#if beside && mount.radius != null}
            {#each neighbours as neighbour (neighbour.place)}
              {#if neighbour.outline}
                <g
                  class="beside"
                  transform="translate({-mount.radius} 0) scale({mount.lean} 1) translate({mount.radius} 0)"
                >
                  <Parts outline={neighbour.outline} at={at(0, 0, 1)} />
                </g>
              {/if}
            {/each}
          {/if}
          <g transform={block(tool, station)}>
            <path class="body" d={path(tool.turned ? mount.station : mount.body)} />
            {#if tool.outline}<Parts outline={tool.outline} at={at(0, 0, 1)} />{/if}
          </g>
          {#if tool.turned}<Parts outline={tool.turned.outline} at={at(0, 0, 1)} />{/if}
        </g>
      {/each}
    </svg>
    <figcaption class="flex flex-wrap items-center gap-4 text-[13px] text-soft">
      {#each standing as { place, tool, mount } (place)}
        <span
          ><span class="code text-ink">{tool.code}</span> of {place}, {mount.spindle}, {mount.along
            ? 'along'
            : 'across'}</span
        >
      {:else}
        <span>Nothing is planned that reaches the work.</span>
      {/each}
      {#if turret}
        <span class="ml-auto"><Checkbox label="Stations beside it" bind:checked={beside} /></span>
      {/if}
    </figcaption>
  </figure>
{/if}

<style>
  .scene :global(path) {
    vector-effect: non-scaling-stroke;
  }
  .chuck,
  .body {
    fill: color-mix(in srgb, var(--working) 10%, var(--sheet));
    stroke: var(--working);
    stroke-width: 1.5;
  }
  .work {
    fill: var(--hairline);
    stroke: none;
  }
  .axis {
    stroke: var(--soft);
    stroke-dasharray: 18 4 4 4;
    vector-effect: non-scaling-stroke;
  }
  .beside {
    opacity: 0.35;
  }
  text {
    fill: var(--soft);
    font-size: 22px;
  }
</style>
