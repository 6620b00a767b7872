import type { Machine } from '$lib/api/client';

/** The definition in a file of ours, without its id, which another machine may have. */
export function machineFile(text: string): Machine {
  let file: { format?: string; machine?: Machine };
  try {
    file = JSON.parse(text) as typeof file;
  } catch {
    throw new Error('This file is no JSON: take one that was saved from a definition here.');
  }
  if (file?.format !== 'arbor-line-machine' || !file.machine) {
    throw new Error('This file is no machine definition: take one that was saved here.');
  }
  return file.machine;
}
