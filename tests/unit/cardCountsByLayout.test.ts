import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Every way to lay a card out with every way to say how many: a count that is not read must be asked about, never be one. */

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const THINGS = [
  ["Eye pads", "eye-pad"],
  ["Foil blankets", "foil-blanket"],
  ["Burn dressings", "burn-gel-dressing"],
  ["Triangular bandages", "triangular-bandage"],
  ["Safety pins", "safety-pin"],
  ["Antiseptic wipes", "antiseptic-wipe"],
] as const;
const WORDS = ["", "", "", "three", "four", "five", "six", "seven", "eight"];

/** How many are said, and how many that is; k is 3 to 8. */
type Said = (k: number) => readonly [text: string, pieces: number];
const COUNTS: Readonly<Record<string, Said>> = {
  ...{ "3": (k) => [`${k}`, k], three: (k) => [WORDS[k]!, k], "3 pcs": (k) => [`${k} pcs`, k] },
  ...{ x3: (k) => [`x${k}`, k], "3 nos": (k) => [`${k} nos`, k], "qty 3": (k) => [`qty ${k}`, k] },
  ...{ "a dozen": () => ["a dozen", 12], "half a dozen": () => ["half a dozen", 6] },
  "2 packs of 3": (k) => [`2 packs of ${k}`, 2 * k],
  "two packs of three": (k) => [`two packs of ${WORDS[k]!}`, 2 * k],
  "a box of three": (k) => [`a box of ${WORDS[k]!}`, k],
  "1 box (3)": (k) => [`1 box (${k})`, k],
  "2 boxes (3 each)": (k) => [`2 boxes (${k} each)`, 2 * k],
  "2 bx/3": (k) => [`2 bx/${k}`, 2 * k],
  "3 (1 used)": (k) => [`${k} (1 used)`, k - 1],
  "3 + 2": (k) => [`${k} + 2`, k + 2],
  ...{ "3 left": (k) => [`${k} left`, k], "3 of 12": (k) => [`${k} of 12`, k] },
  ...{ "about 3": (k) => [`about ${k}`, k], "ca. 3": (k) => [`ca. ${k}`, k] },
  ...{ "3 in total": (k) => [`${k} in total`, k], "3 sealed": (k) => [`${k} sealed`, k] },
  "3 (exp 05/28)": (k) => [`${k} (exp 05/28)`, k],
  "3 exp. 2028": (k) => [`${k} exp. 2028`, k],
  "3 (lot A341)": (k) => [`${k} (lot A${k}41)`, k],
  "3 in lid": (k) => [`${k} in lid`, k],
};

/** A card of such rows, and the line of each thing. */
type Layout = (rows: readonly (readonly [string, string])[]) => readonly [string, number[]];
const lines =
  (head: string, row: (name: string, count: string, i: number) => string, tail = ""): Layout =>
  (rows) => {
    const written = rows.map(([name, count], i) => row(name, count, i));
    const first = head.split("\n").length + 1;
    return [[head, ...written, ...(tail ? [tail] : [])].join("\n"), rows.map((_, i) => first + i)];
  };
/** Things in several lines each. */
const records =
  (head: readonly string[], of: (name: string, count: string) => readonly string[]): Layout =>
  (rows) => {
    const card = [...head];
    const at = rows.map(([name, count]) => {
      card.push(...of(name, count));
      return card.length - of(name, count).length + 1;
    });
    return [card.join("\n"), at];
  };
const BOX = "Shed box";
const LAYOUTS: Readonly<Record<string, Layout>> = {
  "name count": lines(BOX, (n, q) => `${n} ${q}`),
  "name: count": lines(BOX, (n, q) => `${n}: ${q}`),
  "name, count": lines(BOX, (n, q) => `${n}, ${q}`),
  "name – count": lines(BOX, (n, q) => `${n} – ${q}`),
  "• name: count": lines(BOX, (n, q) => `• ${n}: ${q}`),
  "1. name, count": lines(BOX, (n, q, i) => `${i + 1}. ${n}, ${q}`),
  "name ..... count": lines(BOX, (n, q) => `${n} ${".".repeat(30 - n.length)} ${q}`),
  "columns of blanks": lines(BOX, (n, q) => `${n.padEnd(32)}${q}`),
  "columns and a tick": lines(BOX, (n, q) => `${n.padEnd(30)}${q.padEnd(20)}[x]`),
  tabs: lines("Item\tQty", (n, q) => `${n}\t${q}`),
  "tabs, counts first": lines("Qty\tItem", (n, q) => `${q}\t${n}`),
  bars: lines(
    "| No | Item | Qty | Note |\n|---|---|---|---|",
    (n, q, i) => `| ${i + 1} | ${n} | ${q} | |`,
  ),
  semicolons: lines("item;qty", (n, q) => `${n};${q}`),
  objects: lines("[", (n, q) => ` {"item":"${n}","qty":"${q}"},`, "]"),
  "list of elements": lines("<ul>", (n, q) => `<li>${n}: ${q}</li>`, "</ul>"),
  "a box before each": lines(BOX, (n, q) => `[x] ${n}, ${q}`),
  "name / count / place": lines(BOX, (n, q) => `${n} / ${q} / lid`),
  "minimum and held": lines("Item\tMin\tHeld", (n, q) => `${n}\t4\t${q}`),
  quoted: lines("Hi,\nas asked:", (n, q) => `> ${n}: ${q}`),
  keys: records(["contents:"], (n, q) => [`  - item: ${n}`, `    qty: ${q}`]),
  "fields, blank lines between": records([], (n, q) => [`Item: ${n}`, `Qty: ${q}`, ""]),
  "the count below": records([BOX], (n, q) => [n, `  ${q}`]),
};

describe("every layout with every way to count", () => {
  for (const [layout, of] of Object.entries(LAYOUTS))
    it(layout, () => {
      for (const [way, said] of Object.entries(COUNTS)) {
        const counts = THINGS.map((_, i) => said(((i * 3) % 6) + 3));
        const [card, at] = of(THINGS.map(([name], i) => [name, counts[i]![0]] as const));
        const { entries } = readCard(card, vocabulary);
        const read = THINGS.map(
          ([, type], i) => entries.find((e) => e.source === at[i] && e.itemType === type)?.pieces,
        );
        expect(read, `${layout}, ${way}\n${card}`).to.deep.equal(
          counts.map(([, pieces]) => pieces),
        );
      }
    });
});
