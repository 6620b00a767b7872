import { describe, expect, it } from 'vitest';
import type { Link, LinkEnd, LinkKind } from '$lib/api/client';
import { commonAims, suggested } from './aims';

const end = (kind: LinkKind, id: string): LinkEnd => ({ kind, id, name: `${kind} ${id}` });
const link = (from: LinkEnd, aims: LinkKind[], anew?: LinkEnd): Link => ({
  from,
  to: end('LIBRARY', '1'),
  relation: 'brings',
  stray: anew && 'edition 2 is there',
  anew,
  aims
});

describe('links that are set anew', () => {
  it('can be set together to what all of them can lead to', () => {
    const post = link(end('POST', '1'), ['LIBRARY', 'EDITION']);
    expect(commonAims([post, link(end('OUTLET', '2'), ['EDITION'])])).toEqual(['EDITION']);
    expect(commonAims([post, link(end('STACK', '3'), ['HOLDER'])])).toEqual([]);
    expect(commonAims([])).toEqual([]);
  });

  it('are suggested what replaced that to which they lead', () => {
    const second = end('EDITION', '2');
    const all = suggested([
      link(end('POST', '1'), ['EDITION'], second),
      link(end('MACHINE', 'M1'), ['EDITION'], second),
      link(end('POST', '4'), ['EDITION'])
    ]);
    expect(all.map(({ end, links }) => [end.id, links.length])).toEqual([['2', 2]]);
  });
});
