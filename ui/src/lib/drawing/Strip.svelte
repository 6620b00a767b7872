<script lang="ts">
  import type { Outline } from '$lib/api/client';
  import { units } from '$lib/quantity/units.svelte';
  import { fit, view } from './geometry';
  import CentreLine from './CentreLine.svelte';
  import Parts from './Parts.svelte';
  import { saveSvg } from './save';

  let {
    tools,
    follows = $bindable()
  }: {
    tools: { key: number; code: string; outline?: Outline | null }[];
    /** True where it shows what is pointed at, too; missing where that is no question. */
    follows?: boolean;
  } = $props();

  let width = $state(1000);
  let svg = $state<SVGSVGElement>();
  const HEIGHT = 190;
  const LEFT = 150;
  /** Longer codes are drawn closer, so that they end before the gauge line. */
  const MOST_SIGNS = 14;
  const drawn = $derived(tools.filter((tool) => tool.outline));
  const lane = $derived((HEIGHT - 16) / Math.max(1, drawn.length));
  const scale = $derived(
    fit(
      drawn.map((tool) => tool.outline as Outline),
      width - LEFT - 150,
      lane - 12
    )
  );
  const longest = $derived(Math.max(0, ...drawn.map((tool) => tool.outline?.length ?? 0)));

  function size(length: number): string {
    return units.entry(Math.round(length * 1000) / 1000, 'mm');
  }

  function axis(index: number): number {
    return 8 + lane * (index + 0.5);
  }
</script>

<section
  aria-label="Strip"
  class="relative shrink-0 border-t border-hairline bg-sheet"
  bind:clientWidth={width}
>
  {#if drawn.length === 0}
    <p class="px-5 py-2.5 text-soft">
      {follows
        ? 'Point at a tool: it hangs here, beside those that are chosen.'
        : 'Choose tools with Space: the last four hang here on one gauge line, at one scale.'}
    </p>
  {:else}
    <svg
      bind:this={svg}
      {width}
      height={HEIGHT}
      role="img"
      aria-label="{drawn.map((t) => t.code).join(', ')} to scale"
    >
      <line x1={LEFT} x2={LEFT} y1="4" y2={HEIGHT - 4} stroke="var(--working)" stroke-width="1.5" />
      {#each drawn as tool, index (tool.key)}
        {@const outline = tool.outline as Outline}
        {@const at = view(LEFT, axis(index), scale)}
        <text
          x="20"
          y={axis(index) + 4}
          font-size="13"
          fill="var(--ink)"
          class="code"
          textLength={tool.code.length > MOST_SIGNS ? LEFT - 34 : undefined}
          lengthAdjust="spacingAndGlyphs">{tool.code}</text
        >
        <Parts {outline} {at} />
        <CentreLine from={LEFT - 12} to={at.x(longest) + 14} y={axis(index)} />
        <text x={at.x(longest) + 20} y={axis(index) + 4} font-size="13" fill="var(--soft)">
          {size(outline.length)} long{longest > outline.length
            ? `, ${size(longest - outline.length)} shorter`
            : ''}
        </text>
      {/each}
    </svg>
    <button
      class="button quiet absolute bottom-2 right-4"
      onclick={() => svg && saveSvg(svg, `${drawn.map((tool) => tool.code).join('-')}.svg`)}
      >Save drawing</button
    >
  {/if}
  {#if follows !== undefined}
    <button
      class="button quiet absolute right-4 top-2"
      aria-pressed={follows}
      onclick={() => (follows = !follows)}
      >{follows ? 'Show only what is chosen' : 'Show what I point at'}</button
    >
  {/if}
</section>
