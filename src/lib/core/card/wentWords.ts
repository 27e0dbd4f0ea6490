import { quick } from "./quick.ts";

/** How one says that so many of a thing went: "ate two", "7 sucked", "gave 4 to Dan", "minus the one on Jo", listed once for all who read it. */

const AWAY = "(?:\\s+(?:away|out|back|up|on|off|over|round|down))?";
/** Said before how many: "binned two". What one only opened, tore or dropped is still there. */
const DID = `(?:used|lost|binned|took|taken|gave|given|lent|loaned|threw|thrown|chucked|handed|sold|swapped|ate|eaten|drank|drunk|swallowed|sucked|chewed|scoffed|popped|stuck|put|squirted|poured|cracked|snapped|spent|consumed|applied|issued|dished|passed|donated|wasted|spilt|spilled|stirred|mixed|nicked|pinched|stolen|sent|wore)${AWAY}|(?:burn(?:ed|t)|got|went|gone|been)\\s+through|parted\\s+with`;
/** Said behind how many: "two gone". */
const DONE = `(?:used|gone|missing|lost|binned|taken|given|lent|thrown|chucked|handed|borrowed|loaned|discarded|disposed\\s+of|sold|swapped|eaten|drunk|swallowed|sucked|chewed|scoffed|popped|stuck|squirted|poured|cracked|snapped|spent|consumed|applied|issued|dished|donated|wasted|spilt|spilled|stolen|nicked|pinched|sent|went)${AWAY}`;
/** "we", "the kids", "someone". */
const WHO =
  "(?:(?:and|but)\\s+)?(?:(?:we|i|he|she|they|you|kids|children|lads|boys|girls|guests|visitors|staff|some(?:one|body)|the\\s+\\p{L}+)(?:['’]ve|\\s+have|\\s+has|\\s+had)?\\s+)?";
const BUT = "(?:minus|less|bar|barring|except(?:\\s+for)?|but\\s+for|not\\s+counting)";

/** Sources of patterns: verbs that say that what is counted behind them, or before them, went; who did it; all but so many. */
export const WENT_WORDS = { DID: `(?:${DID})`, DONE, WHO, BUT } as const;

/** One word of each stands in all that says so. */
export const MAY_SAY_WENT = quick(
  new RegExp(
    "\\b(?:used|gone|missing|lost|binned|took|taken|gave|given|lent|loaned|threw|thrown|chucked|handed|borrowed|loaned|discarded|disposed|sold|swapped|ate|eaten|drank|drunk|swallowed|sucked|chewed|scoffed|popped|stuck|put|squirted|poured|cracked|snapped|spent|consumed|applied|issued|dished|passed|donated|wasted|spilt|spilled|stirred|mixed|nicked|pinched|stolen|sent|wore|through|parted|went|minus|less|bar|barring|except|but|not\\s+counting)\\b",
    "i",
  ),
);
