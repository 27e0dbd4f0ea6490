import { expect } from "chai";
import { keptInColumns } from "../../src/lib/core/card/cells.ts";
import { headsColumns, roleOf } from "../../src/lib/core/card/headingRoles.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const read = (lines: readonly string[]) =>
  readCard(lines.join("\n"), vocabulary).entries.map((e) => [e.source, e.itemType, e.pieces]);

describe("headings of tables in other languages", () => {
  for (const [role, headings] of [
    ["text", ["Bezeichnung", "Libellé", "Denominación", "Presidio", "Omschrijving", "Benämning"]],
    ["quantity", ["Q.tà", "Nbre", "Cant.", "Aantal", "Antal st", "Ilość (szt.)", "Stk."]],
    ["size", ["Maße (cm)", "Taglia/misura", "Afmeting", "Storlek", "Wymiary"]],
    ["skip", ["Soll", "N.º lote", "Nr serii", "Lotto n.", "verwendbar bis", "DLU", "Plats", "PZN"]],
    ["note", ["Bemerkung", "Observaciones", "Opmerkingen", "Uwagi"]],
  ] as const)
    it(`${headings.join(", ")}: ${role}`, () =>
      expect(headings.map(roleOf)).to.deep.equal(headings.map(() => role)));

  it("name things, whatever else they say", () =>
    expect(["Location / Item", "Area and item", "Item / size"].map(roleOf)).to.deep.equal([
      "text",
      "text",
      "text",
    ]));
  it("are no names: a line of them is not put into English, where a lot would be a pack", () => {
    expect(headsColumns("Objet\tNombre\tLot")).to.equal(true);
    expect(headsColumns("Pleisters\t12\tLot")).to.equal(false);
    expect(headsColumns("Contenu")).to.equal(false);
  });
});

describe("tables in other languages", () => {
  const rows = [
    ["N°", "Presidio", "Taglia/misura", "Q.tà", "Lotto", "Scadenza"],
    ["1", "Guanti in nitrile", "M", "20 paia", "G2231", "2029-03"],
    ["2", "Garze sterili", "10 x 10 cm", "25", "K-771", "2028-11"],
    ["3", "Fischietto", "", "2", "", ""],
    ["4", "Cerotti", "", "40", "LT4337", "2030-01"],
  ];
  const right = [
    [2, "nitrile-gloves", 20],
    [3, "gauze-pad", 25],
    [4, "whistle", 2],
    [5, "adhesive-strip", 40],
  ];
  const width = (at: number) => Math.max(...rows.map((r) => r[at]!.length)) + 2;
  for (const [name, line] of [
    ["cells in quotes", (r: string[]) => r.map((c) => `"${c}"`).join(",")],
    ["semicolons", (r: string[]) => r.join(";")],
    ["tabs, with cells left empty", (r: string[]) => r.join("\t")],
    ["bars", (r: string[]) => `| ${r.join(" | ")} |`],
    ["blanks", (r: string[]) => r.map((c, i) => c.padEnd(width(i))).join("")],
  ] as const)
    it(`read the same by ${name}`, () => expect(read(rows.map(line))).to.deep.equal(right));

  it("the letter of a lot is no word: K-531 is no piece, A-116 no preposition", () =>
    expect(
      read(["Elemento\tCantidad\tLote", "Imperdibles\t10\tK-531", "Tiritas\t8\tA-116"]),
    ).to.deep.equal([
      [2, "safety-pin", 10],
      [3, "adhesive-strip", 8],
    ]));
  it("German asks what there is: Was", () =>
    expect(read(["Nr.;Was;Anz.", "1;Pfeife;2", "2;Rettungsdecken;4"])).to.deep.equal([
      [2, "whistle", 2],
      [3, "foil-blanket", 4],
    ]));
  it("a longer word in English gets its room on every line", () =>
    expect(
      keptInColumns(["Wat   Aantal", "doek  4"], ["Wat   Aantal", "bandage  4"]),
    ).to.deep.equal(["Wat      Aantal", "bandage  4"]));
});

describe("titles between the rows of a table", () => {
  const right = [
    [3, "safety-pin", 14],
    [4, "eye-pad", 5],
    [6, "whistle", 21],
  ];
  for (const [name, lines] of [
    [
      "alone on their lines",
      ["Item,Min,Held", "Office", "Safety pins,9,14", "Eye pads,5,5", "Bag 2", "Whistle,20,21"],
    ],
    [
      "in the first of the cells",
      [
        "Item;Min;Held",
        "Bag 1;;",
        "Safety pins;9;14",
        "Eye pads;5;5",
        "-- Van --;;",
        "Whistle;20;21",
      ],
    ],
    [
      "under a heading of places and names",
      [
        "Location / Item     Min  Held",
        "Kennel",
        " Safety pins         9   14",
        " Eye pads            5   5",
        "Runs 1-12",
        " Whistle             20  21",
      ],
    ],
  ] as const)
    it(`list nothing and end nothing: ${name}`, () => expect(read(lines)).to.deep.equal(right));
  it("a thing alone with its cells empty is listed, and asked about", () =>
    expect(
      read(["Item;Min;Held", "Safety pins;9;14", "Eye pads;;", "Whistle;20;21"]).length,
    ).to.equal(3));
  it("a sentence with a comma over a list heads no table", () =>
    expect(
      read(["Contents of the bag, all counted", "", "Plasters, 5", "Whistle, 2"]).map((e) => e[2]),
    ).to.deep.equal([5, 2]));
});
