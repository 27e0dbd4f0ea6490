import { shippedType } from "../catalogue/catalogue.ts";
import { cardRows, type CardRow } from "./layout.ts";
import { lex } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";
import { isOfTheKindBefore, segmentsOf, speaksOfAbsence, type Segment } from "./segments.ts";
import { buildVocabulary, matchType, NO_TYPE, type Match, type Vocabulary } from "./vocabulary.ts";

/** One item that a card names. */
export interface CardEntry {
  /** Line of the card, from 1, blank lines included. */
  readonly source: number;
  /** null: a real thing that no id describes, or none that is sure enough. */
  readonly itemType: string | null;
  /** Usable pieces; gloves in pairs. */
  readonly pieces: number;
  /** Whole mm, ascending. */
  readonly sizeMm: readonly number[] | null;
  readonly volumeMl: number | null;
  readonly strengthMg: number | null;
  /** How sure type, pieces and size are together, 0–1. */
  readonly confidence: number;
  /** Next-best item types, best first. */
  readonly alternatives: readonly string[];
  /** The words of the card that made it. */
  readonly text: string;
}

export interface CardReading {
  /** The piece total the card itself states; null: none. */
  readonly claimedPieces: number | null;
  readonly entries: readonly CardEntry[];
}

/** No card has more; beyond it a paste was a mistake. */
export const MOST_LINES = 10_000;
/** No line that names items is longer. */
export const LONGEST_LINE = 2_000;

const shipped = buildVocabulary();

/** Below this weight a phrase is too common a word to name an item by itself. */
const NAMES_FROM = 1.2;

/**
 * Reads a contents card into entries, in reading order. Pure; never throws on text.
 * Lines longer than LONGEST_LINE and beyond MOST_LINES are not read.
 */
export function readCard(text: string, vocabulary: Vocabulary = shipped): CardReading {
  const rows = cardRows(text)
    .filter((r) => r.text.length <= LONGEST_LINE)
    .slice(0, MOST_LINES);
  const drafts = rows.map((row) => draftOf(row, vocabulary));
  const style = styleOf(drafts);
  let claimedPieces: number | null = null;
  const found: (CardEntry & { dropped?: boolean })[] = [];
  let absentBlock: { indent: number; source: number } | null = null;
  drafts.forEach((draft, at) => {
    const { row } = draft;
    const claim = claimOf(draft, at < 2);
    if (claim !== null) {
      if (claimedPieces === null) claimedPieces = claim;
      return;
    }
    if (absentBlock && endsBlock(row, absentBlock, drafts[at - 1]?.row)) absentBlock = null;
    if (speaksOfAbsence(row.text) && isHeadingLike(row.text)) {
      absentBlock = { indent: row.indent, source: row.source };
      return;
    }
    if (absentBlock || isNote(draft, style) || isHeading(draft, drafts[at + 1], style, at === 0))
      return;
    if (startsWithAbsence(row.text)) return;
    const foundBefore = found.length;
    for (const said of draft.segments) {
      const before = found.at(-1);
      const segment =
        style.spoken && before?.itemType && isOfTheKindBefore(said)
          ? { ...said, match: { ...said.match, type: before.itemType, whole: 1, weight: 2 } }
          : said;
      if (
        segment.corrects &&
        found.length > 0 &&
        segment.reading.noun.trim() === "" &&
        segment.reading.pieces === null &&
        !segment.absent
      ) {
        if (/scratch|strike/i.test(row.text)) found.pop();
        continue;
      }
      const entry = entryOf(segment, draft, style, isAmongItems(drafts, at));
      if (
        segment.absent ||
        (segment.reading.pieces === 0 && row.quantity === null) ||
        (row.quantity !== null && quantityIsNought(row.quantity))
      )
        continue;
      const last = found.at(-1);
      // "six, sorry, five sachets": what is corrected named nothing yet; then this is the item itself.
      const namedHere = found.length > foundBefore || draft.segments[0]!.corrects;
      if (segment.corrects && last && namedHere) {
        const same =
          segment.match.type === null ||
          segment.match.type === (last.itemType ?? NO_TYPE) ||
          segment.match.weight < NAMES_FROM;
        const fixed = same
          ? {
              ...last,
              pieces: correctedPieces(segment.reading, last),
              sizeMm: segment.reading.sizeMm ?? last.sizeMm,
            }
          : entry;
        if (fixed) found[found.length - 1] = { ...fixed, source: last.source };
        continue;
      }
      if (entry) found.push(entry);
    }
  });
  return { claimedPieces, entries: found };
}

/** "Sold separately: tick card, whistle": the whole line is of what is not there. */
const startsWithAbsence = (text: string): boolean => {
  const colon = text.indexOf(":");
  return colon > 0 && colon < text.length - 1 && speaksOfAbsence(text.slice(0, colon));
};

interface Draft {
  readonly row: CardRow;
  readonly segments: readonly Segment[];
  /** Reading of the whole line. */
  readonly whole: Reading;
  readonly match: Match;
  /** "GLOVES: blue, 2 pairs": what stands before a colon is an item. */
  readonly headNamesItem: boolean;
}

function draftOf(row: CardRow, vocabulary: Vocabulary): Draft {
  const segments = row.text.trim() === "" ? [] : segmentsOf(row.text, vocabulary);
  const whole = readQuantity(lex(row.text));
  const head = PRAISE.test(row.text) ? row.text.slice(0, row.text.indexOf(":")) : "";
  const headNamesItem = head !== "" && isSure(matchType(head, vocabulary));
  return { row, segments, whole, match: matchType(whole.noun, vocabulary), headNamesItem };
}

interface Style {
  /** Most items carry a list mark. */
  readonly bullets: boolean;
  /** Most items carry a number. */
  readonly counts: boolean;
  /** Most items are in capitals. */
  readonly capitals: boolean;
  /** There is a table. */
  readonly table: boolean;
  /** Someone is talking. */
  readonly spoken: boolean;
  /** It writes sizes in centimetres or millimetres more often than in inches. */
  readonly metric: boolean;
  readonly indent: number;
  /** First and last line that surely names an item. */
  readonly first: number;
  readonly last: number;
}

/** The lines right above and below (no blank line between) surely name items; the last of a list has one above. */
function isAmongItems(drafts: readonly Draft[], at: number): boolean {
  const source = drafts[at]!.row.source;
  const beside = (d: Draft | undefined, by: number) =>
    d !== undefined && d.row.source === source + by && d.segments.some((s) => isSure(s.match));
  const near = (step: 1 | -1) => {
    let k = at + step;
    // An unknown thing may stand beside another one.
    if (drafts[k] && drafts[k]!.row.source === source + step && !beside(drafts[k], step)) {
      k += step;
      return (
        drafts[k] !== undefined &&
        drafts[k]!.row.source === source + 2 * step &&
        drafts[k]!.segments.some((s) => isSure(s.match))
      );
    }
    return beside(drafts[k], step);
  };
  return (
    near(-1) && (near(1) || drafts[at + 1] === undefined || drafts[at + 1]!.row.source > source + 1)
  );
}

/** How this card writes its items, from the lines that surely are some. */
function styleOf(drafts: readonly Draft[]): Style {
  const sure = drafts.filter(
    (d) => d.segments.some((s) => isSure(s.match)) && claimOf(d, false) === null,
  );
  const share = (test: (d: Draft) => boolean) =>
    sure.length === 0 ? 0 : sure.filter(test).length / sure.length;
  const fillers = drafts.filter((d) =>
    /\b(?:um|uh|okay|there'?s|i've got|i have|here goes|let me see|let's see|right then|looks like|oh and|and then|we've got|we have|goodness|that's the lot|that's it)\b/i.test(
      d.row.text,
    ),
  ).length;
  const times = (pattern: RegExp) => drafts.filter((d) => pattern.test(d.row.text)).length;
  const indents = sure.map((d) => d.row.indent).sort((a, b) => a - b);
  const isCounted = (d: Draft) =>
    d.row.quantity !== null ||
    d.whole.bare !== null ||
    (d.whole.pieces !== null && !d.whole.article);
  const counts = share(isCounted) > 0.6;
  return {
    bullets: share((d) => d.row.bullet && !d.row.inTable) > 0.6,
    counts,
    capitals: share((d) => isCapitals(d.row.text)) > 0.6,
    table: sure.some((d) => d.row.inTable),
    spoken: (fillers >= 2 || share(saysNumbers) > 0.5) && share((d) => d.row.bullet) < 0.3,
    metric: times(CENTIMETRES) > times(INCHES),
    indent: indents[Math.floor(indents.length / 2)] ?? 0,
    first:
      (counts ? sure.find((d) => isCounted(d) && d.match.type !== "container") : sure[0])?.row
        .source ?? 0,
    last: sure.at(-1)?.row.source ?? 0,
  };
}

const saysNumbers = (d: Draft): boolean =>
  d.segments.some((s) => s.tokens.some((t) => t.kind === "number" && t.spoken && !t.article));

const CENTIMETRES = /\d\s*(?:mm|cm)\b|\b(?:cent|mill)imet(?:re|er)s?\b/i;
const INCHES = /\d\s*(?:-\s*)?(?:["”″]|in\b(?!\s+a))|\binch/i;

const isSure = (m: Match) =>
  m.type !== null && m.whole === 1 && m.weight >= NAMES_FROM && m.explained > 0.5;
const isCapitals = (text: string) => /\p{Lu}{3}/u.test(text) && !/\p{Ll}{2}/u.test(text);

const CLAIM =
  /\b(\d{1,3}(?:,\d{3})+|\d{1,5})\s*[-–]?\s*(?:pieces?|peices?|peaces|pcs?|pces?|items?|parts?|articles|components)(?![a-z])|\b(?:pieces|items|pcs|contents|total(?:\s+(?:pieces|items|contents|count|pcs|number\s+of\s+(?:pieces|items)))?)\s*[:=]\s*(\d{1,5})\b(?!\s*(?:\.|,)\d)/i;

/** A piece total that a title or total line states. */
function claimOf({ row, segments }: Draft, isTitle: boolean): number | null {
  if (row.quantity !== null && !/total/i.test(row.text)) return null;
  if (
    /^\W*(?:sub-?\s?)?total\b/i.test(row.text) &&
    row.quantity !== null &&
    /^\W*\d+\W*$/.test(row.quantity) &&
    !/value|price|cost|amount|weight/i.test(row.text)
  )
    return Number(row.quantity.replace(/\D/g, ""));
  const m = CLAIM.exec(row.text.replace(/(\d),(\d{3})\b/g, "$1$2"));
  if (!m) return null;
  const value = Number((m[1] ?? m[2])!.replaceAll(",", ""));
  const isTotal =
    /\btotal\b|\bin all\b|\baltogether\b|^\s*contents\b|\bcontains\b|\bincludes\b|\bcomprising\b|\bcomplete with\b/i.test(
      row.text,
    );
  const namesKit =
    /\b(?:kit|set|first[\s-]?aid|bag|box|pouch|pack|case|collection|refill|survival|medical|emergency|trail|pocket|trauma|grab)\b/i.test(
      row.text,
    );
  if (/\b(?:value|price|cost|weight)\b/i.test(row.text) && !namesKit) return null;
  // "1 set of plasters (14 pcs)": the pieces of one item.
  if (/^\W*\d+\s+\p{L}/u.test(row.text) && m.index > 3 && !isTotal) return null;
  const rest = row.text.replace(m[0], " ");
  const items = segments.filter(
    (s) =>
      isSure(s.match) &&
      s.match.type !== "container" &&
      s.match.type !== "contents-card" &&
      s.match.type !== "fishing-kit" &&
      s.match.type !== NO_TYPE,
  );
  if ((isTotal || (isTitle && !row.bullet && value >= 10)) && items.length === 0) return value;
  // A title: no item is named but the kit itself, or it does not lead with the count.
  if (
    !row.bullet &&
    (items.length === 0 ||
      (namesKit &&
        /\bkit\b/i.test(rest) &&
        value >= 10 &&
        items.length <= 1 &&
        !/^\s*\d/.test(row.text)))
  ) {
    if (namesKit || value >= 10 || items.length === 0)
      return namesKit ||
        isTotal ||
        /^\W*\d+\s*[-–]?\s*(?:piece|pcs|pieces|peices|items?)\b\W*$/i.test(row.text)
        ? value
        : null;
  }
  return namesKit && items.length === 0 && value >= 10 ? value : null;
}

const isHeadingLike = (text: string) => {
  const t = text.trim();
  return (
    /:\s*$/.test(t) ||
    (!/\d/.test(t.replace(/\([^)]*\)/g, "")) &&
      t.split(/\s+/).length <= 6 &&
      !/[.,]/.test(t.replace(/\.$/, "")) &&
      /^(?:optional|not included|recommended|you may|also|customers|sold|suggested|consider|frequently|extras|people|wish|refills)/i.test(
        t,
      ))
  );
};

const endsBlock = (
  row: CardRow,
  block: { indent: number; source: number },
  previous: CardRow | undefined,
) => previous !== undefined && previous.source !== block.source && row.source - previous.source > 1;

const NOTE_START =
  /^\W*(?:it\s+(?:weighs|fits|comes|has|is)|weighing|note|nb|n\.b|store|keep|stored?|check(?:ed)?\s+(?:the|by|all|contents?|dates?|expiry|every|regularly|monthly|before|for)|checked|date|dated|delivery|delivered|dimensions?|weight|weighs|colou?r|made|manufactur|replace|warning|caution|important|suitable|fits|price|order|contact|www|http|tel\b|phone|email|returns?|warranty|guarantee|rating|reviews?|you may|location|appointed|next\s|see\s|do not|don't|please|always|never|use\s|in an? |if\s|call\s|super\s|best\s|ideal|perfect|great|be\s|our\s|this\s|these\s|with\s(?:over|more)|all\s|home\s*>|model|serial|lot|batch|expiry|expires?|signed?|signature|name:|owner|prepared|packed\s+by|inspected|last\s|revision|rev\b|page|total\s|subtotal|vat|shipping|approved|meets|complies|conforms|designed|that's|thats|package\s(?:includes?|contents?)|what's\s+in|whats\s+in|contents?\s*$|contents?\s*:?\s*$|includes?\s*:?\s*$|quantity|remember|refill|restock|report|for\s+(?:use|two|one|up|emergency|home|car|\d)|up\s+to|free\s|click|share|save|customers?|description|features?|size\s*:|material|packaging|sku|brand|category|availability|in\s+stock|add\s+to|buy|item\s+no|stock)\b/i;

const PRAISE = /^\W*\d*\s*\p{Lu}[\p{Lu} -]{5,}:\s+\S/u;

/** Sentences that tell something, and list nothing. */
function isNote({ row, match, segments, whole, headNamesItem }: Draft, style: Style): boolean {
  const text = row.text.trim();
  if (text === "") return true;
  if (/^(?:sub-?\s?)?total\b/i.test(text)) return true;
  if (row.inTable)
    return /^(?:sub-?\s?total|total|grand total|sum|carriage|postage|shipping|vat|tax|delivery)\b/i.test(
      text,
    );
  // "54 ESSENTIALS: everything for …" praises.
  if (PRAISE.test(text) && !(isSure(match) && headNamesItem)) return true;
  if (/_{3,}/.test(text) && !segments.some((s) => isSure(s.match))) return true;
  if (/\b(?:https?:|www\.|@\w+\.)/i.test(text)) return true;
  const bare = !row.bullet && (whole.pieces === null || whole.article);
  const dictated =
    style.spoken &&
    segments.some((s) => s.match.whole === 1 && s.match.weight >= 2.5 && s.reading.pieces !== null);
  if (
    !dictated &&
    NOTE_START.test(text) &&
    !(row.bullet && isSure(match)) &&
    !(
      match.whole === 1 &&
      match.weight > 4 &&
      match.explained > 0.7 &&
      text.split(/\s+/).length <= 7 &&
      !/^(?:note|nb|you may|report|check|total|store|keep)\b/i.test(text)
    )
  )
    return true;
  // Blurb outside the list: a sentence with a verb of its own and nothing counted.
  if (
    !style.spoken &&
    /[.!?]\s*$/.test(text) &&
    text.split(/\s+/).length >= 4 &&
    bare &&
    !(
      isSure(match) &&
      match.explained > 0.75 &&
      !/\b(?:is|are|be|will|can|should|must|have|has|need|keep|use|check|replace|may)\b/i.test(text)
    )
  )
    return true;
  if (
    !style.spoken &&
    /\b(?:is|are|will|should|must|please|ensure|recommend(?:ed)?)\b/i.test(text) &&
    bare &&
    text.split(/\s+/).length >= 5
  )
    return true;
  if (
    style.bullets &&
    !row.bullet &&
    !row.inTable &&
    !(
      isSure(match) &&
      whole.pieces !== null &&
      !whole.article &&
      !/[.!?]$/.test(text) &&
      text.split(/\s+/).length <= 9
    )
  )
    return true;
  return false;
}

const HEADINGS = new Set(
  "wound care|wounds|wound|bandages|bandages and dressings|dressings|dressings and bandages|plasters|plasters and dressings|tools|tools and protection|instruments|medicines|medicine|medication|medications|meds|drugs|burns|burn care|burn|bleeding|bleeding control|cleaning|hygiene|protection|ppe|personal protection|misc|miscellaneous|other|others|other items|extras|general|trauma|airway|breathing|circulation|eyes|eye care|fractures|sprains|sprains and strains|fractures and sprains|survival|tapes|tape|gloves and masks|antiseptics|cleansing|blisters|blister care|feet|foot care|bites and stings|insect bites|equipment|hardware|paperwork|documents|stationery|documentation|contents|medicine cabinet|diagnostics|splints|supports|immobilisation|cold therapy|hot and cold|resuscitation|cpr|first aid|emergency|pockets|front pocket|main compartment|back pocket|inner pocket|outer pocket|lid|top|bottom|left|right|wipes|wipes and creams|creams|ointments|creams and ointments|tablets|gauze|gauze and pads|pads|bandaging|wound dressings|closures|signalling|lighting|warmth|exposure|skin|allergy|stings|bag|box".split(
    "|",
  ),
);

/** "A. Dressings", with a list mark: a heading where what is listed carries counts. */
const SECTIONS =
  /^(?:wounds?|wound care|bandages?|dressings?|bandages and dressings|dressings and bandages|tools|instruments|equipment|medicines?|medications?|meds|burns?|burn care|bleeding|cleaning|hygiene|protection|ppe|misc|miscellaneous|others?|extras|eyes?|eye care|airway|resuscitation|sprains|fractures)$/;

/** A line that names a group of items. */
function isHeading(
  { row, match, whole, segments }: Draft,
  next: Draft | undefined,
  style: Style,
  isFirst: boolean,
): boolean {
  if (row.inTable)
    return (
      row.quantity === null &&
      !isSure(match) &&
      row.text.split(/\s+/).length <= 3 &&
      HEADINGS.has(normalHeading(row.text))
    );
  const text = row.text.trim();
  if (/:\s*(?:\([^)]*\))?\s*$/.test(text)) return true;
  const counted = (whole.pieces !== null && !whole.article) || whole.bare !== null;
  const names = segments.some((s) => isSure(s.match) && s.match.type !== "container");
  // "Camp nurse list (2 weeks, 24 kids)"
  if (
    isFirst &&
    !row.bullet &&
    !names &&
    /\b(?:list|kit|bag|box|set|pouch|contents|cabinet|refill)\b/i.test(text)
  )
    return true;
  if (counted || whole.sizeMm !== null) return false;
  if (row.bullet && style.counts && SECTIONS.test(normalHeading(text))) return true;
  if (row.bullet && style.bullets) return false;
  if (HEADINGS.has(normalHeading(text)) && (style.counts || style.bullets)) return true;
  if (style.counts && next && !style.capitals && isCapitals(text) && !isCapitals(next.row.text))
    return true;
  if (style.counts && style.indent > row.indent && !row.bullet) return true;
  if (style.counts && !style.spoken && !row.bullet && row.source < style.first) return true;
  if (/^[=*#~—–-]{2,}|[=*#~-]{3,}\s*$/.test(text) || /^#+\s/.test(text)) return true;
  return !names && !row.bullet && !style.spoken && row.source < style.first;
}

const normalHeading = (text: string) =>
  text
    .toLowerCase()
    .replace(/\([^)]*\)/g, "")
    .replace(/&/g, "and")
    .replace(/[^a-z ]/g, "")
    .replace(/\s+/g, " ")
    .trim();

const quantityIsNought = (quantity: string) =>
  /^\s*(?:0+(?:\s+\p{L}+)?|nil|none|zero|-|—|n\/a)\s*$/iu.test(quantity);

/** The entry a segment makes; null: it names nothing. */
function entryOf(
  segment: Segment,
  draft: Draft,
  style: Style,
  amongItems: boolean,
): CardEntry | null {
  const { match, reading } = segment;
  const { row } = draft;
  const named =
    match.type !== null &&
    (match.whole === 1 ? match.weight >= NAMES_FROM : match.weight >= 2.5 && match.whole >= 0.7);
  const counted = reading.pieces !== null || row.quantity !== null;
  if (!named) {
    // A thing without a type is an item only where the line is written like one.
    if (!/\p{L}{3}/u.test(reading.noun)) return null;
    const firm = counted && !(reading.article && !style.spoken);
    const listed = row.inTable ? row.quantity !== null : row.bullet ? style.bullets || firm : false;
    const spoken =
      style.spoken &&
      counted &&
      /\b(?:a|an|one|two|three|some|of)\b|\d/i.test(draft.row.text) &&
      row.source > style.first &&
      row.source <= style.last + 2 &&
      !/\b(?:the lot|that's|goes|right|so)\b/i.test(draft.row.text);
    const inList =
      !row.bullet &&
      style.counts &&
      !style.bullets &&
      firm &&
      row.source > style.first - (/^\W*\d/.test(row.text) ? 5 : 2) &&
      row.source < style.last + 3 &&
      reading.noun.split(" ").length <= 6;
    const plain =
      amongItems &&
      !style.spoken &&
      reading.noun.split(" ").length <= 4 &&
      !/[.!?:]\s*$/.test(row.text);
    if (!(listed || spoken || inList || plain)) return null;
  }
  if (
    named &&
    match.type === "container" &&
    (!counted || (style.spoken && row.source < style.first)) &&
    !row.bullet &&
    !(amongItems && match.explained === 1)
  )
    return null;
  if (
    named &&
    style.spoken &&
    !counted &&
    (match.type === "container" ||
      match.explained < 0.6 ||
      (match.weight < 2.2 && segment.tokens.length > 4))
  )
    return null;
  const type = named && match.type !== NO_TYPE ? match.type : null;
  const sized = sizeOf(reading, row, type, style.metric);
  const refined = refine(type, reading.noun, sized.sizeMm);
  const shippedT = refined === null ? undefined : shippedType(refined);
  const pieces = piecesOf(reading, row, refined, sized.bareIsCount);
  const sure = confidenceOf(match, named, pieces.sure, refined !== type, style, counted);
  // Gloves of no named material are taken for the usual kind.
  const guessed = refined === "nitrile-gloves" && !/nitrile|latex|synthetic/i.test(reading.noun);
  const confidence = guessed ? Math.min(sure, GUESSED) : sure;
  return {
    source: row.source,
    itemType: refined,
    pieces: pieces.value,
    sizeMm: sized.sizeMm,
    volumeMl: volumeOf(reading, shippedT?.measure, refined),
    strengthMg: reading.strengthMg === null ? null : Math.round(reading.strengthMg * 1000) / 1000,
    confidence,
    alternatives: [
      ...new Set([
        ...(refined !== type && type !== null ? [type] : []),
        ...(refined === null && match.type ? [match.type] : []),
        ...match.alternatives,
      ]),
    ].slice(0, 4),
    text: segment.text,
  };
}

/**
 * Two bare numbers before a pad are inches ("4 x 4"), as the trade writes them, or centimetres
 * where the card is a metric one; else packs.
 */
function sizeOf(
  reading: Reading,
  row: CardRow,
  type: string | null,
  metric: boolean,
): { sizeMm: readonly number[] | null; bareIsCount: boolean } {
  if (reading.sizeMm !== null || reading.bare === null)
    return { sizeMm: reading.sizeMm, bareIsCount: reading.bare !== null };
  const [a, b] = reading.bare;
  const padLike =
    type !== null &&
    /pad|gauze|dressing|adhesive|tulle|bandage|patch|sheet|tape|cold-pack/.test(type);
  const counted = reading.pieces !== null || row.quantity !== null;
  if (padLike && a <= 12 && b <= 30 && (counted || a === b || a < b))
    return {
      sizeMm: [a, b]
        .map((n) => Math.round(n * (metric || a % 1 === 0.5 ? 10 : 25.4)))
        .sort((x, y) => x - y),
      bareIsCount: false,
    };
  return { sizeMm: null, bareIsCount: true };
}

const ONE_TOOL = /tweezers|shears|scissors|haemostat|glasses|goggles|forceps/;

function piecesOf(
  reading: Reading,
  row: CardRow,
  type: string | null,
  bareIsCount: boolean,
): { value: number; sure: boolean } {
  const own =
    reading.pieces ?? (bareIsCount && reading.bare ? reading.bare[0] * reading.bare[1] : null);
  let pieces = own;
  let inPairs = reading.inPairs;
  let pairs = reading.pairs;
  if (row.quantity !== null) {
    const column = readQuantity(lex(row.quantity));
    inPairs ||= column.inPairs;
    pairs ??= column.pairs;
    const amount = column.pieces ?? 1;
    // A pack size in the text multiplies what the column counts; a bare number there says the same twice.
    const packSize = innerOf(row.text) ?? gluedPack(row.quantity) ?? otherCount(row.text, amount);
    pieces = packSize !== null ? amount * packSize : amount;
    if (column.bare) pieces = column.bare[0] * column.bare[1];
    // "4 | gloves (2 pairs)": the text says again in pairs what the column counts singly.
    if (reading.pairs !== null && amount === 2 * reading.pairs) pieces = reading.pairs;
  }
  const isGlove = type !== null && /gloves$/.test(type);
  if (isGlove) {
    if (reading.pairs !== null && row.quantity === null)
      return { value: multiplied(reading), sure: true };
    if (inPairs) return { value: pieces ?? 1, sure: true };
    if (pieces === null) return { value: 1, sure: true };
    return pieces % 2 === 0 ? { value: pieces / 2, sure: false } : { value: pieces, sure: false };
  }
  if (pairs !== null || inPairs) {
    if (type !== null && ONE_TOOL.test(type))
      return { value: Math.max(1, pieces ?? 1), sure: true };
    if (type !== null && pieces !== null && pairs !== null)
      return { value: pieces * 2, sure: false };
    if (type !== null && pairs === null) return { value: (pieces ?? 1) * 2, sure: false };
  }
  return { value: pieces ?? 1, sure: pieces !== null };
}

/** Pairs as said, times the packs they lie in. */
const multiplied = (reading: Reading): number =>
  reading.pieces !== null &&
  reading.pieces % reading.pairs! === 0 &&
  reading.pieces !== reading.pairs
    ? reading.pieces / reading.pairs! > 1 && reading.pieces / reading.pairs! !== 2
      ? reading.pieces
      : reading.pairs!
    : reading.pairs!;

/** The pack size that a table row's text states ("5 per pack", "card of 6"); null: none. */
function innerOf(text: string): number | null {
  const m =
    /\b(?:pack|pk|packet|bx|btl|box|card|blister|strip|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|tube|bottle|roll|sheet|envelope|case|tray|foil|refill|pkg|pkt|package)s?\s*(?:of|\/|with|x|containing)\s*(\d{1,4})\b(?!\s*(?:mm|cm|m\b|ml|mg|g\b|in\b|"|x))/i.exec(
      text,
    ) ??
    /\b(\d{1,4})\s*(?:-|\s)?\s*(?:per|in\s+an?|to\s+an?|\/)\s*(?:pack|pk|packet|bx|btl|box|card|blister|strip|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|envelope|pkg|pkt|package)\b/i.exec(
      text,
    ) ??
    /\b(\d{1,3})['’]?s\b/.exec(text) ??
    /\b(\d{1,4})\s*-\s*(?:pack|pk|piece|pcs|pc|count|ct)\b/i.exec(text) ??
    /\((\d{1,4})\s*(?:pack|pk|pcs|pieces|pc|tablets|tabs|per pack|count|ct)\)/i.exec(text);
  if (m) return Number(m[1]);
  return /\btwin(?:[\s-]?pack\b|\s*(?:$|[,)]))/i.test(text) ? 2 : null;
}

/** "(10)", ", 5 strips" at the end of the text: a pack size, unless it says the column's count again. */
function otherCount(text: string, amount: number): number | null {
  const m =
    /\((\d{1,4})\)\s*$/.exec(text) ??
    /,\s*(\d{1,4})\s+(?:strips|tablets|tabs|caps|capsules|caplets|sachets|pieces|pcs|pads|wipes|swabs)\s*$/i.exec(
      text,
    );
  return m && Number(m[1]) !== amount ? Number(m[1]) : null;
}

/** "PK5", "BX100" in the unit column. */
const gluedPack = (quantity: string): number | null => {
  const m = /\b(?:pk|pkt|pack|bx|box|bg|bag|cs)[-/]?(\d{1,4})\b/i.exec(quantity);
  return m ? Number(m[1]) : null;
};

const correctedPieces = (reading: Reading, last: CardEntry): number =>
  reading.pairs ?? reading.pieces ?? last.pieces;

/** Size tells look-alikes apart where the words do not. */
function refine(type: string | null, noun: string, size: readonly number[] | null): string | null {
  if (size === null) return type;
  // "tourniquet, 2.5 x 40 cm": too short and narrow for anything but a vein strap.
  if (type === null && /^tourniquets?$/i.test(noun.trim()) && size[0]! <= 30 && size.at(-1)! <= 500)
    return size.length > 1 ? "phlebotomy-strap" : null;
  if (type === null) return /^pads?$/i.test(noun.trim()) && size.length > 1 ? "gauze-pad" : null;
  const width = size[0]!;
  const length = size.at(-1)!;
  const named = (pattern: RegExp) => pattern.test(noun);
  if (type === "gauze-pad" && size.length > 1 && length >= 1000) return "roller-bandage";
  // A plaster metres long with 'elastic' on it is a strapping bandage.
  if (type === "adhesive-strip" && length >= 1000 && named(/elastic/i)) return "elastic-bandage";
  if (type === "adhesive-strip" && size.length > 1 && width >= 38 && length >= 60 && length < 500)
    return "adhesive-large";
  if (type === "adhesive-strip" && size.length > 1 && width <= 12 && length <= 45)
    return "adhesive-junior";
  if (
    type === "elastic-bandage" &&
    named(/compression/i) &&
    !named(/elastic|crepe|crêpe|support|sprain/i) &&
    width >= 100
  )
    return "heavy-compression-bandage";
  if (type === "elastic-bandage" && named(/heavy/i) && width >= 100)
    return "heavy-compression-bandage";
  return type;
}

function volumeOf(
  reading: Reading,
  measure: string | undefined,
  type: string | null,
): number | null {
  // What a syringe holds when filled is no content of it.
  if (reading.volumeMl === null || type === "irrigation-syringe") return null;
  const liquid = measure === "millilitre" || type === "hand-sanitiser" || type === "sunscreen";
  if (reading.volumeMaybeMass && !liquid) return null;
  return Math.round(reading.volumeMl * 10) / 10;
}

/** What is only the usual kind of a thing is shown among the doubtful ones. */
const GUESSED = 0.85;

/** Calibrated on the development cards: of those given 0.9 or more, at least 98 % are right. */
function confidenceOf(
  match: Match,
  named: boolean,
  piecesSure: boolean,
  refined: boolean,
  style: Style,
  counted: boolean,
): number {
  if (!named) return 0.55;
  let c = 0.97;
  if (match.whole < 1) c -= 0.35;
  if (match.respelt) c -= 0.03;
  if (match.weight < 2) c -= 0.2;
  if (match.margin < 0.1) c -= 0.25;
  else if (match.margin < 0.25) c -= 0.1;
  if (match.explained < 0.6) c -= 0.2;
  else if (match.explained < 0.85) c -= 0.06;
  if (refined) c -= 0.1;
  if (!piecesSure) c -= counted ? 0.1 : style.counts ? 0.08 : 0.03;
  return Math.max(0.05, Math.round(c * 100) / 100);
}
