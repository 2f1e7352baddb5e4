import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Numbers that a seed decides. */
export class Random {
  readonly #generator;

  constructor(seed: number) {
    this.#generator = xoroshiro128plus(seed);
  }

  /** A whole number from 0 to below `limit`. */
  below(limit: number): number {
    return uniformInt(this.#generator, 0, limit - 1);
  }
}
