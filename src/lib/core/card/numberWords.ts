const ONES = "one two three four five six seven eight nine".split(" ");
const TEENS =
  "ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen".split(" ");
const TENS = "twenty thirty forty fifty sixty seventy eighty ninety".split(" ");

/** Numbers in words that a count may be, with their value: one to ninety-nine, a hundred, a dozen. */
export const VALUE_OF: Readonly<Record<string, number>> = Object.fromEntries([
  ...ONES.map((w, i) => [w, i + 1] as const),
  ...TEENS.map((w, i) => [w, i + 10] as const),
  ...TENS.flatMap((ten, t) => [
    [ten, 10 * (t + 2)] as const,
    ...ONES.map((one, i) => [`${ten} ${one}`, 10 * (t + 2) + i + 1] as const),
  ]),
  ["a hundred", 100],
  ["a dozen", 12],
]);

export const TENS_SAID = TENS.join("|");
/** Source of a pattern for a count in words. */
export const NUMBER_SAID = `a hundred|a dozen|(?:${TENS_SAID})(?:[ -](?:${ONES.join("|")}))?|${TEENS.join("|")}|${ONES.join("|")}`;
/** Source of a pattern for a count in figures or words. */
export const NUMBER_WORDS = `\\d{1,4}|${NUMBER_SAID}`;
/** A number in figures or words stands somewhere in a text. */
export const SAYS_NUMBER = new RegExp(`\\d|\\b(?:${NUMBER_SAID})\\b`, "i");
/** All of a text is a number in words. */
export const IS_NUMBER_SAID = new RegExp(`^(?:${NUMBER_SAID})$`, "i");
