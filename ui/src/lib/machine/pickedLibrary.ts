import type { LibraryHead } from '$lib/api/client';

/**
 * The library from which tools are picked: the one chosen last as long as it is there, else the
 * usual one; 0 for none.
 *
 * @param usual as the server says it
 */
export function pickedLibrary(
  libraries: Pick<LibraryHead, 'id'>[],
  usual: number | null | undefined,
  last: string | undefined
): number {
  return libraries.find(({ id }) => id === Number(last))?.id ?? usual ?? 0;
}
