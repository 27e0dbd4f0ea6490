import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { COUNT_SAID, recounted } from "./someWent.ts";

/**
 * A count that is put right: on the line it stands on ("eye pads 20 (no, 12)", "20 wipes, wait, 12"), or on one of its own below
 * ("sorry, 12", "12, not 20", "12*"). It stands in the place of the other.
 */

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d]|[.,/:]\\d)`;
/** "no, 12", "no wait 12", "3 no 2"; not "dressing no 8", "No. 4". */
const NO =
  "no(?=,|\\s+(?:wait|sorry|hang|hold|make|it|that|there|only|just|scratch|actually)\\b)|(?<=\\d\\s)no(?=\\s)|nope";
/** Takes back what was said before it. */
const FIRM = `${NO}|wait|sorry|oops|whoops|hang\\s+on|hold\\s+on|actually|scratch\\s+that|strike\\s+that|correction|i\\s+mean|i\\s+meant|(?:or\\s+)?rather|make\\s+(?:that|it)|re-?count(?:ed)?|re-?checked|typo|edit(?:ed)?|should\\s+(?:say|read)|meant`;
const SOFT = "it['’]?s|that['’]?s|there\\s+are|only|just|is|the\\s+count\\s+is";
const TAKEN_BACK = `(?:(?:${FIRM})[\\s,:.!…-]+)+(?:(?:${SOFT})[\\s,:]+)*`;

/** "Ana: ": who writes. */
const LABEL = "(?:\\p{Lu}[\\p{L}. ]{0,24}:\\s+)?";
/** Forms of a line that only corrects; `count`: what is right. */
const ONLY_CORRECTS = [
  `^\\W*${LABEL}(?:${TAKEN_BACK}|(?:${SOFT})\\s+(?=.*\\bsorry\\b))(?<count>${COUNT_SAID})(?:[\\s,]*sorry)?\\W*$`,
  `^\\W*${LABEL}(?<count>${COUNT_SAID})[\\s,]+(?:sorry|i\\s+mean|actually|(?:and\\s+)?not\\s+${N})\\W*$`,
  `^\\W*${LABEL}not\\s+${N}[\\s,;-]+(?:but\\s+)?(?<count>${COUNT_SAID})\\W*$`,
  `^${LABEL}(?:\\*(?<before>\\d{1,3})|(?<count>\\d{1,3})\\*)$`,
].map((source) => quick(new RegExp(source, "iu")));

/** The same at the end of a line; a number stands before it. */
const AT_END = [
  `(?:\\s*[-–,;(…]\\s*|\\s*\\.{2,}\\s*|\\s+)${TAKEN_BACK}(?<count>${COUNT_SAID})\\)?[.!]*$`,
  `(?:\\s*[-–,;(]\\s*|\\s+)not\\s+${N}[\\s,]+(?:but\\s+)?(?<count>${COUNT_SAID})\\)?[.!]*$`,
].map((source) => quick(new RegExp(source, "iu")));
const MAY_CORRECT =
  /\b(?:no(?:pe|t)?|wait|sorry|oops|whoops|hang|hold|actually|scratch|strike|correction|mean|meant|rather|make|re-?count|re-?check|typo|edit|should)\w*\b|[*→]|[-=]>/i;

/** Read as it stands. */
const IN_ONE_WAY = /,\s*(?:make\s+that|no\s+wait|sorry|or\s+rather)\s+[\w-]+$/i;

const countOf = (forms: readonly RegExp[], line: string): RegExpExecArray | null => {
  for (const form of forms) {
    const found = form.exec(line);
    if (found) return found;
  }
  return null;
};

/** "eye pads x5 -> 4": from so many to so many. */
const FROM_TO = quick(
  /(?<=\p{L}.*)(?<![\d.,/]|\d\s?[x×]\s?)\d{1,3}\s*(?:->|=>|→)\s*(?=\d{1,3}(?:\s?(?:pcs|prs?|pairs?))?$)/iu,
);

function onItsLine(written: string): string {
  const line = /[→>]/.test(written) ? written.replace(FROM_TO, "") : written;
  if (IN_ONE_WAY.test(line)) return line;
  const found = countOf(AT_END, line);
  const before = found && line.slice(0, found.index);
  return before && SAYS_NUMBER.test(before) && /\p{L}{3}/u.test(before)
    ? recounted(before, found.groups!["count"]!)
    : line;
}

/** The lines with such counts put right in one way; as many as before. */
export function corrections(lines: readonly string[]): string[] {
  const read = [...lines];
  let above = -1;
  lines.forEach((line, i) => {
    if (line.trim() === "") return;
    if (line.length <= LONGEST_LINE && MAY_CORRECT.test(line)) {
      const alone = above >= 0 ? countOf(ONLY_CORRECTS, line.trim()) : null;
      const { count, before } = alone?.groups ?? {};
      if (alone && SAYS_NUMBER.test(read[above]!)) {
        read[above] = recounted(read[above]!.replace(/[.!,;\s]+$/, ""), (count ?? before)!);
        read[i] = "";
        return;
      }
      read[i] = onItsLine(line);
    }
    above = i;
  });
  return read;
}
