import { describe, expect, it } from 'vitest';

import { narrow, written } from './address';
import { ListFilter } from './filter.svelte';

/** Runs where effects are allowed, and ends them. */
function using(look: (filter: ListFilter) => void) {
  const end = $effect.root(() => look(new ListFilter()));
  end();
}

const params = (text: string) => new URLSearchParams(text);

describe('a narrowed list in the address', () => {
  it('is the same list for whoever opens it', () => {
    const text =
      'class=end-mill-ball&class=reamer&dia.min=6&dia.max=12.5&section=4&sort=dc&down=true';
    using((filter) => {
      narrow(filter, params(text));
      expect(filter.classes).toEqual(['end-mill-ball', 'reamer']);
      expect(filter.dia).toEqual([6, 12.5]);
      expect([filter.section, filter.sort, filter.down]).toEqual([4, 'dc', true]);
      expect(written(filter, '')).toBe(text);
    });
  });

  it('takes words as they were typed', () => {
    using((filter) => {
      narrow(filter, params('q=ball+8+slim+reach%3E30'));
      expect(filter.text).toBe('ball 8 slim reach>30');
      expect(written(filter, '')).toBe('q=ball+8+slim+reach%3E30');
    });
  });

  it('is not mentioned where all is shown, and leaves alone what is not of it', () => {
    using((filter) => {
      narrow(filter, params('tab=history'));
      expect(filter.narrowed).toBe(false);
      expect(written(filter, '?tab=history&sort=dc')).toBe('tab=history');
    });
  });

  it('passes over what makes no sense', () => {
    using((filter) => {
      narrow(filter, params('sort=colour&down=yes&dia.min=12&dia.max=6&section=one'));
      expect([filter.sort, filter.down, filter.dia, filter.section]).toEqual([
        'code',
        false,
        null,
        null
      ]);
      narrow(filter, params('dia.min=1e400&dia.max=-5&section=99999999999999999999'));
      expect([filter.dia, filter.section]).toEqual([null, null]);
    });
  });
});
