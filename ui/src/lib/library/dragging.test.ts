import { describe, expect, it } from 'vitest';
import { carries, DRAGGED, dragged, dropped } from './dragging';

const event = (held: Record<string, string>) =>
  ({
    dataTransfer: { types: Object.keys(held), getData: (type: string) => held[type] ?? '' }
  }) as unknown as DragEvent;

describe('tools that are dragged', () => {
  it('arrive as they left, without what else was known of them', () => {
    const text = dragged([
      { toolId: 7, libraryId: 2, code: 'EM-1' } as never,
      { toolId: 8, libraryId: 3 } as never
    ]);
    const drop = event({ [DRAGGED]: text });
    expect(carries(drop)).toBe(true);
    expect(dropped(drop)).toEqual([
      { toolId: 7, libraryId: 2 },
      { toolId: 8, libraryId: 3 }
    ]);
  });

  it('are none where a text or a file is dragged', () => {
    const drop = event({ 'text/plain': 'EM-1' });
    expect(carries(drop)).toBe(false);
    expect(dropped(drop)).toEqual([]);
  });
});
