import type { CardDoubt } from "./cardDoubt.ts";

/**
 * Made by `npm run confidence` on 2026-11-26 from the cards in
 * tests/fixtures/own-cards, tests/fixtures/kept-aside-1, tests/fixtures/kept-aside-2, tests/fixtures/aside-3 and every second name of the
 * shared synonyms; see docs/method.md for its figures on cards it did not see. Do not edit.
 */

/** Log odds of an entry without any doubt. */
export const BASE = 2.57;

/** What each doubt takes from the log odds. */
export const COST: Readonly<Record<CardDoubt, number>> = {
  "no-type": 2.22,
  "part-of-name": 0.44,
  respelt: 0.0,
  "cut-short": 0.0,
  "common-word": 0.0,
  "close-second": 0.66,
  second: 0.64,
  "half-explained": 2.27,
  "partly-explained": 0.51,
  "unknown-word": 1.54,
  "unknown-mark": 0.18,
  "head-elsewhere": 0.0,
  "kind-by-size": 0.17,
  "kind-open": 1.0,
  "count-derived": 0.43,
  "pack-unknown": 1.0,
  "no-count": 0.0,
  "number-left": 0.13,
  "unit-assumed": 0.74,
  "column-guessed": 1.5,
  long: 0.0,
  spoken: 0.0,
};
