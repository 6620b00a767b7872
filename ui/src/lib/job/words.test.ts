import { describe, expect, it } from 'vitest';
import type { JobHead } from '$lib/api/client';
import { servedInWords, usesText } from './words';

const job = (tools: number, missing: number, machineName: string | null = 'M1 Heron') =>
  servedInWords({ tools, missing, machineName } as JobHead);

describe('how far the load serves a job', () => {
  it('is said in words', () => {
    expect(job(4, 0)).toBe('all in the load');
    expect(job(4, 1)).toBe('1 tool not in the load');
    expect(job(4, 4)).toBe('none in the load');
    expect(job(0, 0)).toBe('calls no tool yet');
    expect(job(4, 4, null)).toBe('its machine was retired');
  });
});

describe('what a program does with a tool', () => {
  it('is what somebody said, else what is usual', () => {
    const usualUses = ['plain moves', 'radius compensation'];
    expect(usesText({ uses: ['tapping'], usualUses })).toBe('tapping');
    expect(usesText({ uses: [], usualUses })).toBe('plain moves, radius compensation');
  });
});
