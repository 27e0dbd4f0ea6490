/** How one says that so many of a thing went: "ate two", "7 sucked", "gave 4 to Dan", "minus the one on Jo", listed once for all who read it. */

const AWAY = "(?:\\s+(?:away|out|back|up|on|off|over|round|down))?";
/** Said before how many they are, or behind: "binned two", "two binned". What one only opened, tore or dropped is still there. */
const EITHER =
  "used|lost|binned|taken|given|lent|loaned|thrown|chucked|handed|sold|swapped|eaten|drunk|swallowed|sucked|chewed|scoffed|popped|stuck|squirted|poured|cracked|snapped|spent|consumed|applied|issued|dished|donated|wasted|spilt|spilled|stolen|nicked|pinched|sent";
const BEFORE = "took|gave|threw|ate|drank|put|passed|stirred|mixed|wore";
const BEHIND = "gone|missing|borrowed|discarded|disposed|went";
const DID = `(?:${EITHER}|${BEFORE})${AWAY}|(?:burn(?:ed|t)|got|went|gone|been)\\s+through|parted\\s+with`;
const DONE = `(?:${EITHER}|${BEHIND}(?:(?<=disposed)\\s+of)?)${AWAY}`;
/** "we", "the kids", "someone". */
const WHO =
  "(?:(?:and|but)\\s+)?(?:(?:we|i|he|she|they|you|kids|children|lads|boys|girls|guests|visitors|staff|some(?:one|body)|the\\s+\\p{L}+)(?:['’]ve|\\s+have|\\s+has|\\s+had)?\\s+)?";
const BUT = "(?:minus|less|missing|bar|barring|except(?:\\s+for)?|but\\s+for|not\\s+counting)";

/** Sources of patterns: verbs that say that what is counted behind them, or before them, went; who did it; all but so many. */
export const WENT_WORDS = { DID: `(?:${DID})`, DONE, WHO, BUT } as const;

/** One word of each stands in all that says so. */
export const MAY_SAY_WENT = new RegExp(
  `\\b(?:${EITHER}|${BEFORE}|${BEHIND}|through|parted|minus|less|bar|barring|except|but|not\\s+counting)\\b`,
  "i",
);
