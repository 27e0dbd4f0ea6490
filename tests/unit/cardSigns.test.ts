import { readdirSync, readFileSync } from "node:fs";
import { expect } from "chai";
import fc from "fast-check";
import { cleanLines } from "../../src/lib/core/card/cleanLines.ts";
import { columnsOfCard } from "../../src/lib/core/card/columns.ts";
import { closedUp, plainSigns } from "../../src/lib/core/card/plainSigns.ts";
import { columnsUnclearAt, readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

/** Cards by other hands, in most layouts there are. */
const CARDS = ["cards", "kept-aside-1", "kept-aside-2"].flatMap((set) =>
  readdirSync(`tests/fixtures/${set}`)
    .filter((name) => name.endsWith(".txt"))
    .map((name) => readFileSync(`tests/fixtures/${set}/${name}`, "utf8")),
);
const facts = (card: string, lineBefore = (line: number) => line): string[] =>
  readCard(card, vocabulary).entries.map(
    (e) => `${lineBefore(e.source)} ${e.itemType} ${e.pieces} ${JSON.stringify(e.sizeMm)}`,
  );
const eachLine = (change: (line: string) => string) => (card: string) =>
  card
    .split("\n")
    .map((line) => (line.trim() === "" ? line : change(line)))
    .join("\n");

/** What programs and people do to a text on its way; with the number that a line had before, where it moved. */
const DONE: Readonly<
  Record<string, readonly [change: (card: string) => string, lineBefore?: (line: number) => number]>
> = {
  "blanks that do not break": [(c) => c.replaceAll(" ", "\u00a0")],
  "thin blanks before units": [(c) => c.replace(/(\d) (cm|mm|ml|m|g)\b/g, "$1\u2009$2")],
  "no blank before units": [(c) => c.replace(/(\d) (cm|mm|ml|mg)\b/g, "$1$2")],
  "line ends of another system": [(c) => c.replaceAll("\n", "\r\n")],
  "a mark of its encoding": [(c) => `\ufeff${c}`],
  "signs that nobody sees": [eachLine((l) => `\u200b${l}\u200b`)],
  "hyphens where a word may break": [(c) => c.replaceAll("dressing", "dres\u00adsing")],
  "wide digits": [(c) => c.replace(/\d/g, (d) => String.fromCharCode(d.charCodeAt(0) + 0xfee0))],
  "accents apart from their letters": [(c) => c.normalize("NFD")],
  "dashes for hyphens": [(c) => c.replaceAll(" - ", " – ")],
  "another sign for times": [(c) => c.replace(/(\d) ?x ?(?=\d)/g, "$1×")],
  "a star for times": [(c) => c.replace(/(\d) ?[x×] ?(?=\d)/g, "$1*")],
  "all of it set in": [eachLine((l) => `    ${l}`)],
  "blanks at the ends of lines": [eachLine((l) => `${l}   `)],
  "all of it quoted": [eachLine((l) => `> ${l}`)],
  "each line a paragraph": [
    eachLine((l) => `<p>${l.replaceAll("&", "&amp;").replaceAll("<", "&lt;")}</p>`),
  ],
  "a blank line below each": [(c) => c.split("\n").join("\n\n"), (line) => (line + 1) / 2],
  "a title above": [(c) => `First aid kit contents\n\n${c}`, (line) => line - 2],
  "who checked it above": [
    (c) => `CONTENTS CHECK – 12 May 2026 – checked by K. Osei\n${c}`,
    (line) => line - 1,
  ],
  "what is to be done below": [
    (c) =>
      `${c.trimEnd()}\n\nChecked by: K. Osei    Date: 12 May 2026\nNext check due: November 2026\n`,
  ],
  "a fence round it": [(c) => `\`\`\`\n${c.trimEnd()}\n\`\`\`\n`, (line) => line - 1],
};

describe("a card's signs", () => {
  for (const [name, [change, lineBefore]] of Object.entries(DONE))
    it(`read the same with ${name}`, () => {
      for (const card of CARDS)
        expect(facts(change(card), lineBefore), card.slice(0, 60)).to.deep.equal(facts(card));
    });
  it("are put into plain ones, and plain ones stay", () => {
    expect(plainSigns("４\u00a0ga\u00aduze\u200b (½) – ‘ok’")).to.equal("4 gauze (½) – ‘ok’");
    expect(plainSigns("cre\u0302pe\t3\r\n")).to.equal("crêpe\t3\r\n");
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), (text) => {
        const plain = plainSigns(text);
        expect(plainSigns(plain)).to.equal(plain);
        expect(plain.split("\n").length).to.equal(text.split("\n").length);
      }),
    );
  });
});

describe("a card with a blank line between its lines", () => {
  it("is closed up, and each line keeps its number", () => {
    const { text, lineOf } = closedUp("a\n\nb\n\nc\n\n\nd");
    expect(text).to.equal("a\nb\nc\n\nd");
    expect([1, 2, 3, 5].map((line) => lineOf!(line))).to.deep.equal([1, 3, 5, 8]);
  });
  it("is left alone where it has sections, or few lines", () => {
    const sections = "a\nb\n\nc\nd\n\ne";
    expect(closedUp(sections)).to.deep.equal({ text: sections, lineOf: null });
    expect(closedUp("a\n\nb\n\nc").lineOf).to.equal(null);
  });
  it("keeps the question of its columns, with the line it stands on", () => {
    const rows = [
      "Item      A    B",
      "Plasters      20    10",
      "Eye pads      4    3",
      "Tweezers      2    1",
      "Whistles      3    2",
    ];
    const close = columnsUnclearAt(rows.join("\n"), vocabulary)!;
    const apart = columnsUnclearAt(rows.join("\n\n"), vocabulary)!;
    expect(apart).to.equal(2 * close - 1);
    expect(columnsOfCard(rows.join("\n\n"), apart)!.guess.rows).to.deep.equal(
      columnsOfCard(rows.join("\n"), close)!.guess.rows,
    );
  });
});

describe("marks at the ends of lines", () => {
  it("go where most lines have one, and stay within lines and after abbreviations", () => {
    expect(cleanLines("4 eye pads;\n2 whistles;\n1 torch;\n3 slings")).to.deep.equal([
      "4 eye pads",
      "2 whistles",
      "1 torch",
      "3 slings",
    ]);
    expect(cleanLines("1 szt.\n2 szt.\n3 szt.")).to.deep.equal(["1 szt.", "2 szt.", "3 szt."]);
    const table = "Plasters;20;;\nEye pads;4;;\nSlings;2;;";
    expect(cleanLines(table)).to.deep.equal(table.split("\n"));
  });
});
