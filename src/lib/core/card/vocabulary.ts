import { addTo } from "../base/addTo.ts";
import { categoryOf, type NamedCatalogue } from "../catalogue/catalogue.ts";
import { isPlaceWord } from "./placeWords.ts";
import type { Category } from "../model/functionRecord.ts";
import { abbreviatedName } from "./abbreviatedName.ts";
import { isCutOf } from "./abbreviation.ts";
import { abroadOf, type Abroad } from "./abroad.ts";
import { PACK_ONLY } from "./packWords.ts";
import { foldedWords } from "./words.ts";
import { quick } from "./quick.ts";

/** Stands for a real thing that no item type describes. */
export const NO_TYPE = "";

interface Phrase {
  readonly type: string;
  readonly words: readonly string[];
  /** Sum of its words' weights. */
  readonly sum: number;
  /** The same; an own alias weighs more. */
  readonly weight: number;
}

export interface Vocabulary {
  readonly catalogue: NamedCatalogue;
  readonly phrasesByWord: ReadonlyMap<string, readonly Phrase[]>;
  readonly weightOf: ReadonlyMap<string, number>;
  /** Its words by their first letter. */
  readonly byLetter: ReadonlyMap<string, readonly string[]>;
  /** Words that a name ends on: "wipe", "mask", "bandage". */
  readonly heads: ReadonlySet<string>;
  /** Names in other languages. */
  readonly abroad: Abroad;
}

/** A user's own wording for an item type, learned from a correction. */
export interface Alias {
  readonly text: string;
  readonly itemType: string;
}

/** What is said of an item besides what it is: never corrected into another word, never a thing. */
const PLAIN =
  "january february march april june july august september october november december monday tuesday wednesday thursday friday saturday sunday spring summer autumn winter carton cartons cellar attic garage canteen reception workshop stables barn lobby front back side top bottom upper lower large small medium xs s m l xl xxl xxxl extra big little mini tiny long short wide narrow thick thin size sized assorted various mixed individually indiv individual wrapped wrap sealed sterile blue red green yellow black white clear pink orange silver purple brown grey coloured colour disposable reusable waterproof washproof breathable hypoallergenic stretched unstretched stretchy soft hard strong premium quality heavy light duty standard regular adult child children kids baby unisex universal professional medical emergency compact portable folding folded flat new old unused unopened opened spare extra each only about approx approximately roughly maybe some with without from into over under left right inside outside other another more less than proper ordinary those these them they ones thing stuff looks like still good fine okay used grade latex alcohol powder water sheet sheets total count contents content packed vacuum boxed loose handy easy plus type style model includes including included item items things work works working doesn't does not don't it's that's there's here's which what when where while should would could been being have having having seems seem appears broken burst cracked damaged missing leaking leaky rusty dirty empty half nearly almost about still never always years year month months expired expiry dated brand branded basic essential deluxe mixed pieces piece each every other various check last mth mths wk wks hr hrs yr yrs";
const PLAIN_WORDS = new Set(foldedWords(PLAIN));
/** Says of a thing what it is like, never what it is. */
export const isPlainWord = (w: string): boolean => PLAIN_WORDS.has(w);
const isPlain = isPlainWord;

/** A way to call a thing, before its words are weighed. */
interface Name {
  readonly type: string;
  readonly words: readonly string[];
  readonly own: boolean;
}

/** An own alias wins over a shipped name of the same words. */
const OWN_WEIGHS = 1.1;

/** Builds the index of every way to call a thing. Own aliases weigh a little more than shipped words. */
export function buildVocabulary(
  catalogue: NamedCatalogue,
  aliases: readonly Alias[] = [],
): Vocabulary {
  const names = namesOf(catalogue, aliases);
  const weightOf = weightsOf(names, catalogue.types.size);
  const phrasesByWord = new Map<string, Phrase[]>();
  for (const { type, words, own } of names) {
    const sum = words.reduce((s, w) => s + weightOf.get(w)!, 0);
    // Filed under its rarest word: a full match must hold it.
    const rarest = words.reduce((a, b) => (weightOf.get(b)! > weightOf.get(a)! ? b : a));
    const filed = phrasesByWord.get(rarest) ?? [];
    filed.push({ type, words, sum, weight: sum * (own ? OWN_WEIGHS : 1) });
    phrasesByWord.set(rarest, filed);
  }
  const byLetter = new Map<string, string[]>();
  for (const w of weightOf.keys()) addTo(byLetter, w[0]!, w);
  const heads = new Set(names.filter((n) => n.words.length > 1).map((n) => n.words.at(-1)!));
  return {
    catalogue,
    phrasesByWord,
    weightOf,
    byLetter,
    heads,
    abroad: abroadOf(catalogue.wordsAbroad),
  };
}

function namesOf(catalogue: NamedCatalogue, aliases: readonly Alias[]): Name[] {
  const shipped = [...catalogue.types.values()].flatMap((t) =>
    [t.label, ...t.alsoCalled, ...(catalogue.words.get(t.id) ?? [])].map((text) => [t.id, text]),
  );
  const name = (type: string, text: string, own: boolean): Name => ({
    type,
    words: [...new Set(foldedWords(text))],
    own,
  });
  return [
    ...shipped.map(([type, text]) => name(type!, text!, false)),
    ...[...catalogue.noTypeWords].map((text) => name(NO_TYPE, text, false)),
    ...aliases.map((a) => name(a.itemType, a.text, true)),
  ].filter((n) => n.words.length > 0);
}

/** A word weighs more, the fewer kinds are called by it: log(1 + kinds / kinds with the word). */
function weightsOf(names: readonly Name[], kinds: number): Map<string, number> {
  const typesByWord = new Map<string, Set<string>>();
  for (const { type, words } of names)
    for (const w of words) {
      const types = typesByWord.get(w) ?? new Set();
      // Each thing without a type is a kind of its own.
      types.add(type === NO_TYPE ? words.join(" ") : type);
      typesByWord.set(w, types);
    }
  return new Map(
    [...typesByWord].map(([w, types]) => [w, Math.log(1 + kinds / types.size)] as const),
  );
}

const plain = new WeakMap<NamedCatalogue, Vocabulary>();
/** The vocabulary of a catalogue without aliases, built once. */
export function vocabularyOf(catalogue: NamedCatalogue): Vocabulary {
  let known = plain.get(catalogue);
  if (!known) plain.set(catalogue, (known = buildVocabulary(catalogue)));
  return known;
}

export interface Match {
  /** Item type id, or NO_TYPE; null: nothing recognised. */
  readonly type: string | null;
  /** Weight of the phrase found; 0 for none. */
  readonly weight: number;
  /** Share of the phrase's weight that is on the card, 0–1; 1 for a phrase found whole. */
  readonly whole: number;
  /** Weight over that of the best phrase of any other type, > 0 for a clear winner. */
  readonly margin: number;
  /** A word was taken for a misspelling. */
  readonly respelt: boolean;
  /** A word of three or four letters was taken for a longer one cut short. */
  readonly cutShort: boolean;
  /** Share of the recognised words of the text that the phrase explains, 0–1. */
  readonly explained: number;
  /** Words before any 'for', 'with' that nothing is known of: they may tell another kind. */
  readonly unknown: number;
  /** The same of two or three letters: "IPA", "NS", "HW". */
  readonly unknownShort: number;
  /** The last word of the name is none of the phrase's: "burn mask gel" by its "burn gel". */
  readonly headElsewhere: boolean;
  readonly alternatives: readonly string[];
}

const NOTHING: Match = {
  type: null,
  weight: 0,
  whole: 0,
  margin: 0,
  respelt: false,
  cutShort: false,
  explained: 0,
  unknown: 0,
  unknownShort: 0,
  headElsewhere: false,
  alternatives: [],
};

/** Phrases with this share of their weight are candidates, below a phrase found whole. */
const PARTIAL_FROM = 0.62;
/** Words after 'for', 'with', 'in' say something about the thing; they seldom name it. */
const AFTER_PREPOSITION = 0.45;
/** Words of a phrase that stand side by side in its order. */
const SIDE_BY_SIDE = 1.12;

/** The same words come again and again, within a card and from card to card. */
const MOST_REMEMBERED = 4000;
const remembered = new WeakMap<Vocabulary, Map<string, Match>>();

/** The item type that a text names. */
export function matchType(text: string, vocabulary: Vocabulary): Match {
  let matches = remembered.get(vocabulary);
  if (!matches) remembered.set(vocabulary, (matches = new Map()));
  const known = matches.get(text);
  if (known) return known;
  if (matches.size >= MOST_REMEMBERED) matches.clear();
  const match = practiceCopy(bestMatch(text, vocabulary), text, vocabulary);
  matches.set(text, match);
  return match;
}

/** Says of a device that it is for practice only. */
const FOR_PRACTICE = /\b(?:trainer|training|practice)\b/i;
/** Of these a practice copy is made, and mistaking it for the real thing kills. */
const COPIED: ReadonlySet<Category> = new Set([
  "severe-bleeding",
  "airway-chest",
  "resuscitation",
  "allergy",
]);

/** A practice copy wins over the real thing it names. */
function practiceCopy(match: Match, text: string, { catalogue }: Vocabulary): Match {
  const type = match.type === null ? undefined : catalogue.types.get(match.type);
  if (!type || !FOR_PRACTICE.test(text)) return match;
  if (!type.functions.some((f) => COPIED.has(categoryOf(f.function, catalogue)))) return match;
  for (const t of catalogue.types.values()) if (t.trainer) return { ...match, type: t.id };
  return match;
}

const NO_READING: ReadonlyMap<string, string> = new Map();
/** Readings of words cut short that are tried together; more fit no name. */
const MOST_READINGS = 12;

/** What a text names by its words; where some of them are not known, by what all of them may be cut short for. */
function bestMatch(text: string, vocabulary: Vocabulary): Match {
  const match = byReadings(text, vocabulary);
  const shorts = foldedWords(text).filter((w) => !vocabulary.weightOf.has(w) && !isPlain(w)).length;
  if (match.whole === 1 && (shorts === 0 || match.unknown + match.unknownShort === 0)) return match;
  const short = abbreviatedName(text, vocabulary);
  if (short === null) return match;
  const { type, weight } = short;
  // Never sure: what stands for a word may stand for another.
  return {
    ...NOTHING,
    type,
    weight,
    whole: 1,
    margin: 1,
    explained: 1,
    respelt: true,
    cutShort: true,
    unknown: Math.max(1, shorts),
  };
}

/** "GLVS NTRL": a word cut short may stand for several; the one with which the others name a kind whole. */
function byReadings(text: string, vocabulary: Vocabulary): Match {
  const first = findMatch(text, vocabulary);
  if (first.whole === 1 && first.explained === 1) return first;
  let readings: ReadonlyMap<string, string>[] = [new Map()];
  for (const word of new Set(foldedWords(text))) {
    if (vocabulary.weightOf.has(word) || known(word, vocabulary) === null) continue;
    const options = uncut(word, vocabulary);
    if (options.length < 2 || readings.length * options.length > MOST_READINGS) continue;
    readings = readings.flatMap((r) => options.map((o) => new Map([...r, [word, o]])));
  }
  return readings.slice(1).reduce((best, reading) => {
    const match = findMatch(text, vocabulary, reading);
    // All words must fit, or "wind" in a remark is a windlass.
    const fits = match.whole === 1 && match.explained === 1 && match.unknown === 0;
    const better = fits && (best.whole < 1 || match.weight > best.weight);
    return better ? match : best;
  }, first);
}

/** The known words of a text, and what is not known of it. */
interface SaidWords {
  /** How much each word says of the thing, 0–1. */
  readonly strength: ReadonlyMap<string, number>;
  readonly order: readonly string[];
  readonly head: string | undefined;
  readonly respelt: boolean;
  readonly cutShort: boolean;
  readonly unknown: number;
  readonly unknownShort: number;
}

/** A word that was put right says a little less. */
const RESPELT_SAYS = 0.9;

/** Takes the words of a text one after another. */
class WordTaker {
  readonly strength = new Map<string, number>();
  readonly order: string[] = [];
  respelt = false;
  cutShort = false;
  unknown = 0;
  unknownShort = 0;
  readonly #vocabulary: Vocabulary;
  readonly #reading: ReadonlyMap<string, string>;
  constructor(vocabulary: Vocabulary, reading: ReadonlyMap<string, string>) {
    this.#vocabulary = vocabulary;
    this.#reading = reading;
  }

  take(part: string, factor: number): void {
    for (const raw of foldedWords(part)) {
      const word = this.#reading.get(raw) ?? known(raw, this.#vocabulary);
      if (word === null) {
        if (factor === 1 && !isPlain(raw)) this.#missed(raw);
        continue;
      }
      if (word !== raw) this.#corrected(raw);
      this.order.push(word);
      const says = word === raw ? factor : factor * RESPELT_SAYS;
      this.strength.set(word, Math.max(this.strength.get(word) ?? 0, says));
    }
  }
  #missed(word: string): void {
    if (word.length >= SHORTEST_MODIFIER) this.unknown++;
    else if (word.length > 1) this.unknownShort++;
  }
  #corrected(word: string): void {
    this.respelt = true;
    if (word.length <= SHORTEST_MODIFIER) this.cutShort = true;
  }
}

function wordsSaid(
  text: string,
  vocabulary: Vocabulary,
  reading: ReadonlyMap<string, string>,
): SaidWords {
  const [main, ...tails] = text.split(
    /\b(?:for|with|in|from|incl(?:uding|\.)?|suitable|to be|that|which)\b/i,
  );
  const words = new WordTaker(vocabulary, reading);
  words.take(main ?? "", 1);
  const last = words.order.findLast((w) => !isPlain(w));
  const head = last !== undefined && vocabulary.heads.has(last) ? last : undefined;
  const named = last !== undefined;
  // "Key for AED cabinet": what a thing nobody knows is for does not name it.
  if (named || words.unknown === 0)
    for (const tail of tails) words.take(tail, named ? AFTER_PREPOSITION : 1);
  const { strength, order, respelt, cutShort, unknown, unknownShort } = words;
  return { strength, order, head, respelt, cutShort, unknown, unknownShort };
}

/** How well the best phrase of a kind is met. */
interface Met {
  readonly score: number;
  /** Share of the phrase's weight that is there, 0–1. */
  readonly whole: number;
  readonly words: readonly string[];
}

/** A phrase that is there in part counts for less than the part. */
const PART_COUNTS = 0.6;

function met(
  { strength, order }: SaidWords,
  phrase: Phrase,
  weightOf: Vocabulary["weightOf"],
): Met | null {
  let have = 0;
  let present = 0;
  for (const w of phrase.words) {
    const says = strength.get(w);
    if (says === undefined) continue;
    const weight = weightOf.get(w)!;
    have += says * weight;
    present += weight;
  }
  const whole = present / phrase.sum;
  if (whole < PARTIAL_FROM) return null;
  const score = have * (phrase.weight / phrase.sum) * whole ** 3;
  const factor = whole < 1 ? PART_COUNTS : sideBySide(order, phrase.words) ? SIDE_BY_SIDE : 1;
  return { score: score * factor, whole, words: phrase.words };
}

/** The best phrase of each kind, best first. */
function ranked(said: SaidWords, { phrasesByWord, weightOf }: Vocabulary): [string, Met][] {
  const best = new Map<string, Met>();
  for (const word of said.strength.keys())
    for (const phrase of phrasesByWord.get(word) ?? []) {
      const now = met(said, phrase, weightOf);
      const before = best.get(phrase.type);
      if (now && (!before || now.score > before.score)) best.set(phrase.type, now);
    }
  return [...best].sort((a, b) => b[1].score - a[1].score || (a[0] < b[0] ? -1 : 1));
}

/** "Plasters, a box": what they are packed in is not the thing, where another is named whole. */
function packsLast(kinds: [string, Met][]): [string, Met][] {
  const [first, second, ...others] = kinds;
  const isPack = first?.[1].words.length === 1 && PACK_ONLY.test(first[1].words[0]!);
  return isPack && second?.[1].whole === 1 ? [second, first, ...others] : kinds;
}

/** Weight of the words said, those apart that only say what a thing is like; and how much of it a phrase has. */
function explainedBy(
  words: readonly string[],
  { strength }: SaidWords,
  weightOf: Vocabulary["weightOf"],
): { all: number; explained: number } {
  let all = 0;
  let explained = 0;
  for (const [w, s] of strength) {
    if (isPlain(w)) continue;
    all += s * weightOf.get(w)!;
    if (words.includes(w)) explained += s * weightOf.get(w)!;
  }
  return { all, explained };
}

/** @param reading what words cut short stand for, where not for the commonest */
function findMatch(
  text: string,
  vocabulary: Vocabulary,
  reading: ReadonlyMap<string, string> = NO_READING,
): Match {
  const said = wordsSaid(text, vocabulary, reading);
  if (said.strength.size === 0) return NOTHING;
  const [first, ...others] = packsLast(ranked(said, vocabulary));
  const { respelt, cutShort, unknown, unknownShort, head } = said;
  if (!first) return { ...NOTHING, respelt };
  const [type, top] = first;
  // "cetirizine tablets": a word of the kind's own name says nothing else, whatever it was known by.
  const label = foldedWords(vocabulary.catalogue.types.get(type)?.label ?? "");
  const { all, explained } = explainedBy([...top.words, ...label], said, vocabulary.weightOf);
  return {
    type,
    weight: top.score,
    whole: top.whole,
    margin: top.score === 0 ? 0 : (top.score - (others[0]?.[1].score ?? 0)) / top.score,
    respelt,
    cutShort,
    explained: all === 0 ? 1 : explained / all,
    unknown,
    unknownShort,
    headElsewhere:
      head !== undefined && ![...top.words, ...label].includes(head) && explained < all,
    alternatives: others
      .slice(0, MOST_ALTERNATIVES)
      .map(([id]) => id)
      .filter((id) => id !== NO_TYPE),
  };
}

/** More buttons than these nobody reads. */
const MOST_ALTERNATIVES = 4;

function sideBySide(order: readonly string[], words: readonly string[]): boolean {
  if (words.length < 2) return false;
  for (let i = 0; i + words.length <= order.length; i++)
    if (words.every((w, k) => order[i + k] === w)) return true;
  return false;
}

/** Shorter ones are sizes, units and marks. */
const SHORTEST_MODIFIER = 4;

/** Shorter words are taken as they are. */
const SHORTEST_UNKNOWN = 3;

const ONE_WORD = quick(/^[\p{L}'’-]+$/u);
/** Whether a word stands in the vocabulary or among the plain ones, as it is. */
export const isKnownWord = (word: string, vocabulary: Vocabulary): boolean => {
  const folded = ONE_WORD.test(word) ? foldedWords(word) : [];
  return folded.length === 1 && (vocabulary.weightOf.has(folded[0]!) || isPlain(folded[0]!));
};

/** Whether any word of a text, as it is, stands in the vocabulary and says what a thing is. */
export const knowsAny = (text: string, vocabulary: Vocabulary): boolean =>
  foldedWords(text).some((w) => vocabulary.weightOf.has(w) && !isPlain(w));

const respellings = new WeakMap<Vocabulary, Map<string, string | null>>();

/** The word itself when known, its likely correction, or null. */
function known(word: string, vocabulary: Vocabulary): string | null {
  if (vocabulary.weightOf.has(word)) return word;
  if (word.length < SHORTEST_UNKNOWN || isPlain(word) || isPlaceWord(word)) return null;
  let cache = respellings.get(vocabulary);
  if (!cache) respellings.set(vocabulary, (cache = new Map()));
  const cached = cache.get(word);
  if (cached !== undefined) return cached;
  const found =
    (word.length < 5 ? null : respelt(word, vocabulary)) ?? uncut(word, vocabulary)[0] ?? null;
  if (cache.size > 20_000) cache.clear();
  cache.set(word, found);
  return found;
}

/** A word cut short seldom stands for more. */
const MOST_UNCUT = 4;
const uncuts = new WeakMap<Vocabulary, Map<string, readonly string[]>>();
/** The words that this one may be short for, the commonest first. */
function uncut(word: string, vocabulary: Vocabulary): readonly string[] {
  let cache = uncuts.get(vocabulary);
  if (!cache) uncuts.set(vocabulary, (cache = new Map()));
  const cached = cache.get(word);
  if (cached) return cached;
  const { byLetter, weightOf } = vocabulary;
  const found = (byLetter.get(word[0]!) ?? [])
    .filter((candidate) => isCutOf(word, candidate))
    .sort((a, b) => weightOf.get(a)! - weightOf.get(b)!)
    .slice(0, MOST_UNCUT);
  if (cache.size > 20_000) cache.clear();
  cache.set(word, found);
  return found;
}

/** The word within a slip or two, or null. */
function respelt(word: string, vocabulary: Vocabulary): string | null {
  // One slip in a short word, two in a long one; the first letter is seldom wrong.
  const slips = word.length >= 7 ? 2 : 1;
  let best: string | null = null;
  let bestDistance = slips + 1;
  let bestWeight = Infinity;
  const candidates = vocabulary.byLetter.get(word[0]!) ?? [];
  for (let length = word.length - slips; length <= word.length + slips; length++)
    for (const candidate of candidates) {
      if (candidate.length < 4 || candidate.length !== length) continue;
      const d = editDistance(word, candidate, slips);
      if (d > slips) continue;
      const weight = vocabulary.weightOf.get(candidate)!;
      if (d < bestDistance || (d === bestDistance && weight < bestWeight)) {
        best = candidate;
        bestDistance = d;
        bestWeight = weight;
      }
    }
  return best;
}

/** Damerau-Levenshtein (neighbouring letters swapped count one), or limit + 1 when above the limit. */
function editDistance(a: string, b: string, limit: number): number {
  let before: number[] = [];
  let previous = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const change = a[i - 1] === b[j - 1] ? 0 : 1;
      let d = Math.min(previous[j]! + 1, row[j - 1]! + 1, previous[j - 1]! + change);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        d = Math.min(d, before[j - 2]! + 1);
      row.push(d);
      least = Math.min(least, d);
    }
    if (least > limit) return limit + 1;
    before = previous;
    previous = row;
  }
  return previous[b.length]!;
}
