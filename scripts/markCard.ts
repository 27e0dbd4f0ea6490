import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readCard, type CardEntry } from "../src/lib/core/card/readCard.ts";
import type { Vocabulary } from "../src/lib/core/card/vocabulary.ts";

/** What a card's entry should be read as. */
interface Expected extends Pick<CardEntry, "source" | "itemType" | "pieces" | "sizeMm"> {
  /** Other kinds that are equally right. */
  readonly alsoRight?: readonly (string | null)[];
}
interface ExpectedCard {
  readonly claimedPieces: number | null;
  readonly entries: readonly Expected[];
}

/** Given this confidence or more, nobody is asked. */
const SURE = 0.9;

const same = (got: CardEntry, want: Expected): boolean =>
  got.source === want.source &&
  (got.itemType === want.itemType || (want.alsoRight ?? []).includes(got.itemType)) &&
  got.pieces === want.pieces &&
  JSON.stringify(got.sizeMm) === JSON.stringify(want.sizeMm);

/** Type, pieces and size together, entry by entry; each entry read answers one that is wanted. */
function markCard(text: string, expected: ExpectedCard, vocabulary: Vocabulary) {
  const { entries, claimedPieces } = readCard(text, vocabulary);
  const left = [...entries];
  const missed: Expected[] = [];
  let sureRight = 0;
  for (const want of expected.entries) {
    const at = left.findIndex((got) => same(got, want));
    if (at < 0) {
      missed.push(want);
      continue;
    }
    if (left[at]!.confidence >= SURE) sureRight++;
    left.splice(at, 1);
  }
  return {
    all: expected.entries.length,
    right: expected.entries.length - missed.length,
    sure: entries.filter((e) => e.confidence >= SURE).length,
    sureRight,
    claimRight: claimedPieces === expected.claimedPieces,
    /** What was wanted and not read, and what was read and not wanted. */
    missed,
    left,
  };
}

const tell = (e: Pick<CardEntry, "itemType" | "pieces" | "sizeMm"> | undefined): string =>
  e ? `${e.itemType ?? "?"} ${e.pieces} ${JSON.stringify(e.sizeMm)}` : "nothing";

/** Each fault in a line: what was wanted and what was read, with the card's own words. */
function faultsOf(text: string, { missed, left }: ReturnType<typeof markCard>): string[] {
  const lines = text.split("\n");
  const open = [...left];
  const words = (n: number) => lines[n - 1]!.trim().slice(0, 90);
  const wrong = missed.map((want) => {
    const at = open.findIndex((e) => e.source === want.source);
    const got = at < 0 ? undefined : open.splice(at, 1)[0];
    return `${want.source} want ${tell(want)}, got ${tell(got)} | ${words(want.source)}`;
  });
  return [...wrong, ...open.map((e) => `${e.source} not there: ${tell(e)} | ${words(e.source)}`)];
}

/** Of the facts wanted, those that were not got; each one got answers one that is wanted. */
export function lostOf(wanted: readonly string[], got: readonly string[]) {
  const left = [...got];
  const lost = wanted.filter((fact) => {
    const at = left.indexOf(fact);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
  return { lost, left };
}

/** The further names of a file (type, name, region), each read alone on a line between two others. */
export function readNames(file: string, vocabulary: Vocabulary) {
  return readFileSync(file, "utf8")
    .trim()
    .split("\n")
    .slice(1)
    .map((row) => {
      const [, type, name] = /^([^,]+),(.*),[^,]*$/.exec(row)!;
      const card = `- 2 gauze pads\n- 1 ${name!.replace(/^"|"$/g, "")}\n- 2 eye pads`;
      const entries = readCard(card, vocabulary).entries.filter((e) => e.source === 2);
      return { type: type!, entries };
    });
}

/** Each entry read from a card (`NAME.txt`), and whether its reading is wanted as it is. */
export function rightEntries(file: string, vocabulary: Vocabulary) {
  const expected = JSON.parse(
    readFileSync(file.replace(".txt", ".expected.json"), "utf8"),
  ) as ExpectedCard;
  const open = [...expected.entries];
  return readCard(readFileSync(file, "utf8"), vocabulary).entries.map((entry) => {
    const at = open.findIndex((want) => same(entry, want));
    if (at >= 0) open.splice(at, 1);
    return { entry, right: at >= 0 };
  });
}

/** All cards of a folder (`NAME.txt` with `NAME.expected.json`) taken together. */
export function markFolder(folder: string, vocabulary: Vocabulary) {
  const sum = { all: 0, right: 0, sure: 0, sureRight: 0 };
  /** Entries wanted and not read, and entries read and not wanted. */
  let missed = 0;
  let left = 0;
  const claimsWrong: string[] = [];
  const faults: string[] = [];
  for (const name of readdirSync(folder).filter((f) => f.endsWith(".txt"))) {
    const text = readFileSync(join(folder, name), "utf8");
    const expected = JSON.parse(
      readFileSync(join(folder, name.replace(".txt", ".expected.json")), "utf8"),
    ) as ExpectedCard;
    const marked = markCard(text, expected, vocabulary);
    for (const key of ["all", "right", "sure", "sureRight"] as const) sum[key] += marked[key];
    missed += marked.missed.length;
    left += marked.left.length;
    if (!marked.claimRight) claimsWrong.push(name);
    faults.push(...faultsOf(text, marked).map((f) => `${name}:${f}`));
  }
  return { ...sum, missed, left, claimsWrong, faults };
}
