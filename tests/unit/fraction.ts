/** Exact fractions for slow reference answers. */
export class Fraction {
  readonly n: bigint;
  readonly d: bigint;
  constructor(n: bigint, d = 1n) {
    const g = gcd(n < 0n ? -n : n, d < 0n ? -d : d) || 1n;
    const sign = d < 0n ? -1n : 1n;
    this.n = (sign * n) / g;
    this.d = (sign * d) / g;
  }
  /** A decimal with at most four places. */
  static of(x: number): Fraction {
    return new Fraction(BigInt(Math.round(x * 10_000)), 10_000n);
  }
  plus(o: Fraction) {
    return new Fraction(this.n * o.d + o.n * this.d, this.d * o.d);
  }
  minus(o: Fraction) {
    return new Fraction(this.n * o.d - o.n * this.d, this.d * o.d);
  }
  times(o: Fraction) {
    return new Fraction(this.n * o.n, this.d * o.d);
  }
  over(o: Fraction) {
    return new Fraction(this.n * o.d, this.d * o.n);
  }
  sign(): number {
    return this.n > 0n ? 1 : this.n < 0n ? -1 : 0;
  }
  valueOf(): number {
    return Number(this.n) / Number(this.d);
  }
}
const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));
export const ZERO = new Fraction(0n);

/** Solves a square system exactly; null when it is singular. */
export function solveExactly(a: Fraction[][], b: Fraction[]): Fraction[] | null {
  const n = b.length;
  const m = a.map((row, i) => [...row, b[i]!]);
  for (let c = 0; c < n; c++) {
    const p = m.findIndex((row, i) => i >= c && row[c]!.sign() !== 0);
    if (p < 0) return null;
    [m[c], m[p]] = [m[p]!, m[c]!];
    for (let i = 0; i < n; i++) {
      if (i === c || m[i]![c]!.sign() === 0) continue;
      const f = m[i]![c]!.over(m[c]![c]!);
      for (let j = c; j <= n; j++) m[i]![j] = m[i]![j]!.minus(f.times(m[c]![j]!));
    }
  }
  return m.map((row, i) => row[n]!.over(row[i]!));
}
