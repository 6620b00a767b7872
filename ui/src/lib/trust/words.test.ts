import { describe, expect, it } from 'vitest';
import type { Trust } from '$lib/api/client';
import { trustReasons } from './words';

const trust: Trust = {
  standing: 'RELEASED',
  by: 'lead',
  at: '2026-11-20T10:00:00Z',
  changedSince: [],
  proven: [],
  asked: 12,
  open: []
};
const texts = (parts: Partial<Trust>) =>
  trustReasons({ ...trust, ...parts }).map(({ kind, text }) => `${kind} ${text}`);

describe('why a tool can be trusted', () => {
  it('is who released it, that nothing changed and that rules are content', () => {
    const [stands, proven, measured, rules] = texts({});
    expect(stands).toContain('pass Released by lead');
    expect(proven).toBe('note Not proven at a machine');
    expect(measured).toBe('note Not measured yet');
    expect(rules).toBe('pass Passes all 12 rules of its class');
  });

  it('is doubted where it changed since or rules object', () => {
    const said = texts({
      changedSince: [{ version: 3, at: '2026-11-21T10:00:00Z', by: 'anna' }],
      open: [{ severity: 'QUERY' }] as unknown as Trust['open']
    });
    expect(said[1]).toContain('query Changed since, 1 time, last by anna');
    expect(said.at(-1)).toBe('query 1 of 12 rules of its class object');
  });

  it('grows with each machine that it proved good at', () => {
    const said = texts({
      proven: [{ machine: 'M1 Heron', times: 2, last: '2026-11-21T10:00:00Z', by: 'ben' }],
      measured: { machine: 'M1 Heron', at: '2026-11-22T10:00:00Z', by: 'toolroom' }
    });
    expect(said[1]).toContain('pass Proven at M1 Heron, 2 lines of cutting data, last by ben');
    expect(said[2]).toContain('pass Measured at M1 Heron by toolroom');
  });
});
