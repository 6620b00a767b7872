import type { LibraryHead, MachineView } from '$lib/api/client';

/**
 * The library from which tools for a machine are picked: the one chosen last, else that of the
 * machine, else the one from which most of its tools come, else the largest.
 */
export function pickedLibrary(
  libraries: Pick<LibraryHead, 'id' | 'tools'>[],
  machine: Pick<MachineView, 'library' | 'plan'>,
  last: string | undefined
): number {
  const from = (id: number) => machine.plan.filter(({ libraryId }) => libraryId === id).length;
  const named = (id: number | undefined) => libraries.find((library) => library.id === id);
  const most = [...libraries].sort(
    (one, other) => from(other.id) - from(one.id) || other.tools - one.tools
  )[0];
  return (named(Number(last)) ?? named(machine.library?.libraryId) ?? most)?.id ?? 0;
}
