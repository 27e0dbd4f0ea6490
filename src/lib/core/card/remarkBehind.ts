import type { CardRow } from "./cardRow.ts";
import type { Knows } from "./countedSorts.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { withCountApart } from "./plainRow.ts";
import { REMARK_FORMS, type Told } from "./remarkForms.ts";
import { SIZED } from "./sized.ts";
import { quick, THREE_LETTERS } from "./quick.ts";
import { SAYS_WHAT_LIKE } from "./stretch.ts";

/** What is said behind a name and its count: "eye pads, 5 – for practice", "5 eye pads (1 torn)", "eye pads – Tom has them". */

/** Whether a part may be a remark at all: one look for all forms, since most parts are none. */
const ANY = new RegExp(REMARK_FORMS.map((f) => f.pattern.source).join("|"), "i");
/** "4", "2 pairs", "10 x 10 cm": the count or the size, most often; a year alone is a date. */
const COUNT_OR_SIZE =
  /^(?:\d{1,3}|[\d.,]+\s?(?:[x×]\s?[\d.,]+\s?)?(?:pairs?|prs?|pcs|pieces|cm|mm|m|ml|g))\.?$/i;
const isRemark = (part: string): boolean => !COUNT_OR_SIZE.test(part) && ANY.test(part);
const N = `(?:${NUMBER_WORDS})`;
const FIRST_NUMBER = quick(new RegExp(`^(?:\\p{L}+\\s+)??(${N})(?!\\p{L})`, "iu"));
/** What one remark says of a thing; null: it is none that is known. */
function told(part: string, count: number | null): Told | null {
  const found = REMARK_FORMS.find(
    (f) => (count !== null || f.ofCounted === undefined) && f.pattern.test(part),
  );
  const some = found?.ofNoMore ? FIRST_NUMBER.exec(part)?.[1] : undefined;
  if (some !== undefined && valueOf(some) > (count ?? 0)) return null;
  return found?.says ?? null;
}

const BETWEEN = /\s*[,;]\s+|\s+[-–—]\s+/;
/**
 * What remarks, one behind another, say of a thing; null: something else is said too.
 * @param count how many of it were counted; null: its count is not said
 */
export function remarksSay(remarks: string, count: number | null): Told | null {
  const parts = remarks === "" ? null : partsOf(remarks);
  return parts === null ? null : saidBy(parts, count);
}

/** Remarks one by one, without signs that set them off ("*get it back*"); null: one of them is none. */
function partsOf(remarks: string): readonly string[] | null {
  const parts = remarks
    .split(BETWEEN)
    .map((part) => part.trim().replace(/^[*_]+(?=\w)|(?<=\w)[*_]+$/g, ""));
  return parts.every(isRemark) ? parts : null;
}

function saidBy(parts: readonly string[], count: number | null): Told | null {
  const said = parts.map((part) => told(part, count));
  if (said.includes(null)) return null;
  // "1 expired, binned": that one went, and the others are there.
  return (["some", "gone"] as const).find((t) => said.includes(t)) ?? "there";
}

/**
 * "two yellowed at the edges": so many of them, and what they are like in a word that no table need hold. A thing of its own may be
 * said so as well; the reader asks.
 */
const STATE_OF_SOME = quick(
  new RegExp(
    `^(?!.*\\b(?:so|say|call|makes?|leaves)\\b)(?:(?<some>${N})|some|half|most|both|all)(?:\\s+of\\s+(?:them|these|those|which))?\\s+(?:(?:is|are|was|were|has|have|had|a\\s+bit|slightly|rather|very|quite|now|already|got|getting|going|gone|looks?|seems?)\\s+){0,3}(?<like>\\p{L}{3,}(?:ed|ing|y|ish)|torn|bent|stuck|worn|wet|damp|off|hard|soft|stiff|dead|dull|bad)(?:\\s+\\p{L}+){0,4}\\s*[.!]*$`,
    "iu",
  ),
);
function saysState(
  remark: string,
  count: number | null,
  knows: (text: string) => boolean,
): boolean {
  const said = STATE_OF_SOME.exec(remark)?.groups;
  if (!said || count === null || isRemark(remark)) return false;
  if (said["some"] !== undefined && valueOf(said["some"]) > count) return false;
  return !knows(remark.replace(said["like"]!, " "));
}

const GAP = quick(
  /\s*[:;,]\s+|\s+(?:[-–—]|\/\/|→|->|\|)\s+|(?<=\p{Ll}{2}|[\d)])[.!]\s+(?=\p{Lu})|\t\s*|\s{3,}(?=\p{L})/gu,
);
const IN_BRACKETS = /^(.*[^\s(])\s*\(([^()]+)\)\s*[.!]*$/;
const COUNT = quick(
  new RegExp(
    `^\\W*(${N})(?=\\s*[x×]|\\s)|(?:[\\s(:x×-])(${N})(?:\\s?(?:pcs|pieces|prs?|pairs?|ea|off|x)|\\s+\\p{L}{1,7})?\\.?\\)?$`,
    "iu",
  ),
);
/** How many a name is said with: before it, or at its end; null: it has no count. */
export function countOf(text: string): number | null {
  const m = COUNT.exec(text.replace(SIZED, " ").trim());
  if (m) return valueOf(m[1] ?? m[2]!);
  return ONE.test(text) ? 1 : null;
}
/** "roll of tape", "a torch". */
const ONE = new RegExp(`^\\W*(?:(?:an?\\s+)?(?:${PACKS}|rolls?|pair)\\s+of|an?)\\s`, "i");
/** Several things: which of them the remark is said of, nobody knows. */
const SEVERAL = quick(/\p{L}\s*(?:[,;+&]|\sand\s)\s*(?:\d+\s*)?\p{L}{3}/u);
const LAST_OF_LIST = quick(/^(.*[^\s,;+&])(?:\s*[,;+&]\s*|\s+and\s+)(\p{L}.*)$/iu);
/** "scissors 1, tweezers 1": what is listed before the last thing, which a remark takes away; null: it is one thing. */
function withoutLast(list: string, { names, isWhole, typeOf }: Knows): string | null {
  const [, others, last] = LAST_OF_LIST.exec(list) ?? [];
  if (others === undefined || countOf(others) === null) return null;
  const bare = last!.replace(/[\s:x×-]*\d{1,3}\s*$/, "");
  const isThing = names(others) && names(bare) && isWhole(bare);
  return isThing && typeOf(bare) !== typeOf(others) ? others : null;
}
/** "2 boxes of 50 plasters, one half empty": how many there are is said in it. */
const ONE_IS_HALF =
  /(?:\bof\s+\d|\d\s+(?:in\s+)?each\)).*\b(?:one|1)\s+(?:\w+\s+){0,4}half\s+(?:empty|full|used|gone)/i;
/** Longer lines are prose. */
const LONGEST = 120;

/**
 * A row without the remarks behind what it names, or as none where they say that all of it is gone; as it is where
 * anything else is said.
 * @param of what its words name
 */
export function withoutRemark(
  row: CardRow,
  of: Knows & { readonly knows: (text: string) => boolean },
): CardRow {
  const { names, knows } = of;
  if (row.text.length > LONGEST || ONE_IS_HALF.test(row.text)) return row;
  const plain = withoutComment(row, names);
  if (plain !== row) return plain;
  for (const [before, remarks] of splitsOf(row.text)) {
    if (!THREE_LETTERS.test(before)) continue;
    const count = row.quantity === null ? countOf(before) : Number.parseInt(row.quantity);
    if (saysState(remarks, count, knows))
      return withCountApart({ ...row, text: before, countDoubted: true });
    const parts = partsOf(remarks);
    if (parts === null) continue;
    const says = saidBy(parts, count);
    if (says === null) continue;
    if (says !== "gone") return withCountApart({ ...row, text: before });
    const others = row.quantity === null ? withoutLast(before, of) : null;
    if (others !== null) return { ...row, text: others };
    return names(before) && !SEVERAL.test(before)
      ? { ...row, text: before, quantity: "none" }
      : row;
  }
  return withNameFirst(row, of);
}

/** "dressings, 5 – for eyes": how many, and what is said of them in a few words without a number. */
const SAID_BEHIND = quick(
  new RegExp(
    `^([^,;+&\\d]*\\p{L}{3}[^,;+&\\d]*?(?:${SIZED.source})?)(\\s*[,:]\\s+|\\s+[x×]\\s*)(${N}(?:\\s?(?:pcs|pieces|prs?|pairs?|ea|off))?)(?:\\s+(?:[-–—|→]|->)\\s+|[.:;]\\s+|\\t\\s*|\\s{3,})(?!.*\\b(?:${N}|half|few|dozen|left)\\b)((?:\\p{L}[\\p{L}'’-]*\\s*){1,5})$`,
    "iu",
  ),
);
/** "2 wipes  // a spare set": set off as a program's comment is. */
const COMMENT = quick(/^(.*\p{L}.*\S)\s+(?:\/\/|#|→|->)\s+(\D*\p{L}\D*)$/u);
function withoutComment(row: CardRow, names: (text: string) => boolean): CardRow {
  const m = /\/\/|#|→|->/.test(row.text) ? COMMENT.exec(row.text) : null;
  if (!m || names(m[2]!)) return row;
  return TO_THE_BIN.test(m[2]!)
    ? { ...row, text: m[1]!, quantity: "none" }
    : withCountApart({ ...row, text: m[1]! });
}
/** "-> bin": that is where it went. */
const TO_THE_BIN = /^\W*(?:(?:to|in)\s+the\s+)?(?:bin|binned|rubbish|trash)\W*$/i;
/** What is said behind a count may tell the kind, and stands with the name then. */
function withNameFirst(row: CardRow, { names, isWhole }: Knows): CardRow {
  const m = SAID_BEHIND.exec(row.text);
  if (!m || !names(m[1]!)) return row;
  if (isWhole(m[4]!) && !SAYS_WHAT_LIKE.test(m[4]!.trim())) return row;
  return { ...row, text: `${m[1]!} (${m[4]!.trim()})${m[2]!}${m[3]!}` };
}

/** "plasters, 2 rolls NEW", "eye pads 4 ok": said right behind the count. */
const STATE_LAST =
  /^(.*(?:\d|\d\s?(?:pcs|rolls?|packs?|box(?:es)?|tubes?|tablets|pairs?|prs?|of\s\d+)|\btwo|three|four|five|six|nine|ten))\)?\s+(new|ok)$/i;

/** Each way to part a text into what comes first and what is said behind it, the longest remarks first. */
function* splitsOf(text: string): Generator<readonly [string, string]> {
  const bracketed = IN_BRACKETS.exec(text);
  const state = STATE_LAST.exec(text);
  if (state) yield [state[1]!, state[2]!];
  for (const gap of text.matchAll(GAP)) {
    const behind = text.slice(gap.index + gap[0].length);
    if (behind !== "") yield [text.slice(0, gap.index), behind];
  }
  if (bracketed) yield [bracketed[1]!, bracketed[2]!];
}
