import { timeLeft } from './text';

/** How long work still takes, from how far it was when it was first seen here. */
export class TimeLeft {
  #first = $state<{ share: number; at: number } | null>(null);
  #text = $state('');

  /**
   * @param share of the work that is done, from 0 to 1; undefined while none is under way
   * @param now the time in milliseconds
   */
  constructor(share: () => number | undefined, now: () => number = Date.now) {
    $effect(() => {
      const done = share();
      if (done === undefined) {
        this.#first = null;
        this.#text = '';
        return;
      }
      this.#first ??= { share: done, at: now() };
      this.#text = timeLeft(this.#first.share, done, now() - this.#first.at);
    });
  }

  /** In words; empty while nothing can be said. */
  get text(): string {
    return this.#text;
  }
}
