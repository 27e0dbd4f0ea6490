import { OPEN_BOX } from "./cleanLines.ts";
import { remembering, rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import type { CardRow } from "./cardRow.ts";
import { withCountBehind } from "./countBehind.ts";
import { COUNTED_FIRST, isCounted } from "./counted.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import { countedList } from "./countedList.ts";
import { countedOnce } from "./countTwice.ts";
import { countedSorts, saysTwoCounts, type Knows } from "./countedSorts.ts";
import { eachAlike } from "./eachAlike.ts";
import { NUMBER_SAID, NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { COUNTS, isKind, joinedApart } from "./joinedThings.ts";
import { leftOfPacks } from "./leftOfPack.ts";
import { packsSaid } from "./packsSaid.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { withoutGroup, withoutLabel, withoutPlace } from "./labelsBefore.ts";
import { rephrase } from "./phrases.ts";
import { UNHEARD, type Heard } from "./heard.ts";
import { saysAmount } from "./recordFields.ts";
import { someWent } from "./someWent.ts";
import { countOf, withoutRemark } from "./remarkBehind.ts";
import { usedUp } from "./usedUp.ts";
import { withoutClosing, withoutLead } from "./sentenceEdges.ts";
import { eachRunOn, eachSaid, FEWEST_THINGS } from "./saidAloud.ts";
import { listsUsed, saysGone, speaksOfAbsence, speaksOfWant } from "./absence.ts";
import { eachVariant, sortsApart } from "./variants.ts";
import { BAG_WITH_NUMBER } from "./placeWords.ts";
import { THREE_LETTERS, TWO_LETTERS, quick } from "./quick.ts";

/** Rows in the plain writing that the grammar of counts reads; what leans on the row above is filled in. */

/** "do.", "ditto", "-do-": the name of the row above. */
const DITTO = /(?:^|(?<=\s))-?(?:do\.|ditto|〃|do-)(?=[\s,]|$)/i;
const DITTOS = /(?<=(?:^|\s)-?(?:do\.|ditto|〃|"|do-))(?:\s+-?(?:do\.|ditto|〃|"|do-))+(?=\s|$)/gi;
const SIZE_WORD = /\b(?:small|medium|large|lge|med|sml?|lg|big|little|xl)\b\.?/gi;

/** "Nitrile gloves S": of the next row it is another. */
const SIZE_LETTER = /\s(?:XS|X{0,3}L|[SM])\s*$/;

/** "(i) six ", "4 pcs ": list mark and count before the name. */
const LEADING_COUNT = quick(
  new RegExp(
    `^\\W*(?:\\(?[ivx]{1,4}\\)\\s*)?(?:${NUMBER_WORDS})\\s*(?:[x×]|pcs?|pkts?|prs?)?\\s+`,
    "iu",
  ),
);

/** "Gloves S (pairs)": so are those below. */
const IN_PAIRS = /\s\((?:pairs?|prs?)\)/i;
/** "No. 3 wound dressing": which of its sizes, before the name. */
const LEADING_SIZE_NUMBER = /^\W*(?:no|nr)\.?\s?\d{1,2}\s+(?=[a-z])/i;

/** The name on a row: its words before any number, without counts and size words. */
const nameOf = remembering(
  (text) =>
    text
      .replace(IN_PAIRS, " pairs ")
      .replace(LEADING_COUNT, "")
      .replace(LEADING_SIZE_NUMBER, "")
      .split(/\s*[,;:(]|\s+[-–—]\s|\s*[–-]?\s*\d/)[0]!
      .replace(SIZE_WORD, " ")
      .replace(SIZE_LETTER, "")
      .replace(/\s+/g, " ")
      .trim(),
  LINES_KEPT,
  LONGEST_KEPT,
);

/** "1 large dressing & 1 small ditto": what the same line named before; null: nothing. */
function namedBefore(text: string, at: number): string | null {
  const parts = text.slice(0, at).split(/\s*[&;+]\s*|,\s+|\s+and\s+/);
  const name = parts.length < 2 ? "" : nameOf(parts.at(-2)!);
  return THREE_LETTERS.test(name) ? name : null;
}

/** Most rows do not lean on the one above. */
const LEANS = /do\.|ditto|〃|do-|"|ones\b/i;
const ONES = quick(/^(\p{L}+)\s+ones\b/iu);
function withoutDitto(rows: readonly CardRow[]): CardRow[] {
  let above = "";
  return rows.map((row) => {
    const head = above.split(" ").at(-1)!;
    const text = LEANS.test(row.text)
      ? row.text
          // "do.   do.": of each word, all of the name.
          .replace(DITTOS, " ")
          .replace(DITTO, (_, at: number) => namedBefore(row.text, at) ?? above)
          // "blister ones": of what stands above.
          .replace(ONES, head === "" ? "$&" : `$1 ${head}`)
      : row.text;
    if (THREE_LETTERS.test(text) && !BAG_WITH_NUMBER.test(text)) above = nameOf(text);
    return text === row.text ? row : { ...row, text };
  });
}

/** Most lines do not end so. */
const COUNTS_OF_TWO = /\d\s*(?:[/+&]|and)\s*\d{1,3}\s*$/;
const NAMES_THEN_COUNTS = quick(
  /^(\p{L}[^/+&]*?(?:\([^)]*\)|\d\s?(?:%|mm|cm|ml|mg|g)(?!\p{L}))?[^/+&\d]*?)\s?(?:[/+&,]|\band\b)\s?([^/+&,]*?\p{L})[:,]?(?:\s+|\s*\.{3,}\s*)(\d{1,3})\s*(?:[/+&]|\band\b)\s*(\d{1,3})\s*$/u,
);
const NAMES_THEN_EACH = quick(
  new RegExp(
    `^(\\p{L}[^/\\d]*?)\\s?/\\s?(\\p{L}[^/\\d]*?)(?:\\s*[:,–-]\\s*|\\s+)(${NUMBER_WORDS})\\s+(?:of\\s+)?each\\W*$`,
    "iu",
  ),
);
/** "cas cards / pencils   3 / 2", "tweezers + magnifier: 1 + 1", "scissors/tweezers: 1 of each": names and counts each side of a sign. */
function eachOfBoth(row: CardRow, names: (text: string) => boolean): CardRow[] {
  const each =
    row.quantity === null && row.text.includes("/") && /each\W*$/i.test(row.text)
      ? NAMES_THEN_EACH.exec(row.text)
      : null;
  if (each && names(each[1]!) && names(each[2]!))
    return [each[1]!, each[2]!].map((name) => ({ ...row, text: `${name}: ${valueOf(each[3]!)}` }));
  const written = row.quantity === null ? row.text : `${row.text}  ${row.quantity}`;
  const m = COUNTS_OF_TWO.test(written) && NAMES_THEN_COUNTS.exec(written);
  return m && names(m[1]!) && names(m[2]!)
    ? [
        { ...row, text: `${m[1]!.trim()}  ${m[3]}`, quantity: null },
        { ...row, text: `${m[2]!.trim()}  ${m[4]}`, quantity: null },
      ]
    : [row];
}

/** "10 plasters / 4 wipes", "saline pods 25 / skin wipes 20": each side with its count is a thing. */
function eachSideOfStroke(row: CardRow): CardRow[] {
  if (!row.text.includes(" / ")) return [row];
  const sides = row.text.split(/\s\/\s/);
  // "10 plasters / 4 wipes / 1 foil blanket": each begins with its count.
  if (sides.length > 1 && sides.every((s) => COUNTED_FIRST.test(s)))
    return sides.map((text) => ({ ...row, text }));
  // "saline pods 25 / skin wipes 20": each side has its count.
  if (
    sides.length === 2 &&
    sides.every((s) => THREE_LETTERS.test(s) && /(?:^|\s|x|×)\d+\s*(?:pcs|pk)?\s*$/i.test(s))
  )
    return sides.map((text) => ({ ...row, text }));
  return [row];
}

const SIZE_IN =
  /\d+(?:[.,]\d+)?\s*(?:mm|cm|m)?\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:mm|cm|m)?|\d+(?:[.,]\d+)?\s*(?:mm|cm|m)\b/i;
const WORDS_FIRST = quick(/^[\p{L} '-]*\p{L}/u);
const TWO_LANGUAGES = quick(
  /^(\W*\d*\s*(?:[x×]\s*|(?:prs?|pks?|pkts?|pcs|ds|st|bx|rll?)\.?\s+)?)(\p{L}[^/]*?)\s\/\s(\p{L}[^/]*)$/iu,
);
/** "1 ds", "4 st": a box and pieces, cut short in Dutch and Swedish. */
const BOX_ABROAD = /(?<=\d\s*)ds\.?(?=\s)/i;
const PIECES_ABROAD = /(?<=\d\s*)st\.?(?=\s)/i;
const PACK_IN_BRACKETS = /\(\d{1,4}\)/;
/** "10 gasas estériles / sterile gauzes": two languages; the side that is known is read, with the count before both. */
function oneLanguage(row: CardRow, knows: (text: string) => boolean): CardRow {
  if (!row.text.includes(" / ")) return row;
  const m = TWO_LANGUAGES.exec(row.text);
  if (!m) return row;
  const [, count, left, right] = m as unknown as [string, string, string, string];
  if (knows(left) || !knows(right)) return row;
  // A size is written once, with either.
  const size = SIZE_IN.test(right) ? undefined : SIZE_IN.exec(left)?.[0];
  const sized = size === undefined ? right : right.replace(WORDS_FIRST, `$& ${size}`);
  // And so is what a pack holds.
  const pack = /\d/.test(right) ? undefined : PACK_IN_BRACKETS.exec(left)?.[0];
  const counted = count.replace(BOX_ABROAD, "box").replace(PIECES_ABROAD, "pcs");
  return { ...row, text: `${counted}${sized}${pack === undefined ? "" : ` ${pack}`}` };
}

/** "SLING .... 3 SMALL 2 BIG", "SHEARS .... YES": dots that lead to more than a number, which has been taken off. */
const LEADERS = /\s*\.{3,}\s*(?=[^\s.])/;
/** What they led to was a price, and is gone. */
const LEADERS_LAST = /\s*\.{3,}\s*$/;
const withoutLeaders = (row: CardRow): CardRow =>
  row.inTable || !row.text.includes("...")
    ? row
    : { ...row, text: row.text.replace(LEADERS_LAST, "").replace(LEADERS, ": ") };

/** What stands between the things of a line, where no comma does. */
const BETWEEN_THINGS = [" · ", " • ", " * ", " / ", " // ", " | ", " – ", " - ", "  "];
/** "Contents: 10 plasters", "We have 10 plasters". */
const LEAD = quick(
  /^\W*\p{L}[\p{L}' ]{1,28}(?::|\s[-–—]|\b(?:are|is|has|have|had|holds?|contains?|includes?|got|get|found|counted|of|with))\s+(?=(?:\d+|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty)\s*[x×]?\s*\p{L})/iu,
);
/** Stands between things, never before a remark. */
const LIST_MARK = /[·•*]/;
/** "2 tourniquets - one windlass, one ratchet": says more of what was counted. */
const ONE_OF_THEM = /^(?:one|an?|1)\s/i;
/** The things between such signs, without what leads the list; null: not each of them is counted, or too few. */
function thingsBetween(
  text: string,
  between: string,
  names: (text: string) => boolean,
): string[] | null {
  // "gloves, M – 4 pairs; gloves, L – 1/2 box": semicolons part the things.
  if (/[–-]/.test(between) && text.includes("; ")) return null;
  const parts = text.split(between).map((p) => p.trim());
  // "INCLUDES - 10 plasters - 4 wipes"
  const isHead = !/\d/.test(parts[0]!) && !COUNTED_FIRST.test(parts[0]!);
  if (isHead && parts.length > FEWEST_THINGS) parts.shift();
  const things = parts.map((p, i) => (i === 0 ? p.replace(LEAD, "") : p));
  const counted = things.filter(isCounted).length;
  // "1 space blanket / 1 glucose gel / whistle": one of several needs none.
  const areCounted =
    counted === things.length ||
    (counted >= FEWEST_COUNTED &&
      counted === things.length - 1 &&
      things.every((thing) => (LIST_MARK.test(between) && isCounted(thing)) || names(thing)));
  const isPair =
    things.length === 2 &&
    (LIST_MARK.test(between) ||
      (things.every((p) => COUNTED_FIRST.test(p)) && !ONE_OF_THEM.test(things[1]!)));
  return areCounted && (isPair || things.length >= FEWEST_THINGS) ? things : null;
}
/** Fewer tell no list. */
const FEWEST_COUNTED = 2;
/** Of two each is named. */
const NAMED_OF_THREE = 2;
/** "10 plasters · 4 wipes · 1 whistle": each counted, and most of them named. */
function eachBetween(row: CardRow, names: (text: string) => boolean): CardRow[] {
  if (row.inTable) return [row];
  for (const between of BETWEEN_THINGS) {
    const things = row.text.includes(between) ? thingsBetween(row.text, between, names) : null;
    if (
      things &&
      things.filter(names).length * 3 >= things.length * (things.length === 2 ? 3 : NAMED_OF_THREE)
    )
      return things.map((text) => ({ ...row, text, bullet: true }));
  }
  return [row];
}

/** A row for each part where all are named, outside brackets, and counted; else the row. */
const eachNamed = (
  row: CardRow,
  parts: readonly string[],
  names: (text: string) => boolean,
): CardRow[] =>
  parts.every(
    (p, i) =>
      names(p) &&
      (SAYS_NUMBER.test(p) || (row.quantity !== null && i === parts.length - 1)) &&
      TWO_LETTERS.test(p.replace(IN_BRACKETS, "")),
  )
    ? partsOf(row, parts)
    : [row];
/** A row for each part; what is counted at the end of the row counts the last. */
const partsOf = (row: CardRow, parts: readonly string[]): CardRow[] =>
  parts.map((text, i) => ({
    ...row,
    text,
    quantity: i === parts.length - 1 ? row.quantity : null,
  }));

/** "[x] shears      [x] tweezers      [ ] torch": boxes side by side; one left open among ticked ones is not there. */
const BOX = /^(?:\[[ xX✓✔]?\]|[☐☑✓✔])\s+/;
const BOXES_ACROSS = new RegExp(`\\s{2,}(?=${BOX.source.slice(1)})`);
function eachTicked(row: CardRow): CardRow[] {
  if (row.inTable) return [row];
  const parts = row.text.split(BOXES_ACROSS);
  if (parts.length < 2) return [row];
  const isTicked = parts.slice(1).some((part) => !OPEN_BOX.test(part)) || row.bullet;
  return parts
    .filter((part, i) => i === 0 || !isTicked || !OPEN_BOX.test(part))
    .map((part) => ({ ...row, text: part.replace(BOX, ""), bullet: true }));
}

const ACROSS = /(?<=\S)(?:\s{3,}|\t)(?=\S)/;
const COUNT_ALONE = /^\d{1,4}$/;
/** "Plasters      40      Eye pads      2": names and counts by turns; null: they do not take turns. */
function pairsAcross(row: CardRow, names: (text: string) => boolean): CardRow[] | null {
  const cells = [...row.text.split(ACROSS), ...(row.quantity === null ? [] : [row.quantity])];
  if (cells.length < 4 || cells.length % 2 === 1) return null;
  const countsAt = COUNT_ALONE.test(cells[0]!) ? 0 : 1;
  const counts = cells.filter((_, i) => i % 2 === countsAt);
  const things = cells.filter((_, i) => i % 2 !== countsAt);
  if (!counts.every((c) => COUNT_ALONE.test(c)) || !things.every(names)) return null;
  return things.map((text, i) => ({ ...row, text, quantity: counts[i]! }));
}
/** "Plasters 40          Eye pads 2": several side by side, each named and counted. */
function eachAcross(row: CardRow, of: Knowledge): CardRow[] {
  if (row.inTable || !ACROSS.test(row.text)) return [row];
  const pairs = pairsAcross(row, of.names);
  if (pairs) return pairs;
  // "eye pads 2     -     eye pads 1": none in the second.
  const parts = row.text.split(ACROSS).filter((part) => !/^[-–|]$/.test(part));
  // "Plasters      1 box (20)": the name and how many.
  if (parts.length < 2 || parts.some(saysAmount)) return [row];
  const others = FAR_ACROSS.test(row.text) ? othersAcross(row, parts, of) : null;
  return others ?? eachNamed(row, parts, (part) => of.names(part) || namesSeveral(part, of));
}
/** "dressings med 4, lge 2", "eye pads x 2, eye wash": sorts of a thing, or several things. */
const namesSeveral = (part: string, of: Knowledge): boolean =>
  part.includes(",") &&
  (countedSorts(part, of) !== null || part.split(/,\s+/).every((thing) => of.names(thing)));
const FAR_ACROSS = /\S(?:\s{5,}|\t)\S/;
/** "eye pads x5            torch": of two other things far apart one may have no count; null: they are not two others. */
function othersAcross(row: CardRow, parts: readonly string[], of: Knowledge): CardRow[] | null {
  const names = parts.map((part) => part.replace(COUNTS, " "));
  const areOthers =
    !parts.some((part) => SAYS_WHERE.test(part)) &&
    parts.some((part) => SAYS_NUMBER.test(part)) &&
    names.every((name) => of.isWhole(name) && isKind(of.typeOf(name))) &&
    new Set(names.map((name) => of.typeOf(name))).size === parts.length;
  return areOthers ? partsOf(row, parts).map((part) => ({ ...part, bullet: true })) : null;
}
const SAYS_WHERE = /^(?:in|on|at|with|for|from|by|under|behind|near|next)\s/i;

/** Goes on to another thing, whose count follows: "and 9x cold packs". */
const LEADS_ON =
  "and|plus|also|then|with|or|are|is|have|has|had|got|of|we|see|find|found|keep|holds?|contains?|counted";
/** "shears x1 marker x1": a count with its sign ends each. */
const COUNT_WITH_SIGN = quick(
  new RegExp(
    `(?<=[\\p{L}"”″)]\\s*[x×]\\s?\\d{1,3}|\\p{L}\\s\\d{1,3}\\s?[x×])(?<!\\b(?:${LEADS_ON})\\s\\d{1,3}\\s?[x×])\\s+(?=\\p{L}{3})(?!(?:${PACKS}|pairs?|pieces|tab(?:let)?s?|singles?)\\b)`,
    "iu",
  ),
);
/** "1x tweezers 1x whistle": a count with its sign begins each. */
const COUNT_BEFORE_SIGN = quick(
  new RegExp(`(?<=\\p{L})\\s+(?=\\d{1,3}\\s?[x×*]\\s?(?!${PACKS}\\b)\\p{L}{3})`, "iu"),
);
/** The same, with nothing between, where each is surely named and counted. */
function eachCounted(row: CardRow, names: (text: string) => boolean): CardRow[] {
  if (row.inTable || row.quantity !== null) return [row];
  const parts = [COUNT_WITH_SIGN, COUNT_BEFORE_SIGN]
    .map((between) => row.text.split(between))
    .find((found) => found.length > 1);
  return parts ? eachNamed(row, parts, names) : [row];
}

/** "MAIN: ". */
const LABEL = /^[^:;,\d]{2,20}:\s+/;
/** "closure strips (10 cards of 3); gauze 10 x 10 (30)": between semicolons, each named and counted. */
function eachClause(row: CardRow, of: Knowledge): CardRow[] {
  if (row.inTable || row.quantity !== null || !row.text.includes("; ")) return [row];
  const parts = row.text.split(/;\s+/).filter((p) => p !== "");
  // "MAIN: dressings - 3 small, 1 large; tape": a part that is several things ends at its semicolon.
  const bare = parts.map((p) => p.replace(LABEL, ""));
  // "strips asst 60; fngr tip 12; wipes 40": one of several that are counted may be called as nobody knows.
  const areCounted =
    bare.length >= FEWEST_THINGS &&
    bare.every(isCounted) &&
    bare.filter(of.names).length * 3 >= bare.length * NAMED_OF_THREE;
  if (areCounted) return bare.map((text) => ({ ...row, text, isOfList: true as const }));
  return bare.some((p) => eachVariant(rephrase(p), of).length > 1)
    ? bare.map((text) => ({ ...row, text, bullet: true }))
    : eachNamed(row, parts, of.names);
}

/** "tweezers/scissors/thermometer": so many are no other word for the same. */
const FEWEST_NAMES = 3;
function eachOfNames(row: CardRow, names: (text: string) => boolean): CardRow[] {
  const parts = row.inTable || /\d/.test(row.text) ? [] : row.text.split(/\s?\/\s?/);
  return parts.length >= FEWEST_NAMES && row.quantity === null && parts.every(names)
    ? parts.map((text) => ({ ...row, text }))
    : [row];
}

/** "scissors yes tweezers no", "shears yes, tweezers yes but bent": things with an answer each, two or more; what is there. */
const ANSWER = /[\s:,–-]+\b(yes|yep|yup|no|nope|none)\b(?:\s+but\s+\p{L}+)?[\s.,;!]*/giu;
/** Most rows do not, and runs of blanks and dashes would be gone through for nothing. */
const MAY_ANSWER = /^\D*\b(?:yes|yep|yup|no|nope|none)\b\D*$/i;
function eachAnswered(row: CardRow, names: (text: string) => boolean): CardRow[] {
  if (row.inTable || row.quantity !== null || !MAY_ANSWER.test(row.text)) return [row];
  const answers = [...row.text.matchAll(ANSWER)].map((m) => m[1]!.toLowerCase());
  const things = answers.length < 2 ? [] : row.text.replace(ANSWER, "\n").split("\n");
  if (things.length !== answers.length + 1 || things.pop() !== "" || !things.every(names))
    return [row];
  return things
    .filter((_, i) => answers[i]!.startsWith("y"))
    .map((text) => ({ ...row, text, isOfList: true as const }));
}

/** "There is also a whistle": goes on with what is there. */
const SAYS_MORE = /^(?:there(?:['’]?s|\s+(?:is|are))|also|plus)\b/i;
/** Shorter lines are one sentence, or abbreviations with their dots. */
const LONG_LINE = 100;
/** Fewer words are an abbreviation with its dot: "2 Triang. Bandage". */
const SHORTEST_SENTENCE = 3;
const SENTENCE_END = quick(
  /(?<=\p{Ll}{3}\)?|,\s(?:no|yes|ok))[.?!]\s+(?=\p{Lu}(?:\p{Ll}|\p{Lu}+:))/u,
);
/** A line that goes on for several sentences, as dictated, or says besides what is not there, is a row for each. */
function eachSentence(row: CardRow): CardRow[] {
  if (row.inTable) return [row];
  const missing = row.text.split(
    /(?<=[.;])\s+(?=(?:missing|absent|wanted|short|not\s+(?:there|found|present|included|supplied|provided)|sold\s+separately|to\s+(?:buy|order|replace))\s*:)/i,
  );
  if (missing.length > 1) return missing.flatMap((text) => eachSentence({ ...row, text }));
  // "The shears are new; the tweezers are missing."
  const clauses = /[(:]/.test(row.text) ? [] : row.text.split(/;\s+/);
  if (clauses.length > 1 && new Set(clauses.map(speaksOfAbsence)).size > 1)
    return clauses.flatMap((text) => eachSentence({ ...row, text }));
  const sentences = row.text.split(SENTENCE_END);
  const areWhole = sentences.every((s) => s.trim().split(/\s+/).length >= SHORTEST_SENTENCE);
  const saysMore =
    sentences.slice(1).some((s) => SAYS_MORE.test(s)) ||
    (sentences.length > 1 &&
      sentences.some((s) => speaksOfAbsence(s) || listsUsed(s) || speaksOfWant(s) || saysGone(s)));
  return row.text.length >= LONG_LINE || (areWhole && saysMore)
    ? sentences.map((text) => ({ ...row, text }))
    : [row];
}

/** What a row's rows rest on besides its words. */
export interface Knowledge extends Knows {
  /** Whether any word of a text is known. */
  readonly knows: (text: string) => boolean;
}
/** Counted sorts of one name are a row each; packs and what each holds are said in one way. */
function eachSort(row: CardRow, of: Knowledge): CardRow[] {
  if (row.quantity !== null || row.text.length > LONGEST_LIST || !saysTwoCounts(row.text))
    return [row];
  const said = countedOnce(row.text, of.typeOf);
  const list = said.replace(LIST_ENDS, "$1");
  const sorts = countedSorts(list, of) ?? sortsAndThing(list, of) ?? [packsSaid(said, of.names)];
  return sorts.map((text) => ({ ...row, text }));
}
const THING_LAST = quick(
  new RegExp(
    `^(\\W*\\p{L}[^\\d,;]*:\\s.*\\S)(?:,\\s+(?:and\\s+)?|\\s+(?:and|plus|&)\\s+)((?:\\d{1,3}|${NUMBER_SAID})\\s+\\p{L}[^,;:\\d]*)$`,
    "iu",
  ),
);
/** "Dressings: 4 medium, 2 large and 2 eye pads": sorts of one thing, and another behind them; null: it is no such list. */
function sortsAndThing(list: string, of: Knowledge): readonly string[] | null {
  const [, sorts, thing] = THING_LAST.exec(list) ?? [];
  if (thing === undefined) return null;
  const name = thing.replace(/^\S+\s+/, "");
  if (!of.isWhole(name) || !isKind(of.typeOf(name))) return null;
  const before = countedSorts(sorts!, of);
  return before === null ? null : [...before, thing];
}
/** "6 cm (3), 8 cm (2).": the stop is no part of the last sort. */
const LIST_ENDS = /([\d)])\s*[.;,]\s*$/;
/** Longer lines are prose. */
const LONGEST_LIST = 200;

/** "marker pens 5, shears 1 & gauze swabs 2". */
const eachListed = (row: CardRow, of: Knowledge): CardRow[] =>
  row.quantity === null && !row.inTable && SAYS_NUMBER.test(row.text)
    ? (countedList(row.text, of)?.map((text) => ({ ...row, text, isOfList: true as const })) ?? [
        row,
      ])
    : [row];
/** "four each of eye pads and slings". */
const eachOfSeveral = (row: CardRow, { names }: Knowledge): CardRow[] =>
  row.quantity === null
    ? (eachAlike(row.text, names)?.map((text) => ({ ...row, text, bullet: true })) ?? [row])
    : [row];

/** "two in the box and one in", "3 x 7.5 cm and 2 x": the line goes on, and nobody knows where; "gloves?" asks. */
const OPEN_END =
  /^\D*\d.*(?:\s(?:and|plus|or|with)(?:\s+an?)?|[a-z)]\s+(?:in|on|at)(?:\s+the)?)\s*$|(?:(?:\band|\bplus|[+&,])\s+\d{1,3}\s*[x×]|[+&]|^\D*\?)\s*$/i;
const VOLUME = "(\\d{1,4}(?:[.,]\\d)?\\s?(?:ml|cl|l|litres?))(?![\\p{L}])";
/** "Eyewash 2 x 500 ml (plus 10 x 20 ml pods)": so many of either volume, and no packs of packs. */
const TWO_VOLUMES = quick(
  new RegExp(
    `^([^\\d,;:(]*\\p{L}{3}[^\\d,;:(]*?)[\\s:,-]+(\\d{1,3})\\s?[x×]\\s?${VOLUME}\\s*(?:[,;+&/]|plus|and|\\()\\s*(?:(?:plus|and|also|\\+|&)\\s*)?(\\d{1,3})\\s?[x×]\\s?${VOLUME}(\\s+\\p{L}+)?\\)?\\W*$`,
    "iu",
  ),
);
/** The same as sortsBelow.ts sets sorts apart. */
const VOLUMES_APART = quick(
  new RegExp(
    `^([^\\d,;:(]*\\p{L}{3}[^\\d,;:(]*?)\\s+${VOLUME}\\s\\((\\d{1,3})\\);\\s${VOLUME}(\\s+\\p{L}+)?\\s\\((\\d{1,3})\\)$`,
    "iu",
  ),
);
/** Longer lines are prose. */
const MAY_HOLD = /^(?=.{1,160}$).*\d\s?(?:ml|cl|l|litres?)\b.*\d/i;
function eachOfVolumes(row: CardRow): CardRow[] {
  if (row.quantity !== null || row.inTable || !MAY_HOLD.test(row.text)) return [row];
  const of = (count: string, name: string, volume: string, form = "") => ({
    ...row,
    text: `${count} x ${name}${form} ${volume}`,
  });
  const said = TWO_VOLUMES.exec(row.text);
  if (said) {
    const [, name, first, held, second, heldBy, form] = said as unknown as string[];
    return [of(first!, name!, held!), of(second!, name!, heldBy!, form)];
  }
  const apart = VOLUMES_APART.exec(row.text);
  if (!apart) return [row];
  const [, name, held, first, heldBy, form, second] = apart as unknown as string[];
  return [of(first!, name!, held!), of(second!, name!, heldBy!, form)];
}

/** "4 x 10 cm gauze pads", with no other number: four of ten, or one of four by ten. */
const COUNT_OR_SIDE = quick(
  /(?=[1-9])(?<=^\W*|[,;+&]\s*|\band\s+)([2-9]|1[0-2])\s?[x×]\s?(?!\1\D)\d{1,2}(?:[.,]\d)?\s?(?:cm|in|["”″])\s+(?!(?:[^\d,;]*(?:bandage|cr[eê]pe|conforming|cohesive|elastic|tape|roll|wrap)))\p{L}[^\d,;+&]*(?=$|[,;+&])/iu,
);
const endsOpen = (row: CardRow): CardRow =>
  row.quantity === null && !row.inTable && (OPEN_END.test(row.text) || COUNT_OR_SIDE.test(row.text))
    ? { ...row, countDoubted: true }
    : row;

function eachPlainly(row: CardRow, of: Knowledge): CardRow[] {
  const { names, knows } = of;
  const own = oneLanguage(row, knows);
  const left = leftOfPacks(own.text);
  const text = row.quantity === null ? usedUp(left) : left;
  return eachAcross({ ...row, text }, of)
    .map((line) => (line.quantity === null ? { ...line, text: joinedApart(line.text, of) } : line))
    .flatMap(eachOfVolumes)
    .flatMap((line) => eachAnswered(line, names))
    .flatMap((line) => eachListed(someWent(line), of))
    .flatMap((line) => eachTicked(withoutLeaders(withoutLabel(line, names))))
    .flatMap((line) => eachClause(line, of))
    .flatMap((line) => eachOfSeveral(line, of))
    .flatMap((line) => eachSort(line, of))
    .flatMap((line) => eachSentence({ ...line, text: sortsApart(line.text, of) }))
    .map((line) => withoutLead(withoutClosing(line), names))
    .map((line) => withoutRemark(line, of))
    .flatMap((line) => eachSaid(line, names))
    .flatMap((line) => eachRunOn(line, names))
    .flatMap((line) => eachBetween(line, names))
    .flatMap((line) => eachCounted(line, names))
    .flatMap((line) => eachOfBoth(line, names))
    .flatMap((line) => eachOfNames(line, names))
    .map((line) => withCountBehind(someWent(endsOpen(line))))
    .flatMap((said) =>
      eachSideOfStroke(
        oneLanguage(
          withoutPlace(withoutGroup({ ...said, text: rephrase(said.text) }, names), of),
          knows,
        ),
      ).flatMap((row) => withOwnCounts(eachVariant(row.text, of), row)),
    );
}
/** Rows of the sorts that one row names, each with the row's count: but where each says its own and they come to that ("30" beside "plasters (20 fabric, 10 clear)"). */
function withOwnCounts(texts: readonly string[], row: CardRow): CardRow[] {
  const alike = texts.map((text) => ({ ...row, text }));
  if (row.quantity === null || texts.length < 2 || !COUNT_ALONE.test(row.quantity)) return alike;
  const counts = texts.map(countOf);
  const sum = counts.includes(null) ? null : counts.reduce((all: number, n) => all + n!, 0);
  return sum === Number(row.quantity) ? alike.map((said) => ({ ...said, quantity: null })) : alike;
}

/** A row without its place on the card, as text, and the rows it says, as text: what one said before is not gone through again. */
const saidBefore = rememberingFor(
  (row: string, of: Knowledge): readonly CardRow[] => eachPlainly(JSON.parse(row) as CardRow, of),
  LINES_KEPT,
  LONGEST_KEPT,
);

export const plainly = (
  rows: readonly CardRow[],
  of: Knowledge,
  heard: Heard = UNHEARD,
): CardRow[] =>
  withoutDitto(rows).flatMap(({ source, ...row }, at, all) => {
    heard(at / all.length);
    return saidBefore(JSON.stringify(row), of).map((said) => ({ ...said, source }));
  });
