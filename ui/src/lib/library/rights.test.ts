import { afterEach, describe, expect, it } from 'vitest';
import type { RightsView } from '$lib/api/client';
import { who } from '$lib/shell/session.svelte';
import { includes, mayMaintain, mayOwn, said, upTo } from './rights';

const view: RightsView = {
  library: 1,
  name: 'Marram milling',
  sharing: 'SHOP',
  right: 'USE',
  administers: false,
  maintainers: 'anna and the lead',
  administrators: 'the lead',
  people: [],
  roles: [],
  others: [],
  stamp: ''
};

describe('rights in a library', () => {
  afterEach(() => {
    who.current = { may: [] };
  });

  it('include those before them', () => {
    expect(includes('OWNER', 'MAINTAIN')).toBe(true);
    expect(includes('PROPOSE', 'MAINTAIN')).toBe(false);
    expect(includes(null, 'USE')).toBe(false);
  });

  it('are given up to what the role allows', () => {
    expect(upTo('PROPOSE').map(({ value }) => value)).toEqual(['USE', 'PROPOSE']);
  });

  it('need the role as well', () => {
    expect(mayMaintain({ right: 'OWNER' })).toBe(false);
    who.current = { may: ['EDIT'] };
    expect(mayMaintain({ right: 'MAINTAIN' })).toBe(true);
    expect(mayOwn({ right: 'MAINTAIN' })).toBe(false);
  });

  it('are said in a sentence, with who can change them', () => {
    expect(said(view)).toBe(
      'You may use it. Changed by anna and the lead; who may do what is said by the lead.'
    );
    expect(said({ ...view, sharing: 'REFERENCE' })).toContain('nobody changes what is in it');
  });
});
