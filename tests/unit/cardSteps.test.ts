import { expect } from "chai";
import fc from "fast-check";
import { describe, it } from "mocha";
import { isCutOf, skeleton } from "../../src/lib/core/card/abbreviation.ts";
import { cleanLines } from "../../src/lib/core/card/cleanLines.ts";
import { rolesByContent } from "../../src/lib/core/card/columnsByContent.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { repairText } from "../../src/lib/core/card/repairText.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";

const vocabulary = vocabularyOf(CATALOGUE);
const read = (text: string) =>
  readCard(text, vocabulary).entries.map((e) => [e.source, e.itemType, e.pieces, e.sizeMm]);

describe("the lines of a card without their markup", () => {
  it("tags go, signs written as entities come back, nothing else moves", () => {
    expect(
      cleanLines("<ul>\n<li>4 &times; pads, 3&quot; &amp; tape</li>\nsize < 5 cm"),
    ).to.deep.equal([" ", ' 4 × pads, 3" & tape ', "size < 5 cm"]);
  });
  it("what is struck out or crossed off is gone, with the remark on it; what stands before it stays", () => {
    expect(
      cleanLines("~~iodine~~ teat dip, not for people\n✗ cold packs 2\n2 pads ~~3 pads~~"),
    ).to.deep.equal(["", "", "2 pads  "]);
  });
  it("an older letter quoted below the list is no list; a list that is quoted as a whole is", () => {
    expect(cleanLines("2 pads\n1 tape\n> had we 3 tourniquets?")).to.deep.equal([
      "2 pads",
      "1 tape",
      "",
    ]);
    expect(cleanLines("> 2 pads\n> 1 tape\nthanks")).to.deep.equal(["2 pads", "1 tape", "thanks"]);
  });
  it("a unit glued to the next number lets go of it", () => {
    expect(cleanLines("2INX4.1YD")).to.deep.equal(["2IN x 4.1YD"]);
    expect(cleanLines("100mmx5m")).to.deep.equal(["100mm x 5m"]);
  });
  it("keeps every line in its place, whatever it holds", () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(cleanLines(text)).to.have.length(text.split(/\r\n|\n|\r/).length);
      }),
    );
  });
});

describe("letters and digits taken for each other", () => {
  const words = new Set(["plasters", "label", "alcohol", "triangular", "foil", "blanket", "gauze"]);
  const repair = (line: string) => repairText(line, (w) => words.has(w.toLowerCase()));

  it("in a word: only into one that is known", () => {
    expect(repair("p1asters")).to.equal("plasters");
    expect(repair("|abel")).to.equal("label");
    expect(repair("aIcohol")).to.equal("alcohol");
    expect(repair("Triangu1ar")).to.equal("Triangular");
    expect(repair("z1nk"), "not known either way").to.equal("z1nk");
    expect(repair("gauze x16"), "a count").to.equal("gauze x16");
  });
  it("in a number before a unit, and in a count", () => {
    expect(repair("l2cm x 1Ocm")).to.equal("12cm x 10cm");
    expect(repair("2Oml")).to.equal("20ml");
    expect(repair("5crn")).to.equal("5cm");
    expect(repair("gauze      1O")).to.equal("gauze      10");
    expect(repair("gauze      l")).to.equal("gauze      1");
    expect(repair("gauze ..... lO")).to.equal("gauze ..... 10");
  });
  it("the rules of a table are no ones", () => {
    expect(repair("| gauze |50|  2 |")).to.equal("| gauze |50|  2 |");
  });
  it("a line without look-alikes is as it was", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-hj-km-z ]{0,40}$/), (line) => {
        expect(repair(line)).to.equal(line);
      }),
    );
  });
});

describe("words cut short", () => {
  it("by leaving out vowels", () => {
    expect(skeleton("bandage")).to.equal("bndg");
    expect(skeleton("dressing")).to.equal("drsng");
    for (const [short, long] of [
      ["bndg", "bandage"],
      ["gze", "gauze"],
      ["trngl", "triangular"],
      ["dsg", "dressing"],
      ["plstr", "plaster"],
    ] as const)
      expect(isCutOf(short, long), short).to.equal(true);
  });
  it("after four letters or more, two of them or more left out", () => {
    expect(isCutOf("triang", "triangular")).to.equal(true);
    expect(isCutOf("elas", "elastic")).to.equal(true);
    expect(isCutOf("tri", "triangular"), "three letters fit too many").to.equal(false);
    expect(isCutOf("twin", "twine"), "another word").to.equal(false);
  });
  it("never another beginning, never longer", () => {
    expect(isCutOf("ndg", "bandage")).to.equal(false);
    expect(isCutOf("bandages", "bandage")).to.equal(false);
    expect(isCutOf("dst", "dressing"), "another end").to.equal(false);
  });
  it("on a card", () => {
    expect(read("TRNGL BNDG  2\nGZE SWBS STRL 10 x 10 cm  5")).to.deep.equal([
      [1, "triangular-bandage", 2, null],
      [2, "gauze-pad", 5, [100, 100]],
    ]);
  });
});

describe("columns by what they hold", () => {
  const isName = (text: string) => /pads|tape|whistle|gloves/i.test(text);

  it("names, counts, codes, dates and prices, under headings that say nothing", () => {
    const rows = [
      ["K1", "1104", "gauze pads", "2", "11-2027", "3,15"],
      ["K1", "1107", "tape", "1", "06-2026", "6,80"],
      ["K2", "1120", "whistle", "4", "02-2028", "1,10"],
    ];
    expect(rolesByContent(rows, [], isName)?.roles).to.deep.equal([
      "skip",
      "skip",
      "text",
      "quantity",
      "skip",
      "skip",
    ]);
  });
  it("of several counts the heading tells what is held, what is asked and what a pack holds", () => {
    const rows = [
      ["gauze pads", "10", "4", "2"],
      ["tape", "1", "4", "3"],
      ["gloves", "50", "2", "2"],
    ];
    expect(rolesByContent(rows, ["Descr", "per", "min", "act"], isName)?.roles).to.deep.equal([
      "text",
      "unit",
      "skip",
      "quantity",
    ]);
  });
  it("a running number counts nothing, and without names or counts it is no table", () => {
    expect(
      rolesByContent(
        [
          ["1", "gauze pads"],
          ["2", "tape"],
          ["3", "whistle"],
        ],
        [],
        isName,
      ),
    ).to.equal(null);
    expect(rolesByContent([["a", "2"]], [], isName)).to.equal(null);
  });
  it("groups side by side, counts before names", () => {
    expect(
      read(
        "Qty\tItem\tSize\tQty\tItem\tSize\n8\tGauze swabs\t7.5 x 7.5 cm\t4\tEye pads\t-\n2\tSafety pins\t-\t3\tConforming bandages\t7.5 cm x 4 m",
      ),
    ).to.deep.equal([
      [2, "gauze-pad", 8, [75, 75]],
      [2, "eye-pad", 4, null],
      [3, "safety-pin", 2, null],
      [3, "roller-bandage", 3, [75, 4000]],
    ]);
  });
  it("an export with titles above, packs times what is in them, and nothing for what is out", () => {
    expect(
      read(
        [
          "Stock hall 2;;;;",
          "Loc;Art;Descr_EN;per;act",
          "K1;1104;Triangular bandage;1;2",
          "K1;1107;Gauze pads 5x5 cm;16;2",
          "K1;1120;Burn gel dressing;1;0",
          "K2;1133;Safety pins;12;1",
        ].join("\n"),
      ),
    ).to.deep.equal([
      [3, "triangular-bandage", 2, null],
      [4, "gauze-pad", 32, [50, 50]],
      [6, "safety-pin", 12, null],
    ]);
  });
});

describe("a word nobody knows before a known one", () => {
  it("makes the line one to look at", () => {
    const sure = (line: string) =>
      readCard(`2 eye pads\n${line}\n1 whistle`, vocabulary).entries[1]!.confidence;
    expect(matchType("coagulant gauze", vocabulary).unknown).to.equal(1);
    expect(sure("5 coagulant gauze pads")).to.be.below(0.9);
    expect(sure("5 sterile gauze pads")).to.be.at.least(0.9);
  });
});
