/**
 * xoshiro128** by Blackman and Vigna (2018), 32 bits a step, period 2¹²⁸ − 1: fast without 64-bit
 * numbers. Each outing has a stream of its own, so that any part of a run can be played by itself and
 * comes out the same on any number of workers.
 */
export class Random {
  #a = 0;
  #b = 0;
  #c = 0;
  #d = 1;

  /** The state as it is given; at least one of the four not 0. */
  set(a: number, b: number, c: number, d: number): this {
    this.#a = a | 0;
    this.#b = b | 0;
    this.#c = c | 0;
    this.#d = d | 0;
    return this;
  }

  /** The stream of one outing of a run: seed and number spread over the state by a finaliser. */
  begin(seed: number, outing: number): this {
    let x = (seed | 0) ^ Math.imul(outing + 1, 0x9e3779b9);
    let y = Math.imul(seed | 0, 0x85ebca6b) + outing;
    this.#a = x = mixed(x + 0x9e3779b9);
    this.#b = y = mixed(y + 0x3c6ef372);
    this.#c = x = mixed(x ^ y);
    this.#d = mixed(y + x) | 1;
    return this;
  }

  /** The next 32 bits, as a number from 0 to 2³² − 1. */
  bits(): number {
    const five = Math.imul(this.#b, 5);
    const result = Math.imul((five << 7) | (five >>> 25), 9);
    const t = this.#b << 9;
    this.#c ^= this.#a;
    this.#d ^= this.#b;
    this.#b ^= this.#c;
    this.#a ^= this.#d;
    this.#c ^= t;
    this.#d = (this.#d << 11) | (this.#d >>> 21);
    return result >>> 0;
  }

  /** From 0 up to 1, 1 left out. */
  next(): number {
    return this.bits() * 2 ** -32;
  }
}

/** The finaliser of MurmurHash3 (Appleby): every bit of the input moves every bit of the output. */
function mixed(x: number): number {
  x ^= x >>> 16;
  x = Math.imul(x, 0x85ebca6b);
  x ^= x >>> 13;
  x = Math.imul(x, 0xc2b2ae35);
  return x ^ (x >>> 16);
}
