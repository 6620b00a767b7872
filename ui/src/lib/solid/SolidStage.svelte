<script lang="ts">
  import { Canvas } from '@threlte/core';
  import { createQuery } from '@tanstack/svelte-query';
  import { onDestroy } from 'svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { MeshReader, type SolidMesh } from './mesh';
  import { solidQuery } from './queries';
  import SolidInSpace from './SolidInSpace.svelte';

  let {
    delivery,
    code,
    file,
    name
  }: { delivery: number; code: string; file: number; name: string } = $props();

  const read = createQuery(() => solidQuery(delivery, file, name));
  const drawable = document.createElement('canvas').getContext('webgl2') !== null;
  const reader = new MeshReader();
  let meshes = $state.raw<SolidMesh[] | null>(null);
  let flat = $state(true);

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

<section aria-label="Solid of {code}" class="relative min-h-0 flex-1 bg-sheet">
  {#if read.data && meshes && meshes.length > 0}
    <Canvas>
      <SolidInSpace {meshes} solid={read.data.solid} {flat} />
    </Canvas>
  {:else if !drawable}
    <p class="px-5 py-6 text-soft">This browser draws nothing in space.</p>
  {:else if read.data && !meshes}
    <p class="px-5 py-6 text-soft" role="status">Making the surface …</p>
  {:else if read.data}
    <p class="px-5 py-6 text-soft">Its surface cannot be drawn.</p>
  {:else if !read.error}
    <p class="px-5 py-6 text-soft" role="status">Reading the solid …</p>
  {/if}
  <NotLoaded query={read} />
  <p class="absolute left-5 top-3 text-soft">{sizes}</p>
  <div class="absolute right-4 top-3 flex gap-2">
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
