import { ABSENT, isSaidAbsent } from "./absence.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import { lex, type Token } from "./lexer.ts";
import { PACK } from "./packWords.ts";
import { readQuantity, type Reading } from "./quantity.ts";
import { JOINS_BETTER, startsItem, type LineSaid, type Stretch } from "./startsItem.ts";
import {
  ACCESSORIES,
  isRemark,
  isWith,
  leadingCount,
  SIZE_ONLY,
  STANDS_ALONE,
  TELLS_PLACE,
  textOf,
  THE_SAME,
} from "./stretch.ts";
import { matchType, NO_TYPE, type Match, type Vocabulary } from "./vocabulary.ts";

/** A stretch of a line that names one item. */
export interface Segment {
  readonly tokens: readonly Token[];
  /** As it stands on the card. */
  readonly text: string;
  readonly reading: Reading;
  readonly match: Match;
  /** Said to be absent, not supplied or sold separately. */
  readonly absent: boolean;
  /** It takes the place of what was said before ("no wait, two pairs"). */
  readonly corrects: boolean;
}

const CORRECTION =
  /\s*(?:[-–,.;…]|\b)\s*\b(?:no[,\s]+(?:wait|hang\s+on)|wait[,\s]+no|no[,\s]+sorry|sorry[,\s]+no|no[,\s]+(?:make|that)'?s?(?:\s+(?:that|it))?|no[,\s]+there'?s\s+another(?:\s+one)?[,\s]+(?=\w)|make\s+that|make\s+it|i\s+mean|i\s+meant|or\s+rather|(?:no[,\s]+)?i\s+tell\s+a\s+lie|scratch\s+that|strike\s+that|correction|actually|but\s+(?:i\s+(?:can\s+)?(?:only\s+)?(?:see|count|find|have)|there(?:'s|\s+are|\s+is)\s+only|only)|sorry|(?:there\s+)?(?:should|ought\s+to)\s+be\s+[\w-]+[,\s]+(?:but\s+)?(?:i\s+(?:can\s+)?(?:only\s+)?(?:see|count|find|have|make\s+it)|there(?:'s|\s+are|\s+is)|only)(?:\s+only)?|hang\s+on|hold\s+on|(?<!\()\bno(?=[,]?\s+(?:it'?s|they'?re|there'?s|there\s+are|that'?s|only|just|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|a\s+dozen))|(?<=[,;–-]\s*)\bno,\s+(?=\d))\b[,:]?\s*/i;

/** Splits a line into items: by separators, unless what follows only describes the item before. */
export function segmentsOf(text: string, vocabulary: Vocabulary): Segment[] {
  const parts = splitCorrections(text);
  const segments: Segment[] = [];
  for (const part of parts) {
    const drafts = merge(
      chunks(part.text).flatMap((d) => atWith(d, vocabulary)),
      part.corrects,
      vocabulary,
    );
    drafts.forEach((draft, i) => {
      segments.push(finish(draft, part.text, part.corrects && i === 0, vocabulary));
    });
  }
  return segments;
}

/** The text before and after each spoken correction. */
function splitCorrections(text: string): { text: string; corrects: boolean }[] {
  const parts: { text: string; corrects: boolean }[] = [];
  let rest = text;
  let corrects = false;
  for (;;) {
    const m = CORRECTION.exec(rest);
    // A correction corrects with something: a number must follow it, or it is only a way of speaking.
    if (!m || m[0] === "") break;
    const after = rest.slice(m.index + m[0].length);
    const firm = /scratch|strike|correction|lie|wait|mean|make|rather|sorry|\bno\b/i.test(m[0]);
    if (
      !firm &&
      !/\d|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|dozen|a)\b/i.test(
        after,
      )
    )
      break;
    parts.push({ text: rest.slice(0, m.index), corrects });
    rest = after;
    corrects = true;
  }
  parts.push({ text: rest, corrects });
  return parts.filter((p, i) => p.text.trim() !== "" || i === 0);
}

/** Tokens between separators that are outside brackets. */
function chunks(text: string): Stretch[] {
  const tokens = lex(text);
  const ends = separatorsIn(tokens);
  const from = [0, ...ends.map((at) => at + 1)];
  return from
    .map((start, i): Stretch => {
      const by = tokens[start - 1];
      return {
        // The whole line as it is, which remembers its reading.
        tokens: ends.length === 0 ? tokens : tokens.slice(start, ends[i]),
        strong: by?.kind === "separator" && by.strong,
        comesWith: by !== undefined && /^w[/.]/i.test(by.text),
        adds: by !== undefined && /^(?:[+&]|and|plus)$/i.test(by.text),
      };
    })
    .filter((d) => d.tokens.length > 0 && !TELLS_PLACE.test(textOf(d.tokens)));
}

/** Where the separators stand that are outside brackets, but for those of counting aloud, which stays together. */
function separatorsIn(tokens: readonly Token[]): number[] {
  const found: number[] = [];
  let depth = 0;
  tokens.forEach((t, i) => {
    if (t.kind === "open") depth++;
    if (t.kind === "close") depth = Math.max(0, depth - 1);
    if (t.kind !== "separator" || depth > 0) return;
    const previous = tokens[i - 1];
    const next = tokens[i + 1];
    const aloud =
      previous?.kind === "number" &&
      next?.kind === "number" &&
      previous.spoken &&
      next.spoken &&
      next.value === previous.value + 1;
    if (!aloud) found.push(i);
  });
  return found;
}

/** No thing is told in more words, numbers and signs; what goes on is rubbish, and each look at it would be dearer than the last. */
const MOST_TOKENS = 80;

/** Whether a thing with what is said of it is still called what it was, or both name one thing better than each: "gloves, nitrile". */
function namesAsBefore(before: Stretch, said: Stretch, vocabulary: Vocabulary): boolean {
  const [thing, more] = [before, said].map((stretch) => readQuantity(stretch.tokens).noun);
  const [alone, both] = [thing!, `${thing!} ${more!}`].map((noun) => matchType(noun, vocabulary));
  const { weight } = matchType(more!, vocabulary);
  return (
    alone!.type === both!.type || both!.weight > JOINS_BETTER * Math.max(alone!.weight, weight)
  );
}

/** Puts stretches that only say more of the one before together with it. */
function merge(drafts: Stretch[], corrects: boolean, vocabulary: Vocabulary): Stretch[] {
  const seen = drafts.map((d) => {
    const reading = readQuantity(d.tokens);
    return { reading, match: matchType(reading.noun, vocabulary) };
  });
  const whole = seen.filter((s) => s.match.whole === 1 && s.match.weight >= STANDS_ALONE);
  const line: LineSaid = {
    corrects,
    explicit: seen.filter((s) => s.reading.pieces !== null && !s.reading.article).length,
    // Each thing without a type is a kind of its own.
    kinds: new Set(whole.map((s) => (s.match.type === NO_TYPE ? s.reading.noun : s.match.type)))
      .size,
    vocabulary,
  };
  const merged: Stretch[] = [];
  drafts.forEach((draft, i) => {
    const before = merged.at(-1);
    if (before && isRemark(draft.tokens)) return;
    const starts = before
      ? startsItem(before, draft, seen[i]!.match, merged.length === 1, line)
      : true;
    if (!before || starts === true) {
      merged.push(draft);
      return;
    }
    if (before.tokens.length >= MOST_TOKENS) return;
    if (starts === "remark" && !namesAsBefore(before, draft, vocabulary)) return;
    // a separator must stay between, or numbers would join
    const at = before.tokens.at(-1)!.end;
    const between = { kind: "separator", strong: false, start: at, end: at } as const;
    before.tokens = [
      ...before.tokens,
      { ...between, text: draft.comesWith ? "w/" : "," },
      ...draft.tokens,
    ];
  });
  return merged;
}

/** "airway c/w lube sachet": what comes with it is a thing of its own, where both name one whole. */
function atWith(draft: Stretch, vocabulary: Vocabulary): Stretch[] {
  const at = draft.tokens.findIndex((t) => t.kind === "word" && /^with$/i.test(t.text));
  if (at < 1) return [draft];
  const open = draft.tokens.findIndex((t, i) => i > at && t.kind === "open");
  const before = draft.tokens.slice(0, at);
  const after = draft.tokens.slice(at + 1, open < 0 ? undefined : open);
  const [a, b] = [before, after].map((t) => matchType(readQuantity(t).noun, vocabulary)) as [
    Match,
    Match,
  ];
  // "the orange pouch with 1 face shield": what is in it is listed, not it.
  const listsWhat = leadingCount(after) && b.type !== null;
  if (a.type === "container" || (a.type === "waste-bag" && listsWhat))
    return listsWhat ? [{ ...draft, tokens: after }] : [draft];
  return areTwo(before, after, a, b, vocabulary)
    ? [
        { ...draft, tokens: before },
        { tokens: after, strong: true },
      ]
    : [draft];
}

/** All words are those of one name. */
export const isWhole = (m: Match): boolean => m.whole === 1 && m.explained === 1 && m.unknown === 0;

/** Whether what stands before and after "with" are two things. */
function areTwo(
  before: readonly Token[],
  after: readonly Token[],
  a: Match,
  b: Match,
  vocabulary: Vocabulary,
): boolean {
  if (!isWhole(a) || !isWhole(b) || a.type === b.type || b.weight < STANDS_ALONE) return false;
  const reading = readQuantity(after);
  const isCounted = leadingCount(after) && !reading.article;
  // A part that nobody carries alone, or a number that leads to no count of it.
  if (!isCounted && (NOT_APART.has(b.type) || reading.pieces !== null)) return false;
  const both = matchType(`${readQuantity(before).noun} ${reading.noun}`, vocabulary);
  return both.whole < 1 || both.type === a.type || both.type === b.type;
}

/** "two bigger ones": names nothing but says that it is of the kind before. */
export const isOfTheKindBefore = (segment: Segment): boolean =>
  (segment.reading.pieces !== null &&
    !segment.reading.article &&
    SIZE_ONLY.test(segment.reading.noun)) ||
  namesTheSame(segment);

const namesTheSame = (segment: Segment): boolean =>
  segment.reading.pieces !== null &&
  THE_SAME.test(segment.reading.noun) &&
  segment.tokens.some((t) => t.kind === "word" && /^(?:ones?|more|others?)$/i.test(t.text)) &&
  !/^\s*another\s*$/i.test(segment.text);

function finish(
  { tokens, sameAs }: Stretch,
  text: string,
  corrects: boolean,
  vocabulary: Vocabulary,
): Segment {
  const reading = readQuantity(tokens);
  const from = tokens[0]?.start ?? 0;
  const to = tokens.at(-1)?.end ?? 0;
  const own = text.slice(from, to);
  const said = withoutOwnThings(own, vocabulary);
  const absent = isSaidAbsent(own, said);
  const noun = sameAs ?? reading.noun;
  const named = countedIn(tokens, noun, matchType(noun, vocabulary), vocabulary);
  const match = outsideBrackets(tokens, named, vocabulary);
  return {
    tokens,
    text: own.trim(),
    reading,
    match: sameAs ? match : withoutAccessory(tokens, match, vocabulary),
    absent,
    corrects,
  };
}

/** "cohesive wrap, 2 rolls", "1 blister of 12": the same is named without what it is only counted in. */
function countedIn(
  tokens: readonly Token[],
  noun: string,
  match: Match,
  vocabulary: Vocabulary,
): Match {
  if (match.type === null || match.explained === 1) return match;
  const units = tokens.filter(
    (t, i) => t.kind === "word" && PACK.test(t.text) && tokens[i - 1]?.kind === "number",
  );
  if (units.length === 0) return match;
  const isUnit = (word: string) => units.some((t) => t.text === word);
  const rest = noun
    .split(" ")
    .filter((w) => !isUnit(w))
    .join(" ");
  const same = matchType(rest, vocabulary);
  const { explained, headElsewhere } = same;
  return same.type === match.type ? { ...match, explained, headElsewhere } : match;
}

/** "paracetamol (locked tin)": what holds a thing is not the thing. */
function outsideBrackets(tokens: readonly Token[], match: Match, vocabulary: Vocabulary): Match {
  const open = tokens.findIndex((t) => t.kind === "open");
  if (match.type !== "container" || open < 1) return match;
  const outside = matchType(readQuantity(tokens.slice(0, open)).noun, vocabulary);
  return outside.whole === 1 && outside.type !== null ? outside : match;
}

/** "Headlamp (batteries not included)": what brackets say of another thing is not said of this one. */
const withoutOwnThings = (text: string, vocabulary: Vocabulary): string =>
  text.replace(IN_BRACKETS, (inside) => {
    const noun = inside.replace(ABSENT, " ").replace(/[()]/g, " ");
    return matchType(noun, vocabulary).type === null ? inside : " ";
  });

/** Comes with so many things that it is never meant for itself. */
const NOT_APART: ReadonlySet<string | null> = new Set([
  "bandage-clip",
  "safety-pin",
  "container",
  "first-aid-guide",
  "contents-card",
  "cord",
  "pencil",
  "wristband",
  "roller-bandage",
  "gauze-pad",
  "adhesive-strip",
  "medical-tape",
  NO_TYPE,
]);

/** "elastic bandage with clips": what stands before `with` is named, where that names something. */
function withoutAccessory(tokens: readonly Token[], match: Match, vocabulary: Vocabulary): Match {
  const at = tokens.findIndex(isWith);
  if (at < 1 || (!ACCESSORIES.has(match.type) && tokens[at]!.kind === "word")) return match;
  const before = matchType(readQuantity(tokens.slice(0, at)).noun, vocabulary);
  return before.type !== null && before.type !== NO_TYPE && before.whole === 1 ? before : match;
}
