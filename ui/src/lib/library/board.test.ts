import { describe, expect, it } from 'vitest';
import type { ToolRow } from '$lib/api/client';
import { boardLines, boardScale } from './board';

const tool = (entryId: number, diameter: number, length: number, group = '', code = '') =>
  ({ entryId, code, outline: { diameter, length, parts: [] }, group }) as unknown as ToolRow;

const hang = (rows: ToolRow[], width: number, scale = 1) =>
  boardLines(rows, { scale, width, title: (row) => row.group ?? '' });

describe('the board', () => {
  it('hangs tools in their order, as many on a line as there is room for', () => {
    const lines = hang([tool(1, 10, 60), tool(2, 10, 80), tool(3, 10, 70)], 160);
    expect(
      lines.map((line) => ('tools' in line ? line.tools.map(({ index }) => index) : []))
    ).toEqual([[0, 1], [2]]);
    expect(lines.map((line) => ('height' in line ? line.height : 0))).toEqual([80, 70]);
  });

  it('gives a wide tool the room that it needs', () => {
    const [line] = hang([tool(1, 125, 60)], 400);
    expect('tools' in line && line.tools[0].width).toBe(143);
  });

  it('gives each code the room to be told from the next', () => {
    const width = (code: string) => {
      const [line] = hang([tool(1, 10, 60, '', code)], 400);
      return 'tools' in line ? line.tools[0].width : 0;
    };
    expect(width('EM-8')).toBe(76);
    expect(width('MC-4010-03')).toBe(84);
    expect(width('X'.repeat(80))).toBe(width('X'.repeat(20)));
  });

  it('begins a line below the title of each group', () => {
    const lines = hang([tool(1, 10, 60, 'Drills'), tool(2, 10, 60, 'Taps')], 900);
    expect(lines.map((line) => ('title' in line ? line.title : line.tools.length))).toEqual([
      'Drills',
      1,
      'Taps',
      1
    ]);
  });

  it('draws all at one scale, the longest as high as there is room', () => {
    expect(boardScale([tool(1, 10, 60), tool(2, 10, 120)], 240)).toBe(2);
    expect(boardScale([], 240)).toBe(240);
  });
});
