/** Counts beyond this probability are not tabulated: the last one stands for all larger. */
const TAIL = 1e-12;
/** No outing has more incidents of one kind than this. */
const MOST = 4096;

/**
 * Cumulative probabilities of the number of incidents on an outing. With spread 0 they are Poisson;
 * else the rate of each outing is gamma with that coefficient of variation, which makes the count
 * negative binomial with r = 1/CV² (Greenwood and Yule, 1920).
 * @param mean incidents expected; at least 0
 * @param spread coefficient of variation of the rate between outings
 */
export function cumulativeCounts(mean: number, spread: number): Float64Array {
  const r = spread > 0 ? 1 / spread ** 2 : Infinity;
  const share = r === Infinity ? 0 : mean / (mean + r);
  let p = r === Infinity ? Math.exp(-mean) : Math.exp(-r * Math.log1p(mean / r));
  const cumulative: number[] = [];
  let sum = 0;
  for (let n = 0; n < MOST; n++) {
    sum += p;
    cumulative.push(sum);
    if (1 - sum < TAIL && n >= mean) break;
    p *= r === Infinity ? mean / (n + 1) : ((n + r) / (n + 1)) * share;
  }
  cumulative[cumulative.length - 1] = 1;
  return Float64Array.from(cumulative);
}

/** The count that a number from 0 to 1 falls on. */
export function countAt(cumulative: Float64Array, u: number): number {
  let n = 0;
  while (u >= cumulative[n]!) n++;
  return n;
}
