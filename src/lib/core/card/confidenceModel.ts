import type { CardDoubt } from "./confidence.ts";

/**
 * Made by `npm run confidence` on 2026-11-26 from the cards in
 * tests/fixtures/own-cards, tests/fixtures/kept-aside-1, tests/fixtures/kept-aside-2 and every second name of the
 * shared synonyms; see docs/method.md for its figures on cards it did not see. Do not edit.
 */

/** Log odds of an entry without any doubt. */
export const BASE = 2.58;

/** What each doubt takes from the log odds. */
export const COST: Readonly<Record<CardDoubt, number>> = {
  "no-type": 1.83,
  "part-of-name": 0.47,
  respelt: 0.00,
  "cut-short": 0.00,
  "common-word": 0.00,
  "close-second": 0.90,
  second: 0.71,
  "half-explained": 2.42,
  "partly-explained": 0.57,
  "unknown-word": 1.62,
  "unknown-mark": 0.33,
  "head-elsewhere": 0.00,
  "kind-by-size": 0.22,
  "kind-open": 0.37,
  "count-derived": 0.40,
  "no-count": 0.11,
  "number-left": 0.45,
  "unit-assumed": 0.91,
  long: 0.00,
  spoken: 0.00,
};
