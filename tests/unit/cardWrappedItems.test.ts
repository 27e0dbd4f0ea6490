import { expect } from "chai";
import fc from "fast-check";
import { wrappedItems } from "../../src/lib/core/card/wrappedItems.ts";
import { entriesOf } from "./cardReading.ts";

/** Words on lines no longer than a page is wide, as they are broken: a line takes what has room on it. */
function broken(text: string, width: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= width)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

const ITEMS = [
  "zinc oxide tape, 2.5 cm x 5 m, two rolls",
  "six pairs of nitrile gloves in the lid",
  "sterile gauze pads 10 x 10 cm, 4 packs of 5",
  "foil blankets, large, each in a sealed bag, 3",
  "whistle 1",
];
const READ = [
  "strapping-tape 2 [25,5000]",
  "nitrile-gloves 6 null",
  "gauze-pad 20 [100,100]",
  "foil-blanket 3 null",
  "whistle 1 null",
];

describe("items of a marked list that a narrow page broke", () => {
  for (const [marks, mark] of [
    ["numbers", (i: number) => `${i + 1}. `],
    ["numbers in brackets", (i: number) => `(${i + 1}) `],
    ["letters", (i: number) => `${"abcde"[i]}) `],
    ["dashes", () => "- "],
    ["points", () => "• "],
    ["boxes", () => "[x] "],
  ] as const)
    for (const [indent, blanks] of [
      ["set in by the mark", null],
      ["set in further", "      "],
      ["not set in", ""],
    ] as const)
      it(`are read as whole ones: ${marks}, ${indent}`, () => {
        for (const width of [34, 40, 48, 60]) {
          const lines = ITEMS.flatMap((item, i) => {
            const lead = mark(i);
            return broken(item, width - lead.length).map((part, at) =>
              at === 0 ? lead + part : (blanks ?? " ".repeat(lead.length)) + part,
            );
          });
          const read = entriesOf(lines.join("\n")).map((e) => e.replace(/^\d+ /, ""));
          expect(read, lines.join("\n")).to.deep.equal(READ);
        }
      });

  it("stand on the line where each begins, and no line is lost", () =>
    expect(
      wrappedItems(["- a roll of tape, 2.5 cm", "  x 5 m", "- 2 whistles", "- 3 pencils"]),
    ).to.deep.equal(["- a roll of tape, 2.5 cm x 5 m", "", "- 2 whistles", "- 3 pencils"]));
  it("are as many lines as before, with the same words", () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("- six", "1. two in the", "  cm", "Lid", "", "x 5 m,", "+ 4")),
        (lines) => {
          const read = wrappedItems(lines);
          expect(read.length).to.equal(lines.length);
          const words = (of: readonly string[]) => of.join(" ").split(/\s+/).filter(Boolean);
          expect(words(read)).to.deep.equal(words(lines));
        },
      ),
    ));
});

describe("what was not broken stays", () => {
  const list = ["- plasters, fabric, assorted 20", "- eye pads 4", "- whistle 1"];
  for (const [why, lines] of [
    ["a heading", [...list, "Left pocket", "- 2 slings"]],
    ["a heading behind the longest line", [list[0]!, "Lid", list[1]!, list[2]!]],
    ["sorts below a name", ["- gauze:", "  5 x 5: 4", "- tape 2", "- pins 6 in a small box"]],
    ["a label", [...list, "- scissors (the old ones were mine)", "still to come: wipes"]],
    ["a line whose word had room above", [...list, "- slings", "  in the lid of the box"]],
    ["fields of a record", ["- item: alcohol wipes", "  qty: 20", "- item: pads", "- item: pins"]],
    ["a count of its own column", [...list, "- burn gel dressing", "  in a pouch       3"]],
  ] as const)
    it(why, () => expect(wrappedItems(lines)).to.deep.equal([...lines]));
});
