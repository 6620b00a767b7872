import { describe, expect, it } from 'vitest';
import { fieldSymbol, fieldTitle } from './fields';

describe('fields of a tool', () => {
  const names = { DC: 'Cutting diameter' };

  it('are called as people call them', () => {
    expect(fieldTitle('values.DC', names)).toBe('Cutting diameter');
    expect(fieldTitle('values.XYZ', names)).toBe('XYZ');
    expect(fieldTitle('number', names)).toBe('Number');
    expect(fieldTitle('section', names)).toBe('Section');
    expect(fieldTitle('notes.NOTE', names)).toBe('Note');
    expect(fieldTitle('notes.NOTE:Box', names)).toBe('Note Box');
    expect(fieldTitle('cutting.CuSn12/rough', names)).toBe('Cutting data CuSn12, rough');
    expect(fieldTitle('cutting.CuSn12/', names)).toBe('Cutting data CuSn12');
    expect(fieldTitle('stacks.Short', names)).toBe('Stack Short');
    expect(fieldTitle('stacks.', names)).toBe('Stack');
  });

  it('have a symbol where they are values', () => {
    expect(fieldSymbol('values.DC')).toBe('DC');
    expect(fieldSymbol('class')).toBe('');
  });
});
