import { describe, expect, it } from 'vitest';
import { bytes, capital, count, day, hasWords, timeLeft } from './text';

describe('words', () => {
  it('call a day as it was written, wherever the reader is', () => {
    expect(day('2023-03-09')).toBe('9 Mar 2023');
  });

  it('count in the right number', () => {
    expect(count(1, 'tool')).toBe('1 tool');
    expect(count(1200, 'tool')).toBe('1,200 tools');
    expect(count(0, 'library', 'libraries')).toBe('0 libraries');
  });

  it('begin a sentence with a capital and leave the rest', () => {
    expect(capital('dC is missing')).toBe('DC is missing');
    expect(capital('')).toBe('');
  });

  it('say sizes of files', () => {
    expect(bytes(1)).toBe('1 kB');
    expect(bytes(7_340_000)).toBe('7.3 MB');
  });

  it('say how long the rest takes, once that can be said', () => {
    expect(timeLeft(0, 0.01, 5000)).toBe('');
    expect(timeLeft(0, 0.5, 20_000)).toBe('20 seconds');
    expect(timeLeft(0.2, 0.4, 60_000)).toBe('3 minutes');
  });
});

it('finds a row by words that are in one text or another', () => {
  const texts = ['MM-BA12', null, 'Ball end mill 12', '7'];
  expect(hasWords(texts, '')).toBe(true);
  expect(hasWords(texts, 'ball ba12')).toBe(true);
  expect(hasWords(texts, ' BALL  7 ')).toBe(true);
  expect(hasWords(texts, 'ball 16')).toBe(false);
});
