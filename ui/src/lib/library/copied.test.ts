// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { copiedRows, noteCopied } from './copied';

const rows = [{ toolId: 7, libraryId: 2 }];

describe('rows that are pasted', () => {
  it('are those that were copied last, however the clipboard ends its lines', () => {
    noteCopied(rows, 'Code\tName\nM-1\tMill');
    expect(copiedRows('Code\tName\r\nM-1\tMill\r\n')).toEqual(rows);
  });

  it('are none where the text comes from elsewhere', () => {
    noteCopied(rows, 'Code\nM-1');
    expect(copiedRows('Code\nM-2')).toEqual([]);
    noteCopied([], '');
    expect(copiedRows('')).toEqual([]);
  });
});
