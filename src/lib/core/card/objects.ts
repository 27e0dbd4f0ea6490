import { saysHeld, saysNo, saysWhether } from "./headingCounts.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { saysPacks, saysPerPack } from "./packColumns.ts";
import { THREE_LETTERS, quick } from "./quick.ts";

/**
 * A card as a program or a form writes it: one object a line, `{"sku":"A11","desc":"gauze swabs, 5s","n":4},`,
 * or one field a line, "Item: gauze swabs", "Qty: 4".
 */

const NAME = /^(?:name|item|title|label|desc(?:ription)?|article|product|what|text|content)/i;
const COUNT = /^(?:qty|quantity|count|amount|number|pieces|pcs|units|stock|have|n|q)$/i;
const SIZE = /^(?:size|dimensions?|spec|format)/i;
const UNIT = /^(?:units?|uom|u_?m)$/i;
/** "pack5", "box/20". */
const PACK_UNIT = /^(?:pack|pk|pkt|box|bx|bag|card|strip)s?[\s/-]?(\d{1,4})$/i;
const PER_PACK = /^(?:per_?pack|pack_?(?:size|of|qty)?|per)$/i;
/** "qtyHeld", "in_stock": a key as a heading. */
const asHeading = (key: string): string =>
  key
    .replace(/(?<=\p{Ll})(?=\p{Lu})/gu, " ")
    .replace(/[_-]+/g, " ")
    .trim();
/** How many there are, before any other number: "held" beside "par". */
const HELD = { test: (key: string) => saysHeld(asHeading(key)) };
const ANY_COUNT = { test: (key: string) => COUNT.test(key) || saysPacks(asHeading(key)) };
const ANY_PACK = { test: (key: string) => PER_PACK.test(key) || saysPerPack(asHeading(key)) };

type Fields = readonly (readonly [key: string, value: unknown])[];

const ELEMENT = /^\s*<([\w:-]+)((?:\s+[\w:-]+="[^"<>]*")+)\s*(?:\/>|>([^<>]*)<\/\1>)\s*$/;
const ATTRIBUTE = /([\w:-]+)="([^"<>]*)"/g;
/** `<item qty="4" unit="pair">gloves</item>`: an element that counts; null: the line holds none. */
function fieldsOfElement(line: string): Fields | null {
  const m = ELEMENT.exec(line);
  if (!m) return null;
  const fields = [...m[2]!.matchAll(ATTRIBUTE)].map(([, key, value]) => [key!, value!] as const);
  if (!fields.some(([key, value]) => COUNT.test(key) && isCount(value))) return null;
  return m[3]?.trim() ? [["text", m[3].trim()], ...fields] : fields;
}

/** The fields of a line that holds one object; null: it holds none. */
function fieldsOf(line: string): Fields | null {
  const element = fieldsOfElement(line);
  if (element) return element;
  const inner = /^\s*\[?\s*(\{[^{}]*\})\s*,?\s*\]?\s*\}?\s*$/.exec(line)?.[1];
  if (inner === undefined) return null;
  try {
    return Object.entries(JSON.parse(inner) as Record<string, unknown>);
  } catch {
    return null;
  }
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

const countIn = (fields: Fields): number | string | undefined =>
  valueOf(fields, HELD, isCount) ?? valueOf(fields, ANY_COUNT, isCount);

/** An object as a list writes it: "4 x gauze swabs, 5s (5 x 5 cm)"; null: it names nothing. */
function asListed(fields: Fields): string | null {
  const words = fields.flatMap(([, v]) => (isText(v) && THREE_LETTERS.test(v) ? [v] : []));
  const name =
    valueOf(fields, NAME, isText) ?? words.sort((a, b) => b.length - a.length)[0] ?? null;
  if (name === null) return null;
  const isGone = fields.some(
    ([key, v]) =>
      (saysWhether(asHeading(key)) && (v === false || (isText(v) && saysNo(v)))) ||
      (ANY_COUNT.test(key) && isText(v) && NONE.test(v)),
  );
  const count = isGone ? 0 : countIn(fields);
  const perPack = valueOf(fields, ANY_PACK, isCount);
  const size = valueOf(fields, SIZE, isText);
  const unit = valueOf(fields, UNIT, isText) ?? "";
  const packs = perPack ?? PACK_UNIT.exec(unit)?.[1];
  const packed = packs === undefined ? "" : `, pack of ${packs}`;
  const sign = /^pairs?$/i.test(unit) ? " pairs" : " x";
  const counted = count === undefined ? "" : `${count}${/^\d+$/.test(`${count}`) ? sign : ""} `;
  const said = count === undefined ? valueOf(fields, ANY_COUNT, isCountInWords) : undefined;
  return `- ${counted}${name}${packed}${size === undefined ? "" : ` (${size})`}${said === undefined ? "" : `: ${said}`}`;
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

/** `"kit": "studio box", "checked": "2026-10-30",`: what is said of all of them. */
const TEXT_FIELD = '"[\\w -]+"\\s*:\\s*"[^"]*"';
const OF_ALL = new RegExp(`^\\s*${TEXT_FIELD}(?:\\s*,\\s*${TEXT_FIELD})*\\s*,?\\s*$`);
/** So many objects make a card of them. */
const FEWEST_OBJECTS = 3;
/** The card with such lines as a list; as many lines as before. */
export function objectsAsList(lines: readonly string[]): string[] {
  const listed = lines.map((line) => {
    if (!line.includes("{") && !line.includes("<")) return null;
    const fields = fieldsOf(line);
    return (fields && asListed(fields)) ?? objectsOnOne(line);
  });
  const isCard = listed.filter((l) => l !== null).length >= FEWEST_OBJECTS;
  return lines.map((line, i) => listed[i] ?? (isCard && OF_ALL.test(line) ? "" : line));
}

/** "Qty: 4", "  - name: gauze swabs". */
const FIELD = quick(/^(\s*)(-\s+)?"?([\p{L}][\p{L} _-]{0,20}?)"?\s*:\s+(\S.*?)?\s*,?$/u);
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
    const m = line.length > LONGEST_FIELD ? null : FIELD.exec(line);
    const value = m?.[4]?.replace(/^"|"$/g, "");
    if (!m || value === undefined) {
      open = null;
      return;
    }
    const key = m[3]!;
    if (!open || m[2] !== undefined || open.fields.some(([k]) => k === key)) {
      open = { fields: [], lines: [], nameLine: null };
      records.push(open);
    }
    open.fields.push([key, value]);
    open.lines.push(i);
    if (NAME.test(key)) open.nameLine ??= i;
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
