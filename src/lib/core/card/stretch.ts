import { saysGone } from "./absence.ts";
import type { Token } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";
import { NO_TYPE } from "./vocabulary.ts";
import { THREE_LETTERS, quick } from "./quick.ts";

/** What a stretch of a line says by the way it is written: a count first, a pack, a remark, a place. */

/** Full phrases from this weight may stand as an item of their own after a comma. */
export const STANDS_ALONE = 2.5;

/** "3 more at 5 x 5 cm", "and one five centimetre one": the same thing in another size. */
export const THE_SAME =
  /^(?:\s*(?:more|others?|ones?|second|third|extra|another|at|in|of|size|smaller|larger|bigger|little|small|big|large|narrow|wide|short|long|too|as well)\b)*\s*$/i;

/** Its words, without numbers and signs. */
export const textOf = (tokens: readonly Token[]): string =>
  tokens
    .filter((t) => t.kind === "word")
    .map((t) => t.text)
    .join(" ");

/** "triangles ×1", "bandage 10 cm x 4", "pads 10x10 x10", "foil 1x": a count with its sign stands last. */
export const endsInCount = (tokens: readonly Token[]): boolean => {
  const [third, second, last] = [tokens.at(-3), tokens.at(-2), tokens.at(-1)];
  if (!third || !second || !last) return false;
  if (last.kind === "times")
    return second.kind === "number" && last.start === second.end && third.kind === "word";
  if (last.kind !== "number" || second.kind !== "times") return false;
  // Behind a number it is a side of a size, unless the sign stands with the count.
  return third.kind !== "number" || (second.start > third.end && last.start === second.end);
};

/** "gauze pads (10)": a count in brackets stands last. */
export const endsInBrackets = (tokens: readonly Token[]): boolean => {
  const [open, count, close] = [tokens.at(-3), tokens.at(-2), tokens.at(-1)];
  return open?.kind === "open" && count?.kind === "number" && close?.kind === "close";
};

/** Only what things come in: "a card of ten". */
export const ONLY_PACKS =
  /^(?:\s*(?:full|new|opened|unopened|sealed|half|cards?|packs?|packets?|box(?:es)?|strips?|bags?|sleeves?|sheets?|blisters?|foils?|cartons?|tab(?:let)?s?|capsules?|caplets?|pcs|pieces)\b)*\s*$/i;
export const saysPackOf = (tokens: readonly Token[]): boolean =>
  /\b(?:cards?|packs?|packets?|box(?:es)?|strips?|bags?|sleeves?|sheets?|blisters?) (?:of|with)\b/i.test(
    textOf(tokens),
  );

/** "dressings, three medium and one large" */
export const SIZE_WORD = /\b(?:small|medium|large|big|little|[SML]|X+L)\b/i;
export const SIZE_ONLY =
  /^\s*(?:extra[\s-]+)?(?:small|medium|large|big|little|[SML]|X+L)(?:\s+ones?)?\s*$/i;

/** "with", "w/". */
export const isWith = (t: Token): boolean =>
  (t.kind === "word" && /^with$/i.test(t.text)) || (t.kind === "separator" && t.text === "w/");

/** "three of the little ones": the thing before, in another size. */
export const saysOnes = (tokens: readonly Token[]): boolean =>
  tokens.some((t) => t.kind === "word" && /^ones$/i.test(t.text)) &&
  tokens.some((t) => t.kind === "word" && /^(?:of|the|those|these)$/i.test(t.text));

/** "a torch, dead battery": the state of what came before. */
export const TELLS_STATE =
  /^\s*(?:a\s+)?(?:dead|flat|empty|no|old)\s+batter(?:y|ies)\s*$|^\s*(?:(?:of\s+)?(?:them|which)\s+)?(?:s|is|are|has|have|was|were|been|already|a\s+bit|looks?|look)*\s*(?:(?:s|is|are|has|have|was|were|been|already|looks?)\s+)*(?:out\s+(?:of\s+)?date|in\s+date|opened|open|used|torn|expired|damaged|crumpled|creased|loose|rusty|split|wet|damp|past\s+it)\s*$/i;
/** "they'll need replacing", "they actually cut my belt": said of the thing before, and names nothing; "they're the blue ones" does. */
const REMARK = quick(
  /^(?:they|it|which|who|i|we|you)(?:['’](?:ll|ve|d)\b)?\s+(?!count|have|got|see|found|make|is|are|was|were)\p{L}/iu,
);
const DENIES = quick(/\b(?:not|never|\p{L}+n['’]t)\b/iu);
export const isRemark = (tokens: readonly Token[]): boolean => {
  const said = textOf(tokens);
  return (
    REMARK.test(said) &&
    !DENIES.test(said) &&
    !saysGone(said) &&
    !tokens.some((t) => t.kind === "number" && !t.article)
  );
};

/** "top layer", "front pocket": where things lie, not a thing. */
export const TELLS_PLACE =
  /^\s*(?:in|on|at)?\s*(?:the\s+)?(?:very\s+)?(?:top|bottom|front|back|side|inside|outside|inner|outer|left|right|middle|main|lid|first|second|third|next|lower|upper|zip|zipped|mesh)\s+(?:layer|pocket|shelf|tray|lid|compartment|drawer|pouch|section|bit|part|half)s?\s*$/i;

/** Words that only describe: a count before them is no item of its own. */
export const onlyDescribes = (noun: string): boolean =>
  noun
    .split(" ")
    .every((w) =>
      /^(?:it's|they're|twin|double|single|large|small|medium|sizes?|sterile|adult|child|off|just|the|it|my|our|count|reckoning|guess|envelopes?|per|staples?|well|inside|here|there|are|is|assorted|left|different|various|types?|colou?rs?|wide|long|tablets?|tabs?|caps?|capsules?|caplets?|pills?|them|those|these|altogether|left|packs?|pkgs?|pkts?|shts?|cs|boxe?s?|bottles?|cans?|tubes?|pots?|tubs?|cartons?|bags?|in|to|a|each|sachets?|pods?|ampoules?|ampules?|vials?|strips?|pads?|wipes?|swabs?|rolls?|pieces?|units?|doses?|singles?|refills?|by|and|or|other|inch|piece|sets?|with|for|uses?|applications?|total|all|blades?|pockets?|compartments?|used|gone|more|mixed|opened|unopened|expired)$/i.test(
        w,
      ),
    );

/** "12 (cheap ones, dont stick)": a count with a remark in brackets, and no thing named outside them. */
export function onlyRemarks(tokens: readonly Token[]): boolean {
  const open = tokens.findIndex((t) => t.kind === "open");
  return open > 0 && onlyDescribes(readQuantity(tokens.slice(0, open)).noun || "off");
}

/** Names something, and does not only describe. */
export const hasNoun = (reading: Reading) =>
  THREE_LETTERS.test(reading.noun) && !onlyDescribes(reading.noun);

/** A count, not a size or a strength, before the first word. */
export function leadingCount(tokens: readonly Token[]): boolean {
  for (let i = 0; i < tokens.length; i++) {
    const t = tokens[i]!;
    if (t.kind === "number") {
      const next = tokens[i + 1];
      if (next && ["length", "volume", "strength", "otherUnit"].includes(next.kind)) return false;
      return !(
        next?.kind === "times" &&
        tokens[i + 2]?.kind === "number" &&
        ["length"].includes(tokens[i + 3]?.kind ?? "")
      );
    }
    if (
      t.kind === "word" &&
      !/^(?:the|there'?s|there|are|is|i|we|have|got|has|oh|um|uh|er|and|another|about|of|those|some|also|then|so|with|plus|only|just|in|x|qty|that's|it's|they're)$/i.test(
        t.text,
      )
    )
      return false;
  }
  return false;
}

/** What often comes with a thing, and is not the thing. */
export const ACCESSORIES: ReadonlySet<string | null> = new Set([
  "bandage-clip",
  "safety-pin",
  "container",
  "pencil",
  "first-aid-guide",
  "contents-card",
  "cord",
  "lubricant-sachet",
  NO_TYPE,
]);

/** Names a kind where it stands alone, and says of another thing what it is like. */
export const SAYS_WHAT_LIKE =
  /^(?:sheer|cohesive|hydrogel|hydrocolloid|nitrile|vinyl|latex|(?:non|low)[\s-]?(?:adherent|adhesive|stick)|conforming|tubular|vacuum[\s-]?(?:packed|sealed)|compressed|vented|haemostatic|hemostatic|crepe|elastic|flat|(?:ce|fda)[\s-]?marked|in\s+(?:an?\s+|its\s+)?(?:pouch|bag|box|case|tube|tin|wallet))$/i;
