/** Measures of agreement and of a test's items. null: the measure has no meaning for these data. */

/** z of a two-sided 95 % interval. */
const Z95 = 1.959963984540054;

/** Wilson's score interval (1927) of k among n. */
export function wilson(k: number, n: number): [number, number] | null {
  if (n === 0) return null;
  const p = k / n;
  const z2 = Z95 ** 2;
  const middle = p + z2 / (2 * n);
  const half = Z95 * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n));
  const of = 1 + z2 / n;
  return [Math.max(0, (middle - half) / of), Math.min(1, (middle + half) / of)];
}

/** Pearson's correlation; of a right/wrong item with the rest of the score it is the point-biserial. */
export function correlation(x: readonly number[], y: readonly number[]): number | null {
  const mean = (v: readonly number[]) => v.reduce((s, a) => s + a, 0) / v.length;
  const [mx, my] = [mean(x), mean(y)];
  let xy = 0;
  let xx = 0;
  let yy = 0;
  x.forEach((a, i) => {
    xy += (a - mx) * (y[i]! - my);
    xx += (a - mx) ** 2;
    yy += (y[i]! - my) ** 2;
  });
  return xx <= 1e-12 || yy <= 1e-12 ? null : xy / Math.sqrt(xx * yy);
}

/** Cohen's kappa (1960) of two judges over the same things. */
export function cohensKappa(a: readonly string[], b: readonly string[]): number | null {
  const n = a.length;
  if (n === 0) return null;
  const share = (list: readonly string[], v: string) => list.filter((x) => x === v).length / n;
  const seen = a.filter((x, i) => x === b[i]).length / n;
  const chance = [...new Set([...a, ...b])].reduce((s, v) => s + share(a, v) * share(b, v), 0);
  return 1 - chance <= 1e-12 ? null : (seen - chance) / (1 - chance);
}

/**
 * Krippendorff's alpha (2004) for nominal values and any number of judges, gaps allowed.
 * @param units one list a thing judged: the values given, undefined where somebody gave none
 */
export function krippendorffsAlpha(
  units: readonly (readonly (string | undefined)[])[],
): number | null {
  const pairable = units.map((u) => u.filter((v) => v !== undefined)).filter((u) => u.length >= 2);
  const totals = new Map<string, number>();
  let n = 0;
  let observed = 0;
  for (const unit of pairable) {
    const counts = new Map<string, number>();
    for (const v of unit) counts.set(v, (counts.get(v) ?? 0) + 1);
    const m = unit.length;
    n += m;
    let unequal = 0;
    for (const [v, c] of counts) {
      totals.set(v, (totals.get(v) ?? 0) + c);
      unequal += c * (m - c);
    }
    observed += unequal / (m - 1);
  }
  if (n < 2) return null;
  let expected = 0;
  for (const c of totals.values()) expected += c * (n - c);
  return expected === 0 ? null : 1 - ((n - 1) * observed) / expected;
}
