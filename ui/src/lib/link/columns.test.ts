import { describe, expect, it } from 'vitest';
import type { Link, LinkEnd } from '$lib/api/client';
import { drawn, inColumns } from './columns';

const end = (kind: LinkEnd['kind'], name: string): LinkEnd => ({ kind, id: name, name });
const link = (from: LinkEnd, to: LinkEnd, stray?: string): Link => ({
  from,
  to,
  relation: 'serves',
  stray,
  aims: []
});

describe('links in columns', () => {
  const heron = end('MACHINE', 'M1');
  const placed = inColumns([
    link(end('POST', 'b'), heron),
    link(end('POST', 'a'), heron),
    link(end('POST', 'a'), end('LIBRARY', 'Old'), 'the library was deleted')
  ]);

  it('stand once each, by kind and name', () => {
    expect(placed.nodes.map(({ key, column, row }) => [key, column, row])).toEqual([
      ['LIBRARY Old', 2, 0],
      ['MACHINE M1', 1, 0],
      ['POST a', 0, 0],
      ['POST b', 0, 1]
    ]);
    expect(placed.rows).toBe(2);
  });

  it('are drawn from end to end, with why one is a stray', () => {
    expect(placed.edges.map(({ from, to }) => `${from.key} ${to.key}`)).toEqual([
      'POST b MACHINE M1',
      'POST a MACHINE M1',
      'POST a LIBRARY Old'
    ]);
    expect(placed.nodes[0].stray).toBe('the library was deleted');
  });

  it('leave out stacks whose parts are in use', () => {
    const holder = end('HOLDER', 'h');
    const stack = end('STACK', 's');
    expect(drawn([link(stack, holder)])).toEqual([]);
    expect(drawn([link(stack, holder, 'h was retired')])).toHaveLength(1);
  });
});
