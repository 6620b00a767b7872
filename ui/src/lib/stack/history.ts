/** A field that two versions say otherwise; empty where one does not say it. */
export type FieldDifference = { field: string; here: string; there: string };

/** What differs between two versions, in the order of the fields. */
export function differences(
  from: Record<string, string>,
  to: Record<string, string>
): FieldDifference[] {
  return [...new Set([...Object.keys(from), ...Object.keys(to)])]
    .sort()
    .map((field) => ({ field, here: from[field] ?? '', there: to[field] ?? '' }))
    .filter(({ here, there }) => here !== there);
}
