import { describe, expect, it } from 'vitest';
import { dragged, dropped } from './dragged';

describe('a tool that is dragged to a pocket', () => {
  it('keeps the library it comes from', () => {
    expect(dropped(dragged({ toolId: 7, libraryId: 3 }))).toEqual({ toolId: 7, libraryId: 3 });
    expect(dropped(dragged({ toolId: 7 }))).toEqual({ toolId: 7 });
  });

  it('keeps the place that it leaves', () => {
    expect(dropped(dragged({ toolId: 7, from: 'L3' }))).toEqual({ toolId: 7, from: 'L3' });
    const both = { toolId: 7, libraryId: 3, from: '12' };
    expect(dropped(dragged(both))).toEqual(both);
  });

  it('is nothing where the text is no tool', () => {
    for (const text of ['', 'mill', '7 of', '7 of x', '-7']) expect(dropped(text)).toBeUndefined();
  });
});
