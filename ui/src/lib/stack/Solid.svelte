<script lang="ts">
  import { Canvas } from '@threlte/core';
  import type { StackShape } from '$lib/api/client';
  import StackInSpace from './StackInSpace.svelte';

  let { shape }: { shape: StackShape } = $props();

  const drawable = document.createElement('canvas').getContext('webgl2') !== null;
</script>

<section
  aria-label="Stack as a solid"
  class="band h-[300px] bg-sheet"
  role="img"
  title="Drag to turn, wheel to come closer"
>
  {#if drawable}
    <Canvas>
      <StackInSpace {shape} />
    </Canvas>
  {:else}
    <p class="px-5 py-6 text-soft">
      This browser draws nothing in space; the plan shows the same shape.
    </p>
  {/if}
</section>
