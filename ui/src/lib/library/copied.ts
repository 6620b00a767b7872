import type { ToolRow } from '$lib/api/client';

/** Rows that were copied last, and the text that the clipboard has of them. */
let last: { rows: ToolRow[]; text: string } = { rows: [], text: '' };

const plain = (text: string) => text.replace(/\r/g, '').trimEnd();

export function noteCopied(rows: ToolRow[], text: string) {
  last = { rows, text: plain(text) };
}

/** The rows of a list that a pasted text stands for; none where it comes from elsewhere. */
export function copiedRows(text: string): ToolRow[] {
  return last.text !== '' && plain(text) === last.text ? last.rows : [];
}
