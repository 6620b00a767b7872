import occtimportjs from 'occt-import-js';
import wasm from 'occt-import-js/dist/occt-import-js.wasm?url';
import type { MeshAnswer } from './mesh';

const reader = occtimportjs({ locateFile: () => wasm });

self.onmessage = async ({ data }: MessageEvent<{ number: number; file: ArrayBuffer }>) => {
  const answer: MeshAnswer = { number: data.number, meshes: [] };
  try {
    const read = (await reader).ReadStepFile(new Uint8Array(data.file), {
      linearUnit: 'millimeter',
      linearDeflectionType: 'bounding_box_ratio',
      linearDeflection: 0.001,
      angularDeflection: 0.2
    });
    answer.meshes = read.meshes.map(({ attributes, index }) => ({
      positions: new Float32Array(attributes.position.array),
      index: new Uint32Array(index.array)
    }));
  } catch {
    // what cannot be read has no surface
  }
  self.postMessage(answer);
};
