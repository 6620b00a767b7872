declare module 'occt-import-js' {
  interface Mesh {
    attributes: { position: { array: number[] } };
    index: { array: number[] };
  }
  interface Reader {
    ReadStepFile(file: Uint8Array, how: object): { success: boolean; meshes: Mesh[] };
  }
  export default function occtimportjs(): Promise<Reader>;
}
