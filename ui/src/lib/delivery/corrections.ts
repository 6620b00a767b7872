import { act, type Deed } from '$lib/api/act';

/** What of each delivery is on its way to the server: true once it is put right, false where it was refused. */
const underway = new Map<number, Set<Promise<boolean>>>();

/** Does a change of lines of a delivery, which is to be done before any of it is taken. */
export function correct<T>(delivery: number, deed: Deed<T>): Promise<T | undefined> {
  const ask = () => {
    const answer = deed.ask();
    const done = answer.then(
      () => true,
      () => false
    );
    const all = underway.get(delivery) ?? new Set();
    underway.set(delivery, all.add(done));
    void done.then(() => {
      all.delete(done);
      if (all.size === 0) underway.delete(delivery);
    });
    return answer;
  };
  return act({ ...deed, ask });
}

/**
 * Waits until nothing of a delivery is on its way any more.
 *
 * @throws Error where something of that was refused
 */
export async function corrected(delivery: number): Promise<void> {
  const all = await Promise.all(underway.get(delivery) ?? []);
  if (all.includes(false)) {
    throw new Error('nothing was taken, because a correction before it was not accepted');
  }
}
