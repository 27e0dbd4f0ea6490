/** No line that names items is longer: it is not looked at, whatever it holds. */
export const LONGEST_LINE = 2_000;
/** No card has more lines; beyond it a paste was a mistake. */
export const MOST_LINES = 10_000;
