<script lang="ts">
  import type { Outline } from '$lib/api/client';
  import CentreLine from './CentreLine.svelte';
  import { fit, view } from './geometry';
  import Parts from './Parts.svelte';

  let {
    outline,
    width = 120,
    height = 24,
    scale,
    upright = false
  }: {
    outline?: Outline | null;
    width?: number;
    height?: number;
    scale?: number;
    upright?: boolean;
  } = $props();

  const long = $derived(upright ? height : width);
  const wide = $derived(upright ? width : height);
  const used = $derived(
    outline ? Math.min(scale ?? Infinity, fit([outline], long - 4, wide - 2)) : 1
  );
  const at = $derived(view(2, wide / 2, used));
</script>

<svg {width} {height} aria-hidden="true" class="block shrink-0">
  {#if outline}
    <g transform={upright ? `translate(${width} 0) rotate(90)` : undefined}>
      <Parts {outline} {at} />
      <CentreLine fine from={0} to={at.x(outline.length) + 2} y={wide / 2} />
    </g>
  {/if}
</svg>
