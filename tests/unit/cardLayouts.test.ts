import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { readCard } from "../../src/lib/core/card/readCard.ts";

/**
 * The same contents, however they are laid out, are read the same: as a list with marks, with counts
 * before or behind, in brackets, with dot leaders, as CSV, TSV, with semicolons, pipes or blanks
 * between the columns, with columns side by side, several items a line.
 */

interface Thing {
  readonly name: string;
  readonly size: string | null;
  readonly type: string;
  readonly sizeMm: readonly number[] | null;
}
// prettier-ignore
const THINGS: readonly Thing[] = [
  { name: "Fabric plasters", size: "25 x 72 mm", type: "adhesive-strip", sizeMm: [25, 72] },
  { name: "Knuckle plasters", size: null, type: "adhesive-knuckle", sizeMm: null },
  { name: "Sterile gauze pads", size: "10 x 10 cm", type: "gauze-pad", sizeMm: [100, 100] },
  { name: "Non-adherent pads", size: "5 x 7.5 cm", type: "non-adherent-pad", sizeMm: [50, 75] },
  { name: "Conforming bandage", size: "7.5 cm x 4 m", type: "roller-bandage", sizeMm: [75, 4000] },
  { name: "Elastic bandage", size: "4 in x 5 yd", type: "elastic-bandage", sizeMm: [102, 4572] },
  { name: "Triangular bandage", size: null, type: "triangular-bandage", sizeMm: null },
  { name: "Wound closure strips", size: "6 x 75 mm", type: "closure-strips", sizeMm: [6, 75] },
  { name: "Antiseptic wipes", size: null, type: "antiseptic-wipe", sizeMm: null },
  { name: "Safety pins", size: null, type: "safety-pin", sizeMm: null },
  { name: "Foil blanket", size: null, type: "foil-blanket", sizeMm: null },
  { name: "Sterile eye pads", size: null, type: "eye-pad", sizeMm: null },
  { name: "Haemostatic gauze", size: "7.5 cm x 3.7 m", type: "haemostatic-gauze", sizeMm: [75, 3700] },
  { name: "Windlass tourniquet", size: null, type: "windlass-tourniquet", sizeMm: null },
  { name: "Burn gel sachets", size: null, type: "burn-gel-sachet", sizeMm: null },
  { name: "Instant cold pack", size: null, type: "cold-pack", sizeMm: null },
  { name: "Trauma shears", size: "18 cm", type: "trauma-shears", sizeMm: [180] },
  { name: "Whistle", size: null, type: "whistle", sizeMm: null },
  { name: "Blister cushions", size: null, type: "blister-cushion", sizeMm: null },
  { name: "Cohesive wrap", size: "5 cm x 4.5 m", type: "cohesive-wrap", sizeMm: [50, 4500] },
];
type Row = Thing & { readonly count: number };

const sized = (r: Row, between = ", ") => `${r.name}${r.size ? between + r.size : ""}`;
const ONES =
  "one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen".split(
    " ",
  );
/** 1 to 40 as people say them. */
const inWords = (n: number): string =>
  n < 20
    ? ONES[n - 1]!
    : `${{ 2: "twenty", 3: "thirty", 4: "forty" }[Math.floor(n / 10)]!}${n % 10 === 0 ? "" : `-${ONES[(n % 10) - 1]!}`}`;
const pad = (text: string, width: number) => text.padEnd(width);
const WIDE = 44;

const LAYOUTS: Record<string, (rows: readonly Row[]) => string> = {
  "marks, count before": (rows) => rows.map((r) => `- ${r.count} x ${sized(r)}`).join("\n"),
  "marks, count in brackets behind": (rows) =>
    rows.map((r) => `• ${sized(r)} (${r.count})`).join("\n"),
  "count first": (rows) => rows.map((r) => `${r.count} ${sized(r)}`).join("\n"),
  "count in brackets first": (rows) => rows.map((r) => `(${r.count}) ${sized(r)}`).join("\n"),
  "x behind": (rows) => rows.map((r) => `${sized(r)} x${r.count}`).join("\n"),
  "after a colon": (rows) => rows.map((r) => `${sized(r, " ")}: ${r.count}`).join("\n"),
  "dot leaders": (rows) =>
    rows.map((r) => `${sized(r).padEnd(WIDE, ".")}......${r.count}`).join("\n"),
  "Qty and name": (rows) =>
    ["Qty   Description", ...rows.map((r) => `${pad(String(r.count), 6)}${sized(r)}`)].join("\n"),
  "name and Qty by blanks": (rows) =>
    [`${pad("Item", WIDE)}Qty`, ...rows.map((r) => `${pad(sized(r), WIDE)}${r.count}`)].join("\n"),
  CSV: (rows) =>
    ["item,size,qty", ...rows.map((r) => `"${r.name}",${r.size ?? ""},${r.count}`)].join("\n"),
  semicolons: (rows) =>
    [
      "Code;Description;Size;Quantity",
      ...rows.map((r, i) => `A-${100 + i};${r.name};${r.size ?? ""};${r.count}`),
    ].join("\n"),
  tabs: (rows) =>
    [
      "No\tItem\tQty\tNote",
      ...rows.map((r, i) => `${i + 1}\t${sized(r)}\t${r.count}\tchecked`),
    ].join("\n"),
  "a Markdown table": (rows) =>
    ["| Item | Count |", "|---|---:|", ...rows.map((r) => `| ${sized(r)} | ${r.count} |`)].join(
      "\n",
    ),
  "a table with a running number": (rows) =>
    [
      "| # | Gear | Amount |",
      "|--|--|--|",
      ...rows.map((r, i) => `| ${i + 1} | ${sized(r)} | ${r.count} |`),
    ].join("\n"),
  "a price list": (rows) =>
    [
      `${pad("Description", WIDE)}Qty  Unit price  Sum`,
      ...rows.map(
        (r) =>
          `${pad(sized(r), WIDE)}${pad(String(r.count), 5)}1.20        ${(1.2 * r.count).toFixed(2)}`,
      ),
    ].join("\n"),
  "packs and pack size": (rows) =>
    ["description,pack qty,packs", ...rows.map((r) => `"${sized(r)}",1,${r.count}`)].join("\n"),
  "pipes without a heading": (rows) => rows.map((r) => `${sized(r)} | ${r.count}`).join("\n"),
  "CSV without a heading": (rows) =>
    rows.map((r) => `${r.name},${r.size ?? ""},${r.count}`).join("\n"),
  "count first in CSV, without a heading": (rows) =>
    rows.map((r) => `${r.count},"${sized(r)}"`).join("\n"),
  "blanks without a heading": (rows) =>
    rows.map((r) => `${pad(sized(r), WIDE)}${r.count}`).join("\n"),
  "pcs behind a dash": (rows) => rows.map((r) => `${sized(r)} – ${r.count} pcs`).join("\n"),
  "pcs before": (rows) => rows.map((r) => `${r.count}pcs ${sized(r, " ")}`).join("\n"),
  "Qty with a colon": (rows) => rows.map((r) => `${sized(r)}. Qty: ${r.count}`).join("\n"),
  "list numbers and a tab": (rows) =>
    rows.map((r, i) => `${i + 1}. ${sized(r)}\t${r.count}`).join("\n"),
  "boxes to tick": (rows) => rows.map((r) => `[ ] ${r.count} ${sized(r)}`).join("\n"),
  "list items of a page": (rows) =>
    `<ul>\n${rows.map((r) => `<li>${r.count} × ${sized(r)}</li>`).join("\n")}\n</ul>`,
  "two tables side by side": (rows) => {
    const half = Math.ceil(rows.length / 2);
    const cell = (r: Row | undefined) =>
      r ? `${pad(sized(r), WIDE)}${pad(String(r.count), 6)}` : "";
    return [
      `${pad("Item", WIDE)}${pad("Qty", 6)}${pad("Item", WIDE)}Qty`,
      ...rows.slice(0, half).map((r, i) => cell(r) + cell(rows[half + i])),
    ].join("\n");
  },
  "codes and units": (rows) =>
    [
      "SKU,DESCRIPTION,QTY,UOM,PRICE",
      ...rows.map((r, i) => `K-${2000 + i},"${sized(r).toUpperCase()}",${r.count},EA,${i}.50`),
    ].join("\n"),
  "said aloud": (rows) =>
    [
      "okay reading out what is in the green bag",
      ...rows.map(
        (r) => `${inWords(r.count)} ${r.name.toLowerCase()}${r.size ? `, ${r.size}` : ""}`,
      ),
      "and that's the lot",
    ].join("\n"),
  "said aloud, two at a time": (rows) => {
    const said = rows.map((r) => `${inWords(r.count)} ${r.name.toLowerCase()}`);
    const pairs = said.flatMap((_, i) =>
      i % 2 === 0 ? [said.slice(i, i + 2).join(i % 4 === 0 ? " and " : ", then ")] : [],
    );
    return ["um right let me see what we have got", ...pairs, "that's it"].join("\n");
  },
  "said aloud, no comma written": (rows) =>
    `okay so in here we have got ${rows.map((r) => `${inWords(r.count)} ${r.name.toLowerCase()}`).join(" ")}`,
  "cells in quotes, without a heading": (rows) =>
    rows.map((r) => `"${sized(r)}","${r.count}"`).join("\n"),
  "cells in quotes under a title, count first": (rows) =>
    ["KIT LIST", ...rows.map((r) => `"${r.count}";"${sized(r)}"`)].join("\n"),
  "several a line": (rows) =>
    `Contents: ${rows.map((r) => `${r.count} x ${r.name}${r.size ? ` (${r.size})` : ""}`).join("; ")}`,
};

const contents = fc
  .uniqueArray(
    fc.record({ at: fc.nat(THINGS.length - 1), count: fc.integer({ min: 1, max: 40 }) }),
    { minLength: 5, maxLength: 12, selector: (r) => r.at },
  )
  .map((rows) => rows.map((r): Row => ({ ...THINGS[r.at]!, count: r.count })));

const read = (text: string) =>
  readCard(text, vocabularyOf(NAMED_CATALOGUE)).entries.map((e) => [
    e.itemType,
    e.pieces,
    e.sizeMm && [...e.sizeMm],
  ]);
const right = (rows: readonly Row[]) =>
  rows.map((r) => [r.type, r.count, r.sizeMm && [...r.sizeMm]]);

describe("the same contents, however they are laid out, are read the same", () => {
  for (const [name, layOut] of Object.entries(LAYOUTS))
    it(name, () => {
      fc.assert(
        fc.property(contents, (rows) => {
          const text = layOut(rows);
          const sorted = (list: unknown[]) =>
            name.includes("side by side") ? list.map((x) => JSON.stringify(x)).sort() : list;
          const asked = /two at a time|no comma/.test(name)
            ? rows.map((r) => ({ ...r, sizeMm: null }))
            : rows;
          expect(sorted(read(text)), text).to.deep.equal(sorted(right(asked)));
        }),
        { numRuns: 40, seed: 7 },
      );
    });
  it("under a title with a claim, and before notes that list nothing", () => {
    fc.assert(
      fc.property(contents, fc.integer({ min: 50, max: 400 }), (rows, claimed) => {
        const text = [
          `RIDGEWAY BELT KIT, ${claimed} PIECES`,
          "Keep dry. Check every six months.",
          "",
          LAYOUTS["marks, count before"]!(rows),
          "",
          "Not supplied: medicines, batteries",
          "Dimensions: 20 x 14 x 6 cm. Weight 480 g.",
        ].join("\n");
        const reading = readCard(text, vocabularyOf(NAMED_CATALOGUE));
        expect(reading.claimedPieces).to.equal(claimed);
        expect(reading.entries.map((e) => e.itemType)).to.deep.equal(rows.map((r) => r.type));
        expect(reading.entries.map((e) => e.pieces)).to.deep.equal(rows.map((r) => r.count));
      }),
      { numRuns: 40, seed: 8 },
    );
  });
  it("each entry stands where it was on the card", () => {
    fc.assert(
      fc.property(contents, (rows) => {
        const text = LAYOUTS["marks, count in brackets behind"]!(rows);
        expect(
          readCard(text, vocabularyOf(NAMED_CATALOGUE)).entries.map((e) => e.source),
        ).to.deep.equal(rows.map((_, i) => i + 1));
      }),
      { numRuns: 20, seed: 9 },
    );
  });
  it("in capitals, and with both spellings of English", () => {
    fc.assert(
      fc.property(contents, (rows) => {
        const text = LAYOUTS["marks, count before"]!(rows);
        const types = rows.map((r) => r.type);
        expect(
          readCard(text.toUpperCase(), vocabularyOf(NAMED_CATALOGUE)).entries.map(
            (e) => e.itemType,
          ),
        ).to.deep.equal(types);
        const american = text.replace(/Haemostatic/g, "Hemostatic");
        expect(
          readCard(american, vocabularyOf(NAMED_CATALOGUE)).entries.map((e) => e.itemType),
        ).to.deep.equal(types);
      }),
      { numRuns: 20, seed: 10 },
    );
  });
  it("with one slip of the pen in a long word", () => {
    fc.assert(
      fc.property(contents, fc.nat(1000), (rows, seed) => {
        const slipped = rows.map((r) => {
          const word = r.name.split(" ").find((w) => w.length >= 8);
          if (!word) return r;
          // Two neighbours within the word change places, never its first letter.
          const at = 2 + (seed % (word.length - 4));
          const wrong = word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2);
          return { ...r, name: r.name.replace(word, wrong) };
        });
        expect(read(LAYOUTS["count first"]!(slipped))).to.deep.equal(right(rows));
      }),
      { numRuns: 40, seed: 11 },
    );
  });
});
