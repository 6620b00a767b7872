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

  it('passes over where another material begins that is no longer meant', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    let late: (answer: unknown) => void = () => {};
    get.mockReturnValueOnce(new Promise((done) => (late = done)));
    cut.material = 'n-wrought';
    const aluminium = cut.begin(false);
    get.mockResolvedValueOnce({ ...milled, request: { ...request, speed: 40 } });
    cut.material = 's-titanium';
    await cut.begin(false);
    late({ ...milled, request: { ...request, speed: 600 } });
    await aluminium;
    expect(cut.request.speed).toBe(40);
  });

  it('begins with depth and width where the material changes before the first answer', async () => {
    const cut = new CutDraft(7);
    get.mockReturnValueOnce(new Promise(() => {}));
    void cut.begin(true);
    cut.material = 's-titanium';
    await cut.begin(false);
    expect(cut.request).toEqual(request);
  });

  it('keeps what somebody wants while the server thinks about where to begin', async () => {
    const cut = new CutDraft(7);
    let late: (answer: unknown) => void = () => {};
    get.mockReturnValueOnce(new Promise((done) => (late = done)));
    const begun = cut.begin(true);
    cut.want({ speed: 90, width: 1 });
    late(milled);
    await begun;
    expect(cut.request).toEqual({ ...request, speed: 90, width: 1 });
    expect(cut.feedTitle).toBe('Feed fz');
  });

  it('keeps what is really reached, without a material where it is fixed', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    expect(await cut.line('calculated')).toMatchObject({
      material: 'p-alloy-annealed',
      speed: 150,
      feed: 0.05
    });
    expect((await cut.line('fixed'))?.material).toBe('');
  });

  it('keeps what follows from what was typed last, however late the answer comes', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    let late: (answer: unknown) => void = () => {};
    post.mockReturnValueOnce(new Promise((done) => (late = done)));
    cut.want({ speed: 80, depth: 2 });
    const line = cut.line('calculated');
    late({ cut: { speed: 79.9, feed: 0.05 } });
    expect(await line).toMatchObject({ speed: 79.9, depth: 2 });
  });

  it('waits for where another material begins', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    let late: (answer: unknown) => void = () => {};
    get.mockReturnValueOnce(new Promise((done) => (late = done)));
    cut.material = 's-titanium';
    void cut.begin(false);
    cut.want({ depth: 1 });
    const line = cut.line('calculated');
    post.mockResolvedValue({ cut: { speed: 40, feed: 0.02 } });
    late({ ...milled, request: { ...request, speed: 40 } });
    expect(await line).toMatchObject({ material: 's-titanium', speed: 40, depth: 1 });
  });

  it('keeps nothing that the server refused', async () => {
    const cut = new CutDraft(7);
    await cut.begin(true);
    post.mockRejectedValueOnce(new Error('the depth is not a number'));
    cut.want({ depth: 1e12 });
    expect(await cut.line('calculated')).toBeNull();
  });

  it('says the pitch where nobody chooses the feed', async () => {
    get.mockResolvedValue({ ...milled, inputs: [] });
    const cut = new CutDraft(7);
    await cut.begin(true);
    expect(cut.feedTitle).toBe('Pitch');
  });
});
