import { expect } from "chai";
import fc from "fast-check";
import { alignedSplit } from "../../src/lib/core/card/aligned.ts";
import { keptInColumns, spaced } from "../../src/lib/core/card/cells.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Tables that are set in columns by blanks, as a print, a PDF or a photograph gives them, with cells left empty. */
const vocabulary = vocabularyOf(NAMED_CATALOGUE);
type Column = "no" | "code" | "item" | "size" | "min" | "qty" | "place" | "expiry";
const HEADS: Readonly<Record<Column, string>> = {
  no: "No.",
  code: "Code",
  item: "Item",
  size: "Size",
  min: "Target",
  qty: "Qty",
  place: "Location",
  expiry: "Expiry",
};
/** What each row holds; "" is left out. */
const ROWS: readonly (Readonly<Record<Column, string>> & { readonly type: string })[] = [
  ["Crepe bandage", "10 cm", "12", "lid", "", "elastic-bandage"],
  ["Triangular bandage", "", "7", "", "05/2028", "triangular-bandage"],
  ["Gauze swabs", "10 x 10 cm", "10", "top tray", "", "gauze-pad"],
  ["Trauma shears", "", "3", "", "", "trauma-shears"],
  ["Burn gel sachet", "3.5 g", "8", "front", "03/2027", "burn-gel-sachet"],
  ["Eye pad", "", "11", "", "04/2029", "eye-pad"],
  ["Foil blanket", "160 x 210 cm", "2", "", "", "foil-blanket"],
  ["Safety pins", "", "9", "lid", "09/2027", "safety-pin"],
].map(([item, size, qty, place, expiry, type], i) => ({
  no: String(i + 1),
  code: `FA${1200 + 137 * i}`,
  ...{ item: item!, size: size!, qty: qty!, place: place!, expiry: expiry!, type: type! },
  min: String(Number(qty) + (i % 3) - 1),
}));
const LAYOUTS: readonly (readonly Column[])[] = [
  ["item", "size", "qty"],
  ["item", "size", "qty", "expiry"],
  ["item", "qty", "expiry"],
  ["no", "item", "size", "qty", "expiry"],
  ["code", "item", "size", "qty"],
  ["item", "size", "place", "qty", "expiry"],
  ["item", "place", "qty"],
  ["item", "size", "min", "qty"],
  ["item", "min", "qty", "expiry"],
  ["qty", "size", "item"],
];
const IN_COUNTS: readonly Column[] = ["no", "min", "qty"];

function set(columns: readonly Column[], gap: number, isRight: boolean, headed: boolean): string[] {
  const rows = [...(headed ? [HEADS] : []), ...ROWS].map((row) => columns.map((c) => row[c]));
  const wide = columns.map((_, i) => Math.max(...rows.map((r) => r[i]!.length)));
  return rows.map((row) =>
    row
      .map((cell, i) =>
        isRight && IN_COUNTS.includes(columns[i]!)
          ? cell.padStart(wide[i]!)
          : cell.padEnd(wide[i]!),
      )
      .join(" ".repeat(gap))
      .trimEnd(),
  );
}

describe("a table in columns of blanks, some of its cells empty", () => {
  for (const columns of LAYOUTS)
    for (const headed of [true, false])
      it(`${columns.join(", ")}, ${headed ? "with" : "without"} headings`, () => {
        for (const gap of [2, 3, 5])
          for (const isRight of [true, false]) {
            const text = set(columns, gap, isRight, headed).join("\n");
            const { entries, columnsUnclearAt } = readCard(text, vocabulary);
            ROWS.forEach((row, i) => {
              const own = entries.filter((e) => e.source === i + (headed ? 2 : 1));
              expect(
                own.map((e) => e.itemType),
                text,
              ).to.deep.equal([row.type]);
              // Two columns of counts that nothing heads: the reader asks which of them counts.
              if (columnsUnclearAt === null)
                expect(own[0]!.pieces, `${row.item}\n${text}`).to.equal(Number(row.qty));
              else expect(columns).to.include("min");
            });
          }
      });
});

describe("cells by where they stand", () => {
  const split = (lines: readonly string[]) => {
    const by = alignedSplit(lines, spaced);
    return by && lines.map(by.split);
  };
  it("an empty cell stays empty", () => {
    expect(
      split(["tape     5 m    2", "pins            9", "gauze    10 cm  4", "wipes           3"]),
    ).to.deep.equal([
      ["tape", "5 m", "2"],
      ["pins", "", "9"],
      ["gauze", "10 cm", "4"],
      ["wipes", "", "3"],
    ]);
  });
  it("a line of one cell is a title, or stands under the table: it is no row", () => {
    const rows = [
      "tape     5 m    2",
      "pins            9",
      "gauze    10 cm  4",
      "wipes           3",
    ];
    expect(alignedSplit(rows, spaced)!.split("Issued by: ____")).to.deep.equal(["Issued by: ____"]);
  });
  it("counts that stand anywhere behind their names make no columns", () => {
    const lines = ["eye pads      1", "pins      2", "foil blankets      3", "wool      4"];
    expect(split(lines)).to.equal(null);
    expect(split(["pins ... 1", "wool ... 2", "gauze ... 3  10 cm", "tape ... 4  5 m"])).to.equal(
      null,
    );
  });
  it("a table with every cell filled, or of two columns, needs none of this", () => {
    expect(split(["tape   5 m   2", "gauze  9 m   4"])).to.equal(null);
    expect(split(["tape   2", "gauze", "pins   3"])).to.equal(null);
  });
  it("of ten lines one may run over a gutter, and is split as before", () => {
    const rows = Array.from({ length: 9 }, (_, i) =>
      i % 2 ? "tape     5 m    2" : "pins            9",
    );
    const title = "KIT OF THE GREEN VAN  2026";
    expect(split([title, ...rows])?.[0]).to.deep.equal(["KIT OF THE GREEN VAN", "2026"]);
    expect(split([title, title, ...rows])).to.equal(null);
  });
  it("any table set in columns comes back as it was (property)", () => {
    const cell = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,6})?$/);
    const row = fc.tuple(cell, fc.option(cell, { nil: "" }), fc.option(cell, { nil: "" }));
    fc.assert(
      fc.property(fc.array(row, { minLength: 4, maxLength: 12 }), (rows) => {
        const wide = [0, 1, 2].map((i) => Math.max(...rows.map((r) => r[i]!.length)));
        const filled = [1, 2].map((i) => rows.filter((r) => r[i] !== "").length);
        const whole = rows.filter((r) => !r.includes("")).length;
        fc.pre(filled.every((n) => n >= 2) && whole >= 2 && whole < rows.length);
        fc.pre(rows.every((r) => r[1] !== "" || r[2] !== ""));
        const lines = rows.map((r) => r.map((c, i) => c.padEnd(wide[i]!)).join("  "));
        expect(split(lines)).to.deep.equal(rows.map((r) => [...r]));
      }),
    );
  });
});

describe("a line of which cells were put right", () => {
  it("has each where it stood before", () => {
    expect(keptInColumns(["wipes    2O ml    4"], ["wipes    20ml    4"])[0]).to.equal(
      "wipes    20ml     4",
    );
    expect(keptInColumns(["Pflaster   9"], ["plasters   9"])[0]).to.equal("plasters   9");
    expect(keptInColumns(["Tuch     9"], ["cloth     9"])[0]).to.equal("cloth    9");
  });
  it("one that grew beyond the next moves it on; one without columns is left alone", () => {
    expect(keptInColumns(["Tuch  9"], ["triangular bandage  9"])[0]).to.equal(
      "triangular bandage  9",
    );
    expect(keptInColumns(["2O ml wipes"], ["20ml wipes"])[0]).to.equal("20ml wipes");
    expect(keptInColumns(["a   b"], ["a b"])[0]).to.equal("a b");
  });
});

describe("rows with strokes between their cells", () => {
  const counted = (text: string) =>
    readCard(text, vocabulary).entries.map((e) => [e.itemType, e.pieces]);
  const rows = "Plasters, blue / 40 / 33 / top up\nEye wash bottle 500 ml / 2 / 2 / ok";
  it("are a table under a heading of as many cells that tells what there is", () =>
    expect(counted(`Item / Should be / Is / Action\n${rows}`)).to.deep.equal([
      ["adhesive-strip", 33],
      ["eyewash", 2],
    ]));
  it("end where a row has not as many", () =>
    expect(
      counted(`Item / Should be / Is / Action\n${rows}\nWhistle / torch\nsling 1`).length,
    ).to.be.greaterThan(2));
});

describe("a column of what lies loose", () => {
  const read = (...rows: readonly string[]) =>
    readCard(
      ["Item;Pack size;Packs;Loose", ...rows].join("\n"),
      vocabularyOf(NAMED_CATALOGUE),
    ).entries.map((e) => e.pieces);
  it("is added to what the packs hold: 2 × 20 + 4, no packs and 7, 1 × 10 and none", () =>
    expect(read("Plasters;20;2;4", "Antiseptic wipes;10;0;7", "Eye pads;10;1;0")).to.deep.equal([
      44, 7, 10,
    ]));
});
