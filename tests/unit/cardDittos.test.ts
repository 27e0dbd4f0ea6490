import { expect } from "chai";
import { withDittos } from "../../src/lib/core/card/dittos.ts";
import { entriesOf } from "./cardReading.ts";

/** The name above again, in every way to write it, in every layout. */

const AGAIN = ["do.", "ditto", "Ditto,", "-do-", "dto.", "idem", "id.", "same,", "as above,", "〃"];
const MARKS = ['"', '"       "', "''", "″", '- " -'];
/** The name, what differs, and how many. */
const LAYOUTS: readonly ((name: string, sort: string, count: number) => string)[] = [
  (name, sort, count) => `${name} ${sort} - ${count}`,
  (name, sort, count) => `${name} ${sort} (${count})`,
  (name, sort, count) => `${name} ${sort}: ${count}`,
  (name, sort, count) => `${name} ${sort} ........ ${count}`,
  (name, sort, count) => `${name} ${sort}, ${count} pcs`,
  (name, sort, count) => `${name.padEnd(22)}${sort.padEnd(14)}${count}`,
  (name, sort, count) => `${name} ${sort}\t${count}`,
  (name, sort, count) => `${count} x ${name} ${sort}`,
];

describe("the name above again", () => {
  for (const again of [...AGAIN, ...MARKS])
    it(`written ${again}`, () => {
      for (const layout of LAYOUTS) {
        const card = [
          layout("Crepe bandage", "5 cm", 6),
          layout(again, "7.5 cm", 4),
          layout(again, "10 cm", 2),
          layout("Gauze pads", "5 x 5 cm", 8),
          layout(again, "10 x 20 cm", 3),
        ].join("\n");
        expect(entriesOf(card), card).to.deep.equal([
          "1 elastic-bandage 6 [50]",
          "2 elastic-bandage 4 [75]",
          "3 elastic-bandage 2 [100]",
          "4 gauze-pad 8 [50,50]",
          "5 gauze-pad 3 [100,200]",
        ]);
      }
    });

  it("is the name without its size", () =>
    expect(
      entriesOf("Nitrile gloves S  2 pairs\nditto M  4 pairs\nditto L  6 pairs"),
    ).to.deep.equal([
      "1 nitrile-gloves 2 null",
      "2 nitrile-gloves 4 null",
      "3 nitrile-gloves 6 null",
    ]));

  const LEFT = ["do not fold", "same as last year", 'gauze 4" x 4"', "idem", "- 3 whistles"];
  for (const line of LEFT)
    it(`is not: ${line}`, () => expect(withDittos([line])).to.deep.equal([line]));

  it("keeps columns in their places", () =>
    expect(withDittos(['"      "          7.5 cm        4'])).to.deep.equal([
      "ditto             7.5 cm        4",
    ]));
});
