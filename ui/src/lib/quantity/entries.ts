import { toast } from 'svelte-sonner';

/** What is being read, and what could not be, in all number fields of the page. */
class Entries {
  #reading = new Set<Promise<void>>();
  #wrong = new Set<string>();

  /** Something is being read until the promise settles. */
  reading(until: Promise<void>) {
    this.#reading.add(until);
    void until.finally(() => this.#reading.delete(until));
  }

  /** A field holds what is no number, or no longer does. */
  mark(field: string, wrong: boolean) {
    if (wrong) this.#wrong.add(field);
    else this.#wrong.delete(field);
  }

  /** True once everything typed is read and all of it is numbers; says so where it is not. */
  async sound(): Promise<boolean> {
    while (this.#reading.size > 0) await Promise.allSettled(this.#reading);
    if (this.#wrong.size === 0) return true;
    toast.error('A field holds what is no number: correct it, or press Escape in it');
    return false;
  }
}

export const entries = new Entries();
