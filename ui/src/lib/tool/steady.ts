/**
 * Keeps things in the order in which they first came up. Whoever types while answers arrive must
 * find the next field where it stood: what comes up later goes to the end, not in between.
 */
export class Steady {
  #key = '';
  #seen: string[] = [];

  /**
   * @param key what the order belongs to; with another one it begins anew
   * @param now the names that are to stand, in the order they would have by themselves
   * @returns the same names, the ones that stood before first
   */
  order(key: string, now: string[]): string[] {
    if (key !== this.#key) {
      this.#key = key;
      this.#seen = [];
    }
    for (const name of now) {
      if (!this.#seen.includes(name)) this.#seen.push(name);
    }
    return this.#seen.filter((name) => now.includes(name));
  }
}
