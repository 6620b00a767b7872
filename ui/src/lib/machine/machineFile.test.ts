import { describe, expect, it } from 'vitest';
import { machineFile } from './machineFile';

describe('a definition as a file', () => {
  it('is read', () => {
    const file = { format: 'arbor-line-machine', version: 1, machine: { id: 'M1' } };
    expect(machineFile(JSON.stringify(file))).toEqual({ id: 'M1' });
  });

  it('is refused in words where it is none', () => {
    expect(() => machineFile('tools;10')).toThrow('no JSON');
    for (const text of ['{}', 'null', '{"format":"arbor-line-machine"}']) {
      expect(() => machineFile(text)).toThrow('no machine definition');
    }
  });
});
