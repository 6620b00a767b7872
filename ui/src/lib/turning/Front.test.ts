// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it } from 'vitest';
import Front from './Front.svelte';

const front = {
  work: [25],
  tool: [
    {
      kind: 'SHANK' as const,
      flat: true,
      profile: [
        { z: 25, r: 0 },
        { z: 65, r: 0 },
        { z: 65, r: 25 },
        { z: 25, r: 25 }
      ]
    }
  ],
  clockwise: false
};

describe('the front of the turret', () => {
  beforeEach(cleanup);

  it('says which way the work turns', () => {
    render(Front, { front, spindle: 'M3' });
    const picture = screen.getByRole('img');
    expect(picture.getAttribute('aria-label')).toContain('anticlockwise');
    expect(picture.textContent).toContain('M3');
  });

  it('draws up upwards: a shank above the axis lies in the upper half', () => {
    const { container } = render(Front, { front, spindle: 'M3' });
    const path = container.querySelector('path[fill="var(--steel)"]')?.getAttribute('d') ?? '';
    const heights = path
      .replace(/[MZ]/g, '')
      .split('L')
      .map((pair) => Number(pair.split(' ')[1]));
    expect(Math.max(...heights)).toBeLessThanOrEqual(120);
  });
});
