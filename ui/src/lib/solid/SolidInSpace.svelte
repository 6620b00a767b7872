<script lang="ts">
  import { T, useTask, useThrelte } from '@threlte/core';
  import { onDestroy } from 'svelte';
  import {
    BufferAttribute,
    BufferGeometry,
    DoubleSide,
    Matrix4,
    Quaternion,
    Vector3,
    type OrthographicCamera
  } from 'three';
  import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
  import type { SolidAnswer } from '$lib/api/client';
  import type { Layout } from '$lib/drawing/layout';
  import { contourPoints } from './contour';
  import type { SolidMesh } from './mesh';

  let {
    meshes,
    solid,
    flat,
    drawn
  }: {
    meshes: SolidMesh[];
    solid: SolidAnswer;
    flat: boolean;
    /** The drawing that lies over it; seen from the side the part stands where the drawing does. */
    drawn?: { layout: Layout; length: number };
  } = $props();

  const { dom, invalidate, size } = useThrelte();
  const styles = getComputedStyle(document.documentElement);
  const steel = styles.getPropertyValue('--steel').trim();
  const working = styles.getPropertyValue('--working').trim();

  const geometries = $derived(
    meshes.map(({ positions, index }) => {
      const geometry = new BufferGeometry();
      geometry.setAttribute('position', new BufferAttribute(positions, 3));
      geometry.setIndex(new BufferAttribute(index, 1));
      geometry.computeVertexNormals();
      geometry.computeBoundingBox();
      return geometry;
    })
  );

  /** The part laid along the drawing: its axis from left, at the machine, to right. */
  const laid = $derived.by(() => {
    const { axis } = solid;
    if (!axis) return new Matrix4();
    const x = new Vector3(...(axis.direction as [number, number, number])).negate();
    const helper = Math.abs(x.z) < 0.9 ? new Vector3(0, 0, 1) : new Vector3(0, 1, 0);
    const z = new Vector3().crossVectors(x, helper).normalize();
    const y = new Vector3().crossVectors(z, x);
    const frame = new Matrix4().makeBasis(x, y, z);
    frame.setPosition(new Vector3(...(axis.point as [number, number, number])));
    return frame.invert();
  });

  /** The same as a place and a turn. */
  const motion = $derived.by(() => {
    const place = new Vector3();
    const turn = new Quaternion();
    laid.decompose(place, turn, new Vector3());
    return { place: place.toArray(), turn: turn.toArray() as [number, number, number, number] };
  });

  /** Middle and half sizes of what is shown. */
  const box = $derived.by(() => {
    const low = new Vector3(Infinity, Infinity, Infinity);
    const high = new Vector3(-Infinity, -Infinity, -Infinity);
    for (const geometry of geometries) {
      const one = geometry.boundingBox!.clone().applyMatrix4(laid);
      low.min(one.min);
      high.max(one.max);
    }
    if (solid.revolved && solid.length) {
      low.set(-solid.length, -solid.diameter! / 2, -solid.diameter! / 2);
      high.set(0, solid.diameter! / 2, solid.diameter! / 2);
    }
    const middle = low.clone().add(high).divideScalar(2);
    return { middle, half: high.clone().sub(low).divideScalar(2) };
  });

  const under = $derived(flat ? drawn : undefined);
  const zoom = $derived(
    under
      ? under.layout.at.x(1) - under.layout.at.x(0)
      : Math.min(
          $size.width / (2.3 * Math.max(box.half.x, 0.1)),
          $size.height / (2.4 * Math.max(box.half.y, flat ? 0 : box.half.z, 0.1))
        )
  );
  /** What stands in the middle of the picture. */
  const middle = $derived(
    under
      ? new Vector3(
          ($size.width / 2 - under.layout.at.x(under.length)) / zoom,
          (under.layout.axis - $size.height / 2) / zoom,
          0
        )
      : box.middle
  );
  const far = $derived(4 * Math.max(box.half.length(), 1));

  const contour = $derived.by(() => {
    const points = contourPoints(solid.profile);
    const line = (side: number) =>
      new Float32Array(
        [{ z: points[0]?.z ?? 0, r: 0 }, ...points, { z: points.at(-1)?.z ?? 0, r: 0 }].flatMap(
          ({ z, r }) => [-z, side * r, 0]
        )
      );
    return points.length > 1 ? [line(1), line(-1)] : [];
  });

  function linePath(points: Float32Array): BufferGeometry {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(points, 3));
    return geometry;
  }

  let controls: OrbitControls | undefined;

  function look(camera: OrthographicCamera) {
    controls?.dispose();
    controls = new OrbitControls(camera, dom);
    controls.enabled = !under;
    controls.target.copy(middle);
    controls.addEventListener('change', invalidate);
    controls.update();
  }

  useTask(() => void controls?.update(), { autoInvalidate: false });
  onDestroy(() => controls?.dispose());
</script>

{#key `${flat} ${middle.x} ${middle.y} ${box.half.x} ${zoom}`}
  <T.OrthographicCamera
    makeDefault
    {zoom}
    near={0.1}
    far={far * 3}
    position={flat
      ? [middle.x, middle.y, middle.z + far]
      : [middle.x + far * 0.5, middle.y + far * 0.4, middle.z + far * 0.8]}
    oncreate={look}
  />
{/key}
<T.AmbientLight intensity={1.5} />
<T.DirectionalLight position={[far, far * 2, far * 1.5]} intensity={2.1} />
<T.DirectionalLight position={[-far, -far, far]} intensity={0.6} />
<T.Group position={motion.place} quaternion={motion.turn}>
  {#each geometries as geometry, at (at)}
    <T.Mesh {geometry}>
      <T.MeshStandardMaterial color={steel} metalness={0.3} roughness={0.5} side={DoubleSide} />
    </T.Mesh>
  {/each}
</T.Group>
{#each contour as points, side (side)}
  <T.Line geometry={linePath(points)} renderOrder={2}>
    <T.LineBasicMaterial color={working} depthTest={false} />
  </T.Line>
{/each}
