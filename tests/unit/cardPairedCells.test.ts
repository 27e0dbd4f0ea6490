import { expect } from "chai";
import { pairedCells, pairedOnLine } from "../../src/lib/core/card/pairedCells.ts";
import { entriesOf } from "./cardReading.ts";

const names = (text: string) =>
  /^(?:eye pads|slings|wipes|crepe bandage|gauze)(?: \d.*)?$/i.test(text);

describe("several things in a cell with as many counts in another", () => {
  for (const [name, count, rows] of [
    ["Eye pads / slings", "4 / 2", ["Eye pads=4", "slings=2"]],
    ["Eye pads + slings", "4 + 2", ["Eye pads=4", "slings=2"]],
    ["Eye pads, slings, wipes", "4, 2, 30", ["Eye pads=4", "slings=2", "wipes=30"]],
    ["Eye pads/slings", "4/2", ["Eye pads=4", "slings=2"]],
    ["Gauze 10x10cm / 5x5cm", "10 / 20", ["Gauze 10x10cm=10", "Gauze 5x5cm=20"]],
    ["Crepe bandage 6cm and 10cm", "2, 3", ["Crepe bandage 6cm=2", "Crepe bandage 10cm=3"]],
  ] as const)
    it(`are a row each: ${name} | ${count}`, () =>
      expect(
        pairedCells([name, count], ["text", "quantity"], names).map((row) => row.join("=")),
      ).to.deep.equal(rows));

  it("may be sizes in a column of their own", () =>
    expect(
      pairedCells(["Gauze", "10 x 10 / 5 x 5 cm", "10/20"], ["text", "size", "quantity"], names),
    ).to.deep.equal([
      ["Gauze", "10 x 10", "10"],
      ["Gauze", "5 x 5 cm", "20"],
    ]));

  for (const [name, count, why] of [
    ["Eye pads", "4/2", "one name"],
    ["Eye pads / slings", "4", "one count"],
    ["Eye pads / slings / wipes", "4 / 2", "another number of them"],
    ["Eye pads, sterile", "4, 2", "what it is like is no other thing"],
  ] as const)
    it(`are one row: ${why}`, () => {
      const row = [name, count];
      expect(pairedCells(row, ["text", "quantity"], names)).to.deep.equal([row]);
    });

  it("are told on a line of no table too, the counts before or behind", () => {
    expect(pairedOnLine("Eye pads + slings     4 + 2", names)).to.deep.equal([
      "4 x Eye pads",
      "2 x slings",
    ]);
    expect(pairedOnLine("4 / 2\teye pads / slings", names)).to.deep.equal([
      "4 x eye pads",
      "2 x slings",
    ]);
    expect(pairedOnLine("Eye pads     4", names)).to.equal(null);
  });

  it("are counted each: tweezers one, whistles two", () =>
    expect(
      entriesOf(
        "| Item | Qty | Exp |\n|---|---|---|\n| Slings | 6 | - |\n| Eye pads + whistle | 4 + 2 | 05/28 |\n| Plasters | 40 | - |",
      ),
    ).to.deep.equal([
      "3 triangular-bandage 6 null",
      "4 eye-pad 4 null",
      "4 whistle 2 null",
      "5 adhesive-strip 40 null",
    ]));
});
