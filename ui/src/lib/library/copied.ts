import { PersistedState } from 'runed';

/** A tool on its way from one library to another. */
export interface Carried {
  toolId: number;
  libraryId: number;
}

/** Rows that were copied last, in whichever window, and the text that the clipboard has of them. */
const last = new PersistedState<{ rows: Carried[]; text: string }>('copied tools', {
  rows: [],
  text: ''
});

const plain = (text: string) => text.replace(/\r/g, '').trimEnd();

export function noteCopied(rows: Carried[], text: string) {
  last.current = {
    rows: rows.map(({ toolId, libraryId }) => ({ toolId, libraryId })),
    text: plain(text)
  };
}

/** The rows of a list that a pasted text stands for; none where it comes from elsewhere. */
export function copiedRows(text: string): Carried[] {
  return last.current.text !== '' && plain(text) === last.current.text ? last.current.rows : [];
}
