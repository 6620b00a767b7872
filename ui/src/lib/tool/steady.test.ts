import { describe, expect, it } from 'vitest';
import { Steady } from './steady';

describe('the order of fields', () => {
  it('puts what comes up later at the end, so that the next field stays the next', () => {
    const steady = new Steady();
    expect(steady.order('mill', ['DC', 'OAL'])).toEqual(['DC', 'OAL']);
    expect(steady.order('mill', ['DC', 'LCF', 'OAL'])).toEqual(['DC', 'OAL', 'LCF']);
  });

  it('gives a field that went away its place back', () => {
    const steady = new Steady();
    steady.order('mill', ['DC', 'LCF', 'OAL']);
    expect(steady.order('mill', ['DC', 'OAL'])).toEqual(['DC', 'OAL']);
    expect(steady.order('mill', ['DC', 'OAL', 'LCF'])).toEqual(['DC', 'LCF', 'OAL']);
  });

  it('begins anew with another class', () => {
    const steady = new Steady();
    steady.order('mill', ['OAL', 'DC']);
    expect(steady.order('drill', ['DC', 'OAL'])).toEqual(['DC', 'OAL']);
  });
});
