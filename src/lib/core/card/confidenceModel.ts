import type { CardDoubt } from "./cardDoubt.ts";

/**
 * Made by `npm run confidence` on 2026-11-28 from the cards in
 * tests/fixtures/own-cards, tests/fixtures/kept-aside-1, tests/fixtures/kept-aside-2, tests/fixtures/aside-3, tests/fixtures/mended, tests/fixtures/mended-2, tests/fixtures/aside-5 and every second name of the
 * shared synonyms; see docs/method.md for its figures on cards it did not see. Do not edit.
 */

/** Log odds of an entry without any doubt. */
export const BASE = 2.32;

/** What each doubt takes from the log odds. */
export const COST: Readonly<Record<CardDoubt, number>> = {
  "no-type": 2.64,
  "part-of-name": 0.01,
  respelt: 0.14,
  "cut-short": 0.0,
  "common-word": 0.26,
  "close-second": 0.0,
  second: 0.3,
  "half-explained": 1.99,
  "partly-explained": 0.71,
  "unknown-word": 0.79,
  "unknown-mark": 0.02,
  "head-elsewhere": 0.0,
  "kind-by-size": 0.09,
  "kind-open": 1.0,
  "count-derived": 0.77,
  "pack-unknown": 1.0,
  "no-count": 0.67,
  "number-left": 0.66,
  "count-unusual": 2.0,
  "size-unusual": 2.0,
  "fraction-lost": 2.0,
  "holds-others": 1.0,
  "unit-assumed": 1.0,
  "column-guessed": 1.5,
  unticked: 1.0,
  long: 0.24,
  spoken: 0.0,
};
