import { speaksOfAbsence } from "./absence.ts";
import type { CardRow } from "./cardRow.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { BEGINS_TO_SPEAK } from "./saidAloud.ts";
import { quick } from "./quick.ts";

/**
 * How a sentence comes to what it lists, and how it ends: "Here is what is in the shed: a tin containing ten plasters", "The lid has
 * plasters x 5, … and two slings in total."
 */

type Names = (text: string) => boolean;

/** Longer is a story. */
const LONGEST_LEAD = 160;

/** What it says of the things that follow. */
const SAYS_THERE = [
  "contain(?:s|ing|ed)|consist(?:s|ing)?\\s+of|hold(?:s|ing)|compris(?:es|ing|e)|made\\s+up\\s+of|includ(?:es|ing|ed)",
  "carr(?:y|ies|ying)|com(?:es|ing|e)\\s+with|(?:supplied|equipped|packed|filled|stocked|issued)\\s+with",
  "(?:ha(?:s|ve|d)|['’]ve)(?:\\s+got)?|(?:there|here)(?:\\s+(?:is|are|was|were)|['’]s|['’]re)(?:\\s+(?:also|still|now))?",
  "(?:you(?:['’]ll)?\\s+)(?:get|find|receive)|you\\s+will\\s+(?:get|find|receive)|(?:i|we|they)\\s+(?:(?:just|also|still|now)\\s+)?(?:found|counted|put\\s+in|packed|keep|got|took|bought|added)",
  "(?:i|we)\\s+(?:just\\s+)?(?:have|carry)|counted|found|packed",
].join("|");
const LEAD = quick(
  new RegExp(
    `^(?:[^\\d:;,]|\\b1\\b|,\\s|:\\s){0,${LONGEST_LEAD}}?(?:^|[\\s’'])(?:${SAYS_THERE})\\s*:?\\s+(?=\\S)`,
    "iu",
  ),
);
const COUNT_NEXT = quick(
  new RegExp(
    `^(?:(?:about|around|roughly|maybe|nearly)\\s+)?(?:\\d{1,4}|${NUMBER_SAID}|an?|some)\\s*[x×]?\\s+\\p{L}`,
    "iu",
  ),
);
/** "There are no plasters", "is to be ordered": nothing is there. */
const SAYS_NOT =
  /^(?:no|not|none|nothing|never|to|been|out|all|only\s+to|missing|gone|used|empty|low|ok|okay|fine|in\s+date)\b/i;
/** The words that hold things are none of them. */
const HOLDERS =
  /\b(?:box(?:es)?|bags?|kits?|cases?|pouch(?:es)?|tins?|drawers?|cupboards?|packs?|lids?|shelf|tray|pockets?|first[\s-]aid)\b/gi;

/** "On top 6 x plasters", "In the lid plasters x 5, …". */
const PLACE_FIRST =
  /^(?:(?:in|on|inside|under|behind|at)\s+(?:the\s+)?(?:(?:very\s+)?(?:top|bottom|front|back|rear|side|left|right|inner|outer|inside|outside|main|middle|lower|upper|lid|small|big|large|zip|mesh|red|blue|green|yellow|orange|first|second|third)\s*){1,3}(?:hand\s+side|layer|pockets?|shelf|tray|lid|compartment|drawer|pouch|section|flap|half|bag|box)?)(?:\s*[,:–-]|\s+(?:there\s+)?(?:is|are))?\s+(?=\S)|^(?:left|remaining|still)\s+(?:in|on)\s+(?:the\s+)?[a-z]+(?:\s[a-z]+)?\s+(?:is|are)\s+(?=\S)/i;

/** "Didn't we have 2 tourniquets?" */
const ASKS_OR_DENIES =
  /n['’]t\b|\b(?:(?:did|do|does|have|has|is|are|was|were|could|would|should)nt|not|no|never|if|why|where|how\s+come)\b/i;

/** "okay so there's": how one talks, which tells that someone does. */
const SPOKEN =
  /^(?:(?:um+|uh|er|okay|ok|so|right|and|then|well|now|yeah|also|next|first)[,\s]+)*(?:(?:there|here)(?:['’]?s|\s+(?:is|are))|(?:we|i)(?:['’]ve)?\s+(?:have|got)|we['’]ve\s+got)(?:\s+(?:also|still|now))?\s+$/i;

/** Where the list may begin, one lead after another: "Here is what is in the shed: a pouch containing | ten plasters". */
function* leadsOf(text: string): Generator<string> {
  let lead = "";
  for (;;) {
    const rest = text.slice(lead.length);
    const next = LEAD.exec(rest)?.[0] ?? PLACE_FIRST.exec(rest)?.[0];
    if (next === undefined || lead.length + next.length > LONGEST_LEAD) return;
    yield (lead += next);
  }
}
/** "So pocket masks we've got seven", "right, eye pads there's two": words that only begin to speak, before a name that is said first. */
const NAME_SAID_FIRST = quick(
  new RegExp(
    `^(?:(?:${BEGINS_TO_SPEAK})\\b[,.]?\\s+)+(?=\\p{L}[^,;:]*?\\s(?:there(?:['’]?s|\\s+(?:is|are))|(?:we|i)(?:['’]ve\\s+got|\\s+have|\\s+can\\s+see))\\s+(?:only\\s+|about\\s+)?(?:\\d|${NUMBER_SAID}|an?\\b))`,
    "iu",
  ),
);
const withoutBeginning = (row: CardRow): CardRow =>
  row.inTable ? row : { ...row, text: row.text.replace(NAME_SAID_FIRST, "") };
/** The row without it. */
export function withoutLead(said: CardRow, names: Names): CardRow {
  const row = withoutBeginning(said);
  if (row.inTable || row.quantity !== null || row.text.trimEnd().endsWith("?")) return row;
  for (const lead of leadsOf(row.text)) {
    if (speaksOfAbsence(lead) || ASKS_OR_DENIES.test(lead)) return row;
    if (lead.replace(HOLDERS, " ").split(/[,;]/).some(names)) return row;
    if (SPOKEN.test(lead)) continue;
    const rest = row.text.slice(lead.length);
    const things = rest.split(/[,;]/);
    const isList =
      COUNT_NEXT.test(rest) || (things.length > 1 && names(things[0]!) && /\d/.test(rest));
    if (isList && !SAYS_NOT.test(rest) && things.some(names))
      return { ...row, text: rest, bullet: true };
  }
  return row;
}

/** "… and two slings in the box.", "… x 5, that's it.": said of the whole list; behind a number it would tell how many. */
const CLOSING = quick(
  /(?<!\b(?:not|never|longer|kept|now|is|are|was|lives?|back|put|rest|others?|more|ones?))(?<=\p{L}|\)|[x×]\s?\d{1,3}|\d\s?(?:cm|mm|m|ml))(?:,?\s+(?:in\s+(?:the|this|that)\s+(?:box|bag|kit|tin|lid|pocket|cupboard|drawer|pouch|case)|in\s+(?:total|all)|altogether|as\s+well|(?:and\s+)?nothing\s+else|(?:(?:and|so)\s+)?that['’]?s\s+(?:it|all|the\s+lot|everything)|at\s+the\s+moment|for\s+now))+[.!]?\s*$/iu,
);
const BETWEEN = /,\s|(?:^|\s)(?:and|plus|as\s+well\s+as)\s/i;
/** The row of a list without what is said at its end. */
export const withoutClosing = (row: CardRow): CardRow =>
  row.inTable || row.quantity !== null || !BETWEEN.test(row.text)
    ? row
    : { ...row, text: row.text.replace(CLOSING, "") };
