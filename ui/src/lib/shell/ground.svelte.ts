/**
 * What a form was filled from. It stays while others change that, so that nothing typed is lost;
 * whoever types is told.
 */
export class Ground<T> {
  readonly #now: () => T | undefined;
  readonly #stamp: (value: T) => string;
  /** What the form was filled from; undefined until it has come. */
  began = $state.raw<T>();
  #own = $state.raw('');

  /**
   * Fills the form once its ground has come, and anew where another thing is shown.
   *
   * @param now what is known to stand there now
   * @param id of the thing that is shown
   * @param stamp another one after each change of it
   */
  constructor(now: () => T | undefined, id: (value: T) => string, stamp: (value: T) => string) {
    this.#now = now;
    this.#stamp = stamp;
    $effect.pre(() => {
      const value = now();
      if (value === undefined) return;
      const began = this.began;
      const other = began === undefined || id(value) !== id(began);
      if (other || (this.moved && stamp(value) === this.#own)) this.began = value;
    });
  }

  /** True where somebody else changed it since the form was filled. */
  get moved(): boolean {
    const value = this.#now();
    return (
      value !== undefined &&
      this.began !== undefined &&
      this.#stamp(value) !== this.#stamp(this.began)
    );
  }

  /** Fills the form anew from what stands there now. */
  again = (): void => {
    this.began = this.#now();
  };

  /** Fills the form anew once the change that whoever types made himself has come. */
  saved(stamp: string): void {
    this.#own = stamp;
  }
}
