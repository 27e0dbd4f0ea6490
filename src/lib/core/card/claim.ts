import { isSure, type Draft } from "./draft.ts";
import type { CardRow } from "./cardRow.ts";
import { NO_TYPE } from "./vocabulary.ts";
import { quick } from "./quick.ts";

const CLAIM =
  /\b(\d{1,3}(?:,\d{3})+|\d{1,5})\s*[-–]?\s*(?:pieces?|peices?|peaces|pcs?|pces?|items?|parts?|articles|components)(?![a-z])|\b(?:pieces|items|pcs|contents|total(?:\s+(?:pieces|items|contents|count|pcs|number\s+of\s+(?:pieces|items)))?)\s*[:=]\s*(\d{1,5})\b(?!\s*(?:\.|,)\d)/i;

/** What a line with a number of pieces says besides. */
interface Said {
  readonly row: CardRow;
  readonly value: number;
  /** Where on the line the number stands, and the line without it. */
  readonly index: number;
  readonly rest: string;
  /** First of the card. */
  readonly isTitle: boolean;
  readonly isTotal: boolean;
  readonly namesKit: boolean;
  readonly isSized: boolean;
  /** Things it surely names, the kit itself left out. */
  readonly items: number;
  /** Whether all words of a part of it are a thing's name. */
  readonly named: boolean;
  /** Whether they are one that leaves the kind open, or is of no kind here. */
  readonly namesOpen: boolean;
}

interface ClaimRule {
  readonly name: string;
  /** A line and the total it states; null: none. */
  readonly example: readonly [line: string, claim: number | null];
  readonly takes: (s: Said) => boolean;
  readonly isClaim: (s: Said) => boolean;
}

const TOTAL =
  /\btotal\b|\bin all\b|\baltogether\b|^\s*contents\b|\bcontains\b|\bincludes\b|\bcomprising\b|\bcomplete with\b/i;
const KIT =
  /\b(?:kit|set|first[\s-]?aid|bag|box|pouch|pack|case|collection|refill|survival|medical|emergency|trail|pocket|trauma|grab)\b/i;
const ONLY_PIECES = /^\W*\d+\s*[-–]?\s*(?:piece|pcs|pieces|peices|items?|parts|articles)\b\W*$/i;
/** Smaller numbers are of one thing, not of a kit. */
const FEWEST_OF_KIT = 10;

const PACK_OF_PIECES =
  /[,;:(–-]\s*(?:pack|pk|pkt|packet|box|bag|set|pouch)\s+(?:of\s+)?\d+\s*(?:pcs?|pieces)\b/i;

const COUNT_THEN_NAME = quick(/^\W*\d+\s+\p{L}/u);
/** Whether a number of pieces is the card's total: the first rule that takes the line decides. */
export const CLAIM_RULES: readonly ClaimRule[] = [
  {
    name: "money or weight",
    example: ["Total value of 40 items", null],
    takes: ({ row, namesKit }) => /\b(?:value|price|cost|weight)\b/i.test(row.text) && !namesKit,
    isClaim: () => false,
  },
  {
    name: "the pieces of one item",
    example: ["1 box of odds and ends (14 pcs)", null],
    takes: ({ row, index, isTotal }) => COUNT_THEN_NAME.test(row.text) && index > 3 && !isTotal,
    isClaim: () => false,
  },
  {
    name: "the pieces of one item's pack",
    example: ["Plasters, box 20 pcs", null],
    takes: ({ row, named }) => named && PACK_OF_PIECES.test(row.text),
    isClaim: () => false,
  },
  {
    name: "said to be the total, with no item named",
    example: ["- contains 42 pieces", 42],
    takes: ({ isTotal, items }) => isTotal && items === 0,
    isClaim: () => true,
  },
  {
    name: "a title with no item named",
    example: ["Family bundle, 42 pieces", 42],
    // "gauze, ten by ten, 11 pcs" is of a thing.
    takes: ({ row, value, isTitle, items, isSized, namesOpen }) =>
      isTitle && !row.bullet && value >= FEWEST_OF_KIT && items === 0 && !isSized && !namesOpen,
    isClaim: () => true,
  },
  {
    name: "names nothing, or nothing but the kit, and does not lead with the count",
    example: ["Whistle kit, 12 pieces", 12],
    takes: ({ row, value, rest, namesKit, items }) =>
      !row.bullet &&
      (items === 0 ||
        (namesKit &&
          /\bkit\b/i.test(rest) &&
          value >= FEWEST_OF_KIT &&
          items <= 1 &&
          !/^\s*\d/.test(row.text))),
    isClaim: ({ row, value, isTitle, namesKit, isTotal }) =>
      (namesKit && (isTitle || value >= FEWEST_OF_KIT)) || isTotal || ONLY_PIECES.test(row.text),
  },
  {
    name: "a kit behind a list mark",
    example: ["- trail pack, 24 pieces", 24],
    takes: ({ value, namesKit, items }) => namesKit && items === 0 && value >= FEWEST_OF_KIT,
    isClaim: () => true,
  },
];

/** "Total | 42": the number in the column that counts. */
function columnTotal({ text, quantity }: CardRow): number | null {
  const isTotal =
    quantity !== null &&
    /^\W*(?:sub-?\s?)?total\b/i.test(text) &&
    /^\W*\d+\W*$/.test(quantity) &&
    !/value|price|cost|amount|weight/i.test(text);
  return isTotal ? Number(quantity.replace(/\D/g, "")) : null;
}

const NO_ITEM: ReadonlySet<string | null> = new Set([
  "container",
  "contents-card",
  "fishing-kit",
  NO_TYPE,
]);

const IN_PIECES = /\b\d{1,4}\s*(?:pcs?|pieces?)\b/i;
/** Fewer lines may each state a total. */
const FEWEST_IN_PIECES = 3;
/** "red bag, 40 pcs" below "Plasters, 20 pcs": most things of the card are counted so. */
export function countsInPieces(drafts: readonly Draft[]): boolean {
  const so = drafts.filter(({ row }) => IN_PIECES.test(row.text)).length;
  return so >= FEWEST_IN_PIECES && so > drafts.length / 2;
}

/** A piece total that a title or total line states. @param isTitle it stands before all items */
export function claimOf(
  { row, segments, whole }: Draft,
  isTitle: boolean,
  inPieces: boolean,
  rules: readonly ClaimRule[] = CLAIM_RULES,
): number | null {
  if (row.quantity !== null && !/total/i.test(row.text)) return null;
  const inColumn = columnTotal(row);
  if (inColumn !== null) return inColumn;
  const m = CLAIM.exec(row.text.replace(/(\d),(\d{3})\b/g, "$1$2"));
  if (!m) return null;
  const isTotal = TOTAL.test(row.text);
  if (inPieces && !isTitle && !isTotal) return null;
  const said: Said = {
    row,
    value: Number((m[1] ?? m[2])!.replaceAll(",", "")),
    index: m.index,
    rest: row.text.replace(m[0], " "),
    isTitle,
    isTotal,
    namesKit: KIT.test(row.text),
    isSized: whole.sizeMm !== null || whole.bare !== null,
    named: segments.some(
      ({ match: { type, whole } }) => type !== null && whole === 1 && !NO_ITEM.has(type),
    ),
    namesOpen: segments.some(({ match }) => match.type === NO_TYPE && match.whole === 1),
    items: segments.filter((s) => isSure(s.match) && !NO_ITEM.has(s.match.type)).length,
  };
  return rules.find((rule) => rule.takes(said))?.isClaim(said) ? said.value : null;
}
