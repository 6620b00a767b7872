import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { MeshReader } from './mesh';

class FakeWorker {
  static all: FakeWorker[] = [];
  onmessage: (event: { data: unknown }) => void = () => {};
  onerror: () => void = () => {};
  readonly posted: { number: number; file: ArrayBuffer }[] = [];
  ended = false;

  constructor() {
    FakeWorker.all.push(this);
  }

  postMessage(message: { number: number; file: ArrayBuffer }) {
    this.posted.push(message);
  }

  terminate() {
    this.ended = true;
  }
}

const mesh = (x: number) => ({ positions: new Float32Array([x]), index: new Uint32Array() });

describe('surfaces of triangles', () => {
  beforeEach(() => {
    FakeWorker.all = [];
    vi.stubGlobal('Worker', FakeWorker);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('come to those who asked for them, in whatever order they are ready', async () => {
    const reader = new MeshReader();
    const first = reader.read(new ArrayBuffer(1));
    const second = reader.read(new ArrayBuffer(2));
    const worker = FakeWorker.all[0];
    expect(FakeWorker.all).toHaveLength(1);
    worker.onmessage({ data: { number: worker.posted[1].number, meshes: [mesh(2)] } });
    worker.onmessage({ data: { number: worker.posted[0].number, meshes: [mesh(1)] } });
    expect((await first)[0].positions[0]).toBe(1);
    expect((await second)[0].positions[0]).toBe(2);
  });

  it('are none where reading breaks, and the next file is read by a new worker', async () => {
    const reader = new MeshReader();
    const broken = reader.read(new ArrayBuffer(1));
    FakeWorker.all[0].onerror();
    expect(await broken).toEqual([]);
    expect(FakeWorker.all[0].ended).toBe(true);
    const next = reader.read(new ArrayBuffer(1));
    const worker = FakeWorker.all[1];
    worker.onmessage({ data: { number: worker.posted[0].number, meshes: [mesh(7)] } });
    expect((await next)[0].positions[0]).toBe(7);
  });

  it('are no longer made once nobody looks', () => {
    const reader = new MeshReader();
    void reader.read(new ArrayBuffer(1));
    reader.close();
    expect(FakeWorker.all[0].ended).toBe(true);
  });
});
