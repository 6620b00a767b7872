/** Diameters in mm that cutters are usually made in. */
const SERIES = [
  0.5, 0.8, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 25, 32, 40, 50, 63, 80, 100, 125,
  160
];

/** The next larger usual diameter, or nothing above the largest. */
export function nextSize(diameter: number): number | undefined {
  return SERIES.find((each) => each > diameter + 1e-9);
}

/** A code with its diameter exchanged, where it carries one: `MC-FE10` becomes `MC-FE12`. */
export function codeOfSize(code: string, from: number, to: number): string {
  const wide = String(from).padStart(2, '0');
  for (const text of [wide, String(from)]) {
    const at = code.lastIndexOf(text);
    if (at >= 0) {
      const next = String(to).padStart(text.length, '0');
      return code.slice(0, at) + next + code.slice(at + text.length);
    }
  }
  return '';
}
