import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));
vi.mock('$lib/shell/toast', () => ({ failed: vi.fn() }));

import { get, post } from '$lib/testing/server';
import { CutDraft } from './cut.svelte';

const request = { speed: 150, feed: 0.055, depth: 10, width: 3, work: 0, centred: false };
const milled = {
  request,
  inputs: [{ id: 'FEED_PER_TOOTH', title: 'Feed fz' }],
  findings: [{ severity: 'QUERY', message: 'diamond is not usual in group P' }]
};

describe('a cut that somebody thinks about', () => {
  beforeEach(() => {
    get.mockReset().mockResolvedValue(milled);
    post.mockReset().mockResolvedValue({ cut: { speed: 149.99961, feed: 0.0499999 } });
  });

  it('begins where the server says', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    expect(cut.request).toEqual(request);
    expect(cut.feedTitle).toBe('Feed fz');
    expect(cut.findings.map((finding) => finding.message)).toEqual([
      'diamond is not usual in group P'
    ]);
    expect(post.mock.calls[0][1].body).toMatchObject({ material: 'p-alloy-annealed', depth: 10 });
  });

  it('keeps depth and width when the material changes', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    cut.want({ depth: 4 });
    get.mockResolvedValue({ ...milled, request: { ...request, speed: 60 } });
    await cut.begin(false);
    expect(cut.request).toMatchObject({ speed: 60, depth: 4 });
  });

  it('passes over answers that come too late', async () => {
    const cut = new CutDraft(7);
    let late: (answer: unknown) => void = () => {};
    post.mockReturnValueOnce(new Promise((done) => (late = done)));
    const first = cut.compute();
    post.mockResolvedValueOnce({ cut: { speed: 2 } });
    await cut.compute();
    late({ cut: { speed: 1 } });
    await first;
    expect(cut.computed?.cut?.speed).toBe(2);
  });

  it('keeps what is really reached, without a material where it is fixed', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    expect(cut.line('calculated')).toMatchObject({
      material: 'p-alloy-annealed',
      speed: 150,
      feed: 0.05
    });
    expect(cut.line('fixed').material).toBe('');
  });

  it('says the pitch where nobody chooses the feed', async () => {
    get.mockResolvedValue({ ...milled, inputs: [] });
    const cut = new CutDraft(7);
    await cut.begin(true);
    expect(cut.feedTitle).toBe('Pitch');
  });
});
