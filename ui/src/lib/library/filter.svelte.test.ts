import { describe, expect, it } from 'vitest';
import { ListFilter } from './filter.svelte';

/** Runs where effects are allowed, and ends them. */
function using(look: (filter: ListFilter) => void) {
  const end = $effect.root(() => look(new ListFilter()));
  end();
}

describe('a list filter', () => {
  it('turns a class on and off', () => {
    using((filter) => {
      filter.toggleClass('end-mill-ball');
      filter.toggleClass('reamer');
      expect(filter.query.class).toEqual(['end-mill-ball', 'reamer']);
      filter.toggleClass('end-mill-ball');
      filter.toggleClass('reamer');
      expect(filter.query.class).toBeUndefined();
      expect(filter.narrowed).toBe(false);
    });
  });

  it('sorts the other way at the second click and upwards again at another column', () => {
    using((filter) => {
      filter.sortBy('dc');
      expect([filter.sort, filter.down]).toEqual(['dc', false]);
      filter.sortBy('dc');
      expect(filter.down).toBe(true);
      filter.sortBy('name');
      expect([filter.sort, filter.down]).toEqual(['name', false]);
    });
  });

  it('asks for a diameter range and forgets it with the rest', () => {
    using((filter) => {
      filter.dia = [6, 12];
      expect([filter.query['dia.min'], filter.query['dia.max']]).toEqual([6, 12]);
      expect(filter.narrowed).toBe(true);
      filter.clear();
      expect(filter.narrowed).toBe(false);
    });
  });

  it('is kept as a view and shown as that view again', () => {
    using((filter) => {
      filter.text = 'reach>30';
      filter.classes = ['end-mill-ball'];
      filter.dia = [6, 8];
      filter.group = 'holder';
      filter.board = true;
      filter.columns = ['code', 'holder'];
      filter.sortBy('dc');
      const kept = JSON.parse(JSON.stringify(filter.definition()));
      filter.clear();
      filter.group = '';
      filter.board = false;
      filter.columns = null;
      filter.apply(kept);
      expect(filter.definition()).toEqual(kept);
      expect([filter.group, filter.board, filter.sort]).toEqual(['holder', true, 'dc']);
      filter.apply({});
      expect([filter.group, filter.board, filter.columns]).toEqual(['', false, null]);
    });
  });

  it('asks for what belongs to tools only where a column shows it', () => {
    using((filter) => {
      filter.material = 'm-austenitic';
      expect(filter.belonging).toEqual({ uses: false, material: undefined });
      filter.columns = ['code', 'holder'];
      expect(filter.belonging).toEqual({ uses: true, material: undefined });
      filter.columns = ['code', 'vc', 'feed'];
      expect(filter.belonging).toEqual({ uses: false, material: 'm-austenitic' });
      filter.board = true;
      expect(filter.belonging).toEqual({ uses: false, material: undefined });
      filter.board = false;
    });
  });

  it('keeps with a view of speeds for which work material they are', () => {
    using((filter) => {
      filter.columns = ['code', 'vc'];
      filter.material = 'k-grey';
      const kept = JSON.parse(JSON.stringify(filter.definition()));
      filter.material = 'h-50';
      filter.apply(kept);
      expect(filter.material).toBe('k-grey');
      filter.apply({ columns: ['code'] });
      expect(filter.material).toBe('k-grey');
    });
  });
});
