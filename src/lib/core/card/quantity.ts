import type { Token } from "./lexer.ts";

/** What a stretch of tokens says of number, size and content, with the words that name the thing. */
export interface Reading {
  /** Usable pieces before the rule for gloves; null: no number at all. */
  readonly pieces: number | null;
  /** Number of pairs that was said as such. */
  readonly pairs: number | null;
  /** The word 'pair' stands there. */
  readonly inPairs: boolean;
  /** The count was only 'a' or 'an'. */
  readonly article: boolean;
  readonly sizeMm: readonly number[] | null;
  /** Two bare numbers, `4 x 4`, that may be a size or a count of packs. */
  readonly bare: readonly [number, number] | null;
  readonly volumeMl: number | null;
  readonly volumeMaybeMass: boolean;
  readonly strengthMg: number | null;
  /** Packs that are counted where nothing says what one holds; null: none are. */
  readonly packsOfUnknown: number | null;
  /** Numbers on the line that no rule placed, besides the one taken. */
  readonly leftOver: number;
  /** The words left, as text. */
  readonly noun: string;
}

const PACK =
  /^(?:packs?|pks?|pkts?|pkgs?|packages?|bxs?|rls?|btls?|packets?|boxe?s?|cards?|blisters?|strips?|bags?|tubes?|bottles?|tins?|tubs?|pots?|cartons?|sets?|sleeves?|bundles?|wallets?|pouch(?:es)?|sachets?|rolls?|sheets?|ampoules?|vials?|foils?|envelopes?|envs?|refills?|containers?|jars?|cans?|bunch(?:es)?|cases?|twinpacks?|multipacks?|trays?|dispensers?)$/i;
const PACK_ONLY =
  /^(?:packs?|pks?|pk|pkt|pkg|package|packet|bx|rl|btl|box|card|blister|strip|bag|carton|set|sleeve|bundle|wallet|tin|tub|tube|bottle|envelope|env|sheet|case|tray|roll|foil|pouch|sachet|st)$/i;
const COUNT_WORD =
  /^(?:pcs?|pces?|pieces?|stk|stück|ea|each|units?|count|ct|off|nos?|items?|x|qty|quantity|tablets?|tabs?|caps?|capsules?|caplets?|doses?|singles?|of|parts?)$/i;
const HOLDS_SEVERAL =
  /^(?:packs?|pks?|pkts?|pkgs?|packages?|bxs?|packets?|box(?:es)?|cards?|blisters?|strips?|cartons?|sets?|sleeves?|wallets?|envelopes?|envs?)$/i;
/** What may stand between a number and its pack: "two little bottles". */
const PACK_SIZE =
  /^(?:little|small|large|big|full|new|unopened|sealed|individual|plastic|spare|whole|twin|double)$/i;
const PAIR = /^(?:pairs?|prs?)$/i;
const NOT_A_COUNT_AFTER =
  /^(?:spf|factor|size|model|type|ref|rev|class|level|ffp|category|cat|part|code|item|lot|page|version|grade|step|section|module|stage|dia|diameter|up to|until|from|approx)$/i;
const QUANTITY_WORD = /^(?:qty|quantity|count|amount|number|pcs|pieces|contains|quan|anzahl)$/i;

/** Strength from which a number is placed as a count: at the front, in brackets, with a sign or word. */
const FIRM_COUNT = 3;

interface Counted {
  value: number;
  strength: number;
  article: boolean;
}

/** A list of tokens that remembers its reading: the same stretch is asked for again and again. */
type Remembering = readonly Token[] & { reading?: Reading };

/** Reads numbers, sizes and contents out of tokens of one item. The tokens must not change after. */
export const readQuantity = (tokens: readonly Token[]): Reading =>
  ((tokens as Remembering).reading ??= readTokens(tokens));

function readTokens(tokens: readonly Token[]): Reading {
  const used = new Set<number>();
  const sizes = readSizes(tokens, used);
  let volumeMl: number | null = null;
  let volumeMaybeMass = false;
  let strengthMg: number | null = null;
  tokens.forEach((t, i) => {
    if (t.kind !== "volume" && t.kind !== "strength" && t.kind !== "otherUnit") return;
    used.add(i).add(i - 1);
    // "for 200 ml": what it makes, not what it holds.
    const makes = /^(?:for|makes?|per|with|into|in)$/i.test(tokens[i - 2]?.text ?? "");
    if (t.kind === "volume" && volumeMl === null && !makes) {
      volumeMl = t.ml;
      volumeMaybeMass = t.maybeMass;
    }
    if (t.kind === "strength" && strengthMg === null) strengthMg = t.mg;
  });

  const words = tokens.map((t) => (t.kind === "word" ? t.text : ""));
  const word = (i: number): string => words[i] ?? "";
  const number = (i: number): number | null => {
    const t = tokens[i];
    return t?.kind === "number" && !used.has(i) ? t.value : null;
  };
  const kind = (i: number) => tokens[i]?.kind;
  let depth = 0;
  const inside = tokens.map((t) => {
    if (t.kind === "open") depth++;
    const here = depth > 0;
    if (t.kind === "close") depth = Math.max(0, depth - 1);
    return here;
  });

  let inner: number | null = null;
  let outer: number | null = null;
  let pairs: number | null = null;
  let bare: [number, number] | null = null;
  /** Of the packs counted, those that hold several: boxes and cards, not tubes and rolls. */
  let packs: number | null = null;
  const plain: Counted[] = [];
  let inPairs = false;
  tokens.forEach((_, i) => {
    if (PAIR.test(word(i))) inPairs = true;
    if (/^(?:twin|double)$/i.test(word(i)) && /^(?:packs?|pks?|pkts?)$/i.test(word(i + 1)))
      inner ??= 2;
    if (/^twin-?packs?$/i.test(word(i))) inner ??= 2;
  });

  for (let i = 0; i < tokens.length; i++) {
    const n = number(i);
    // No count has decimals: a price, a size that lost its unit.
    if (n !== null && kind(i + 1) === "times" && !Number.isInteger(n) && number(i + 2) !== null) {
      bare ??= [n, number(i + 2)!];
      used.add(i).add(i + 2);
    }
    // "7.0" is a size, as no count has a point.
    if (n === null || !Number.isInteger(n) || /\.\d/.test(tokens[i]!.text)) continue;
    const token = tokens[i] as Token & { article: boolean };
    let next = i + 1;
    const hyphen = kind(next) === "dash" && tokens[next]!.start === tokens[i]!.end;
    if (hyphen) next++;
    // adjectives between number and pack: "two little bottles"
    const w = word(next);
    const beforeWord = word(i - 1);
    const before2 = word(i - 2);
    // "scissors A 145", "size M 4": a letter before it makes a model of a number.
    if (NOT_A_COUNT_AFTER.test(beforeWord)) continue;
    // "No. 16 eye pads – 4": a model, where another number counts.
    if (/^nos?$/i.test(beforeWord) && isModel(tokens, i)) continue;
    if (/^\p{Lu}$/u.test(beforeWord) && token.start - tokens[i - 1]!.end <= 1) continue;
    // "(windlass one)": the one of that kind.
    if (inside[i] && beforeWord !== "" && /^one$/i.test(token.text) && kind(i + 1) === "close")
      continue;
    // "2 dressings (No 8)": a model.
    if (inside[i] && /^no$/i.test(beforeWord)) continue;
    // one, two, three rolls: counting aloud
    const aloud = countingAloud(tokens, i, used);
    if (aloud > i) {
      for (let k = i; k < aloud; k++) used.add(k);
      continue;
    }
    used.add(i);
    const bagWord = PACK_SIZE.test(w) && PACK.test(word(next + 1)) ? word(next + 1) : w;
    const isPack = PACK.test(bagWord);
    if (
      /^(?:of|with|containing|x)$/i.test(beforeWord) &&
      PACK.test(before2) &&
      outer === null &&
      !PAIR.test(w)
    ) {
      inner = n;
    } else if (kind(i - 1) === "slash" && PACK_ONLY.test(word(i - 2))) {
      inner = n;
    } else if (
      kind(i + 1) === "slash" &&
      number(i + 2) !== null &&
      /^(?:pk|pkt|pkg|pack)s?$/i.test(word(i + 3)) &&
      outer === null
    ) {
      // "6/2pk": six packs of two
      outer = n;
      inner = number(i + 2);
      used.add(i + 2);
    } else if (
      /^(?:pk|pkt|pkg)$/i.test(beforeWord) &&
      i === tokens.length - 1 &&
      outer === null &&
      plain.length > 0
    ) {
      inner = n;
    } else if (
      /^(?:pk|pack|box)$/i.test(beforeWord) &&
      !isPack &&
      outer === null &&
      tokens[i - 1]!.end >= tokens[i]!.start - 1 &&
      i === tokens.length - 1 - (kind(i + 1) === "close" ? 1 : 0) &&
      inside[i] &&
      number(i - 2) === null
    ) {
      inner = n;
    } else if (
      /^(?:per|to)$/i.test(w) ||
      (/^in$/i.test(w) &&
        (/^(?:a|an|each|every|one)$/i.test(tokens[next + 1]?.text ?? "") ||
          PACK_ONLY.test(word(next + 1)))) ||
      (kind(next) === "slash" && PACK_ONLY.test(word(next + 1)))
    ) {
      inner = n;
      // "per pack", "in each": the article and pack word are no count of their own
      for (let k = next + 1; k < Math.min(next + 3, tokens.length); k++) {
        const t = tokens[k];
        if (t?.kind === "number" && t.spoken) used.add(k);
      }
    } else if (PAIR.test(w)) {
      pairs = n;
      plain.push({ value: n, strength: 6, article: token.article });
    } else if (
      (hyphen && /^(?:packs?|pks?)$/i.test(w)) ||
      (/^(?:pack|pk)$/i.test(w) && n > 1 && !/^(?:of|with|containing)$/i.test(word(next + 1)))
    ) {
      // "2 pk gauze (2/pk)": what one pack holds is said later.
      const perPack = saysPerPack(tokens, next + 1) || kind(next + 1) === "slash";
      if (perPack) outer ??= n;
      else inner = n;
    } else if (hyphen && /^(?:piece|pc|count|ct)$/i.test(w)) {
      plain.push({ value: n, strength: 3, article: false });
    } else if (isPack) {
      const after = bagWord === w ? next + 1 : next + 2;
      const of =
        /^(?:of|with|containing|x|each)$/i.test(word(after)) || kind(after) === "times"
          ? after + 1
          : kind(after) === "open" || kind(after) === "separator"
            ? after + 1
            : after;
      const then = number(of);
      const follows = word(of + 1);
      const ofNumber = of > after && then !== null && tokens[of]!.kind === "number";
      if (
        ofNumber &&
        (kind(after) !== "separator" || /^(?:each|per|in)$/i.test(follows)) &&
        !(kind(after) === "open" && PAIR.test(follows))
      ) {
        inner = then;
        if (PAIR.test(follows)) inPairs = true;
        used.add(of);
      }
      if (HOLDS_SEVERAL.test(bagWord)) packs = n;
      if (outer === null) outer = n;
      else plain.push({ value: n, strength: 1, article: token.article });
    } else if (/^each$/i.test(w) && outer !== null) {
      inner = n;
    } else if (kind(i + 1) === "times" && number(i + 2) !== null && !isMeasured(tokens, i + 2)) {
      const second = number(i + 2)!;
      const w2 = word(i + 3);
      const dash2 = kind(i + 3) === "dash" && tokens[i + 3]!.start === tokens[i + 2]!.end;
      if (
        dash2 ||
        /^(?:packs?|pks?|tablets?|tabs|caps|capsules?|pcs|pieces?|caplets?)$/i.test(w2)
      ) {
        outer ??= n;
        inner = second;
        used.add(i + 2);
        if (PACK.test(w2) && /s$/.test(w2) && !dash2 && !/^(?:tabs|caps|pcs)$/i.test(w2)) {
          /* "2 x 3 packs": packs of unknown content, counted as packs */
        }
      } else {
        bare = [n, second];
        used.add(i + 2);
      }
    } else if (kind(i - 1) === "times" || kind(i + 1) === "times") {
      plain.push({ value: n, strength: inside[i] ? 4.5 : 5, article: false });
    } else if (
      QUANTITY_WORD.test(beforeWord) ||
      (kind(i - 1) === "colon" && QUANTITY_WORD.test(before2))
    ) {
      plain.push({ value: n, strength: 5.5, article: false });
    } else if (outer !== null && inside[i] && outer !== n && inner === null) {
      inner = n;
    } else if (COUNT_WORD.test(w)) {
      plain.push({ value: n, strength: inside[i] ? 3.5 : 4, article: token.article });
    } else if (inside[i]) {
      plain.push({ value: n, strength: kind(i - 1) === "open" ? 3 : 1, article: token.article });
    } else if (i === firstMeaningful(tokens)) {
      plain.push({ value: n, strength: 3.2, article: token.article });
    } else {
      plain.push({ value: n, strength: token.article ? 1.5 : 2, article: token.article });
    }
  }

  plain.sort((a, b) => b.strength - a.strength);
  // "two strips of eight, five hundred": a number that trails what is counted in full counts nothing.
  const counted = outer !== null && inner !== null;
  const first = counted && (plain[0]?.strength ?? 0) < FIRM_COUNT ? undefined : plain[0];
  let pieces: number | null = null;
  if (first && outer !== null && inner !== null && first.value === outer * inner)
    pieces = first.value;
  else if (first || outer !== null || inner !== null)
    pieces = (first?.value ?? 1) * (outer ?? 1) * (inner ?? 1);
  if (pieces === null && !first && bare === null && inner === null && outer === null) pieces = null;

  // "one box of fifty plasters": what they come in names nothing; a roll or a strip may.
  const wrapping = (i: number) =>
    /^(?:box(?:es)?|bags?|cases?|pouch(?:es)?|tins?|packs?|packets?|sleeves?|wallets?|cartons?|tubs?|pots?|jars?)$/i.test(
      word(i),
    ) &&
    (i === 0 ||
      ["number", "separator", "dash", "open", "colon"].includes(kind(i - 1)!) ||
      ((i === 1 || tokens[i - 2]?.kind === "number") && PACK_SIZE.test(word(i - 1)))) &&
    (/^(?:of|with|containing)$/i.test(word(i + 1)) ||
      // "1 box gloves"
      (/^(?:box(?:es)?|packs?|packets?|cartons?|tubs?)$/i.test(word(i)) &&
        tokens[i - 1]?.kind === "number" &&
        kind(i + 1) === "word"));
  // "tissues 1 box": nor does it at the end.
  const endingIn = (i: number) =>
    i > 1 &&
    PACK_ONLY.test(word(i)) &&
    tokens[i - 1]?.kind === "number" &&
    ["separator", "close", undefined].includes(kind(i + 1)) &&
    tokens.slice(0, i - 1).some((t) => t.kind === "word" && !isBookkeeping(t.text));
  // "mask in a pouch": nor does what it lies in.
  const lyingIn = (i: number) =>
    i > 1 &&
    /^(?:box|bag|case|pouch|tin|packet|sleeve|wallet|tub|pot|jar)$/i.test(word(i)) &&
    (/^in$/i.test(word(i - 1)) ||
      (/^in$/i.test(word(i - 2)) &&
        (/^(?:the|its|own|small|soft|hard|plastic|zip|zipped|carry|nylon)$/i.test(word(i - 1)) ||
          tokens[i - 1]?.kind === "number")));
  // "plasters (box, 40)"
  const boxed = (i: number) =>
    i > 1 && kind(i - 1) === "open" && PACK_ONLY.test(word(i)) && kind(i + 1) === "separator";
  const noun = tokens
    .filter(
      (t, i) =>
        t.kind === "word" &&
        !used.has(i) &&
        !isBookkeeping(t.text) &&
        !wrapping(i) &&
        !lyingIn(i) &&
        !endingIn(i) &&
        !boxed(i),
    )
    .map((t) => t.text)
    .join(" ");
  return {
    pieces,
    pairs,
    inPairs,
    article: first?.article === true && outer === null && inner === null,
    sizeMm: sizes,
    bare,
    volumeMl,
    volumeMaybeMass,
    strengthMg,
    packsOfUnknown: inner === null && packs !== null && pieces === packs ? packs : null,
    leftOver: plain.filter((c) => c !== first && c.value !== first?.value && !c.article).length,
    noun,
  };
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

const isBookkeeping = (w: string) =>
  /^(?:pcs?|pces?|stk|stück|pkgs?|pkts?|bxs?|rls?|btls?|ea|each|qty|quantity|pairs?|prs?|x|of|off|per|units?|pieces?|pk|pkt|ct|no|approx|the|is|are|there|there's|theres|we|i|have|got|has|um|uh|er|erm|okay|ok|oh|so|well|now|next|here's|that's|some|ones?)$/i.test(
    w,
  );

/** "No. 3" with another number on the line that is no measure. */
const isModel = (tokens: readonly Token[], i: number): boolean =>
  tokens.some((t, k) => k !== i && t.kind === "number" && !t.article && !isMeasured(tokens, k));

const firstMeaningful = (tokens: readonly Token[]): number =>
  tokens.findIndex(
    (t) => t.kind !== "dash" && t.kind !== "open" && !(t.kind === "word" && isBookkeeping(t.text)),
  );

const isMeasured = (tokens: readonly Token[], i: number): boolean =>
  ["length", "volume", "strength", "otherUnit"].includes(tokens[i + 1]?.kind ?? "");

/** "one, two, three rolls", commas or none: index of the last number of a count said aloud from one; i when it is none. */
function countingAloud(tokens: readonly Token[], i: number, used: ReadonlySet<number>): number {
  let at = i;
  const first = tokens[i];
  if (first?.kind !== "number" || !first.spoken || first.article) return i;
  for (;;) {
    let k = at + 1;
    while (tokens[k]?.kind === "separator") k++;
    const here = tokens[at];
    const next = tokens[k];
    if (
      next?.kind !== "number" ||
      !next.spoken ||
      used.has(k) ||
      here?.kind !== "number" ||
      next.value !== here.value + 1
    )
      // From another number on, two would be any two numbers.
      return first.value === 1 || at - i >= 3 ? at : i;
    at = k;
  }
}

/** Sizes in whole mm, ascending; marks the tokens they take. null: none printed. */
function readSizes(tokens: readonly Token[], used: Set<number>): number[] | null {
  const chains: { mm: number[]; from: number; to: number; inside: boolean }[] = [];
  let depth = 0;
  for (let i = 0; i < tokens.length; i++) {
    const t = tokens[i]!;
    if (t.kind === "open") depth++;
    if (t.kind === "close") depth = Math.max(0, depth - 1);
    if (t.kind !== "number" || isCountPrefix(tokens, i)) continue;
    const parts: { value: number; mm: number | null; at: number }[] = [];
    let k = i;
    let end = i;
    for (;;) {
      const n = tokens[k];
      if (n?.kind !== "number") break;
      const unit = tokens[k + 1];
      if (unit?.kind === "volume" || unit?.kind === "strength" || unit?.kind === "otherUnit") break;
      const hasUnit = unit?.kind === "length";
      if (!hasUnit && isCountAfterSize(tokens, k, parts)) break;
      parts.push({ value: n.value, mm: hasUnit ? unit.mm : null, at: k });
      end = hasUnit ? k + 1 : k;
      let sep = end + 1;
      // "3 in wide x 4 yd long", "90 (W) x 127 (L) cm"
      while (
        tokens[sep]?.kind === "word" &&
        /^(?:wide|long|w|l|h|d|length|width|high|deep|thick)$/i.test(tokens[sep]!.text) &&
        tokens[sep + 1]?.kind === "times"
      )
        sep++;
      if (tokens[sep]?.kind !== "times") break;
      k = sep + 1;
    }
    if (!parts.some((p) => p.mm !== null)) {
      i = Math.max(i, end);
      continue;
    }
    let from = 0;
    // "3 x 10 cm x 4 m", "2 x 5 cm roll": a whole number before a measured one is a count …
    if (
      parts.length > 1 &&
      parts[0]!.mm === null &&
      Number.isInteger(parts[0]!.value) &&
      leads(tokens, i)
    ) {
      const others = parts.slice(1);
      const otherNumber = hasOtherCount(tokens, i, end);
      const sameAsNext = others[0]!.value === parts[0]!.value && others.length === 1;
      const mixedUnits = others.length >= 2 && others.every((o) => o.mm !== null);
      if (
        mixedUnits ||
        (!otherNumber &&
          !sameAsNext &&
          others.length === 1 &&
          parts[0]!.value <= 20 &&
          oneDimensional(tokens))
      )
        from = 1;
    }
    const chain = parts.slice(from);
    const mm = chain.map((p, at) => p.mm ?? p.value * ratio(chain, at));
    for (let u = chain[0]!.at; u <= end; u++) used.add(u);
    chains.push({ mm, from: chain[0]!.at, to: end, inside: depth > 0 });
    i = end;
  }
  if (chains.length === 0) return null;
  const main = chains.find((c) => c.mm.length > 1) ?? chains[0]!;
  let mm = [...main.mm];
  if (main.mm.length === 1)
    for (const other of chains) {
      // The same size in other units, mostly in brackets, is not another one.
      const again = mm.some((v) => Math.abs(other.mm[0]! / v - 1) < 0.06);
      if (other !== main && other.mm.length === 1 && !again && !other.inside) mm.push(other.mm[0]!);
    }
  mm = mm.map((v) => Math.max(1, Math.round(v)));
  return mm.sort((a, b) => a - b);
}

/**
 * `6" x1`, `5 cm x 4.5 m x 2`: a bare whole number behind measured ones is a count when its sign
 * clings to it, or when both dimensions are there already.
 */
function isCountAfterSize(
  tokens: readonly Token[],
  k: number,
  parts: readonly { mm: number | null }[],
): boolean {
  const number = tokens[k]!;
  const times = tokens[k - 1];
  if (parts.length === 0 || number.kind !== "number" || !Number.isInteger(number.value))
    return false;
  if (parts.at(-1)!.mm === null || tokens[k + 1]?.kind === "times") return false;
  // "2.5 cm x 2 rolls"
  const next = tokens[k + 1];
  if (next?.kind === "word" && (COUNT_WORD.test(next.text) || PACK.test(next.text))) return true;
  const clings =
    times?.kind === "times" && times.end === number.start && times.start > tokens[k - 2]!.end;
  return clings || parts.length >= 2;
}

/** mm per unit of the number at `at` that has no unit of its own: the next one's in the chain, else the last one's. */
function ratio(chain: readonly { value: number; mm: number | null }[], at: number): number {
  const later = chain.slice(at + 1).find((p) => p.mm !== null);
  const earlier = chain
    .slice(0, at)
    .reverse()
    .find((p) => p.mm !== null);
  const from = later ?? earlier!;
  return from.mm! / from.value;
}

/** `1x 6 in bandage`: a whole number at the front whose sign clings to it, with a gap behind, counts. */
function isCountPrefix(tokens: readonly Token[], i: number): boolean {
  const number = tokens[i]!;
  const times = tokens[i + 1];
  const next = tokens[i + 2];
  return (
    number.kind === "number" &&
    Number.isInteger(number.value) &&
    times?.kind === "times" &&
    times.start === number.end &&
    next !== undefined &&
    next.start > times.end &&
    leads(tokens, i)
  );
}

const leads = (tokens: readonly Token[], i: number) =>
  tokens.slice(0, i).every((t) => t.kind === "dash" || t.kind === "open");

const hasOtherCount = (tokens: readonly Token[], from: number, to: number): boolean =>
  tokens.some((t, i) => (i < from || i > to) && t.kind === "number" && !isMeasured(tokens, i));

/** Things with one printed dimension: "2 x 5 cm tape" is two, "2 x 5 cm gauze pad" is a size. */
const oneDimensional = (tokens: readonly Token[]): boolean =>
  tokens.some(
    (t) =>
      t.kind === "word" &&
      /bandage|tape|roll|wrap|scissor|shear|tweezer|tourniquet|strap|cord/i.test(t.text),
  );
