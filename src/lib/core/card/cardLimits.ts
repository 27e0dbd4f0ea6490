/** No line that names items is longer: it is not looked at, whatever it holds. */
export const LONGEST_LINE = 2_000;
/** No card has more lines; beyond it a paste was a mistake. */
export const MOST_LINES = 10_000;
/** So many lines are remembered as they were read, twice a long card: a step of its own each, a few kB a line. */
export const LINES_KEPT = 1_000;
/** Longer lines are read anew each time. */
export const LONGEST_KEPT = 200;
/** A card has fewer different words, but for rubbish. */
export const MOST_WORDS = 5_000;
