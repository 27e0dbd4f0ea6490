import { isMeasured, type Token } from "./lexer.ts";
import {
  COUNT_WORD,
  HOLDS_SEVERAL,
  isBookkeeping,
  NOT_A_COUNT_AFTER,
  PACK,
  PACK_ONLY,
  PACK_SIZE,
  PAIR,
  QUANTITY_WORD,
} from "./packWords.ts";
import { quick } from "./quick.ts";

/**
 * What the numbers of an item count: pieces, packs, what one pack holds, pairs. An ordered table of rules;
 * the first that takes a number places it.
 */

/** A number that counts. */
export interface Counted {
  readonly value: number;
  /** How firmly the words around say that it counts: 5.5 a word for it, 1.5 an article. */
  readonly strength: number;
  readonly article: boolean;
}

/** Where the numbers were placed. */
export class Placed {
  /** What one pack holds. */
  inner: number | null = null;
  /** How many packs. */
  outer: number | null = null;
  pairs: number | null = null;
  /** The word 'pair' stands there. */
  inPairs = false;
  /** Two bare numbers that may be a size or a count of packs. */
  bare: [number, number] | null = null;
  /** Of the packs counted, those that hold several: boxes and cards, not tubes and rolls. */
  packs: number | null = null;
  readonly plain: Counted[] = [];

  count(value: number, strength: number, article: boolean): void {
    this.plain.push({ value, strength, article });
  }
}

/** The tokens of an item, with those that are spoken for. */
export class Item {
  readonly tokens: readonly Token[];
  readonly used: Set<number>;
  /** By token: it stands in brackets. */
  readonly inside: readonly boolean[];
  constructor(tokens: readonly Token[], used: Set<number>) {
    this.tokens = tokens;
    this.used = used;
    let depth = 0;
    this.inside = tokens.map((t) => {
      if (t.kind === "open") depth++;
      const here = depth > 0;
      if (t.kind === "close") depth = Math.max(0, depth - 1);
      return here;
    });
  }
  word(i: number): string {
    const t = this.tokens[i];
    return t?.kind === "word" ? t.text : "";
  }
  /** Of a number that is not spoken for; else null. */
  number(i: number): number | null {
    const t = this.tokens[i];
    return t?.kind === "number" && !this.used.has(i) ? t.value : null;
  }
  kind(i: number): Token["kind"] | undefined {
    return this.tokens[i]?.kind;
  }
}

/** One number amid its neighbours. */
interface Place {
  readonly item: Item;
  readonly i: number;
  readonly n: number;
  readonly article: boolean;
  readonly inside: boolean;
  /** A hyphen clings to it: "4-pack". */
  readonly hyphen: boolean;
  /** Index of what follows, the hyphen left out, and its word. */
  readonly next: number;
  readonly after: string;
  /** The pack it counts, adjectives left out ("two little bottles"); no pack: the word after it. */
  readonly pack: string;
  readonly before: string;
  readonly before2: string;
}

interface NumberRule {
  readonly name: string;
  /** A line and the pieces it comes to. */
  readonly example: readonly [line: string, pieces: number];
  readonly takes: (p: Place, found: Placed) => boolean;
  readonly place: (p: Place, found: Placed) => void;
}

/** Strength from which a number is placed as a count: at the front, in brackets, with a sign or word. */
export const FIRM_COUNT = 3;
const SHORT_PACK = /^(?:pk|pkt|pkg)$/i;
const CONTAINS = /^(?:of|with|containing|x)$/i;

const inner = ({ n }: Place, found: Placed): void => {
  found.inner = n;
};
const counts =
  (strength: (p: Place) => number): NumberRule["place"] =>
  (p, found) =>
    found.count(p.n, strength(p), p.article);

/** Of more the first is a side, of a cloth with three. */
const MOST_OF_A_SIZE = 50;
/** "2 x 20x20", "4 x 10 x 10 gauze": of three numbers the first counts where the two behind it are set closer, or alike, or it leads. */
function leadsBareSize({ item, i, n }: Place): boolean {
  const [second, third] = [item.number(i + 2), item.number(i + 4)];
  const isChain = item.kind(i + 1) === "times" && item.kind(i + 3) === "times";
  if (!isChain || second === null || third === null || n > MOST_OF_A_SIZE) return false;
  if (item.kind(i + 5) === "times" || isMeasured(item.tokens, i + 4)) return false;
  const { tokens } = item;
  const gap = (at: number) => tokens[at]!.start - tokens[at - 1]!.end;
  const isCloser = gap(i + 1) > gap(i + 3);
  // "2x3 x 3": the first two are the sides.
  if (gap(i + 1) < gap(i + 3)) return false;
  return n !== second && (isCloser || second === third || i === firstMeaningful(tokens));
}

export const NUMBER_RULES: readonly NumberRule[] = [
  {
    name: "what the pack before it holds",
    example: ["pack of 5 swabs", 5],
    takes: ({ before, before2, after }, { outer }) =>
      CONTAINS.test(before) && PACK.test(before2) && outer === null && !PAIR.test(after),
    place: inner,
  },
  {
    name: "a pack over its content",
    example: ["swabs PK/5", 5],
    takes: ({ item, i }) => item.kind(i - 1) === "slash" && PACK_ONLY.test(item.word(i - 2)),
    place: inner,
  },
  {
    name: "packs over what one holds",
    example: ["swabs 6/2pk", 12],
    takes: ({ item, i }, { outer }) =>
      item.kind(i + 1) === "slash" &&
      item.number(i + 2) !== null &&
      /^(?:pk|pkt|pkg|pack)s?$/i.test(item.word(i + 3)) &&
      outer === null,
    place: ({ item, i, n }, found) => {
      found.outer = n;
      found.inner = item.number(i + 2);
      item.used.add(i + 2);
    },
  },
  {
    name: "a pack last on the line, with what it holds",
    example: ["2 swabs pk 5", 10],
    takes: ({ item, i, before }, { outer, plain }) =>
      SHORT_PACK.test(before) && i === item.tokens.length - 1 && outer === null && plain.length > 0,
    place: inner,
  },
  {
    name: "a pack in brackets, with what it holds",
    example: ["2 swabs (pack 5)", 10],
    takes: ({ item, i, before, pack, inside }, { outer }) =>
      /^(?:pk|pack|box)$/i.test(before) &&
      !PACK.test(pack) &&
      outer === null &&
      item.tokens[i - 1]!.end >= item.tokens[i]!.start - 1 &&
      i === item.tokens.length - 1 - (item.kind(i + 1) === "close" ? 1 : 0) &&
      inside &&
      item.number(i - 2) === null,
    place: inner,
  },
  {
    name: "so many per pack, in each pack",
    example: ["plasters, 10 per box, 4 boxes", 40],
    takes: ({ item, next, after }) =>
      /^(?:per|to)$/i.test(after) ||
      (/^in$/i.test(after) &&
        (/^(?:a|an|each|every|one)$/i.test(item.tokens[next + 1]?.text ?? "") ||
          PACK_ONLY.test(item.word(next + 1)))) ||
      (item.kind(next) === "slash" && PACK_ONLY.test(item.word(next + 1))),
    place: (p, found) => {
      const { item, next } = p;
      inner(p, found);
      // "per pack", "in each": the article and pack word are no count of their own
      for (let k = next + 1; k < Math.min(next + 3, item.tokens.length); k++) {
        const t = item.tokens[k];
        if (t?.kind === "number" && t.spoken) item.used.add(k);
      }
    },
  },
  {
    name: "pairs",
    example: ["3 pairs of tongs", 3],
    takes: ({ after }) => PAIR.test(after),
    place: ({ n, article }, found) => {
      found.pairs = n;
      found.count(n, 6, article);
    },
  },
  {
    name: "a pack by what it holds",
    example: ["wipes, 4-pack", 4],
    takes: ({ item, n, hyphen, next, after }) =>
      (hyphen && /^(?:packs?|pks?)$/i.test(after)) ||
      (/^(?:pack|pk)$/i.test(after) &&
        n > 1 &&
        !/^(?:of|with|containing)$/i.test(item.word(next + 1))),
    place: (p, found) => {
      // "2 pk gauze (2/pk)": what one pack holds is said later; "gauze (5s) 4 pk": before.
      const { item, next } = p;
      const later = saysPerPack(item.tokens, next + 1) || item.kind(next + 1) === "slash";
      if (later || found.inner !== null) found.outer ??= p.n;
      else inner(p, found);
    },
  },
  {
    name: "pieces behind a hyphen",
    example: ["12-piece set of pins", 12],
    takes: ({ hyphen, after }) => hyphen && /^(?:piece|pc|count|ct)$/i.test(after),
    place: ({ n }, found) => found.count(n, 3, false),
  },
  {
    name: "packs, and what they hold behind them",
    example: ["2 boxes of 20 plasters", 40],
    takes: ({ pack }) => PACK.test(pack),
    place: packsOf,
  },
  {
    name: "so many each",
    example: ["2 cards pins, 6 each", 12],
    takes: ({ after }, { outer }) => /^each$/i.test(after) && outer !== null,
    place: inner,
  },
  {
    name: "so many of a content",
    example: ["2 x saline pod 5 x 20 ml", 10],
    takes: ({ item, i }) => item.kind(i + 1) === "times" && item.kind(i + 3) === "volume",
    place: (p, found) => {
      if (found.plain.some((c) => c.strength >= FIRM_COUNT)) inner(p, found);
      else found.count(p.n, 5, false);
    },
  },
  {
    name: "packs of so many, by an s",
    example: ["4 x gauze swab, 5s", 20],
    takes: ({ item, i }) => isPackByS(item, i),
    place: inner,
  },
  {
    name: "so many of a size without its unit",
    example: ["2 x 20x20 burn dressing", 2],
    takes: leadsBareSize,
    place: ({ n }, found) => found.count(n, 5, false),
  },
  {
    name: "a number times a number",
    example: ["2 x 16 tablets", 32],
    takes: ({ item, i }) =>
      item.kind(i + 1) === "times" &&
      item.number(i + 2) !== null &&
      !isMeasured(item.tokens, i + 2),
    place: ({ item, i, n }, found) => {
      const second = item.number(i + 2)!;
      const clings =
        item.kind(i + 3) === "dash" && item.tokens[i + 3]!.start === item.tokens[i + 2]!.end;
      item.used.add(i + 2);
      // "10x8 PK/10": a size, and then what a pack holds.
      const saysHeld = item.kind(i + 4) === "slash" || /^of$/i.test(item.word(i + 4));
      const isOnePack = /^(?:pk|pack)$/i.test(item.word(i + 3)) && saysHeld;
      const arePieces = ARE_PIECES.test(item.word(i + 3)) && !isOnePack;
      if (clings || arePieces) {
        found.outer ??= n;
        found.inner = second;
      } else found.bare = [n, second];
    },
  },
  {
    name: "a sign that multiplies beside it",
    example: ["whistle x 3", 3],
    takes: ({ item, i }) => item.kind(i - 1) === "times" || item.kind(i + 1) === "times",
    place: ({ n, inside }, found) => found.count(n, inside ? 4.5 : 5, false),
  },
  {
    name: "a word for quantity before it",
    example: ["whistle qty: 3", 3],
    takes: ({ item, i, before, before2 }) =>
      QUANTITY_WORD.test(before) || (item.kind(i - 1) === "colon" && QUANTITY_WORD.test(before2)),
    place: ({ n }, found) => found.count(n, 5.5, false),
  },
  {
    name: "in brackets behind packs: what one holds",
    example: ["3 strips paracetamol (8)", 24],
    takes: ({ n, inside }, { outer, inner }) =>
      outer !== null && inside && outer !== n && inner === null,
    place: inner,
  },
  {
    name: "a word that counts behind it",
    example: ["pins, 12 pcs", 12],
    takes: ({ after }) => COUNT_WORD.test(after),
    place: counts(({ inside }) => (inside ? 3.5 : 4)),
  },
  {
    name: "in brackets",
    example: ["whistle (3)", 3],
    takes: ({ inside }) => inside,
    place: counts(({ item, i }) => (item.kind(i - 1) === "open" ? 3 : 1)),
  },
  {
    name: "at the front",
    example: ["3 whistles", 3],
    takes: ({ item, i }) => i === firstMeaningful(item.tokens),
    // "some wipes, 15": a number says more than an article.
    place: counts(({ article }) => (article ? 1.9 : 3.2)),
  },
  {
    name: "anywhere else",
    example: ["whistles, red, 3", 3],
    takes: () => true,
    place: counts(({ article }) => (article ? 1.5 : 2)),
  },
];

/** "100S", "5's": a pack of so many. */
const isPackByS = (item: Item, i: number): boolean =>
  /^s$/i.test(item.word(i + 1)) && item.tokens[i + 1]!.start <= item.tokens[i]!.end + 1;

/** "2 x 16 tablets": what the second number counts are pieces, the first packs of them. */
const ARE_PIECES = /^(?:packs?|pks?|tablets?|tabs|caps|capsules?|pcs|pieces?|caplets?)$/i;

/** "2 boxes of 20", "3 strips (8)", "2 cards, 6 each". */
function packsOf({ item, n, article, next, after: word, pack }: Place, found: Placed): void {
  const held = heldBy(item, pack, pack === word ? next + 1 : next + 2);
  if (held !== null) {
    found.inner = item.number(held);
    if (PAIR.test(item.word(held + 1))) found.inPairs = true;
    item.used.add(held);
  }
  if (HOLDS_SEVERAL.test(pack)) found.packs = n;
  if (found.outer === null) found.outer = n;
  else found.count(n, 1, article);
}

/** The token that says what one pack holds, behind the word for the pack; null: none does. */
function heldBy(item: Item, pack: string, after: number): number | null {
  const kind = item.kind(after);
  const leadsToIt =
    /^(?:of|with|containing|x|each)$/i.test(item.word(after)) ||
    kind === "times" ||
    kind === "open" ||
    kind === "separator";
  const n = leadsToIt ? item.number(after + 1) : null;
  if (n === null) return null;
  const follows = item.word(after + 2);
  // "3 boxes, 4 shears": what a comma parts is another thing, unless it is said to be in each.
  if (kind === "separator" && !/^(?:each|per|in)$/i.test(follows)) return null;
  // "3 packs (2 pairs)": the same said twice.
  if (kind === "open" && PAIR.test(follows)) return null;
  return LIQUID_PACK.test(pack) && n >= CONTENT_FROM ? null : after + 1;
}

/** A bottle holds no pieces: a number this large in brackets behind one is its content in ml. */
const CONTENT_FROM = 50;
const LIQUID_PACK = /^(?:bottles?|btls?|tubes?|cans?|sprays?)$/i;

const ONE_CAPITAL = quick(/^\p{Lu}$/u);
/** A number that names a model: "No. 16 eye pads – 4", "scissors A 145", "2 dressings (No 8)". */
function namesModel({ item, i, inside, before, pack }: Place): boolean {
  if (/^no$/i.test(before) && inside) return true;
  // Not "1 no. 24-pk", which counts.
  if (/^nos?$/i.test(before)) return !PACK.test(pack) && isModel(item.tokens, i);
  // "size M 4" too; not "gloves M 100S".
  const isClose = item.tokens[i]!.start - (item.tokens[i - 1]?.end ?? 0) <= 1;
  // "dressing pad M 4": so many of that size, where nothing else counts them.
  if (SIZE_LETTER.test(before) && !isModel(item.tokens, i)) return false;
  return ONE_CAPITAL.test(before) && isClose && !isPackByS(item, i);
}
const SIZE_LETTER = /^[SML]$/;

/** "calico, 1952": nobody has as many of anything. */
const isYearPast = (n: number): boolean => n >= 1900 && n < 2000;
/** "cream, tube, 2019!!", "cream (2027)": the year in which it runs out, with nothing behind it that is counted. */
const isYearNear = ({ n, after, before }: Place): boolean =>
  n >= FIRST_YEAR &&
  n <= LAST_YEAR &&
  after === "" &&
  !COUNT_WORD.test(before) &&
  !PACK.test(before);
/** What lies in a kit was made since the one, and runs out before the other. */
const FIRST_YEAR = 2010;
const LAST_YEAR = 2049;
/** Numbers that count nothing, whatever stands around: models, sizes by a letter, "the windlass one". */
function countsNothing(place: Place): boolean {
  const { item, i, n, inside, before } = place;
  if (NOT_A_COUNT_AFTER.test(before) || namesModel(place) || isYearPast(n)) return true;
  if (isYearNear(place)) return true;
  if (inside && n >= CONTENT_FROM && item.tokens.some((t) => LIQUID_PACK.test(t.text))) return true;
  // "(windlass one)": the one of that kind.
  return (
    inside && before !== "" && /^one$/i.test(item.tokens[i]!.text) && item.kind(i + 1) === "close"
  );
}

const FOR_BLISTERS = /^(?:plasters?|pads?|cushions?|dressings?|patch(?:es)?|gel|care|bands?)$/i;

function placeOf(item: Item, i: number, n: number): Place {
  const token = item.tokens[i] as Token & { article: boolean };
  const hyphen = item.kind(i + 1) === "dash" && item.tokens[i + 1]!.start === token.end;
  const next = hyphen ? i + 2 : i + 1;
  const after = item.word(next);
  const second = item.word(next + 1);
  // "7 foil blankets": foil that blankets are of holds nothing.
  const isStuff =
    (/^foil$/i.test(after) && second !== "" && !/^of$/i.test(second)) ||
    // "7 blister plasters" are for blisters.
    (/^blisters?$/i.test(after) && FOR_BLISTERS.test(second));
  const pack = isStuff ? "" : PACK_SIZE.test(after) && PACK.test(second) ? second : after;
  return {
    item,
    i,
    n,
    hyphen,
    next,
    after,
    pack,
    article: token.article,
    inside: item.inside[i]!,
    before: item.word(i - 1),
    before2: item.word(i - 2),
  };
}

/** Places every number of an item that no size, volume or strength has taken; marks them as used. */
export function placeNumbers(item: Item, rules: readonly NumberRule[] = NUMBER_RULES): Placed {
  const { tokens, used } = item;
  const found = new Placed();
  tokens.forEach((_, i) => {
    if (PAIR.test(item.word(i))) found.inPairs = true;
    if (isTwin(item, i)) found.inner ??= 2;
  });
  for (let i = 0; i < tokens.length; i++) {
    const n = item.number(i);
    if (n === null) continue;
    // No count has decimals: a price, a size that lost its unit.
    if (item.kind(i + 1) === "times" && !Number.isInteger(n) && item.number(i + 2) !== null) {
      found.bare ??= [n, item.number(i + 2)!];
      used.add(i).add(i + 2);
    }
    // "7.0" is a size, as no count has a point.
    if (!Number.isInteger(n) || /\.\d/.test(tokens[i]!.text)) continue;
    const place = placeOf(item, i, n);
    if (countsNothing(place)) continue;
    // one, two, three rolls: counting aloud
    const aloud = countingAloud(tokens, i, used);
    if (aloud > i) {
      for (let k = i; k < aloud; k++) used.add(k);
      continue;
    }
    used.add(i);
    rules.find((rule) => rule.takes(place, found))?.place(place, found);
  }
  return found;
}

/** "twin-pack", "(twin)", "double pack": holds two. */
function isTwin(item: Item, i: number): boolean {
  const word = item.word(i).toLowerCase();
  if (!word.startsWith("twin") && word !== "double") return false;
  if (/^twin-?packs?$/.test(word)) return true;
  const isOfPacks = /^(?:packs?|pks?|pkts?)$/i.test(item.word(i + 1));
  const isInBrackets = item.kind(i - 1) === "open" && item.kind(i + 1) === "close";
  // "chest seal, vented, twin"
  const isLast =
    item.kind(i - 1) === "separator" && (!item.tokens[i + 1] || item.kind(i + 1) === "open");
  return (
    (word === "double" && isOfPacks) || (word === "twin" && (isOfPacks || isInBrackets || isLast))
  );
}

/** "(2/pk)", "5 per pack" from here on. */
const saysPerPack = (tokens: readonly Token[], from: number): boolean =>
  tokens.some(
    (t, i) =>
      i >= from &&
      t.kind === "number" &&
      (tokens[i + 1]?.kind === "slash" || /^per$/i.test(tokens[i + 1]?.text ?? "")) &&
      PACK_ONLY.test(tokens[i + 2]?.text ?? ""),
  );

/** "No. 3" with another number on the line that is no measure. */
const isModel = (tokens: readonly Token[], i: number): boolean =>
  tokens.some((t, k) => k !== i && t.kind === "number" && !t.article && !isMeasured(tokens, k));

const firstMeaningful = (tokens: readonly Token[]): number =>
  tokens.findIndex(
    (t) => t.kind !== "dash" && t.kind !== "open" && !(t.kind === "word" && isBookkeeping(t.text)),
  );

/** From another number than one, so many on the way: fewer would be any two numbers. */
const FEWEST_ALOUD = 3;

/** "one, two, three rolls", commas or none: index of the last number of a count said aloud from one; i when it is none. */
function countingAloud(tokens: readonly Token[], i: number, used: ReadonlySet<number>): number {
  const first = tokens[i];
  if (first?.kind !== "number" || !first.spoken || first.article) return i;
  let at = i;
  for (let value = first.value + 1; ; value++) {
    const next = saidNext(tokens, at, value, used);
    if (next === null) break;
    at = next;
  }
  return first.value === 1 || at - i >= FEWEST_ALOUD ? at : i;
}

/** The token right behind, commas left out, where it says this number; else null. */
function saidNext(
  tokens: readonly Token[],
  at: number,
  value: number,
  used: ReadonlySet<number>,
): number | null {
  let k = at + 1;
  while (tokens[k]?.kind === "separator") k++;
  const next = tokens[k];
  const isSaid = next?.kind === "number" && next.spoken && !used.has(k);
  return isSaid && next.value === value ? k : null;
}
