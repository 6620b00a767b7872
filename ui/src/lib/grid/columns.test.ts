import { describe, expect, it } from 'vitest';
import { isShown, leastWidth, shownColumns, sorted, turned, type Column } from './columns';

interface Tool {
  code: string;
  size: string;
}

const columns: Column<Tool>[] = [
  { id: 'code', title: 'Code', width: '80px', fixed: true, text: (tool) => tool.code },
  { id: 'size', title: 'Ø', width: '60px', numeric: true, text: (tool) => tool.size },
  { id: 'mass', title: 'Mass', width: '60px', usual: false, text: () => '' }
];
const tools = [
  { code: 'A10', size: '10' },
  { code: 'A9', size: '9.5' },
  { code: 'B1', size: '' }
];
const codes = (rows: Tool[]) => rows.map((row) => row.code);

describe('columns of a grid', () => {
  it('are the usual ones until somebody chooses, and fixed ones stay', () => {
    expect(shownColumns(columns, null).map((column) => column.id)).toEqual(['code', 'size']);
    expect(shownColumns(columns, ['mass']).map((column) => column.id)).toEqual(['code', 'mass']);
    expect(shownColumns(columns, []).map((column) => column.id)).toEqual(['code']);
  });

  it('are those of a set whatever their order', () => {
    const set = { name: 'Weights', columns: ['size', 'mass'] };
    expect(isShown(set, ['mass', 'size'])).toBe(true);
    expect(isShown(set, ['mass'])).toBe(false);
    expect(isShown(set, null)).toBe(false);
  });

  it('sort numbers by size and codes as people count', () => {
    expect(codes(sorted(tools, columns, { by: 'size', down: false }))).toEqual(['B1', 'A9', 'A10']);
    expect(codes(sorted(tools, columns, { by: 'code', down: false }))).toEqual(['A9', 'A10', 'B1']);
    expect(codes(sorted(tools, columns, { by: 'code', down: true }))).toEqual(['B1', 'A10', 'A9']);
    expect(sorted(tools, columns, null)).toBe(tools);
  });

  it('turn the order when asked twice', () => {
    expect(turned(null, 'code')).toEqual({ by: 'code', down: false });
    expect(turned({ by: 'code', down: false }, 'code')).toEqual({ by: 'code', down: true });
    expect(turned({ by: 'code', down: true }, 'size')).toEqual({ by: 'size', down: false });
  });
});

describe('the width of a grid', () => {
  it('is at least the least widths and the gaps between them', () => {
    const named = { ...columns[0], width: 'minmax(160px, 1fr)' };
    expect(leastWidth([columns[0], named, columns[1]])).toBe(80 + 160 + 60 + 24);
    expect(leastWidth([])).toBe(0);
  });
});
