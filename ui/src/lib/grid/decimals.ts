/** A number in two parts, so that a column can stand on its decimal points. */
export function parts(text: string): { whole: string; fraction: string } {
  const point = text.indexOf('.');
  const number = /^[+-]?\d*\.?\d+$/.test(text);
  return number && point >= 0
    ? { whole: text.slice(0, point), fraction: text.slice(point) }
    : { whole: text, fraction: '' };
}

/** The widest fraction of a column, in characters with its point. */
export function widest(texts: string[]): number {
  return Math.max(0, ...texts.map((text) => parts(text).fraction.length));
}
