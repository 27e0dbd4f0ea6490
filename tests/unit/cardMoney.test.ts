import { expect } from "chai";
import { amountOf, withoutMoney } from "../../src/lib/core/card/moneyColumns.ts";
import { countIn, packsInCells } from "../../src/lib/core/card/packCells.ts";
import { entriesOf } from "./cardReading.ts";

describe("money in columns", () => {
  for (const [cell, value, isPlain] of [
    ["650", 650, false],
    ["6.50", 6.5, true],
    ["6,50", 6.5, true],
    ["1,250", 1250, false],
    ["1,250.00", 1250, true],
    ["1.250,00 €", 1250, true],
    ["Rs 650", 650, true],
    ["KSh 1500", 1500, true],
    ["N650", 650, true],
    ["650/-", 650, true],
    ["45,-", 45, true],
    ["0.45 each", 0.45, true],
    // A letter O as a scanner gives it.
    ["41,0O", 41, true],
  ] as const)
    it(`says ${value}: ${cell}`, () => expect(amountOf(cell)).to.deep.equal({ value, isPlain }));
  for (const cell of ["P1", "R12", "FA-01", "10 per pkt", "5 cm", "x", "", "12/27", "O"])
    it(`says none: "${cell}"`, () => expect(amountOf(cell)).to.equal(null));

  it("is told in whole numbers by its products: five at 650 come to 3250", () =>
    expect(
      withoutMoney([
        "Gauze;5;650;3250",
        "Slings;3;400;1200 kr",
        "Eye pads;6;250;1500 kr",
        "Pins;2;60;120 kr",
      ]),
    ).to.deep.equal(["Gauze;5", "Slings;3", "Eye pads;6", "Pins;2"]));
  it("is not told by products alone: two boxes of fifty are a hundred pieces", () => {
    const lines = ["Item;Boxes;Per box;Pieces", "Gauze;2;50;100", "Slings;3;10;30", "Pins;4;12;48"];
    expect(withoutMoney(lines)).to.deep.equal(lines);
  });

  it("is not told by hundredths under a heading of its own: a bandage 4.50 m long", () => {
    const lines = ["Item;Length, m;Qty", "Bandage;4.50;2", "Tape;9.15;1", "Gauze;3.66;4"];
    expect(withoutMoney(lines)).to.deep.equal(lines);
  });

  /** Six slings at 45, forty plasters at 3, and what they come to. */
  const WAYS: readonly (readonly [string, readonly string[]])[] = [
    ["commas", ["Item,Qty,Rate,Amount", "Slings,6,45,270", "Plasters,40,3,120"]],
    ["semicolons", ["Artikel;Menge;EP;Betrag", "Slings;6;45,00;270,00", "Plasters;40;3,00;120,00"]],
    [
      "tabs",
      ["Item\tNos\tEach\tTotal price", "Slings\t6\t45/-\t270/-", "Plasters\t40\t3/-\t120/-"],
    ],
    [
      "bars",
      ["| Item | Qty | Price |", "|---|---|---|", "| Slings | 6 | $45 |", "| Plasters | 40 | $3 |"],
    ],
    [
      "blanks",
      [
        "Item           Qty    Unit cost    VAT    Line total",
        "Slings           6        45.00    20%        270.00",
        "Plasters        40         3.00    20%        120.00",
      ],
    ],
  ];
  for (const [way, lines] of WAYS)
    it(`count what was bought, not what was paid: ${way}`, () => {
      const first = lines.findIndex((line) => line.includes("Slings")) + 1;
      expect(entriesOf(lines.join("\n"))).to.deep.equal([
        `${first} triangular-bandage 6 null`,
        `${first + 1} adhesive-strip 40 null`,
      ]);
    });

  it("goes with the rows that sum it up, and stays out below the titles of a table", () =>
    expect(
      entriesOf(
        [
          "No,Item,Amount,Unit price",
          "Kitchen,,,",
          "1,Slings,6,45.10",
          "2,Plasters,40,3.25",
          "Van,,,",
          "3,Eye pads,4,6.50",
          "Subtotal,,,54.85",
          "Delivery,,,4.95",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "3 triangular-bandage 6 null",
      "4 adhesive-strip 40 null",
      "6 eye-pad 4 null",
    ]));

  it("leaves a remark in the place of a price, and takes the price before it", () =>
    expect(
      entriesOf(
        [
          "Item                Qty    Price   Notes",
          "Slings              6      8.91",
          "Plasters            40     2.90    2 used",
          "Eye pads            4      5.59",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 triangular-bandage 6 null",
      "3 adhesive-strip 38 null",
      "4 eye-pad 4 null",
    ]));

  it("counts under a heading that is the name in Spanish", () =>
    expect(
      entriesOf(
        [
          "N°   Article                  Nombre  Prix unitaire",
          "673  Couverture de survie     12      45,-",
          "759  Bande extensible 5 cm    8       1200,-",
          "945  Bande triangulaire       3       800,-",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 foil-blanket 12 null",
      "3 roller-bandage 8 [50]",
      "4 triangular-bandage 3 null",
    ]));
});

describe("packs in a column of their own", () => {
  for (const [pack, count, pieces] of [
    ["10 per pkt", "5 pkt", 50],
    ["box of 20", "3", 60],
    ["caja de 20", "4", 80],
    ["conf. da 50", "2", 100],
    ["lot de 6", "9", 54],
    ["PKT/12", "3 pk", 36],
    ["each", "7", 7],
    ["12 per dozen", "1 doz", 12],
  ] as const)
    it(`hold what is multiplied: ${count} × ${pack}`, () =>
      expect(
        entriesOf(
          ["Item;Pack;Qty", `Slings;${pack};${count}`, "Eye pads;box of 2;3", "Pins;each;4"].join(
            "\n",
          ),
        )[0],
      ).to.equal(`2 triangular-bandage ${pieces} null`));

  it("hold what a bare number says below the heading of packs", () =>
    expect(
      entriesOf("| Article | UOM | Qty |\n| Slings | 12 | 9 |\n| Eye pads | 5 | 4 |"),
    ).to.deep.equal(["2 triangular-bandage 108 null", "3 eye-pad 20 null"]));

  for (const [why, lines] of [
    ["how many there should be", ["Item,Par,Held", "Slings,10,box of 10", "Pins,20,box of 12"]],
    ["another column has the sum", ["Item,Pack,Packs,Total", "Slings,10,2,20", "Pins,5,3,15"]],
    ["each counts pieces already", ["Item,Pack,Held", "A,10,20", "B,5,15", "C,12,24"]],
    [
      "it is how many there are",
      ["No,Item,Held", "1,Slings,9 pcs", "2,Pins,4 pcs", "3,Wipes,3 pcs"],
    ],
  ] as const)
    it(`are left as they stand: ${why}`, () =>
      expect(packsInCells(lines)).to.deep.equal([...lines]));

  for (const [cell, count] of [
    ["5", 5],
    ["5 pkt", 5],
    ["12 pcs", 12],
    ["6 used", null],
    ["7.5", null],
  ] as const)
    it(`are counted, or not: ${cell}`, () => expect(countIn(cell)).to.equal(count));
});
