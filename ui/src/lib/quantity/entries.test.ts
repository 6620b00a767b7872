import { describe, expect, it } from 'vitest';
import { entries } from './entries';

describe('entries', () => {
  it('waits for what is being read', async () => {
    const order: string[] = [];
    let finish = () => {};
    entries.reading(
      new Promise((done) => {
        finish = () => {
          order.push('read');
          done();
        };
      })
    );
    const sound = entries.sound().then((all) => order.push(`saved ${all}`));
    finish();
    await sound;
    expect(order).toEqual(['read', 'saved true']);
  });

  it('does not let go while a field holds no number', async () => {
    entries.mark('length', true);
    expect(await entries.sound()).toBe(false);
    entries.mark('length', false);
    expect(await entries.sound()).toBe(true);
  });
});
