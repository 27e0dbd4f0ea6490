import { lex, type Token } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";
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

const ABSENT =
  /\b(?:not\s+(?:supplied|included|provided|in\s+(?:the\s+)?(?:kit|box|bag|pack)|present|there|found|here|part)|sold\s+separately|available\s+separately|(?:is|are|was|were|now|gone)?\s*missing|excluded|excluding|without(?!\s+(?:alcohol|latex|powder|pre))|doesn'?t\s+(?:include|have|contain)|does\s+not\s+(?:include|have|contain)|no\s+longer|isn'?t|aren'?t|hasn'?t|haven'?t|couldn'?t\s+find|can'?t\s+(?:find|see)|cannot\s+find|none\s+(?:left|here|found|at all)|out\s+of\s+stock|discontinued|removed|used\s+up|all\s+gone|to\s+be\s+(?:added|bought|ordered)|not\s+any|not\s+counted|we(?:'re|\s+are)\s+(?:all\s+)?out\b|ran\s+out|run\s+out|optional\s+extra|(?:add|buy|order)\s+(?:separately|your\s+own)|left\s+(?:out|(?:it\s+|them\s+)?(?:at\s+home|behind))|empty\s+slot|not\s+enclosed|not\s+taking|to\s+order|(?:not|never)\s+(?:been\s+)?(?:replaced|put\s+back|restocked))\b|:\s*none\b|[-–,]\s*none\b|\bnone\s*$|^\s*none\b|\?\s*(?:no|nope|nothing)\b|\bbut\s+(?:we|i|they|it)\s+(?:do|does|have|has|did)(?:n'?t|\s+not)\b|\b(?:not\s+(?:needed|wanted)|don'?t\s+(?:need|want))\b|\bleave\b.*\b(?:at\s+home|behind)\b/i;
/** It is somewhere else, or gone. */
const ELSEWHERE =
  /\b(?:lives?\s+(?:on|in|at)\s+the|(?:moved|gone|went|goes)\s+to\s+the|(?:is|are|s)\s+in\s+the\s+(?:vaccine\s+|staff\s+|glove\s+)?(?:hut|van|car|office|folder|fridge|freezer|drawer|vehicle|ute|truck|house|shed|safe|locker|glove\s*box)|in\s+the\s+(?:staff\s+)?(?:fridge|freezer)|not\s+(?:ours|mine|yours|first\s+aid|for\s+(?:us|this))|(?:is\s+not|isn'?t|that\s+is\s+not)\s+(?:ours|mine|first\s+aid)|(?:he|she|they)\s+(?:keeps?|has|have|carr(?:y|ies))\s+(?:it|them|that)|never\s+came|chucked|thrown\s+(?:out|away)|binned|(?:that'?s|belongs\s+to)\s+the\s+dog'?s?|need\s+to\s+(?:get|buy|order)|(?:oh\s+)?delete\s+that)\b/i;
/** "gloves, cut-resistant (PPE, not first aid)" */
const NOT_MEDICAL = /\bnot\s+(?:medical|first\s+aid|for\s+first\s+aid)\b/i;
const ABSENT_NO =
  /(?:^|\b(?:but|and|there'?s|there\s+is|there\s+are|has|have|with|i\s+see|still)\s+|,\s*)no\s+(?!(?:wait|sorry|make|actually|\d)\b|\.)(?=\p{L})/iu;

const CORRECTION =
  /\s*(?:[-–,.;…]|\b)\s*\b(?:no[,\s]+wait|wait[,\s]+no|no[,\s]+sorry|sorry[,\s]+no|no[,\s]+(?:make|that)'?s?(?:\s+(?:that|it))?|no[,\s]+there'?s\s+another(?:\s+one)?[,\s]+(?=\w)|make\s+that|make\s+it|i\s+mean|i\s+meant|or\s+rather|(?:no[,\s]+)?i\s+tell\s+a\s+lie|scratch\s+that|strike\s+that|correction|actually|but\s+(?:i\s+(?:can\s+)?(?:only\s+)?(?:see|count|find|have)|there(?:'s|\s+are|\s+is)\s+only|only)|sorry|(?:there\s+)?(?:should|ought\s+to)\s+be\s+[\w-]+[,\s]+(?:but\s+)?(?:i\s+(?:can\s+)?(?:only\s+)?(?:see|count|find|have|make\s+it)|there(?:'s|\s+are|\s+is)|only)(?:\s+only)?|hang\s+on|hold\s+on|(?<!\()\bno(?=[,]?\s+(?:it'?s|they'?re|there'?s|there\s+are|that'?s|only|just|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|a\s+dozen))|(?<=[,;–-]\s*)\bno,\s+(?=\d))\b[,:]?\s*/i;

/** Full phrases from this weight may stand as an item of their own after a comma. */
const STANDS_ALONE = 2.5;

/** "3 more at 5 x 5 cm", "and one five centimetre one": the same thing in another size. */
const THE_SAME =
  /^(?:\s*(?:more|others?|ones?|second|third|extra|another|at|in|of|size|smaller|larger|bigger|little|small|big|large|too|as well)\b)*\s*$/i;

interface Draft {
  /** The words that name it when it names itself only by "more" or "ones". */
  sameAs?: string;
  tokens: Token[];
  corrects: boolean;
  strong: boolean;
  /** It came after "w/". */
  comesWith?: boolean;
}

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
function chunks(text: string): Draft[] {
  const drafts: Draft[] = [{ tokens: [], corrects: false, strong: false }];
  let depth = 0;
  const tokens = lex(text);
  tokens.forEach((t, i) => {
    if (t.kind === "open") depth++;
    if (t.kind === "close") depth = Math.max(0, depth - 1);
    if (t.kind === "separator" && depth === 0) {
      // counting aloud stays together
      const previous = tokens[i - 1];
      const next = tokens[i + 1];
      const aloud =
        previous?.kind === "number" &&
        next?.kind === "number" &&
        previous.spoken &&
        next.spoken &&
        next.value === previous.value + 1;
      if (!aloud) {
        drafts.push({
          tokens: [],
          corrects: false,
          strong: t.strong,
          comesWith: /^w[/.]/i.test(t.text),
        });
        return;
      }
    }
    drafts.at(-1)!.tokens.push(t);
  });
  return drafts.filter((d) => d.tokens.length > 0 && !TELLS_PLACE.test(textOf(d.tokens)));
}

const textOf = (tokens: readonly Token[]): string =>
  tokens
    .filter((t) => t.kind === "word")
    .map((t) => t.text)
    .join(" ");

const ABSENT_WORDS = /\b(?:no|not|none|missing|without|separately|isn't|aren't|excluding)\b/i;

function merge(drafts: Draft[], corrects: boolean, vocabulary: Vocabulary): Draft[] {
  const seen = drafts.map((d) => {
    const reading = readQuantity(d.tokens);
    return { reading, match: matchType(reading.noun, vocabulary) };
  });
  const explicit = seen.filter((s) => s.reading.pieces !== null && !s.reading.article).length;
  const fullTypes = new Set(
    seen
      .filter((s) => s.match.whole === 1 && s.match.weight >= STANDS_ALONE)
      .map((s) => s.match.type),
  );
  const merged: Draft[] = [];
  drafts.forEach((draft, i) => {
    const before = merged.at(-1);
    if (!before) {
      merged.push(draft);
      return;
    }
    const { reading, match } = seen[i]!;
    if (startsAnItem(before, draft, reading, match)) merged.push(draft);
    else {
      // a separator must stay between, or numbers would join
      const at = before.tokens.at(-1)!.end;
      before.tokens = [
        ...before.tokens,
        {
          kind: "separator",
          strong: false,
          start: at,
          end: at,
          text: draft.comesWith ? "w/" : ",",
        },
        ...draft.tokens,
      ];
    }
  });
  return merged;

  function startsAnItem(before: Draft, draft: Draft, reading: Reading, match: Match): boolean {
    const before1 = readQuantity(before.tokens);
    const named = before.sameAs ?? before1.noun;
    // "WARNING TRIANGLE ×1, HI-VIS ×2"
    if (
      endsInCount(before.tokens) &&
      endsInCount(draft.tokens) &&
      (hasNoun(reading) || match.type !== null)
    )
      return true;
    // "… make that twelve. Strip of ten antihistamine": the number corrects, the sentence after it does not.
    if (
      before.sameAs !== undefined &&
      match.whole === 1 &&
      match.type !== matchType(named, vocabulary).type
    )
      return true;
    if (corrects && merged.length === 1 && draft.strong && before1.noun.trim() === "")
      return match.type !== null;
    // "plasters: a card of ten, a card of twenty, and eight loose knuckle ones"
    if (leadingCount(draft.tokens) && named.trim() !== "") {
      const packs = ONLY_PACKS.test(reading.noun) && reading.noun.trim() !== "";
      if (packs && before1.pieces === null) return false;
      const ones =
        draft.tokens.at(-1)?.kind === "word" && /^ones$/i.test(draft.tokens.at(-1)!.text);
      const afterPacks = packs && before1.pieces !== null && saysPackOf(before.tokens);
      if (afterPacks || (ones && !(match.type !== null && match.whole === 1))) {
        draft.sameAs = packs ? named : `${reading.noun} ${named}`;
        return true;
      }
    }
    if (
      THE_SAME.test(reading.noun) &&
      ((reading.sizeMm !== null && before1.sizeMm !== null) ||
        /second|third/i.test(reading.noun) ||
        saysOnes(draft.tokens)) &&
      before1.pieces !== null &&
      leadingCount(draft.tokens)
    ) {
      draft.sameAs = named;
      return true;
    }
    if (reading.noun.trim() === "") return false;
    if (leadingCount(draft.tokens) && onlyRemarks(draft.tokens)) return false;
    if (TELLS_STATE.test(reading.noun.replace(/^s /, ""))) return false;
    const beforeText = textOf(before.tokens);
    const beforeMatch = matchType(named, vocabulary);
    if (
      ABSENT_WORDS.test(textOf(draft.tokens)) &&
      match.type !== null &&
      beforeMatch.type !== null &&
      match.type !== beforeMatch.type
    )
      return true;
    const counted = leadingCount(draft.tokens);
    const comesAlong = before.tokens.some(isWith) || draft.comesWith;
    if (comesAlong && !counted && (draft.comesWith || ACCESSORIES.has(match.type))) return false;
    if (/^with\b/i.test(reading.noun) && !(match.type !== null && match.whole === 1)) return false;
    if (
      counted &&
      SIZE_ONLY.test(reading.noun) &&
      before1.pieces !== null &&
      SIZE_WORD.test(named)
    ) {
      draft.sameAs = named;
      return true;
    }
    const leads = counted;
    const known = match.type !== null && (match.whole === 1 || match.weight >= STANDS_ALONE);
    if (beforeMatch.type === null) {
      // nothing named yet: what follows may name it ("Bandage, crepe")
      // "Skin closures (3 cards of 5); dressings (6)": each with its own count behind it.
      const eachCounted = before1.pieces !== null && !before1.article && reading.pieces !== null;
      if (draft.strong && eachCounted && known && !leads) return hasNoun(before1);
      if (!leads)
        return known &&
          draft.strong &&
          readQuantity(before.tokens).pieces !== null &&
          beforeText.trim() !== "" &&
          !readQuantity(before.tokens).article
          ? !joins(before, draft, match.weight, 0)
          : false;
      return beforeText.trim() !== "" && readQuantity(before.tokens).noun !== ""
        ? known || hasNoun(reading)
        : false;
    }
    if (leads) {
      const pad = /^pads?$/i.test(reading.noun.trim()) && reading.sizeMm !== null;
      if (pad) return true;
      if (!hasNoun(reading) && !known) return false;
      if (known)
        return !(
          match.type === beforeMatch.type &&
          !draft.strong &&
          readQuantity(before.tokens).pieces === null
        );
      return draft.strong || !onlyDescribes(reading.noun);
    }
    if (!known || match.type === beforeMatch.type) return false;
    if (joins(before, draft, match.weight, beforeMatch.weight)) return false;
    // "shears 1, gloves 5 prs": each with its own count behind it.
    if (match.whole === 1 && reading.pieces !== null && !reading.article && before1.pieces !== null)
      return true;
    if (match.weight < STANDS_ALONE) return false;
    // "pencil, report cards (5)": two things, each named whole.
    const both =
      match.type !== "container" &&
      match.whole === 1 &&
      beforeMatch.whole === 1 &&
      beforeMatch.explained === 1;
    if (both && reading.pieces !== null && beforeMatch.weight >= STANDS_ALONE) return true;
    return draft.strong || explicit === 0 || fullTypes.size >= 3;
  }

  /** Whether both together name something better than each alone. */
  function joins(before: Draft, draft: Draft, weight: number, beforeWeight: number): boolean {
    const both = matchType(
      `${readQuantity(before.tokens).noun} ${readQuantity(draft.tokens).noun}`,
      vocabulary,
    );
    return both.whole === 1 && both.weight > Math.max(weight, beforeWeight) * 1.1;
  }
}

/** "airway c/w lube sachet": what comes with it is a thing of its own, where both name one whole. */
function atWith(draft: Draft, vocabulary: Vocabulary): Draft[] {
  const at = draft.tokens.findIndex((t) => t.kind === "word" && /^with$/i.test(t.text));
  if (at < 1) return [draft];
  const open = draft.tokens.findIndex((t, i) => i > at && t.kind === "open");
  const [before, after] = [
    draft.tokens.slice(0, at),
    draft.tokens.slice(at + 1, open < 0 ? undefined : open),
  ];
  const [a, b] = [before, after].map((t) => matchType(readQuantity(t).noun, vocabulary));
  const whole = (m: Match) => m.whole === 1 && m.explained === 1 && m.unknown === 0;
  if (a!.type === "container") return [draft];
  if (!whole(a!) || !whole(b!) || a!.type === b!.type || b!.weight < STANDS_ALONE) return [draft];
  const isCounted = leadingCount(after) && !readQuantity(after).article;
  if (NOT_APART.has(b!.type) && !isCounted) return [draft];
  if (readQuantity(after).pieces !== null && !isCounted) return [draft];
  const both = matchType(`${readQuantity(before).noun} ${readQuantity(after).noun}`, vocabulary);
  if (both.whole === 1 && both.type !== a!.type && both.type !== b!.type) return [draft];
  return [
    { ...draft, tokens: before },
    { tokens: after, corrects: false, strong: true },
  ];
}

/** "triangles ×1", "board x 2": a count with its sign stands last. */
const endsInCount = (tokens: readonly Token[]): boolean =>
  tokens.at(-1)?.kind === "number" &&
  tokens.at(-2)?.kind === "times" &&
  tokens.length > 2 &&
  tokens.at(-3)?.kind === "word";

/** Only what things come in: "a card of ten". */
const ONLY_PACKS =
  /^(?:\s*(?:full|new|opened|unopened|sealed|half|cards?|packs?|packets?|box(?:es)?|strips?|bags?|sleeves?|sheets?|blisters?)\b)*\s*$/i;
const saysPackOf = (tokens: readonly Token[]): boolean =>
  /\b(?:cards?|packs?|packets?|box(?:es)?|strips?|bags?|sleeves?|sheets?|blisters?) (?:of|with)\b/i.test(
    textOf(tokens),
  );

/** "two bigger ones": names nothing but says that it is of the kind before. */
export const isOfTheKindBefore = (segment: Segment): boolean =>
  segment.reading.pieces !== null &&
  THE_SAME.test(segment.reading.noun) &&
  segment.tokens.some((t) => t.kind === "word" && /^(?:ones?|more|others?)$/i.test(t.text)) &&
  !/^\s*another\s*$/i.test(segment.text);

/** "dressings, three medium and one large" */
const SIZE_WORD = /\b(?:small|medium|large|big|little|[SML]|X+L)\b/i;
const SIZE_ONLY =
  /^\s*(?:extra[\s-]+)?(?:small|medium|large|big|little|[SML]|X+L)(?:\s+ones?)?\s*$/i;

const isWith = (t: Token): boolean =>
  (t.kind === "word" && /^with$/i.test(t.text)) || (t.kind === "separator" && t.text === "w/");

/** "three of the little ones": the thing before, in another size. */
const saysOnes = (tokens: readonly Token[]): boolean =>
  tokens.some((t) => t.kind === "word" && /^ones$/i.test(t.text)) &&
  tokens.some((t) => t.kind === "word" && /^(?:of|the|those|these)$/i.test(t.text));

/** "a torch, dead battery": the state of what came before. */
const TELLS_STATE =
  /^\s*(?:a\s+)?(?:dead|flat|empty|no|old)\s+batter(?:y|ies)\s*$|^\s*(?:(?:of\s+)?(?:them|which)\s+)?(?:s|is|are|has|have|was|were|been|already|a\s+bit|looks?|look)*\s*(?:(?:s|is|are|has|have|was|were|been|already|looks?)\s+)*(?:out\s+(?:of\s+)?date|in\s+date|opened|open|used|torn|expired|damaged|crumpled|creased|loose|rusty|split|wet|damp|past\s+it)\s*$/i;
/** "top layer", "front pocket": where things lie, not a thing. */
const TELLS_PLACE =
  /^\s*(?:in|on|at)?\s*(?:the\s+)?(?:very\s+)?(?:top|bottom|front|back|side|inside|outside|inner|outer|left|right|middle|main|lid|first|second|third|next|lower|upper|zip|zipped|mesh)\s+(?:layer|pocket|shelf|tray|lid|compartment|drawer|pouch|section|bit|part|half)s?\s*$/i;

/** Words that only describe: a count before them is no item of its own. */
const onlyDescribes = (noun: string): boolean =>
  noun
    .split(" ")
    .every((w) =>
      /^(?:it's|they're|twin|double|single|large|small|medium|sizes?|sterile|adult|child|off|just|the|it|my|our|count|reckoning|guess|envelopes?|per|staples?|well|inside|here|there|are|is|assorted|left|different|various|types?|colou?rs?|wide|long|tablets?|tabs?|caps?|capsules?|caplets?|pills?|them|those|these|altogether|left|packs?|pkgs?|pkts?|boxe?s?|bottles?|tubes?|pots?|tubs?|cartons?|bags?|in|to|a|each|sachets?|strips?|pads?|wipes?|swabs?|rolls?|pieces?|units?|doses?|singles?|refills?|by|and|or|other|inch|piece|sets?|with|for|uses?|applications?|total|all|blades?|pockets?|compartments?|used|gone|more|mixed|opened|unopened|expired)$/i.test(
        w,
      ),
    );

/** "12 (cheap ones, dont stick)": a count with a remark in brackets, and no thing named outside them. */
function onlyRemarks(tokens: readonly Token[]): boolean {
  const open = tokens.findIndex((t) => t.kind === "open");
  return open > 0 && onlyDescribes(readQuantity(tokens.slice(0, open)).noun || "off");
}

const hasNoun = (reading: Reading) =>
  /\p{L}{3,}/u.test(reading.noun) && !onlyDescribes(reading.noun);

/** A count, not a size or a strength, before the first word. */
function leadingCount(tokens: readonly Token[]): boolean {
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

function finish(
  { tokens, sameAs }: Draft,
  text: string,
  corrects: boolean,
  vocabulary: Vocabulary,
): Segment {
  const reading = readQuantity(tokens);
  const from = tokens[0]?.start ?? 0;
  const to = tokens.at(-1)?.end ?? 0;
  const own = text.slice(from, to);
  const said = withoutOwnThings(own, vocabulary);
  const absent =
    NOT_MEDICAL.test(own) ||
    ABSENT.test(said) ||
    ABSENT_NO.test(said) ||
    ELSEWHERE.test(own.replace(/\([^)]*\)?/g, " "));
  const match = outsideBrackets(tokens, matchType(sameAs ?? reading.noun, vocabulary), vocabulary);
  return {
    tokens,
    text: own.trim(),
    reading,
    match: sameAs ? match : withoutAccessory(tokens, match, vocabulary),
    absent,
    corrects,
  };
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
  text.replace(/\([^)]*\)/g, (inside) => {
    const noun = inside.replace(ABSENT, " ").replace(/[()]/g, " ");
    return matchType(noun, vocabulary).type === null ? inside : " ";
  });

/** What often comes with a thing, and is not the thing. */
const ACCESSORIES: ReadonlySet<string | null> = new Set([
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
  return before.type !== null && before.whole === 1 ? before : match;
}

/** Whether a remark says that a thing is not there, or is somebody else's. */
export const saysGone = (text: string): boolean =>
  ABSENT.test(text) || ABSENT_NO.test(text) || ELSEWHERE.test(text);

/** Whether a whole line speaks of what is not there. */
export const speaksOfAbsence = (text: string): boolean =>
  ABSENT.test(text) ||
  /\b(?:you\s+may\s+also\s+like|also\s+available|optional\s+extras?|recommended\s+(?:additions?|extras?)|customers\s+also|not\s+included|frequently\s+bought|consider\s+adding|suggested\s+(?:additions?|extras?)|add\s+your\s+own|wish\s?list|people\s+also\s+buy|sold\s+separately|refills?\s+available|shopping|to\s+(?:buy|get|order)|not\s+in\s+there)\b/i.test(
    text,
  );
