<script lang="ts">
  import type { Outline, Part } from '$lib/api/client';
  import { path, type View } from './geometry';

  let { outline, at }: { outline: Outline; at: View } = $props();

  const fills: Record<Part['kind'], string> = {
    SHANK: 'var(--steel)',
    BODY: 'var(--steel)',
    NECK: 'var(--steel)',
    FLUTES: 'var(--steel-dark)',
    CUTTING: 'var(--edge)'
  };
</script>

{#each outline.parts as part, index (index)}
  <path d={path(part, at)} fill={fills[part.kind]} stroke="var(--ink)" stroke-width="0.7" />
{/each}
