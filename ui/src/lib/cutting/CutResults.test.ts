// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/svelte';
import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => ({ api: {}, ask: vi.fn() }));
vi.mock('$lib/shell/toast', () => ({ failed: vi.fn() }));

import type { Computed } from '$lib/api/client';
import { CutDraft } from './cut.svelte';
import CutResults from './CutResults.svelte';

function computed(more: object = {}): Computed {
  return {
    cut: {
      rotation: 4774.6,
      feedRate: 955,
      speed: 150,
      feed: 0.05,
      chip: 0.046,
      removal: 0,
      power: 1.5,
      torque: 3,
      force: 0,
      bend: 0,
      figures: [{ title: 'Roughness Rt', value: 6.25, unit: 'um' }],
      findings: [],
      ...more
    },
    findings: [{ code: 'cut-rpm', severity: 'QUERY', message: 'the spindle allows 3000' }]
  } as unknown as Computed;
}

describe('what follows from a cut', () => {
  beforeEach(cleanup);

  function shown(cut: CutDraft): string {
    cleanup();
    render(CutResults, { cut });
    return screen.getByRole('region', { name: 'Results' }).textContent ?? '';
  }

  it('names each figure with its unit', () => {
    const cut = new CutDraft(1);
    cut.computed = computed();
    const text = shown(cut).replace(/\s+/g, ' ');
    expect(text).toContain('Rotation n 4,775 1/min');
    expect(text).toContain('Roughness Rt 6.25 µm');
    expect(text).toContain('The spindle allows 3000');
  });

  it('leaves out what is not known', () => {
    const cut = new CutDraft(1);
    cut.computed = computed();
    expect(shown(cut)).not.toContain('Removal');
    cut.computed = computed({ removal: 12, bend: 40 });
    expect(shown(cut)).toContain('Removal');
  });

  it('says why nothing can be computed', () => {
    const cut = new CutDraft(1);
    cut.problem = 'there is no material cheese';
    render(CutResults, { cut });
    expect(screen.getByRole('alert').textContent).toContain('There is no material cheese');
  });
});
