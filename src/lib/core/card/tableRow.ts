import { saysGone } from "./absence.ts";
import type { ColumnRole } from "./columnRole.ts";
import { countSaid } from "./countBehind.ts";
import { saysNo } from "./headingCounts.ts";
import { inOurWords } from "./foreignUnits.ts";
import type { CardRow } from "./cardRow.ts";
import { partOfPack } from "./partOfPack.ts";
import { thereByRemark } from "./partUsed.ts";
import { remarksSay } from "./remarkBehind.ts";
import { countMended } from "./repairText.ts";
import { isBack, thereOfRow } from "./someWent.ts";
import { bothCounted } from "./bothCounted.ts";
import { IS_NUMBER_SAID, NUMBER_WORDS } from "./numberWords.ts";
import { COLOUR, PACKS, valueOf } from "./phrase.ts";
import { stripPrices } from "./stripPrices.ts";
import { LETTER, quick } from "./quick.ts";

/** "1 (100)" beside "Box": one, and what it holds. */
const PACKS_AND_CONTENT = /^(\d{1,3})\s*\((\d{2,4})\)$/;
function packsOfContent(said: string, unit: string): string | null {
  const [, packs, content] = PACKS_AND_CONTENT.exec(said) ?? [];
  return content !== undefined && IS_PACK.test(unit) ? `${packs!} ${unit} of ${content}` : null;
}
const IS_PACK = quick(new RegExp(`^${PACKS}\\.?$`, "iu"));
const NUMBER_WITH_UNIT = quick(/^\d+(?:\s*\p{L}+)?$/u);
/** "1 (10 x 10)": how many, and how large. */
const COUNT_WITH_SIZE =
  /^(\d{1,4}(?:\s*(?:pcs|x))?)\s*\((\d+(?:[.,]\d+)?\s*(?:mm|cm|m|in|")?\s*[x×]\s*\d[^()]*|\d+(?:[.,]\d+)?\s*(?:mm|cm))\)$/i;
/** A remark that says which kind it is of. */
const SAYS_KIND =
  /^(?:(?:low|non)[\s-]?adheren\w*|non[\s-]?stick|hydrogel|hydrocolloid|burn\s?gel|windlass|ratchet|nitrile|latex|vinyl|vented|digital)$/i;
const SAYS_LEFT = /\b(?:left|remain(?:ing|s)?|loose)\b/i;
const NO_SIZE = /^(?:n\/?a|none|nil|[-–—]+|\.+)$/i;
/** "5 x 5 cm", "10 cm"; not "1 missing", "1 in the lid". */
const SIZE_IN_NOTE = quick(/^[\d.,\s]+(?:(?:mm|cm|m|in)(?!\p{L}|\s+\p{L})|"|[x×*])/iu);
/** Bandages are 25 mm wide and more; gloves are numbered to 12, dressings to 20. */
const MILLIMETRES_FROM = 25;
/** The cells of a row by what their columns hold. */
class Cells {
  readonly cells: readonly string[];
  readonly roles: readonly (ColumnRole | null)[];
  constructor(cells: readonly string[], roles: readonly (ColumnRole | null)[]) {
    this.cells = cells;
    this.roles = roles;
  }

  of(...roles: readonly (ColumnRole | null)[]): string {
    return this.cells.filter((c, i) => roles.includes(this.roles[i]!) && c !== "").join(", ");
  }
  /** What names the item: a column that nothing is known of may. */
  get name(): string {
    const named = this.of("text", null);
    // A total may stand under another heading than the items.
    return LETTER.test(named) ? named : (this.cells.find((c) => /^\W*total\W*$/i.test(c)) ?? named);
  }
  get size(): string {
    const note = this.of("note");
    const size = this.of("size");
    if (NO_SIZE.test(size)) return "";
    // Millimetres from here on, below it a number of a glove or a dressing; in brackets alone it would be a pack.
    if (/^\d{1,3}$/.test(size))
      return Number(size) >= MILLIMETRES_FROM ? `${size} mm` : `size ${size}`;
    // A size may stand among the remarks.
    return size || (SIZE_IN_NOTE.test(note) ? note : "");
  }
  /** The last number of a row that is shorter than its heading, as columns set by blanks where a size is missing. */
  get lastNumber(): string {
    const last = this.cells.at(-1)!;
    const isShort = this.cells.length < this.roles.length;
    return isShort && NUMBER_WITH_UNIT.test(last) ? last : "";
  }
  /** "100" in one column and "BX" in another: a box of a hundred. */
  get unit(): string {
    const units = this.cells.filter((c, i) => this.roles[i] === "unit" && c !== "");
    const held = units.find((c) => /^\d{1,4}$/.test(c));
    const packed = units.find((c) => LETTER.test(c));
    if (units.length !== 2 || held === undefined || packed === undefined) return units.join(", ");
    return held === "1" ? packed : `${packed} of ${held}`;
  }
  /** Whole numbers in columns of which nothing is read. */
  get numbersBeside(): number[] {
    return this.cells.flatMap((c, i) =>
      this.roles[i] === "skip" && /^\d{1,4}$/.test(c) ? Number(c) : [],
    );
  }
  /** How many are counted; null: no number is. */
  get count(): number | null {
    const count = Number.parseInt(this.of("quantity", "packs"));
    return Number.isNaN(count) ? null : count;
  }
  /** Another column says that it is not there, however many there should be; or a remark, where none are counted. */
  get isMissing(): boolean {
    return (
      this.cells.some((c, i) => this.roles[i] === "there" && saysNo(c)) ||
      (this.count === null && remarksSay(this.of("note"), null) === "gone") ||
      GONE_AND_WANTED.test(this.of("note")) ||
      NONE_THERE.test(this.of("note"))
    );
  }
  /** "half empty, 55 left", "to order", "kept in the van": a remark that says how many there are. */
  get remark(): string {
    const note = this.of("note");
    // "1 out of date, binned": the others are there.
    if (remarksSay(note, this.count) === "some" || OF_ANOTHER.test(note)) return "";
    if (SAYS_KIND.test(note)) return ` (${note})`;
    return /\bleft\b|\bto\s+order\b/i.test(note) || saysGone(note) ? `, ${note}` : "";
  }
}

/** "missing - on order": what the row counts is the one that is to come. */
const GONE_AND_WANTED =
  /^\W*(?:missing|gone|lost|stolen|used\s+up|finished)\s*[-–,;(/]+\s*(?:on\s+order|(?:re-?)?ordered|to\s+(?:buy|order|replace)|needs?\b|buy|replace)[^\d]*$/i;
/** "second one expired, thrown away": that is not the one that is counted. */
const OF_ANOTHER = /^\W*(?:the\s+)?(?:second|third|fourth|other|others|another)\b/i;
/** "none - reorder", "none left": whatever there should be. */
const NONE_THERE = /^\W*none(?:\s+(?:left|there|here))?\s*(?:$|[-–,;(/])/i;
/** "3 exp. 2028": a date may stand with the count. */
const withoutExpiry = (cell: string): string =>
  /\d\W+(?:exp|use|best|bb)/i.test(cell) ? stripPrices(cell).trim() : cell;

/** "40 fabric, 20 waterproof", "2 x 5 cm, 2 x 7.5 cm": sorts of the row's thing; "2 boxes, 5 loose" is one amount. */
const SORTS_COUNTED = quick(
  new RegExp(
    `^(?!.*\\b(?:loose|left|open(?:ed)?|spare|full|new|used|expired|empty|missing|${PACKS})\\b)\\d{1,3}\\s?(?:[x×]\\s?)?(?=[^,]*\\p{L})[^,]+,\\s+\\d{1,3}\\s?(?:[x×]\\s?)?(?=[^,]*\\p{L})[^,]+$`,
    "iu",
  ),
);
/** "four" beside "two 10x10, two 20x20", "ten pairs" beside "5 L, 5 XL": what a row counts, sort by sort; null: they do not come to it. */
function sortsInNote(name: string, said: string, note: string): string | null {
  const [, all, pairs = ""] = COUNT_OR_PAIRS.exec(said) ?? [];
  const parts = all === undefined ? [] : note.split(BETWEEN_SORTS).map((p) => COUNTED_SORT.exec(p));
  if (parts.length < 2 || parts.includes(null)) return null;
  const sum = parts.reduce((s, part) => s + valueOf(part![1]!), 0);
  if (sum !== valueOf(all!)) return null;
  return `${name}: ${parts.map((part) => `${valueOf(part![1]!)}${pairs} ${part![2]!}`).join(", ")}`;
}
const COUNT_OR_PAIRS = quick(new RegExp(`^(${NUMBER_WORDS})(\\s+(?:pairs?|prs?))?$`, "iu"));
const BETWEEN_SORTS = new RegExp(
  `\\s*[,;+&]\\s*|\\s+and\\s+|(?<=[a-z])\\s+(?=(?:${NUMBER_WORDS})\\s+[a-z]{3})`,
  "i",
);
/** A size, a letter, a colour, what it is made of: no state, place or date, which tells of things that are one entry. */
const IS_SORT = `\\d+(?:[.,]\\d+)?\\s?(?:[x×]\\s?\\d+(?:[.,]\\d+)?(?:\\s?(?:cm|mm|in|["”″]))?|cm|mm|in|["”″])|x{0,3}[sml]|small|medium|large|adult|child|junior|${COLOUR}|textile|fabric|cloth|plastic|waterproof|washproof|detectable|clear|calico|cotton|paper|non-?\\s?woven`;
const COUNTED_SORT = quick(new RegExp(`^(${NUMBER_WORDS})\\s*(?:[x×]\\s)?\\s*(${IS_SORT})$`, "iu"));
/** "1 box" beside "of 100", "10" beside "- pairs": remarks that go on with what is counted. */
function withNote(said: string, note: string): string {
  const [, held] = /^\W*(?:of|à|@)\s+(\d{1,4})\W*$/i.exec(note) ?? [];
  if (held !== undefined && IN_PACKS.test(said)) return `${said} of ${held}`;
  return /^\d{1,4}$/.test(said) && /^\W*(?:pairs?|prs?)\W*$/i.test(note) ? `${said} pairs` : said;
}
const IN_PACKS = quick(new RegExp(`^\\d{1,3}\\s*${PACKS}\\.?$`, "iu"));
/** "Adhesive plaster" beside "1 roll" is what is cut from a roll. */
const onRoll = (name: string, said: string): string =>
  /^\d{1,3}\s*rolls?$/i.test(said) && /\bplasters?\b|^ditto\b/i.test(name) && !/\broll/i.test(name)
    ? `${name} roll`
    : name;

/** How many a row counts, in packs and what lies beside them. @param said as the column has it */
function amountSaid(said: string, quantity: string, unit: string, row: Cells): string | null {
  return (
    packsOfContent(said, unit) ??
    halfOf(quantity, unit, row.of("note")) ??
    amountWithLoose(quantity, unit, row)
  );
}

/** A row of a table as text to read and the quantity beside it. */
export function tableRow(
  cells: readonly string[],
  roles: readonly (ColumnRole | null)[],
  source: number,
): CardRow {
  const row = new Cells(cells, roles);
  const said = withNote(countMended(withoutExpiry(row.of("quantity", "packs"))), row.of("note"));
  const name = onRoll(row.name, said);
  const [, counted, sizeBeside] = COUNT_WITH_SIZE.exec(said) ?? [];
  const quantity = row.isMissing
    ? "none"
    : (counted ?? countSaid(said) ?? (said || row.lastNumber));
  // "box of 20" beside "5 left": pieces, whatever they came in.
  const unit = SAYS_LEFT.test(said) ? "" : row.unit;
  const size = said === "" && row.size === quantity ? "" : row.size || sizeBeside;
  const isRow = { source, inTable: true, bullet: true, indent: 0 } as const;
  // Left to be read as it would be outside a table.
  const both = SORTS_COUNTED.test(said)
    ? `${name}: ${said}`
    : (sortsInNote(name, said, row.of("note")) ?? bothCounted(name, said));
  if (both !== null) return { ...isRow, text: both, quantity: null };
  const left = leftOf(row, quantity, unit);
  if (left)
    return {
      ...isRow,
      text: textOf(left.name, size, ""),
      quantity: left.quantity,
      ...(left.isDoubted ? { countDoubted: true } : {}),
    };
  return {
    ...isRow,
    ...doubtOf(said, unit),
    text: textOf(name, size, row.remark),
    quantity: amountSaid(said, quantity, unit, row),
  };
}

const textOf = (name: string, size: string | undefined, remark: string): string =>
  name === "" ? "" : stripPrices(`${name}${size ? ` (${size})` : ""}${remark}`);

/** What is left of a row's thing, as its remark says; null: it says nothing of that. */
interface Left {
  readonly name: string;
  readonly quantity: string;
  readonly isDoubted: boolean;
}
function leftOf(row: Cells, quantity: string, unit: string): Left | null {
  const note = row.of("note");
  if (isBack(note)) return null;
  const written = note === "" ? null : amountOf(quantity, unit, row.of("packs") !== "");
  // "2 x box of 20" beside "opened, 8 gone".
  const left = written === null ? null : thereByRemark(written, note, row.numbersBeside);
  if (left) {
    const { pieces, arePacked, isDoubted } = left;
    return { name: row.name, quantity: arePacked ? `pack of ${pieces}` : `${pieces}`, isDoubted };
  }
  // "Plasters, box of 100" beside "2" and "one half used".
  const part = /^\d{1,2}$/.test(quantity) ? partOfPack(`${row.name} - ${quantity}, ${note}`) : null;
  if (part)
    return { name: part.name, quantity: `pack of ${part.pieces}`, isDoubted: part.isDoubted };
  // "5" beside "1 used": of the five, or of six; the fewer, and the reader asks.
  const some = /^\d{1,4}$/.test(quantity) ? thereOfRow(row.name, note, Number(quantity)) : null;
  if (some === null) return null;
  // "4", "3" beside "1 lent": what was missing of four tells why there are three.
  const isTold = row.numbersBeside.includes(2 * Number(quantity) - some.there);
  return {
    name: some.name,
    quantity: isTold ? (written ?? quantity) : String(some.there),
    isDoubted: !isTold,
  };
}

/** What is counted in the unit of its row, and what lies loose beside it. null: nothing is. */
function amountWithLoose(quantity: string, countedIn: string, row: Cells): string | null {
  const packs = row.of("packs");
  // Packs whose content no column says are packs of so many, and the reader asks.
  const unit = countedIn || (/^\d+$/.test(packs) ? "packs" : "");
  return withLoose(amountOf(quantity, unit, packs !== ""), row.of("loose"));
}

/** "2 pack of 100" with 14 beside them: "2 pack of 100 + 14 loose"; none in packs: those that lie loose. */
function withLoose(amount: string | null, loose: string): string | null {
  if (!/^[1-9]\d*$/.test(loose)) return amount;
  return amount === null || /^(?:0\b|none$)/.test(amount)
    ? `${loose} pcs`
    : `${amount} + ${loose} loose`;
}

const HALF_LEFT =
  /^\W*(?:about|approx(?:\.|imately)?|roughly|nearly|only)?\s*half\s+(?:of\s+it\s+)?(?:left|full|gone|used|empty)\W*$/i;
/** "1 bx (100)" and the remark "half left": fifty of one pack; null: no such remark, or nothing says what the pack holds. */
function halfOf(quantity: string, unit: string, note: string): string | null {
  if (!HALF_LEFT.test(note)) return null;
  const held = /^1\s*\p{L}+\W*(?:of\s*)?(\d{2,4})\W*$/u.exec(`${quantity} ${unit}`.trim())?.[1];
  return held === undefined ? null : `${Math.round(Number(held) / 2)} pcs`;
}

/** "1.5" beside "100/bx", "0,4" beside "box of 25": packs and a part of one, in pieces; null: whole ones, or nothing says what one holds. */
function partOfPacks(quantity: string, unit: string): number | null {
  const packs = /^\d{0,3}[.,]\d{1,2}$/.test(quantity) ? Number(quantity.replace(",", ".")) : 0;
  const held = /(?:^|\D)(\d{1,4})(?:\D|$)/.exec(unit)?.[1];
  return held === undefined || Number.isInteger(packs) ? null : Math.round(packs * Number(held));
}

/** "carton/20", "PK10", "box (6)", "10/box", "x 12", "20 pcs": what a pack holds, in the writing that the column is read in. */
const PACK_THEN_SIZE = quick(
  new RegExp(`^(${PACKS})\\.?\\s*(?:[/(x×-]|of)?\\s*(\\d{1,4})\\)?(?:\\s*(?:pcs|s))?$`, "iu"),
);
const SIZE_THEN_PACK = quick(
  new RegExp(`^(\\d{1,4})\\s*(?:/|per|in\\s+an?|to\\s+an?)\\s*(${PACKS})$`, "iu"),
);
const SIZE_ALONE = /^(?:[x×]\s?)?(\d{1,4})(?:\s?(?:pcs|pieces|pc|off))?$/i;
function packSaid(unit: string): string {
  const [, pack, held] = PACK_THEN_SIZE.exec(unit) ?? [];
  if (held !== undefined) return `${pack!} of ${held}`;
  const [, size, packed] = SIZE_THEN_PACK.exec(unit) ?? [];
  if (size !== undefined) return `${packed!} of ${size}`;
  const alone = IS_NUMBER_SAID.test(unit) ? String(valueOf(unit)) : SIZE_ALONE.exec(unit)?.[1];
  return alone === undefined ? unit : `pack of ${alone}`;
}

/** "10" beside "10": said twice, or ten of ten; the reader asks. */
const doubtOf = (said: string, unit: string): Pick<CardRow, "countDoubted"> =>
  /^\d+$/.test(said) && said === unit && said !== "1" ? { countDoubted: true } : {};

/** A count with its unit; a unit alone is one of it. null: neither. */
function amountOf(quantity: string, packed: string, arePacks: boolean): string | null {
  // Beside boxes "3" is three in each.
  const unit = packed === quantity && !arePacks ? "" : packSaid(packed);
  if (quantity === "none") return quantity;
  const part = partOfPacks(quantity, unit);
  if (part !== null) return `${part} pcs`;
  if (quantity === "") return unit === "" ? null : `1 ${unit}`;
  return inOurWords([quantity, unit].filter(Boolean).join(" "));
}
