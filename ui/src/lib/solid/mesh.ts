/** A surface of triangles, mm. */
export interface SolidMesh {
  positions: Float32Array;
  index: Uint32Array;
}

/** What the worker answers to a numbered file. */
export interface MeshAnswer {
  number: number;
  meshes: SolidMesh[];
}

/** Makes surfaces of triangles out of STEP files, in a worker of its own. */
export class MeshReader {
  private worker: Worker | undefined;
  private asked = 0;
  private readonly waiting = new Map<number, (meshes: SolidMesh[]) => void>();

  /** The surfaces of a file; none where it cannot be read. */
  read(file: ArrayBuffer): Promise<SolidMesh[]> {
    this.worker ??= this.start();
    const number = ++this.asked;
    const answer = new Promise<SolidMesh[]>((resolve) => this.waiting.set(number, resolve));
    this.worker.postMessage({ number, file });
    return answer;
  }

  private start(): Worker {
    const worker = new Worker(new URL('./mesh.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<MeshAnswer>) => {
      this.waiting.get(data.number)?.(data.meshes);
      this.waiting.delete(data.number);
    };
    worker.onerror = () => {
      this.waiting.forEach((resolve) => resolve([]));
      this.close();
    };
    return worker;
  }

  close() {
    this.worker?.terminate();
    this.worker = undefined;
    this.waiting.clear();
  }
}
