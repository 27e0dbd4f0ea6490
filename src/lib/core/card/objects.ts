import { remembering } from "../base/remembering.ts";
import { bothCounted } from "./bothCounted.ts";
import { pairsOf, type Fields } from "./fieldPairs.ts";
import { saysHeld, saysNo, saysWhether } from "./headingCounts.ts";
import { roleOf } from "./headingRoles.ts";
import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { saysPacks, saysPerPack } from "./packColumns.ts";
import { THREE_LETTERS, quick } from "./quick.ts";

/**
 * A card as a program or a form writes it: one object a line, `{"sku":"A11","desc":"gauze swabs, 5s","n":4},`,
 * or one field a line, "Item: gauze swabs", "Qty: 4".
 */

/** Keys of a card come again and again. */
const MOST_KEYS = 1000;
const NAME = /^(?:name|item|title|label|desc(?:ription)?|article|product|what|thing|text|content)/i;
const COUNT = /^(?:qty|quantity|count|amount|number|pieces|pcs|units|stock|have|n|q)$/i;
const UNIT = /^(?:units?|uom|u_?m)$/i;
const PER_PACK = /^(?:per_?pack|pack_?(?:size|of|qty)?|per)$/i;
/** Beside a price they are money, and alone a count. */
const MAY_COUNT = /^(?:total|sum|no|nr|num)$/i;
/** "pack5", "box/20", "scatola da 100", "100 per box": what a unit holds. */
const UNIT_HOLDS = quick(/^\p{L}[\p{L}\s.]*[\s/-]?(\d{1,4})$|^(\d{1,4})\s*(?:\/|per)\s*\p{L}+$/iu);
/** "qtyHeld", "in_stock": a key as a heading. */
const asHeading = (key: string): string =>
  key
    .replace(/(?<=\p{Ll})(?=\p{Lu})/gu, " ")
    .replace(/[_-]+/g, " ")
    .trim();
const roleOfKey = remembering((key: string) => roleOf(asHeading(key)), MOST_KEYS);
const NAMED = { test: (key: string) => NAME.test(key) || roleOfKey(key) === "text" };
/** How many there are, before any other number: "held" beside "par". */
const HELD = { test: (key: string) => saysHeld(asHeading(key)) };
const ANY_COUNT = {
  test: (key: string) =>
    COUNT.test(key) || saysPacks(asHeading(key)) || roleOfKey(key) === "quantity",
};
const ANY_PACK = { test: (key: string) => PER_PACK.test(key) || saysPerPack(asHeading(key)) };
const SIZE = {
  test: (key: string) =>
    /^(?:size|dimensions?|spec|format)/i.test(key) || roleOfKey(key) === "size",
};
const ANY_UNIT = { test: (key: string) => UNIT.test(key) || roleOfKey(key) === "unit" };

/** The fields of a line that holds one object; null: it holds none. */
function fieldsOf(line: string): Fields | null {
  const inner = /^\s*\[?\s*(\{[^{}]*\})\s*,?\s*\]?\s*\}?\s*$/.exec(line)?.[1];
  if (inner !== undefined)
    try {
      return Object.entries(JSON.parse(inner) as Record<string, unknown>);
    } catch {
      // Written by hand, or in another language.
    }
  const fields = pairsOf(line);
  return fields !== null && fields.some(([key]) => NAMED.test(key)) && countIn(fields) !== undefined
    ? fields
    : null;
}

/** The value of the first field that is called so and holds such a value. */
const valueOf = <T>(
  fields: Fields,
  called: { test(key: string): boolean },
  is: (value: unknown) => value is T,
): T | undefined => fields.find(([key, v]) => called.test(key) && is(v))?.[1] as T | undefined;
const isText = (v: unknown): v is string => typeof v === "string" && v.trim() !== "";
/** "4", "4 pairs", "four", "a dozen". */
const COUNT_WITH_WORD = quick(
  new RegExp(`^(?:\\d{1,4}|an?(?=\\s)|(?:${NUMBER_WORDS})(?!\\p{L}))(?:\\s*\\p{L}+)?$`, "iu"),
);
const isCount = (v: unknown): v is number | string =>
  typeof v === "number" || (typeof v === "string" && COUNT_WITH_WORD.test(v));

/** "2 packs of 10", "1 (opened)": said in more words. */
const isCountInWords = (v: unknown): v is string => isText(v) && SAYS_NUMBER.test(v);

const NONE = /^\s*(?:none|nil|zero|no|-|–|n\/a|out|empty|missing|gone)\s*$/i;

/** A unit, or a field that counts in it: `{"item": "Gloves", "pairs": 10}`. */
const IN_PAIRS = /^(?:pairs?|prs?|paia|pares|paare?|paires?)$/i;
const countIn = (fields: Fields): number | string | undefined =>
  valueOf(fields, HELD, isCount) ??
  valueOf(fields, ANY_COUNT, isCount) ??
  valueOf(fields, IN_PAIRS, isCount) ??
  valueOf(fields, MAY_COUNT, isWhole);
const isWhole = (v: unknown): v is number | string => /^\d{1,4}$/.test(`${v as string}`);

/** What the fields call the thing; null: nothing. */
function nameIn(fields: Fields): string | null {
  const words = fields.flatMap(([, v]) => (isText(v) && THREE_LETTERS.test(v) ? [v] : []));
  return (
    valueOf(fields, NAME, isText) ??
    valueOf(fields, NAMED, isText) ??
    words.sort((a, b) => b.length - a.length)[0] ??
    null
  );
}
/** What a pack holds, by its own field or by its unit; null: they do not say. */
function packIn(fields: Fields): number | string | null {
  const unit = valueOf(fields, ANY_UNIT, isText) ?? "";
  const [, ofUnit, perUnit] = UNIT_HOLDS.exec(unit.trim()) ?? [];
  return valueOf(fields, ANY_PACK, isCount) ?? ofUnit ?? perUnit ?? null;
}
/** How many, as it stands before a name; "": no field says so. */
function countSaid(fields: Fields): string {
  const isGone = fields.some(
    ([key, v]) =>
      (saysWhether(asHeading(key)) && (v === false || (isText(v) && saysNo(v)))) ||
      (ANY_COUNT.test(key) && isText(v) && NONE.test(v)),
  );
  const count = isGone ? 0 : countIn(fields);
  const inPairs =
    IN_PAIRS.test(valueOf(fields, ANY_UNIT, isText) ?? "") ||
    (count !== 0 && count === valueOf(fields, IN_PAIRS, isCount));
  if (count === undefined) return "";
  return /^\d+$/.test(`${count}`) ? `${count} ${inPairs ? "pairs" : "x"} ` : `${count} `;
}

/** An object as a list writes it: "4 x gauze swabs, 5s (5 x 5 cm)"; null: it names nothing. */
function asListed(fields: Fields): string | null {
  const name = nameIn(fields);
  if (name === null) return null;
  const both = bothCounted(name, valueOf(fields, ANY_COUNT, isText)?.trim() ?? "");
  if (both !== null) return `- ${both}`;
  const count = countSaid(fields);
  const pack = packIn(fields);
  const size = valueOf(fields, SIZE, isText);
  const inWords = count === "" ? valueOf(fields, ANY_COUNT, isCountInWords) : undefined;
  return [
    `- ${count}${name}`,
    pack === null ? "" : `, pack of ${pack}`,
    size === undefined ? "" : ` (${size})`,
    inWords === undefined ? "" : `: ${inWords}`,
  ].join("");
}

/** `{"gauze":4,"tape":1}`: each name with its count; null: it is no such object. */
function countsByName(all: unknown): string | null {
  if (typeof all !== "object" || all === null || Array.isArray(all)) return null;
  const fields = Object.entries(all);
  const areCounts = fields.every(([name, n]) => typeof n === "number" && THREE_LETTERS.test(name));
  return fields.length >= 2 && areCounts
    ? fields.map(([name, n]) => `${n} x ${name}`).join(" · ")
    : null;
}

/** `[{"item":"gauze","n":4},{"item":"tape","n":1}]`: all of them on one line, parted by points. null: it is no such line. */
function objectsOnOne(line: string): string | null {
  if (!/^\s*[[{].*[\]}]\s*$/.test(line)) return null;
  try {
    const all: unknown = JSON.parse(line);
    const counts = countsByName(all);
    if (counts) return counts;
    const listed = (
      Array.isArray(all) ? all : (Object.values(all as object).find(Array.isArray) ?? [])
    )
      .map((one: unknown) =>
        typeof one === "object" && one !== null ? asListed(Object.entries(one)) : null,
      )
      .filter((one: string | null) => one !== null);
    return listed.length < 2
      ? null
      : listed.map((one: string) => one.replace(/^- /, "")).join(" · ");
  } catch {
    return null;
  }
}

/** `"lid": ["4 eye pads", "gauze x 10"],`: a place and what lies there; null: it is no such line. */
function listOf(line: string): string | null {
  const inner =
    /^\s*(?:-\s+)?("?[\p{L}_][^"[\]{}:]{0,40}"?)\s*:\s*(\[\s*".*"\s*\])\s*,?\s*\}?\s*$/u.exec(line);
  if (!inner) return null;
  try {
    const said = JSON.parse(inner[2]!) as unknown[];
    const key = asHeading(inner[1]!.replaceAll('"', ""));
    return said.every(isText) ? `${key}: ${said.join("; ")}` : null;
  } catch {
    return null;
  }
}
/** `"lid": [`, `"main": {`: what opens a list of a place; it heads what is in it. */
const OPENS = /^\s*"([^"[\]{}:]{1,40})"\s*:\s*[[{]\s*$/;

/** `{"kit": "hut", "contents": [`: opens the list of the objects below. */
const OPENS_LIST = /^\s*\{.*"[\w -]+"\s*:\s*[[{]\s*$/;
/** `"kit": "studio box", "checked": "2026-10-30",`: what is said of all of them. */
const TEXT_FIELD = '"[\\w -]+"\\s*:\\s*"[^"]*"';
const OF_ALL = new RegExp(`^\\s*${TEXT_FIELD}(?:\\s*,\\s*${TEXT_FIELD})*\\s*,?\\s*$`);
/** So many objects make a card of them. */
const FEWEST_OBJECTS = 3;
/** The card with such lines as a list; as many lines as before. */
export function objectsAsList(lines: readonly string[]): string[] {
  const listed = lines.map((line) => {
    if (line.length > LONGEST_LINE || !/[{<=:]/.test(line)) return null;
    const fields = fieldsOf(line);
    return (fields && asListed(fields)) ?? listOf(line) ?? objectsOnOne(line);
  });
  // One line of words and colons is none; one of braces is.
  const isCard = listed.filter((l) => l !== null).length >= FEWEST_OBJECTS;
  const isObject = (line: string) => /[{<[]/.test(line);
  const hasJson = lines.some((line) => /^\s*[\]}]\s*,?\s*$/.test(line));
  return lines.map((line, i) => {
    const said = listed[i] ?? null;
    if (said !== null && (isCard || isObject(line))) return said;
    if (isCard && (OF_ALL.test(line) || OPENS_LIST.test(line))) return "";
    return hasJson ? line.replace(OPENS, (_, key: string) => `${asHeading(key)}:`) : line;
  });
}

/** "Qty: 4", "  - name: gauze swabs". */
const FIELD = quick(/^(\s*)(-\s+)?"?([\p{L}][\p{L} _-]{0,20}?)"?\s*(?::\s+|=\s+)(\S.*?)?\s*,?$/u);
/** `<name>gauze swabs</name>`. */
const ELEMENT_ALONE = /^(\s*)()<([\w:-]{1,20})>([^<>]*)<\/\3>\s*$/;
/** Longer lines are no field. */
const LONGEST_FIELD = 200;
/** So many things with a count in a field of its own make a card of fields. */
const FEWEST_RECORDS = 3;

/** A thing that is told in several lines. */
interface FieldRecord {
  readonly fields: (readonly [key: string, value: unknown])[];
  /** Lines that hold them; the one with the name is first of all told. */
  readonly lines: number[];
  nameLine: number | null;
}

/** Lines that follow each other, key by key; a key that comes again begins another thing. */
function fieldRecords(lines: readonly string[]): FieldRecord[] {
  const records: FieldRecord[] = [];
  let open: FieldRecord | null = null;
  lines.forEach((line, i) => {
    const m = line.length > LONGEST_FIELD ? null : (ELEMENT_ALONE.exec(line) ?? FIELD.exec(line));
    const value = m?.[4]?.replace(/^"|"$/g, "");
    if (!m || value === undefined) {
      open = null;
      return;
    }
    const key = m[3]!;
    if (!open || (m[2] ?? "") !== "" || open.fields.some(([k]) => k === key)) {
      open = { fields: [], lines: [], nameLine: null };
      records.push(open);
    }
    open.fields.push([key, value]);
    open.lines.push(i);
    if (NAMED.test(key)) open.nameLine ??= i;
  });
  return records.filter((r) => r.nameLine !== null);
}

/** The card with such things written as a list, each on the line of its name; as many lines as before. */
export function fieldsAsList(lines: readonly string[]): string[] {
  const records = fieldRecords(lines);
  const counted = records.filter(
    ({ fields }) =>
      countIn(fields) !== undefined || valueOf(fields, ANY_COUNT, isCountInWords) !== undefined,
  );
  if (counted.length < FEWEST_RECORDS) return [...lines];
  const read = [...lines];
  for (const { fields, lines: at, nameLine } of records) {
    const listed = asListed(fields);
    if (listed === null) continue;
    for (const i of at) read[i] = "";
    read[nameLine!] = listed;
  }
  return read;
}
