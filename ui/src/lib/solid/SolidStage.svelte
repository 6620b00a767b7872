<script lang="ts">
  import { Canvas } from '@threlte/core';
  import { createQuery } from '@tanstack/svelte-query';
  import { onDestroy } from 'svelte';
  import type { Line } from '$lib/api/client';
  import { layout, lowered } from '$lib/drawing/layout';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { contourPoints } from './contour';
  import { standing } from './dimension';
  import { MeshReader, type SolidMesh } from './mesh';
  import { turnSolid } from './actions';
  import { isTurned, solidQuery } from './queries';
  import SolidDimensions from './SolidDimensions.svelte';
  import SolidInSpace from './SolidInSpace.svelte';

  let {
    delivery,
    code,
    file,
    name,
    line,
    editable = false
  }: {
    delivery: number;
    code: string;
    file: number;
    name: string;
    /** What is dimensioned on the solid; nothing where only the solid is looked at. */
    line?: Line;
    editable?: boolean;
  } = $props();

  const turned = $derived(isTurned(line));
  const read = createQuery(() => solidQuery(delivery, file, name, turned));
  const drawable = document.createElement('canvas').getContext('webgl2') !== null;
  const reader = new MeshReader();
  let meshes = $state.raw<SolidMesh[] | null>(null);
  let flat = $state(true);
  let width = $state(0);
  let height = $state(0);
  const outline = $derived(line?.outline);
  const dimensioned = $derived(
    outline && outline.marks.length > 0 && width > 0 && read.data?.solid.revolved
      ? { outline, layout: lowered(layout(outline, width), height) }
      : null
  );
  const corners = $derived(
    dimensioned && read.data
      ? standing(contourPoints(read.data.solid.profile), dimensioned.outline)
      : []
  );

  $effect(() => {
    const content = read.data?.content;
    meshes = null;
    if (!content || !drawable) return;
    let left = false;
    void reader.read(content).then((made) => {
      if (!left) meshes = made;
    });
    return () => (left = true);
  });
  onDestroy(() => reader.close());

  const sizes = $derived.by(() => {
    const solid = read.data?.solid;
    if (!solid?.valid) return '';
    if (solid.revolved) {
      const bore = solid.bore ? `, bore ø${solid.bore}` : '';
      return `ø${solid.diameter} × ${solid.length} mm${bore}`;
    }
    return solid.ownBox ? `${solid.ownBox.join(' × ')} mm, not turned around one axis` : '';
  });
</script>

<section
  aria-label="Solid of {code}"
  class="relative min-h-0 flex-1 overflow-hidden bg-sheet"
  style:min-height={flat && dimensioned ? `${dimensioned.layout.height}px` : undefined}
  bind:clientWidth={width}
  bind:clientHeight={height}
>
  {#if read.data && meshes && meshes.length > 0}
    <Canvas>
      <SolidInSpace
        {meshes}
        solid={read.data.solid}
        {flat}
        drawn={dimensioned
          ? { layout: dimensioned.layout, length: dimensioned.outline.length }
          : undefined}
      />
    </Canvas>
  {:else if !drawable}
    <p class="px-5 pt-12 text-soft">This browser draws nothing in space.</p>
  {:else if read.data && !meshes}
    <p class="px-5 pt-12 text-soft" role="status">Making the surface …</p>
  {:else if read.data}
    <p class="px-5 pt-12 text-soft">Its surface cannot be drawn.</p>
  {:else if !read.error}
    <p class="px-5 py-6 text-soft" role="status">Reading the solid …</p>
  {/if}
  {#if line && dimensioned && flat}
    <SolidDimensions
      {delivery}
      {line}
      outline={dimensioned.outline}
      placed={dimensioned.layout}
      {corners}
      {width}
      {editable}
    />
  {/if}
  <NotLoaded query={read} />
  <p class="absolute left-5 top-3 text-soft max-sm:bottom-2 max-sm:top-auto">{sizes}</p>
  <div class="absolute right-4 top-3 flex gap-2">
    {#if line && editable && read.data?.solid.revolved}
      <button
        class={['button', turned && 'border-working!']}
        aria-pressed={turned}
        onclick={() => void turnSolid(delivery, line.id, !turned)}>Turn around</button
      >
      <span class="w-3" aria-hidden="true"></span>
    {/if}
    <button
      class={['button', flat && 'border-working!']}
      aria-pressed={flat}
      onclick={() => (flat = true)}>From the side</button
    >
    <button
      class={['button', !flat && 'border-working!']}
      aria-pressed={!flat}
      onclick={() => (flat = false)}>In space</button
    >
  </div>
</section>
