<script lang="ts">
  import { T, useTask, useThrelte } from '@threlte/core';
  import { onDestroy } from 'svelte';
  import { DoubleSide, type PerspectiveCamera } from 'three';
  import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
  import type { StackShape } from '$lib/api/client';
  import { plate, stretches } from './solid';

  let { shape }: { shape: StackShape } = $props();

  const { dom, invalidate } = useThrelte();
  const styles = getComputedStyle(document.documentElement);
  const steel = styles.getPropertyValue('--steel').trim();
  const edge = styles.getPropertyValue('--edge').trim();
  /** How far the taper reaches into the spindle, mm. */
  const inside = $derived(-(shape.behind[0]?.z ?? 0));
  /** How far a turned axis leads down from that of the spindle, mm. */
  const aside = $derived(shape.turned?.sideways ?? 0);
  const far = $derived(Math.max(shape.length + inside, shape.widest, 2.4 * aside));
  /** How many inserts about as thick as usual are as high as the shank. */
  const INSERTS = 4;
  let controls: OrbitControls | undefined;

  function look(camera: PerspectiveCamera) {
    controls = new OrbitControls(camera, dom);
    controls.enableDamping = true;
    controls.addEventListener('change', invalidate);
  }

  useTask(() => void controls?.update(), { autoInvalidate: false });
  onDestroy(() => controls?.dispose());
</script>

{#snippet part(profile: StackShape['behind'], colour: string, opacity = 1)}
  {#each profile.length > 1 ? stretches(profile) : [] as stretch, at (at)}
    <T.Mesh>
      <T.LatheGeometry args={[stretch, 72]} />
      <T.MeshStandardMaterial
        color={colour}
        {opacity}
        transparent={opacity < 1}
        metalness={0.35}
        roughness={0.45}
        side={DoubleSide}
      />
    </T.Mesh>
  {/each}
{/snippet}

{#snippet whole(span: StackShape['spans'][number])}
  {#each span.plan as flat, at (at)}
    {@const depth = flat.kind === 'CUTTING' ? span.height / INSERTS : span.height}
    <T.Mesh position.z={span.height / 2 - depth}>
      <T.ExtrudeGeometry args={[plate(flat.profile), { depth, bevelEnabled: false }]} />
      <T.MeshStandardMaterial
        color={flat.kind === 'CUTTING' ? edge : steel}
        metalness={0.35}
        roughness={0.45}
        side={DoubleSide}
      />
    </T.Mesh>
  {:else}
    {@render part(span.profile, span.cutter ? edge : steel)}
  {/each}
{/snippet}

<T.PerspectiveCamera
  makeDefault
  fov={30}
  near={1}
  far={far * 20}
  position={[far * 0.4, far * 0.45, far * 1.3]}
  oncreate={look}
/>
<T.AmbientLight intensity={1.4} />
<T.DirectionalLight position={[far, far * 2, far * 1.5]} intensity={2.2} />
<T.DirectionalLight position={[-far, -far, far]} intensity={0.7} />
<T.Group rotation.z={-Math.PI / 2} position.x={(inside - shape.length) / 2} position.y={aside / 2}>
  {@render part(shape.behind, steel, 0.35)}
  {#each shape.spans.filter((span) => !span.turned) as span, index (index)}
    {@render whole(span)}
  {/each}
  {#if shape.turned}
    <T.Group position.y={shape.turned.at} rotation.z={(-shape.turned.angle * Math.PI) / 180}>
      {#each shape.spans.filter((span) => span.turned) as span, index (index)}
        {@render whole(span)}
      {/each}
    </T.Group>
  {/if}
</T.Group>
