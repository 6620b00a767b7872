<script lang="ts">
  import type { Outline } from '$lib/api/client';
  import CentreLine from './CentreLine.svelte';
  import { fit, path, view } from './geometry';
  import Parts from './Parts.svelte';

  let {
    before,
    after,
    label
  }: {
    /** Drawn as a line only. */
    before?: Outline | null;
    /** Drawn filled. */
    after?: Outline | null;
    label: string;
  } = $props();

  const HEIGHT = 110;
  const LEFT = 24;
  let width = $state(600);
  const drawn = $derived([before, after].filter((one): one is Outline => Boolean(one)));
  const at = $derived(view(LEFT, HEIGHT / 2, fit(drawn, width - LEFT - 24, HEIGHT - 16)));
  const longest = $derived(Math.max(0, ...drawn.map(({ length }) => length)));
</script>

<!-- Two states of one tool on one gauge line, at one scale. -->
<div bind:clientWidth={width} class="bg-sheet">
  {#if drawn.length > 0}
    <svg {width} height={HEIGHT} role="img" aria-label={label}>
      <line x1={LEFT} x2={LEFT} y1="4" y2={HEIGHT - 4} stroke="var(--working)" stroke-width="1.5" />
      {#if after}<Parts outline={after} {at} />{/if}
      {#if before}
        {#each before.parts as part, index (index)}
          <path
            d={path(part, at)}
            fill="none"
            stroke="var(--hold)"
            stroke-width="1.3"
            stroke-dasharray="5 3"
          />
        {/each}
      {/if}
      <CentreLine from={LEFT - 12} to={at.x(longest) + 14} y={HEIGHT / 2} />
    </svg>
  {/if}
</div>
