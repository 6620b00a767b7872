import { beforeEach, describe, expect, it, vi } from 'vitest';

vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { post } from '$lib/testing/server';
import { Draft } from './draft.svelte';

interface Body {
  classId: string;
  values: Record<string, { text: string }>;
}

function answer(more: object = {}) {
  return { values: {}, implied: {}, fields: [], foreign: [], findings: [], ...more };
}

describe('a tool being written', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    post.mockReset();
  });

  it('asks once for what is typed quickly', async () => {
    post.mockResolvedValue(answer());
    const draft = new Draft();
    draft.type('DC', '1', true);
    draft.type('DC', '12', true);
    await vi.runAllTimersAsync();
    expect(post).toHaveBeenCalledTimes(1);
    expect((post.mock.calls[0][1] as { body: Body }).body.values.DC.text).toBe('12');
    expect(draft.changed).toBe(true);
  });

  it('never lets an older answer replace a newer one', async () => {
    const late: ((value: unknown) => void)[] = [];
    post.mockImplementation(() => new Promise((resolve) => late.push(resolve)));
    const draft = new Draft();
    draft.type('DC', '1', true);
    await vi.advanceTimersByTimeAsync(100);
    draft.type('DC', '12', true);
    await vi.advanceTimersByTimeAsync(100);
    late[1](answer({ foreign: ['NEW'] }));
    late[0](answer({ foreign: ['OLD'] }));
    await vi.runAllTimersAsync();
    expect(draft.answer?.foreign).toEqual(['NEW']);
  });

  it('shows what follows instead of a trade default that it outdoes', async () => {
    const implied = {
      HAND: { value: { text: 'L' }, origin: 'is read from the designation SHANK' }
    };
    post.mockImplementation(() => Promise.resolve(answer({ implied })));
    const draft = new Draft();
    draft.values.HAND = { text: 'R', defaulted: true };
    draft.type('SHANK', 'PDJNL2525M15', false);
    await vi.runAllTimersAsync();
    expect(draft.shown('HAND')).toBe('L');
    expect(draft.authored('HAND')).toBe('');
    expect(draft.origin('HAND')).toBe('is read from the designation SHANK');
    draft.confirm('HAND');
    expect(draft.values.HAND).toMatchObject({ text: 'L', defaulted: false });
  });

  it('shows what follows from other values until somebody writes something', async () => {
    const implied = {
      APMX: {
        value: { text: '22', unit: 'mm', mm: '22', inch: '0.8661' },
        origin: 'follows from LCF'
      }
    };
    post.mockImplementation(() => Promise.resolve(answer({ implied })));
    const draft = new Draft();
    draft.type('LCF', '22', true);
    await vi.runAllTimersAsync();
    expect(draft.shown('APMX')).toBe('22');
    expect(draft.origin('APMX')).toBe('follows from LCF');
    draft.type('APMX', '20', true);
    expect(draft.origin('APMX')).toBeUndefined();
  });

  it('writes down what follows once somebody confirms it', async () => {
    const implied = {
      APMX: { value: { text: '22', unit: 'mm', mm: '22' }, origin: 'follows from LCF' }
    };
    post.mockImplementation(() => Promise.resolve(answer({ implied })));
    const draft = new Draft();
    draft.type('LCF', '22', true);
    await vi.runAllTimersAsync();
    draft.confirm('APMX');
    expect(draft.values.APMX).toEqual({ text: '22', unit: 'mm', defaulted: false });
  });

  it('takes over what the server makes of it in another class', async () => {
    const draft = new Draft();
    draft.classId = 'end-mill-corner-radius';
    draft.values = { DC: { text: '10' }, RE: { text: '0.5' } };
    draft.dropped = { LU: { text: '30' } };
    post.mockImplementation((path: string) =>
      Promise.resolve(
        path.endsWith('class-change')
          ? {
              tool: { values: { DC: { text: '10' }, SIG: { text: '118', defaulted: true } } },
              aside: { RE: { text: '0.5' } },
              answer: answer()
            }
          : answer()
      )
    );
    await draft.become('drill-twist');
    expect(post.mock.calls[0][1].body).toMatchObject({
      toClass: 'drill-twist',
      aside: { LU: { text: '30' } }
    });
    expect(draft.classId).toBe('drill-twist');
    expect(draft.values).toEqual({ DC: { text: '10' }, SIG: { text: '118', defaulted: true } });
    expect(draft.dropped).toEqual({ RE: { text: '0.5' } });
  });

  it('takes a repair over as typed', async () => {
    post.mockResolvedValue(answer());
    const draft = new Draft();
    draft.repair({ RE: '4 mm', CODE: 'MC-2' });
    await vi.runAllTimersAsync();
    expect(draft.values.RE).toEqual({ text: '4 mm', defaulted: false });
    expect(draft.code).toBe('MC-2');
  });

  it('stays what it was where the server does not answer for the new class', async () => {
    post.mockRejectedValue(new Error('no connection'));
    const draft = new Draft();
    draft.classId = 'end-mill-flat';
    draft.values = { RE: { text: '0.5', defaulted: false } };
    await expect(draft.become('drill-twist')).rejects.toThrow();
    expect(draft.classId).toBe('end-mill-flat');
    expect(draft.values.RE.text).toBe('0.5');
    expect(draft.changed).toBe(false);
  });

  it('keeps what is typed while it is saved, on top of what stands then', () => {
    post.mockResolvedValue(answer());
    const draft = new Draft();
    draft.name = 'Ball 8';
    draft.values = { DC: { text: '8' }, LU: { text: '30' } };
    const sent = draft.body;
    draft.type('LU', '32', true);
    const saved = new Draft();
    saved.values = { DC: { text: '8' }, LU: { text: '30' }, OAL: { text: '80' } };
    saved.add(draft.since(sent));
    expect(saved.changed).toBe(true);
    expect(saved.values).toMatchObject({
      DC: { text: '8' },
      LU: { text: '32' },
      OAL: { text: '80' }
    });
    const untouched = new Draft();
    untouched.add(draft.since(draft.body));
    expect(untouched.changed).toBe(false);
  });

  it('becomes the class that was chosen last, whichever answer comes last', async () => {
    const late: ((value: unknown) => void)[] = [];
    post.mockImplementation((path: string) =>
      path.endsWith('class-change')
        ? new Promise((resolve) => late.push(resolve))
        : Promise.resolve(answer())
    );
    const changed = (text: string) => ({
      tool: { values: { DC: { text } } },
      aside: {},
      answer: answer()
    });
    const draft = new Draft();
    const drill = draft.become('drill-twist');
    const reamer = draft.become('reamer');
    late[1](changed('8'));
    await reamer;
    late[0](changed('9'));
    await drill;
    await vi.runAllTimersAsync();
    expect(draft.classId).toBe('reamer');
    expect(draft.values.DC.text).toBe('8');
  });

  it('keeps what is typed while the server thinks about the new class', async () => {
    let say: (given: unknown) => void = () => {};
    post.mockImplementationOnce(() => new Promise((resolve) => (say = resolve)));
    const draft = new Draft();
    const becoming = draft.become('drill-twist');
    expect(draft.classId).toBe('');
    post.mockResolvedValue(answer());
    draft.type('DC', '8.5', true);
    say({ tool: { values: {} }, aside: {}, answer: answer() });
    await becoming;
    expect(draft.classId).toBe('drill-twist');
    expect(draft.values.DC.text).toBe('8.5');
  });
});
