import { quick } from "./quick.ts";

/** Keys and values on one line, as a program, a form or a hand writes them; what the keys mean is told elsewhere. */

export type Fields = readonly (readonly [key: string, value: unknown])[];

const KEY = "[\\p{L}_][\\p{L}\\d_ .-]{0,20}?";
const PAIR = quick(new RegExp(`^["']?(${KEY})["']?\\s*[:=]\\s*(.*)$`, "u"));
/** What parts them: a bar, a semicolon, a comma before the next key, a blank before it. */
const BETWEEN = [
  /\s*\|\s*/,
  /\s*;\s*/,
  quick(new RegExp(`\\s*,\\s*(?=["']?${KEY}["']?\\s*[:=])`, "u")),
  quick(/\s+(?=[\p{L}_][\p{L}\d_]{0,20}=)/u),
];
/** No record has more, and a line of fewer is a heading with what stands behind it. */
const MOST_PAIRS = 12;
const FEWEST_PAIRS = 2;
/** Longer lines are prose. */
const LONGEST = 300;

const unquoted = (value: string): string => value.trim().replace(/^(["'])(.*)\1$/, "$2");

const ELEMENT = /^\s*<([\w:-]+)((?:\s+[\w:-]+="[^"<>]*")+)\s*(?:\/>|>([^<>]*)<\/\1>)\s*$/;
const ATTRIBUTE = /([\w:-]+)="([^"<>]*)"/g;
/** `<item qty="4" unit="pair">gloves</item>`; null: the line is no such element. */
function attributesOf(line: string): Fields | null {
  const m = ELEMENT.exec(line);
  if (!m) return null;
  const fields = [...m[2]!.matchAll(ATTRIBUTE)].map(([, key, value]) => [key!, value!] as const);
  return m[3]?.trim() ? [["text", m[3].trim()], ...fields] : fields;
}

const CHILDREN = /^\s*<([\w:-]+)>((?:\s*<([\w:-]+)>[^<>]*<\/\3>)+)\s*<\/\1>\s*$/;
const CHILD = /<([\w:-]+)>([^<>]*)<\/\1>/g;
/** `<line><name>gloves</name><qty>4</qty></line>`; null: the line is no such element. */
function childrenOf(line: string): Fields | null {
  const inner = CHILDREN.exec(line)?.[2];
  return inner === undefined
    ? null
    : [...inner.matchAll(CHILD)].map(([, key, value]) => [key!, value!] as const);
}

/** `{item: gauze, stock: 9}`, `item=gauze; n=4`, `Item: gauze | Qty: 4`; null: not all of the line is keys with their values. */
function writtenPairs(line: string): Fields | null {
  const text = line
    .trim()
    .replace(/^-\s+/, "")
    .replace(/^\{(.*)\}\s*,?$/, "$1")
    .trim();
  for (const between of BETWEEN) {
    const parts = text.split(between);
    if (parts.length < FEWEST_PAIRS || parts.length > MOST_PAIRS) continue;
    const pairs = parts.map((part) => PAIR.exec(part));
    if (pairs.every((pair) => pair !== null))
      return pairs.map(([, key, value]) => [key!.trim(), unquoted(value!)] as const);
  }
  return null;
}

/** The keys and values of a line, in their order; null: it is made of other things too. */
export function pairsOf(line: string): Fields | null {
  if (line.length > LONGEST) return null;
  if (line.includes("<")) return attributesOf(line) ?? childrenOf(line);
  return /[:=]/.test(line) ? writtenPairs(line) : null;
}
