/** The id of the button of a place on a page. */
export const placeId = (machine: string, place: string): string => `place-${machine}-${place}`;

/** The place whose button has the focus, of a machine. */
export function focusedPlace(machine: string): string | undefined {
  const start = placeId(machine, '');
  const id = document.activeElement?.id ?? '';
  return id.startsWith(start) ? id.slice(start.length) : undefined;
}
