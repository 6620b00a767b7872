import type { components } from '$lib/api/schema';

export type PatternField = components['schemas']['PatternField'];

/** The word being typed between braces, and where it begins; null outside of them. */
export function openField(text: string, caret: number): { from: number; word: string } | null {
  const before = text.slice(0, caret);
  const from = before.lastIndexOf('{');
  if (from < 0 || before[from - 1] === '\\' || before.indexOf('}', from) >= 0) return null;
  const word = before.slice(from + 1);
  return /^[A-Za-z0-9]*$/.test(word) ? { from: from + 1, word } : null;
}

/** Fields whose symbol begins with the word, then those whose name holds it. */
export function offered(fields: PatternField[], word: string, most = 8): PatternField[] {
  const sought = word.toLowerCase();
  const first = fields.filter((field) => field.symbol.toLowerCase().startsWith(sought));
  const then = fields.filter(
    (field) => !first.includes(field) && sought && field.name.toLowerCase().includes(sought)
  );
  return [...first, ...then].slice(0, most);
}

/** The text with the open field completed, and where the caret goes. */
export function completed(text: string, caret: number, symbol: string): [string, number] {
  const open = openField(text, caret);
  if (!open) return [text, caret];
  const after = text.slice(caret);
  const closed = after.startsWith('}') ? after : '}' + after;
  return [text.slice(0, open.from) + symbol + closed, open.from + symbol.length + 1];
}
