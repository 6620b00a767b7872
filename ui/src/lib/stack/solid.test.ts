// @vitest-environment node
import { readFileSync } from 'node:fs';
import occtimportjs from 'occt-import-js';
import { expect, it } from 'vitest';

/** Volume that a closed surface of triangles encloses; positive where they look outwards. */
function volume(position: number[], index: number[]): number {
  let sum = 0;
  for (let i = 0; i < index.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => position.slice(3 * index[i + k], 3 * index[i + k] + 3));
    sum +=
      a[0] * (b[1] * c[2] - b[2] * c[1]) -
      a[1] * (b[0] * c[2] - b[2] * c[0]) +
      a[2] * (b[0] * c[1] - b[1] * c[0]);
  }
  return sum / 6;
}

function frustum(length: number, from: number, to: number): number {
  return (Math.PI * length * (from * from + from * to + to * to)) / 3;
}

it('the solid that the server writes is read by others as one closed body in millimetres', async () => {
  const reader = await occtimportjs();
  const file = readFileSync('../core/src/test/resources/solids/stack.step');
  const read = reader.ReadStepFile(new Uint8Array(file), {
    linearUnit: 'millimeter',
    linearDeflectionType: 'absolute_value',
    linearDeflection: 0.01,
    angularDeflection: 0.05
  });
  expect(read.success).toBe(true);
  expect(read.meshes).toHaveLength(1);
  const { attributes, index } = read.meshes[0];
  const exact =
    frustum(27, 31.5, 31.5) + frustum(60, 22, 12) + frustum(33, 5, 5) + frustum(7, 5, 0);
  const found = volume(attributes.position.array, index.array);
  expect(Math.abs(found / exact - 1)).toBeLessThan(0.001);
}, 60_000);
