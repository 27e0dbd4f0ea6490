/**
 * What counts as equal. Values and shares come out of sums of products of decimals: differences
 * below these are rounding, far below anything that a fact about a kit could change.
 */

/** Values of needs, factors and coverage, on 0–1. */
export const SHARE_TOLERANCE = 1e-9;
/** Pieces, units of a function, days, re-dressings: before rounding to whole ones. */
export const COUNT_TOLERANCE = 1e-9;
/** Mass in g and bulk in ml. */
export const LOAD_TOLERANCE = 1e-6;
/** Points of coverage on 0–100 as the solver gives them: its own feasibility tolerance is 1e-6 a row. */
export const POINTS_TOLERANCE = 1e-4;

export const atLeast = (value: number, asked: number): boolean => value >= asked - SHARE_TOLERANCE;
/** A factor or value of 1. */
export const isWhole = (share: number): boolean => share > 1 - SHARE_TOLERANCE;
/** Rounded up to whole pieces, but not for the last bit of a sum; never −0, which would print as such. */
export const wholeUp = (units: number): number => Math.ceil(units - COUNT_TOLERANCE) + 0;
/** Rounded down to whole pieces, but not for the last bit of a sum. */
export const wholeDown = (units: number): number => Math.floor(units + COUNT_TOLERANCE);
