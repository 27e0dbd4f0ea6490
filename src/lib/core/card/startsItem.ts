import { ABSENT_WORDS } from "./absence.ts";
import { firstTold, noIf, yesIf, type Rule } from "./firstTold.ts";
import type { Token } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";
import {
  ACCESSORIES,
  endsInBrackets,
  endsInCount,
  hasNoun,
  isWith,
  leadingCount,
  onlyDescribes,
  ONLY_PACKS,
  onlyRemarks,
  saysOnes,
  SAYS_WHAT_LIKE,
  saysPackOf,
  SIZE_ONLY,
  SIZE_WORD,
  STANDS_ALONE,
  TELLS_STATE,
  textOf,
  THE_SAME,
} from "./stretch.ts";
import { matchType, type Match, type Vocabulary } from "./vocabulary.ts";
import { foldedWords } from "./words.ts";
import { quick } from "./quick.ts";

/**
 * Whether what follows a separator is an item of its own, or says more of the one before: an ordered
 * table; the first rule that tells decides.
 */

/** A stretch of a line between separators. */
export interface Stretch {
  /** The words that name it when it names itself only by "more" or "ones". */
  sameAs?: string;
  tokens: readonly Token[];
  /** Behind a separator that parts sentences: a semicolon, "and", "plus". */
  strong: boolean;
  /** It came after "w/". */
  comesWith?: boolean;
  /** It came after "+", "and". */
  adds?: boolean;
}

/** What is known of the whole line. */
export interface LineSaid {
  /** It takes the place of what was said before it. */
  readonly corrects: boolean;
  /** Stretches that carry a number. */
  readonly explicit: number;
  /** Kinds that are named whole. */
  readonly kinds: number;
  readonly vocabulary: Vocabulary;
}

/** A name of both says so much more than that of each. */
export const JOINS_BETTER = 1.1;

/** Two stretches, one behind the other. */
class Pair {
  readonly before: Stretch;
  readonly draft: Stretch;
  readonly line: LineSaid;
  /** The one before is the first of the line. */
  readonly isSecond: boolean;
  readonly first: Reading;
  readonly reading: Reading;
  readonly match: Match;
  /** What the one before is called. */
  readonly named: string;
  readonly firstMatch: Match;
  /** A count leads. */
  readonly leads: boolean;
  /** It names a kind whole, or firmly enough. */
  readonly known: boolean;

  constructor(before: Stretch, draft: Stretch, match: Match, isSecond: boolean, line: LineSaid) {
    this.before = before;
    this.draft = draft;
    this.line = line;
    this.isSecond = isSecond;
    this.first = readQuantity(before.tokens);
    this.reading = readQuantity(draft.tokens);
    this.match = match;
    this.named = before.sameAs ?? this.first.noun;
    this.firstMatch = matchType(this.named, line.vocabulary);
    this.leads = leadingCount(draft.tokens);
    this.known = match.type !== null && (match.whole === 1 || match.weight >= STANDS_ALONE);
  }

  /** It names its kind in full. */
  get isWhole(): boolean {
    return this.match.type !== null && this.match.whole === 1;
  }
  get onlyPacks(): boolean {
    return this.reading.noun.trim() !== "" && ONLY_PACKS.test(this.reading.noun);
  }
  get endsInOnes(): boolean {
    const { tokens } = this.draft;
    // "blister ones (6)", "blister ones (a pack of 6)"
    const open =
      tokens.at(-1)?.kind === "close" ? tokens.findLastIndex((t) => t.kind === "open") : 0;
    const last = tokens.at(open - 1);
    return last?.kind === "word" && /^ones$/i.test(last.text);
  }
  /** "burn gel 120 ml bottle, burn dressing": its first word is the first of the one before, as no name says a word twice. */
  get saysAgain(): boolean {
    const first = foldedWords(this.named)[0];
    return first !== undefined && first === foldedWords(this.reading.noun)[0];
  }
  /** Each has a size of its own. */
  get hasBothSizes(): boolean {
    return [this.first, this.reading].every((r) => (r.sizeMm ?? r.bare) !== null);
  }
  /** Both together name something better than each alone. */
  joins(firstWeight: number): boolean {
    const both = matchType(`${this.first.noun} ${this.reading.noun}`, this.line.vocabulary);
    return (
      both.whole === 1 && both.weight > Math.max(this.match.weight, firstWeight) * JOINS_BETTER
    );
  }
}

/**
 * true: an item of its own; false: more of the one before; "remark": what is said of that one, and names nothing that is there;
 * the words of the one before: another of its kind.
 */
type Told = boolean | "remark" | { readonly sameAs: string };
/** "eight loose knuckle ones" behind a name. */
const isOnesOfIt = (p: Pair): boolean =>
  p.leads && p.named.trim() !== "" && p.endsInOnes && !p.isWhole;
/** What they are called: "large plasters". */
const onesOf = (p: Pair): string =>
  p.onlyPacks && !p.endsInOnes
    ? p.named
    : `${p.reading.noun.replace(BIG_ONES, "large").replace(/\s+ones$/i, "")} ${p.named.replace(SAYS_STUFF, "")}`;
const POINTS_BACK = quick(/^(?:this|that|those|them|these)(?:['’]\p{L}+)?\b/iu);
const START_RULES: readonly Rule<Pair, Told>[] = [
  {
    name: "each with its sign and count behind it: 'WARNING TRIANGLE ×1, HI-VIS ×2'",
    tells: ({ before, draft, reading, match }) =>
      yesIf(
        endsInCount(before.tokens) &&
          endsInCount(draft.tokens) &&
          (hasNoun(reading) || match.type !== null),
      ),
  },
  {
    name: "each with its count in brackets behind it: 'Saline ampoules (2), gauze pads 10 x 10 cm (1)'",
    tells: ({ before, draft, reading }) =>
      yesIf(endsInBrackets(before.tokens) && endsInBrackets(draft.tokens) && hasNoun(reading)),
  },
  {
    name: "the number corrects, the sentence after it does not: '… make that twelve. Strip of ten antihistamine'",
    tells: ({ before, match, firstMatch }) =>
      yesIf(before.sameAs !== undefined && match.whole === 1 && match.type !== firstMatch.type),
  },
  {
    name: "a sentence after a correction that names nothing",
    tells: ({ line, isSecond, draft, first, match }) =>
      line.corrects && isSecond && draft.strong && first.noun.trim() === ""
        ? match.type !== null
        : null,
  },
  {
    name: "the pack that what came before lies in: 'plasters: a card of ten'",
    tells: ({ leads, named, onlyPacks, first }) =>
      noIf(leads && named.trim() !== "" && onlyPacks && first.pieces === null),
  },
  {
    name: "ones of which nothing was counted yet: 'ice packs, six instant ones'",
    tells: (p) =>
      noIf(
        isOnesOfIt(p) &&
          p.isSecond &&
          !p.onlyPacks &&
          p.draft.adds !== true &&
          p.first.pieces === null &&
          p.first.sizeMm === null &&
          !/ of /i.test(textOf(p.draft.tokens)),
      ),
  },
  {
    name: "ones of it, counted behind: 'plasters (10) and the blister ones (a pack of 6)'",
    tells: (p) =>
      p.draft.adds === true &&
      !p.leads &&
      p.named.trim() !== "" &&
      p.endsInOnes &&
      !p.isWhole &&
      p.first.pieces !== null &&
      p.reading.pieces !== null &&
      !p.reading.article
        ? { sameAs: onesOf(p) }
        : null,
  },
  {
    name: "another pack, or ones of it: 'a card of twenty, and eight loose knuckle ones'",
    tells: (p) => {
      const afterPacks = p.onlyPacks && p.first.pieces !== null && saysPackOf(p.before.tokens);
      const isPack = p.leads && p.named.trim() !== "" && afterPacks;
      return isPack || isOnesOfIt(p) ? { sameAs: onesOf(p) } : null;
    },
  },
  {
    name: "so many, and a pack besides: '6 plasters and a box of 40'",
    tells: ({ draft, leads, reading, first, named }) =>
      draft.adds === true &&
      leads &&
      reading.noun.trim() === "" &&
      first.pieces !== null &&
      !first.article &&
      named.trim() !== "" &&
      saysPackOf(draft.tokens)
        ? { sameAs: named }
        : null,
  },
  {
    name: "the same in another size: '3 more at 5 x 5 cm'",
    tells: ({ reading, first, draft, leads, named }) =>
      THE_SAME.test(reading.noun) &&
      ((reading.sizeMm !== null && first.sizeMm !== null) ||
        /second|third/i.test(reading.noun) ||
        saysOnes(draft.tokens)) &&
      first.pieces !== null &&
      leads
        ? { sameAs: BIG_ONES.test(reading.noun) ? `large ${named}` : named }
        : null,
  },
  {
    name: "the same in another size, the count last: 'plasters 14. the big ones 3'",
    tells: ({ reading, draft, first, named }) =>
      draft.strong &&
      first.pieces !== null &&
      reading.pieces !== null &&
      !reading.article &&
      saysOnes(draft.tokens) &&
      SIZE_ONLY.test(reading.noun)
        ? { sameAs: `${/small|little/i.test(reading.noun) ? "small" : "large"} ${named}` }
        : null,
  },
  { name: "it names nothing", tells: ({ reading }) => noIf(reading.noun.trim() === "") },
  {
    name: "a count with a remark in brackets",
    tells: ({ leads, draft }) => noIf(leads && onlyRemarks(draft.tokens)),
  },
  {
    name: "the state of what came before: 'a torch, dead battery'",
    tells: ({ reading }) => noIf(TELLS_STATE.test(reading.noun.replace(/^s /, ""))),
  },
  {
    name: "a remark on what came before: 'one of those is open'",
    tells: ({ reading, match }) =>
      noIf(match.type === null && POINTS_BACK.test(reading.noun.trim())),
  },
  {
    name: "another thing that is said not to be there",
    tells: ({ draft, match, firstMatch }) =>
      yesIf(
        ABSENT_WORDS.test(textOf(draft.tokens)) &&
          match.type !== null &&
          firstMatch.type !== null &&
          match.type !== firstMatch.type,
      ),
  },
  {
    name: "a remark that speaks of a thing: '5 eye pads; seal looks dodgy'",
    tells: (p) =>
      !p.leads &&
      p.draft.adds !== true &&
      p.reading.pieces === null &&
      p.first.pieces !== null &&
      !p.first.article &&
      isNamedByAll(p.firstMatch) &&
      p.line.kinds < FEWEST_LISTED &&
      !isNamedByAll(p.match)
        ? "remark"
        : null,
  },
  {
    name: "what comes along",
    tells: ({ before, draft, leads, match }) =>
      noIf(
        (before.tokens.some(isWith) || draft.comesWith === true) &&
          !leads &&
          (draft.comesWith === true || ACCESSORIES.has(match.type)),
      ),
  },
  {
    name: "what it runs on: 'head torch + batteries'; spare ones are counted",
    tells: ({ draft, leads, reading, firstMatch }) =>
      noIf(
        draft.adds === true &&
          !leads &&
          reading.pieces === null &&
          firstMatch.whole === 1 &&
          /^(?:\s*(?:AAA?|[CD9]V?|button|coin)\s)?\s*batter(?:y|ies)\s*$/i.test(reading.noun),
      ),
  },
  {
    name: "'with' something that is no item",
    tells: ({ reading, isWhole }) => noIf(/^with\b/i.test(reading.noun) && !isWhole),
  },
  {
    name: "a size alone: 'dressings, three medium and one large'",
    tells: ({ leads, reading, first, named }) =>
      leads && SIZE_ONLY.test(reading.noun) && first.pieces !== null && SIZE_WORD.test(named)
        ? { sameAs: named }
        : null,
  },
  {
    name: "a size alone, its count behind it: 'dressing M×6, L×4'",
    tells: ({ leads, reading, first, named }) =>
      !leads &&
      SIZE_ONLY.test(reading.noun) &&
      reading.pieces !== null &&
      !reading.article &&
      first.pieces !== null &&
      SIZE_WORD.test(named)
        ? { sameAs: named.replace(SIZE_WORD, reading.noun.trim()) }
        : null,
  },
  {
    name: "each with its size and count, behind a semicolon: 'gauze 7.5 x 7.5 x 20; non-stick 5 x 5 x 10'",
    tells: ({ draft, first, reading, hasBothSizes, match }) =>
      yesIf(
        draft.strong &&
          hasBothSizes &&
          first.pieces !== null &&
          reading.pieces !== null &&
          match.type !== null &&
          hasNoun(reading),
      ),
  },
  {
    name: "what goes with it, each with its count: 'AED 1, spare pads 1 set'",
    tells: (p) =>
      isCountLast(p.before.tokens) &&
      isCountLast(p.draft.tokens) &&
      p.firstMatch.whole === 1 &&
      !p.isWhole &&
      !p.reading.article &&
      !p.hasBothSizes &&
      p.joins(p.firstMatch.weight)
        ? { sameAs: `${p.named} ${p.reading.noun}` }
        : null,
  },
  {
    name: "of several each with its count behind it: 'tape 4 rolls, ice 3, plasters 15'",
    tells: ({ line, first, reading, before, draft, match, isWhole }) =>
      yesIf(
        line.explicit >= FEWEST_COUNTED &&
          first.pieces !== null &&
          reading.pieces !== null &&
          !reading.article &&
          (isWhole || (match.type === null && hasNoun(reading))) &&
          isCountLast(before.tokens) &&
          isCountLast(draft.tokens),
      ),
  },
  {
    name: "a thing nobody knows beside one that is known, each with its count behind it: 'burn gel 6, cling film 1'",
    tells: (p) =>
      yesIf(
        p.line.explicit === 2 &&
          p.firstMatch.whole === 1 &&
          !p.isWhole &&
          p.match.type !== p.firstMatch.type &&
          p.first.pieces !== null &&
          p.reading.pieces !== null &&
          hasNoun(p.reading) &&
          !LABELS_A_NUMBER.test(p.reading.noun) &&
          isCountLast(p.before.tokens) &&
          isCountLast(p.draft.tokens) &&
          !p.joins(p.firstMatch.weight),
      ),
  },
  {
    name: "nothing named yet, each counted: 'Skin closures (3 cards of 5); dressings (6)'",
    tells: ({ firstMatch, draft, first, reading, known, leads }) =>
      firstMatch.type === null &&
      draft.strong &&
      first.pieces !== null &&
      !first.article &&
      reading.pieces !== null &&
      known &&
      !leads
        ? hasNoun(first)
        : null,
  },
  {
    name: "bandages, and scissors: '3 bandages, scissors'; one bandage, scissors may be the scissors'",
    tells: ({ first, reading }) =>
      yesIf(/\bbandages$/i.test(first.noun.trim()) && /^scissors$/i.test(reading.noun.trim())),
  },
  {
    name: "nothing named yet: what follows may name it ('Bandage, crepe')",
    tells: (p) =>
      p.firstMatch.type === null && !p.leads
        ? p.known &&
          p.draft.strong &&
          p.first.pieces !== null &&
          !p.first.article &&
          textOf(p.before.tokens).trim() !== "" &&
          !p.joins(0)
        : null,
  },
  {
    name: "nothing named yet, and a count leads",
    tells: ({ firstMatch, before, first, known, reading }) =>
      firstMatch.type === null
        ? textOf(before.tokens).trim() !== "" && first.noun !== "" && (known || hasNoun(reading))
        : null,
  },
  {
    name: "so many pads of a size",
    tells: ({ leads, reading }) =>
      yesIf(
        leads &&
          /^pads?$/i.test(reading.noun.trim()) &&
          (reading.sizeMm !== null || reading.bare !== null),
      ),
  },
  {
    name: "a word that says what it is like: 'burn sheet, non-adherent, 60 x 90 cm'",
    tells: ({ leads, first, firstMatch, reading }) =>
      noIf(
        !leads &&
          first.pieces === null &&
          firstMatch.type !== null &&
          firstMatch.whole === 1 &&
          SAYS_WHAT_LIKE.test(reading.noun.trim()),
      ),
  },
  {
    name: "what type it is of: 'CPR shield, keychain type'",
    tells: ({ leads, reading }) =>
      noIf(!leads && /\b(?:type|style|kind|sort)\s*$/i.test(reading.noun)),
  },
  {
    name: "another sort of it: 'plasters: 20 fabric, 6 blister'",
    tells: ({ leads, reading, isWhole, first, named, line }) => {
      if (!leads || isWhole || first.pieces === null || !hasNoun(reading)) return null;
      const isHead = (word: string) => line.vocabulary.heads.has(word);
      // "12 plasters, 2 bandages": a kind by itself.
      if (/^bandages?$/i.test(reading.noun.trim())) return true;
      const head = foldedWords(named).find(isHead);
      const sort = `${reading.noun} ${head ?? ""}`;
      const { whole, explained } = matchType(sort, line.vocabulary);
      return head !== undefined && whole === 1 && explained === 1 ? { sameAs: sort } : null;
    },
  },
  {
    name: "a count of what only describes",
    tells: ({ leads, reading, known }) => noIf(leads && !hasNoun(reading) && !known),
  },
  {
    name: "a count of a known kind, unless it counts the one before",
    tells: ({ leads, known, match, firstMatch, draft, first }) =>
      leads && known
        ? !(match.type === firstMatch.type && !draft.strong && first.pieces === null)
        : null,
  },
  {
    name: "its count, and behind a dash what it is like: 'moleskin, 2 sheets - precut'",
    tells: ({ leads, first, firstMatch, draft, known }) =>
      noIf(
        leads &&
          !known &&
          first.pieces === null &&
          firstMatch.whole === 1 &&
          draft.tokens.slice(1, 3).some((t) => t.kind === "dash"),
      ),
  },
  {
    name: "a count of something unknown",
    tells: ({ leads, draft, reading }) =>
      leads ? draft.strong || !onlyDescribes(reading.noun) : null,
  },
  {
    name: "two of a kind, each with its name and count: 'ciprofloxacin 20, azithromycin 6'",
    tells: ({ match, firstMatch, reading, first, named }) =>
      yesIf(
        match.type !== null &&
          match.type === firstMatch.type &&
          match.whole === 1 &&
          firstMatch.whole === 1 &&
          first.pieces !== null &&
          reading.pieces !== null &&
          !reading.article &&
          sharesNoWord(named, reading.noun),
      ),
  },
  {
    name: "two sizes of a kind, each with its name and count: 'medium dressings (6), large dressings (2)'",
    tells: ({ match, firstMatch, reading, first, named }) =>
      yesIf(
        match.type !== null &&
          match.type === firstMatch.type &&
          first.pieces !== null &&
          reading.pieces !== null &&
          !reading.article &&
          sizeWordOf(named) !== null &&
          sizeWordOf(reading.noun) !== null &&
          sizeWordOf(named) !== sizeWordOf(reading.noun),
      ),
  },
  {
    name: "its name again, each in so many packs: 'plaster (PKT/100) x 1, plaster (PKT/20) x 2'",
    tells: ({ before, named, reading, match, firstMatch }) =>
      yesIf(
        endsInCount(before.tokens) &&
          match.type === firstMatch.type &&
          foldedWords(named).join(" ") === foldedWords(reading.noun).join(" "),
      ),
  },
  {
    name: "its name again with another size, its count to come: 'gloves L, 2 pairs and gloves M, 2 pairs'",
    tells: ({ saysAgain, first, firstMatch, match, named, reading }) =>
      yesIf(
        saysAgain &&
          first.pieces !== null &&
          !first.article &&
          match.type === firstMatch.type &&
          sizeWordOf(named) !== null &&
          sizeWordOf(reading.noun) !== null &&
          sizeWordOf(named) !== sizeWordOf(reading.noun),
      ),
  },
  {
    name: "the same again in another size: 'gauze pads 5 x 5 cm, gauze pads 10 x 10 cm'",
    tells: ({ hasBothSizes, isWhole, match, firstMatch, first, reading }) =>
      yesIf(
        hasBothSizes &&
          isWhole &&
          firstMatch.whole === 1 &&
          match.type === firstMatch.type &&
          String(first.sizeMm ?? first.bare) !== String(reading.sizeMm ?? reading.bare),
      ),
  },
  {
    name: "no kind of its own",
    tells: ({ known, match, firstMatch }) => noIf(!known || match.type === firstMatch.type),
  },
  {
    name: "another for the same: 'burn gel, burn dressing x2'",
    tells: (p) =>
      yesIf(
        p.saysAgain &&
          p.isWhole &&
          p.firstMatch.whole === 1 &&
          p.match.type !== p.firstMatch.type &&
          p.reading.pieces !== null,
      ),
  },
  {
    name: "both together name one thing, unless a semicolon parts two that are named whole",
    tells: (p) =>
      noIf(
        !((p.draft.strong || p.hasBothSizes) && p.isWhole && p.firstMatch.whole === 1) &&
          p.joins(p.firstMatch.weight),
      ),
  },
  {
    name: "each with its own count behind it: 'shears 1, gloves 5 prs'",
    tells: ({ match, reading, first }) =>
      yesIf(
        match.whole === 1 && reading.pieces !== null && !reading.article && first.pieces !== null,
      ),
  },
  { name: "too common a word", tells: ({ match }) => noIf(match.weight < STANDS_ALONE) },
  {
    name: "two things, each named whole: 'pencil, report cards (5)'",
    tells: ({ match, firstMatch, reading }) =>
      yesIf(
        match.type !== "container" &&
          match.whole === 1 &&
          firstMatch.whole === 1 &&
          firstMatch.explained === 1 &&
          reading.pieces !== null &&
          firstMatch.weight >= STANDS_ALONE,
      ),
  },
  {
    name: "a thing that is counted, and one of which a kit holds one: '5 eye pads, tweezers'",
    tells: ({ match, firstMatch, first, leads, reading }) =>
      yesIf(
        !leads &&
          first.pieces !== null &&
          reading.sizeMm === null &&
          SINGLE.has(match.type) &&
          !SAYS_WHAT_LIKE.test(reading.noun.trim()) &&
          isNamedByAll(match) &&
          isNamedByAll(firstMatch),
      ),
  },
  {
    name: "a thing counted with its sign, and another named whole: 'eye pads x 2, eye wash'",
    tells: ({ before, match, firstMatch, leads, reading, draft }) =>
      yesIf(
        !leads &&
          endsInCount(before.tokens) &&
          reading.pieces === null &&
          reading.sizeMm === null &&
          match.type !== "container" &&
          match.type !== firstMatch.type &&
          !ACCESSORIES.has(match.type) &&
          draft.tokens.every((t) => t.kind === "word" && !/ed$/i.test(t.text)) &&
          !SAYS_WHAT_LIKE.test(reading.noun.trim()) &&
          isNamedByAll(match) &&
          isNamedByAll(firstMatch),
      ),
  },
  {
    name: "a list of several kinds, or one without numbers",
    tells: ({ draft, line }) => draft.strong || line.explicit === 0 || line.kinds >= FEWEST_LISTED,
  },
];

/** Tools, of which nobody writes that there is one. */
const SINGLE: ReadonlySet<string | null> = new Set([
  ...["tweezers-fine", "tweezers-plastic", "splinter-probe", "tick-tool", "magnifier"],
  ...["trauma-shears", "heavy-scissors", "small-scissors", "folding-knife", "belt-cutter"],
  ...["whistle", "torch", "signal-mirror", "compass", "pulse-oximeter", "eye-bath"],
  ...["thermometer-digital", "thermometer-glass", "pocket-mask", "face-shield"],
]);
/** Each of its words belongs to the name. */
const isNamedByAll = ({ whole, explained, unknown, weight }: Match): boolean =>
  whole === 1 && explained === 1 && unknown === 0 && weight >= STANDS_ALONE;

/** "nine fabric plasters and two big ones": what those are made of is not said. */
const SAYS_STUFF =
  /^(?:fabric|blue|waterproof|clear|assorted|plain|ordinary|normal|regular|washproof)\s+(?=\S)/i;
/** "12 big ones": the plasters that are called large. */
const BIG_ONES = /\b(?:big|bigger|wide|wider|huge)\b(?:\s+ones)?/i;
/** So many kinds on a line are a list. */
const FEWEST_LISTED = 3;
/** Fewer may be a size and a count. */
const FEWEST_COUNTED = 3;
/** "ice 3", "tape 4 rolls", "gloves 2 prs": words, and behind them how many. */
const isCountLast = (tokens: readonly Token[]): boolean => {
  const last = tokens.at(-1);
  const at = last?.kind === "word" && PACK_OR_PIECE.test(last.text) ? -2 : -1;
  if (tokens.at(at)?.kind !== "number") return false;
  // "dressing M×6": with its sign.
  const before = tokens.at(at - 1)?.kind === "times" ? at - 2 : at - 1;
  return tokens.at(before)?.kind === "word";
};
const PACK_OR_PIECE =
  /^(?:sets?|rolls?|pcs|pieces|pairs?|prs?|packs?|pkts?|packets?|box(?:es)?|sheets?|cards?|strips?|bottles?|tubes?|tins?|pots?|cans?|sachets?|bags?|left)$/i;

/** Words before a number that counts nothing, or what is said of the thing before: "size 8", "expiry 2028", "drawer 2", "should be 6". */
const LABELS_A_NUMBER =
  /\b(?:size|n[or]s?|num(?:ber|mer|ero)?|lots?|lote|batch|exp\w*|best|before|scad\w*|cad\w*|verf\w*|tht|ref|art|codes?|pages?|pos|shel(?:f|ves)|drawers?|cupboards?|cabinets?|lockers?|rooms?|floors?|levels?|bays?|racks?|rows?|tiers?|trays?|bins?|sites?|vans?|trucks?|kits?|strength|width|length|diameter|class|grade|of|min(?:imum)?|max(?:imum)?|needs?|needed|should|want(?:ed)?|qty|quantity|par|target|short|missing|lost|used|left|remaining|spares?|extra|gone|open(?:ed)?|new|old|expired|date|dates|due|from|until|till|since|only|now|was|were|is|are|about|still|bought|order(?:ed)?|reorder|added|taken|price|cost|each|at|eur|usd|gbp|kr|they|hence|so|yeah|yes|ok)\b/i;

const sizeWordOf = (text: string): string | null => SIZE_WORD.exec(text)?.[0].toLowerCase() ?? null;

const sharesNoWord = (a: string, b: string): boolean => {
  const words = new Set(foldedWords(a));
  return foldedWords(b).every((w) => !words.has(w));
};

/** Whether a stretch is an item of its own, or a remark; marks it where it is another of the kind before. */
export function startsItem(
  before: Stretch,
  draft: Stretch,
  match: Match,
  isSecond: boolean,
  line: LineSaid,
): boolean | "remark" {
  const pair = new Pair(before, draft, match, isSecond, line);
  const told = firstTold(START_RULES, pair);
  if (told === null || typeof told !== "object") return told ?? false;
  draft.sameAs = told.sameAs;
  return true;
}
