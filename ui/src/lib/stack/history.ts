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

/** What the pages of holders and stacks call their fields; others are called by their symbol. */
const titles: Record<string, string> = {
  CODE: 'Code',
  NAME: 'Name',
  KIND: 'Kind',
  CCMS: 'Machine side',
  CCWS: 'Workpiece side',
  BODIES: 'Cylinders and cones',
  BODYMATERIAL: 'Material',
  LSC: 'Least clamping',
  AXISANGLE: 'Turns by',
  AXISAT: 'Axes cross at',
  AXISOUT: 'Face beyond it',
  SEAT: 'Spindle',
  OVERHANG: 'Overhang',
  PARTS: 'Parts'
};

export const fieldTitle = (field: string): string => titles[field] ?? field;
