// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { DeliveryFile, Line } from '$lib/api/client';
import { inspection } from './inspection';
import ItemStrip from './ItemStrip.svelte';

const item = (id: number, more: Partial<Line> = {}) =>
  ({
    id,
    code: `MC-${id}`,
    name: `Mill ${id}`,
    disposition: 'pass',
    inspected: true,
    findings: [],
    cells: {},
    outline: null,
    ...more
  }) as unknown as Line;

const outline = {
  length: 50,
  diameter: 8,
  parts: [
    {
      kind: 'SHANK',
      profile: [
        { z: 0, r: 4 },
        { z: 50, r: 4 }
      ],
      flat: false
    }
  ],
  marks: []
};

describe('the strip of items', () => {
  const onchoose = vi.fn();
  const held = item(1, { disposition: 'hold' });
  const right = item(2, { outline } as unknown as Partial<Line>);

  beforeEach(() => {
    cleanup();
    onchoose.mockReset();
    Element.prototype.scrollIntoView = vi.fn();
    render(ItemStrip, {
      delivery: 3,
      files: [] as DeliveryFile[],
      groups: [
        { word: 'cannot enter', lines: [held] },
        { word: 'inspected', lines: [right] }
      ],
      inspection,
      chosen: 1,
      onchoose
    });
  });

  it('groups items under what they have in common, with how many', () => {
    expect(screen.getByRole('group', { name: 'cannot enter' }).textContent).toContain('MC-1');
    expect(screen.getByRole('group', { name: 'inspected' }).textContent).not.toContain('MC-1');
  });

  it('says how far each is, and where one has no drawing', () => {
    expect(screen.getByTitle('MC-1: cannot enter')).toBeTruthy();
    expect(screen.getByTitle('MC-2: inspected')).toBeTruthy();
    expect(screen.getAllByText('no drawing')).toHaveLength(1);
  });

  it('marks the chosen one and tells which is clicked', async () => {
    const [first, second] = screen.getAllByRole('button');
    expect(first.getAttribute('aria-current')).toBe('true');
    await fireEvent.click(second);
    expect(onchoose).toHaveBeenCalledWith(right);
  });

  it('shows one that is pointed at, as long as it is', async () => {
    const second = screen.getAllByRole('button')[1];
    await fireEvent.pointerEnter(second);
    expect(screen.getByText('Mill 2')).toBeTruthy();
    await fireEvent.pointerLeave(second);
    expect(screen.queryByText('Mill 2')).toBeNull();
  });
});
