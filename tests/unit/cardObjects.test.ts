import { expect } from "chai";
import { pairsOf } from "../../src/lib/core/card/fieldPairs.ts";
import { entriesOf } from "./cardReading.ts";

/** Cards as programs write them: whatever the keys are called, and however keys, values and things are set apart. */

const THINGS = [
  ["Eye pads", 4, "eye-pad"],
  ["Cold packs", 6, "cold-pack"],
  ["Whistle", 2, "whistle"],
] as const;
type Write = (name: string, count: number) => string;
/** One thing a line: its entries at the lines from `first` on. */
const wanted = (first = 1) => THINGS.map(([, n, type], i) => `${first + i} ${type} ${n} null`);
const card = (write: Write) => THINGS.map(([name, n]) => write(name, n)).join("\n");

describe("one object a line", () => {
  for (const [written, write] of [
    ["JSON", (n, k) => `{"item":"${n}","qty":${k}},`],
    ["a total, where no price stands beside", (n, k) => `{"thing":"${n}","total":${k}}`],
    ["what there is beside what there should be", (n, k) => `{"item":"${n}","min":9,"held":${k}}`],
    ["keys in Italian", (n, k) => `{"voce":"${n}","conf":${k},"prezzo_eur":7.90},`],
    ["a hand's YAML", (n, k) => `  - {article: ${n}, stock: ${k}, expiry: 2028-05}`],
    ["single quotes", (n, k) => `    {'where': 'lid', 'what': '${n}', 'count': ${k}},`],
    ["an element's attributes", (n, k) => `<item found="${k}" article="${n}"/>`],
    ["elements in one", (n, k) => `<line><name>${n}</name><min>9</min><pcs>${k}</pcs></line>`],
    ["signs of equality", (n, k) => `sku=FA100 item="${n}" on_hand=${k}`],
    ["semicolons", (n, k) => `par=9; item=${n}; have=${k}`],
    ["bars", (n, k) => `Place: lid | Item: ${n} | Qty: ${k}`],
  ] as const satisfies readonly (readonly [string, Write])[])
    it(`by ${written}`, () => expect(entriesOf(card(write))).to.deep.equal(wanted()));

  it("what a pack holds is in a field, or in the unit's own words", () => {
    for (const pack of ['"pack_size":10', '"unit":"box of 10"', '"confezione":"scatola da 10"'])
      expect(entriesOf(card((n, k) => `{"item":"${n}",${pack},"qty":${k}}`)), pack).to.deep.equal(
        THINGS.map(([, n, type], i) => `${i + 1} ${type} ${10 * n} null`),
      );
  });
});

describe("one field a line", () => {
  for (const [written, record] of [
    ["YAML", (n, k) => `- par: 9\n  item: ${n}\n  held: ${k}`],
    ["TOML", (n, k) => `[[item]]\ncode = "FA1"\nname = "${n}"\non_hand = ${k}`],
    ["elements", (n, k) => `<line>\n<required>9</required>\n<item>${n}</item>\n<qty>${k}</qty>`],
    [
      "a form, with titles that are no writers of messages",
      (n, k) => `Title: ${n}\nMin: 9\nCount: ${k}\n`,
    ],
  ] as const satisfies readonly (readonly [string, Write])[])
    it(`by ${written}`, () =>
      expect(entriesOf(card(record)).map((e) => e.split(" ").slice(1).join(" "))).to.deep.equal(
        THINGS.map(([, n, type]) => `${type} ${n} null`),
      ));
});

describe("places with what lies in each", () => {
  it("as a list on the line of the place, several things in a text", () =>
    expect(
      entriesOf(
        '{\n"lid": ["eye pads x4; cold packs x6", "2 whistles"],\n"missing": ["foil blanket"]\n}',
      ),
    ).to.deep.equal(["2 eye-pad 4 null", "2 cold-pack 6 null", "2 whistle 2 null"]));
  it("as a list below it: what opens the list is no thing", () =>
    expect(
      entriesOf('{\n"main": [\n"4 x eye pads",\n"6 x cold packs",\n"2 x whistle"\n]\n}'),
    ).to.deep.equal(wanted(3)));
});

describe("the keys and values of a line", () => {
  it("are all of it", () => {
    expect(pairsOf("item=gauze n=4")).to.deep.equal([
      ["item", "gauze"],
      ["n", "4"],
    ]);
    expect(pairsOf("Plasters: 4, in the lid")).to.equal(null);
    expect(pairsOf("Lid: 4 plasters; 2 wipes")).to.equal(null);
  });
  it("a line of prose with colons is left as it is", () =>
    expect(entriesOf("Lid: 4 eye pads, main: 6 cold packs")).to.deep.equal([
      "1 eye-pad 4 null",
      "1 cold-pack 6 null",
    ]));
});
