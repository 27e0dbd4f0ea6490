import { expect } from "chai";
import { cellsWhole } from "../../src/lib/core/card/brokenCells.ts";
import { withOuterBars } from "../../src/lib/core/card/cells.ts";
import { withoutRowNumbers } from "../../src/lib/core/card/lineEdges.ts";
import { sumColumn } from "../../src/lib/core/card/packColumns.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { countMended } from "../../src/lib/core/card/repairText.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** A table reads the same however it is drawn, and with what is drawn amid its rows: cells too long, empty ones, titles of groups. */

const words = vocabularyOf(NAMED_CATALOGUE);
const COLUMNS = ["Group", "Item", "Min", "Held", "Notes"] as const;
/** The name as a narrow column breaks it, its kind, how many there should be and are. */
const ROWS = [
  ["Wounds", ["Plasters,", "fabric, assorted"], "adhesive-strip", 20, 31],
  ["", ["Eye pad,", "sterile"], "eye-pad", 4, 6],
  ["Burns", ["Burn dressing,", "hydrogel, 10 x", "10 cm"], "burn-gel-dressing", 5, 3],
  ["", ["Instant cold", "pack"], "cold-pack", 2, 17],
  ["Other", ["Conforming", "bandage 7.5 cm x", "4 m"], "roller-bandage", 9, 8],
  ["", ["Trauma shears"], "trauma-shears", 1, 2],
] as const;

type Draw = (cells: readonly string[]) => string;
const WIDTHS = [9, 20, 6, 6, 6];
const FORMS: Readonly<Record<string, Draw>> = {
  "bars without ends": (cells) => cells.join(" | "),
  "bars with ends": (cells) => `| ${cells.join(" | ")} |`,
  "bars in line": (cells) => `| ${cells.map((c, i) => c.padEnd(WIDTHS[i]!)).join(" | ")} |`,
  semicolons: (cells) => cells.join(";"),
  tabs: (cells) => cells.join("\t"),
  blanks: (cells) =>
    cells
      .map((c, i) => c.padEnd(WIDTHS[i]!))
      .join("")
      .trimEnd(),
  "blanks, numbers to the right": (cells) =>
    cells
      .map((c, i) =>
        i === 2 || i === 3 ? `${c.padStart(WIDTHS[i]! - 2)}  ` : c.padEnd(WIDTHS[i]!),
      )
      .join("")
      .trimEnd(),
};
const breaksNames = (form: string) => form.includes("blanks") || form === "bars in line";

interface Noise {
  readonly broken: boolean;
  readonly groups: boolean;
  readonly count: (n: number) => string;
}
/** The lines of a card, and on which of them each row begins. */
function drawn(draw: Draw, { broken, groups, count }: Noise) {
  const lines = [draw(COLUMNS)];
  const at = ROWS.map(([group, name, , min, held], i) => {
    if (groups && i % 3 === 0) lines.push(draw(["TOP TRAY", "", "", "", ""]).replace(/\s+$/, ""));
    const [first, ...rest] = broken ? name : [name.join(" ")];
    lines.push(draw([group, first!, String(min), count(held), ""]));
    const begun = lines.length;
    for (const part of rest) lines.push(draw(["", part, "", "", ""]));
    return begun;
  });
  return { lines, at };
}

describe("a table", () => {
  for (const [form, draw] of Object.entries(FORMS))
    for (const broken of breaksNames(form) ? [false, true] : [false])
      for (const groups of [false, true])
        it(`between ${form}${broken ? ", its names broken" : ""}${groups ? ", with titles" : ""}`, () => {
          const { lines, at } = drawn(draw, { broken, groups, count: String });
          const read = readCard(lines.join("\n"), words).entries;
          expect(
            read.map((e) => `${e.source} ${e.itemType} ${e.pieces}`),
            lines.join("\n"),
          ).to.deep.equal(ROWS.map(([, , type, , held], i) => `${at[i]} ${type} ${held}`));
        });

  it("with counts that were spoilt by a scanner", () => {
    expect(["I7", "lO", "|", "1O", "l5", "B1"].map(countMended)).to.deep.equal([
      "17",
      "10",
      "1",
      "10",
      "15",
      "81",
    ]);
    expect(["S", "M", "box", "O", "none"].map(countMended), "sizes and words").to.deep.equal([
      "S",
      "M",
      "box",
      "O",
      "none",
    ]);
    const { lines } = drawn(FORMS["semicolons"]!, {
      broken: false,
      groups: false,
      count: (n) => String(n).replaceAll("1", "I"),
    });
    expect(readCard(lines.join("\n"), words).entries.map((e) => e.pieces)).to.deep.equal(
      ROWS.map((r) => r[4]),
    );
  });
});

describe("cells that go on below", () => {
  it("are put behind the cell above, and their row is left empty", () =>
    expect(
      cellsWhole([
        "| Eye pads, sterile, | 4 |",
        "| wrapped            |   |",
        "| Whistle | 1 |",
        "| Slings | 2 |",
      ]),
    ).to.deep.equal(
      ["| Eye pads, sterile, wrapped | 4 |", "| |   |", "| Whistle | 1 |", "| Slings | 2 |"].map(
        (row, i) => (i === 1 ? `|${" ".repeat(20)}|   |` : row),
      ),
    ));
  it("for a few lines, or each of thousands would be put behind all before it", () => {
    const rows = [
      "| Aprons | 3 |",
      "| Slings | 2 |",
      "| Masks, | 4 |",
      ...Array.from({ length: 9000 }, () => "| bb |   |"),
    ];
    expect(cellsWhole(rows)[2]).to.equal("| Masks, bb bb bb | 4 |");
  });
  it("not where the next word had room, nor a title, nor a count", () => {
    for (const lines of [
      [
        "Item                Qty",
        "Crepe bandage wide   3",
        "Sling                2",
        "gauze",
        "Whistle              4",
      ],
      ["Item | Qty", "Slings | 3", "Burns |", "Wipes | 4", "Torches | 1"],
      ["Item     Qty", "Slings,  3", "         4", "Wipes    2", "Masks    1"],
    ])
      expect(cellsWhole(lines)).to.deep.equal(lines);
  });
});

describe("bars at the ends of rows", () => {
  const rows = ["Group | Item | Qty", "Wounds | Plasters | 40", " | Slings | 4"];
  it("are put where a first cell is empty", () =>
    expect(withOuterBars(rows)[2]).to.equal("| | Slings | 4 |"));
  it("and not where all rows have them, or none lacks its first", () => {
    for (const lines of [
      rows.map((r) => `| ${r} |`),
      rows.slice(0, 2),
      ["no bars", "at all", "in it"],
    ])
      expect(withOuterBars(lines)).to.deep.equal(lines);
  });
});

describe("columns of packs", () => {
  const STOCK = [
    ["Plasters, fabric", "adhesive-strip", 2, 100],
    ["Gauze swab, sterile", "gauze-pad", 6, 5],
    ["Foil blanket", "foil-blanket", 3, 1],
    ["Safety pins", "safety-pin", 3, 12],
    ["Cold pack, instant", "cold-pack", 4, 1],
  ] as const;
  const PACKS = ["Packs", "Qty packs", "No. of packs", "Boxes/packs", "Packs in stock"];
  const PER = ["Per pack", "Pack size", "Units/pack", "Pcs per pack", "In pack", "Each pack"];
  for (const packs of PACKS)
    it(`"${packs}" times what one holds, between a box's letter and who looked`, () => {
      for (const per of PER)
        for (const between of ["\t", " | ", ";"]) {
          const rows = STOCK.map(([name, , n, of], i) => [`A${i}`, name, n, of, i % 2 ? "y" : "n"]);
          const lines = [["Box", "Item", packs, per, "Seen"], ...rows].map((r) => r.join(between));
          expect(
            readCard(lines.join("\n"), words).entries.map((e) => `${e.itemType} ${e.pieces}`),
            lines[0],
          ).to.deep.equal(STOCK.map(([, type, n, of]) => `${type} ${n * of}`));
        }
    });

  it("several kits and their sum", () => {
    const kits = [
      ["Item", "F", "B", "M", "Total"],
      ["ice pack", "4", "6", "2", "12"],
      ["eye pads", "2", "0", "3", "5"],
      ["slings", "1", "2", "1", "4"],
      ["whistles", "1", "1", "0", "2"],
    ];
    for (const between of ["\t", ";", "     "]) {
      const card = kits.map((r) => r.join(between)).join("\n");
      expect(
        readCard(card, words).entries.map((e) => e.pieces),
        card,
      ).to.deep.equal([12, 5, 4, 2]);
    }
    expect(sumColumn(kits.slice(1), (at) => at > 0)).to.deep.equal({ inAll: 4, parts: [1, 2, 3] });
    expect(
      sumColumn([["a", "1", "2", "4"], ...kits.slice(1).map((r) => r.slice(0, 4))], (at) => at > 0),
    ).to.equal(null);
  });

  it("the numbers of rows, past nine with one blank less", () => {
    const names = [
      "Eye pads",
      "Slings",
      "Whistles",
      "Torch",
      "Face shield",
      "Ice packs",
      "Wipes",
      "Shears",
      "Markers",
      "Foil blankets",
      "Safety pins",
      "Tick hook",
    ];
    const lines = names.map(
      (name, i) => `${String(i + 1).padEnd(3)}${name}`.padEnd(30) + `${(i % 4) + 2}       9`,
    );
    const card = ["                              On board   Req.", ...lines].join("\n");
    expect(readCard(card, words).entries.map((e) => e.pieces)).to.deep.equal(
      names.map((_, i) => (i % 4) + 2),
    );
    // Without a second number it may count what it stands before.
    const counted = names.map((name, i) => `${String(i + 1).padEnd(3)}${name}`);
    expect(withoutRowNumbers(counted)).to.deep.equal(counted);
  });

  it("a bar before a box is no one", () => {
    const lines = [
      "| Box | Item | Qty |",
      "| A | Slings | 4 |",
      "| B | Whistles | 2 |",
      "| B | Torches | 3 |",
    ];
    expect(readCard(lines.join("\n"), words).entries.map((e) => e.pieces)).to.deep.equal([4, 2, 3]);
  });

  it("no sentence heads a table whose columns a copy closed up", () => {
    for (const title of ["What is where", "Hej! Counted today.", "All found present."]) {
      const card = [
        title,
        "- gauze rolls 5 cm, 4 pcs",
        "- space blanket 2",
        "- slings 3",
        "- burn gel 3 sachets",
      ];
      expect(
        readCard(card.join("\n"), words).entries.map((e) => e.pieces),
        title,
      ).to.deep.equal([4, 2, 3, 3]);
    }
  });
  it("cold compresses of the kit lie in the freezer, and a spoilt unit is one", () => {
    const read = (card: string) =>
      readCard(card, words).entries.map((e) =>
        [e.itemType, e.pieces, ...(e.sizeMm ?? [])].join(" "),
      );
    expect(
      read("| Cold compresses | 4 | in the freezer! |\n| Eye pads | 3 | |\n| Slings | 2 | |")[0],
    ).to.equal("cold-pack 4");
    expect(read("2 slings\nCrepe bandage 75 mrn      3\n4 eye pads")[1]).to.equal(
      "elastic-bandage 3 75",
    );
  });
});
