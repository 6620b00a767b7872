declare module 'occt-import-js' {
  interface Mesh {
    attributes: { position: { array: number[] }; normal?: { array: number[] } };
    index: { array: number[] };
  }
  interface Reader {
    ReadStepFile(file: Uint8Array, how: object): { success: boolean; meshes: Mesh[] };
  }
  export default function occtimportjs(settings?: {
    locateFile: (path: string) => string;
  }): Promise<Reader>;
}
