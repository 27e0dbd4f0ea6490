import { expect } from "chai";
import fc from "fast-check";
import { describe, it } from "mocha";
import { isCutOf, skeleton } from "../../src/lib/core/card/abbreviation.ts";
import { cleanLines } from "../../src/lib/core/card/cleanLines.ts";
import { rolesByContent } from "../../src/lib/core/card/columnsByContent.ts";
import { columnsUnclearAt, readCard } from "../../src/lib/core/card/readCard.ts";
import { fieldsAsList, objectsAsList } from "../../src/lib/core/card/objects.ts";
import { receiptCounts } from "../../src/lib/core/card/receipt.ts";
import { talliesAsCounts } from "../../src/lib/core/card/tally.ts";
import { strokesAsCells } from "../../src/lib/core/card/strokes.ts";
import { repairText } from "../../src/lib/core/card/repairText.ts";
import { linesFromCard } from "../../src/lib/core/card/toLines.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
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
    expect(repair('tape, %2" x 10 yd')).to.equal('tape, 1/2" x 10 yd');
    expect(repair('tweezers 3%2"')).to.equal('tweezers 3 1/2"');
    expect(repair("chlorhexidine 0.2%2 in")).to.equal("chlorhexidine 0.2%2 in");
    expect(repair("gauze      1O")).to.equal("gauze      10");
    expect(repair("gauze      l")).to.equal("gauze      1");
    expect(repair("gauze ..... lO")).to.equal("gauze ..... 10");
  });
  it("the sign that multiplies seen twice, how many by its head, an inch alone", () => {
    expect(repair("gauze   xX 6")).to.equal("gauze   x 6");
    expect(repair("XXL gloves")).to.equal("XXL gloves");
    expect(repair("Item;Bin gty;UoM")).to.equal("Item;Bin qty;UoM");
    expect(repair("zinc tape lin 4 rolls")).to.equal("zinc tape 1 in 4 rolls");
  });
  it("two known words that ran together, short names of things too", () => {
    expect(repair("foilblanket 2")).to.equal("foil blanket 2");
    expect(repairText("BVMadult 1", (w) => /^(?:bvm|adult)$/i.test(w))).to.equal("BVM adult 1");
    expect(repairText("gauzexyz", (w) => w === "gauze")).to.equal("gauzexyz");
    const known = (w: string) => /^(?:adhesive|tape|reel)$/i.test(w);
    expect(repairText("Adhesivetapeonreel   1", known)).to.equal("Adhesive tape on reel   1");
    expect(repairText("Adhesivetapeon   1", known)).to.equal("Adhesivetapeon   1");
  });
  it("a count that clings to its unit in capitals", () => {
    expect(repair("GAUZE   AEA")).to.equal("GAUZE   4EA");
    expect(repair("GAUZE   IRL")).to.equal("GAUZE   1RL");
    expect(repair("PEAS   AREA, ABX OINT")).to.equal("PEAS   AREA, ABX OINT");
  });
  it("the rules of a table are no ones", () => {
    expect(repair("| gauze |50|  2 |")).to.equal("| gauze |50|  2 |");
  });
  it("a line without look-alikes is as it was", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-hj-km-xz ]{0,40}$/), (line) => {
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

describe("what people write around the things", () => {
  it("ticked: the number behind the tick; crossed behind the name: gone", () => {
    expect(cleanLines("SLINGS ✓✓ 2\nEYEWASH 500 ✓ 1\nGLOVES ✗")).to.deep.equal([
      "SLINGS x 2",
      "EYEWASH 500, 1 pcs",
      "",
    ]);
  });
  it("columns set apart by strokes, where the heading says which number is there", () => {
    expect(
      strokesAsCells(["Should have / have / notes", "Plasters 20 / 14 / order", "Tape 2 / 2 /"]),
    ).to.deep.equal(["Item\tRequired\tQty\tNotes", "Plasters\t20\t14\torder", "Tape\t2\t2\t"]);
    const plain = ["plasters / wipes", "Plasters 20 / 14"];
    expect(strokesAsCells(plain), "no such heading").to.deep.equal(plain);
  });
  it("two languages on a line: the side that is known, with the count before both", () => {
    expect(
      read("10 gasas estériles / sterile gauze pads\n2 vendas / bandages 5 cm x 4 m"),
    ).to.deep.equal([
      [1, "gauze-pad", 10, null],
      [2, "roller-bandage", 2, [50, 4000]],
    ]);
  });
  it("what is said not to be there, or not ours, is no item; what it is taken for is taken back", () => {
    const rows = "8 plasters\n{}\n4 gauze pads";
    const said = (line: string) => read(rows.replace("{}", line)).length;
    expect(said("Ear drops – not ours, crew cabin")).to.equal(2);
    expect(said("gloves, cut-resistant (not first aid)")).to.equal(2);
    expect(said("Seasick tablets – ask the chemist, we are out")).to.equal(2);
    expect(said("Seasick tablets – ask the chemist")).to.equal(3);
  });
  it("a count with its sign behind each: a thing each, a word of warning or not", () => {
    expect(
      read("8 plasters\nWARNING TRIANGLE ×1, HI-VIS ×2\n4 gauze pads").slice(1, 3),
    ).to.deep.equal([
      [2, "warning-triangle", 1, null],
      [2, "hi-vis-vest", 2, null],
    ]);
  });
  it("a heading with a mark over a list set further in names no thing", () => {
    expect(read("* Cold\n  * hand warmers (10)\n  * foil blankets (3)").length).to.equal(2);
  });
  it("squares of gauze without a unit: inches to four, centimetres from five", () => {
    expect(read("gauze pads 4x4, 10\ngauze pads 10x10, 5\nplasters 8")).to.deep.equal([
      [1, "gauze-pad", 10, [102, 102]],
      [2, "gauze-pad", 5, [100, 100]],
      [3, "adhesive-strip", 8, null],
    ]);
  });
  it("a strength without its unit is no pack; a model number no count", () => {
    expect(read("aspirin 300 × 10\nAmbulance dressing No 3, 6\nplasters 8")).to.deep.equal([
      [1, "aspirin", 10, null],
      [2, "bandaged-dressing", 6, null],
      [3, "adhesive-strip", 8, null],
    ]);
  });
});

describe("tables as people keep them", () => {
  const five = ["Fabric plasters", "Gauze pads", "Foil blankets", "Eye pads", "Safety pins"];
  const types = ["adhesive-strip", "gauze-pad", "foil-blanket", "eye-pad", "safety-pin"];
  const counts = (text: string) => read(text).map(([, type, n]) => [type, n]);
  it("a column of places is no item, however much it names bags and boxes", () => {
    const places = ["bag", "lock box", "bag", "bag", "lock box"];
    const rows = five.map((name, i) => `A${i + 1};${name};10;${i + 1};${places[i]}`);
    expect(counts(["ref;desc;pk;n;loc", ...rows].join("\n"))).to.deep.equal(
      types.map((t, i) => [t, 10 * (i + 1)]),
    );
  });
  it("counted at eight and at twenty: the last holds, and the columns are asked about", () => {
    const rows = five.map((name, i) => `${name} | 50 | 50 | ${10 + i}`);
    const text = ["TENT | PAR | COUNT 08:00 | COUNT 20:00", ...rows].join("\n");
    const card = readCard(text, vocabulary);
    expect(card.entries.filter((e) => e.itemType).map((e) => e.pieces)).to.deep.equal([
      10, 11, 12, 13, 14,
    ]);
    expect(card.columnsUnclearAt).to.equal(2);
    expect(columnsUnclearAt(text, vocabulary), "without reading all").to.equal(2);
  });
  it("Std and Act over columns set by blanks, some of them empty", () => {
    const rows = five.map((name, i) => `${name.padEnd(24)}6     ${i + 1}${i % 2 ? "     2" : ""}`);
    expect(counts([`${"Stowage".padEnd(24)}Std   Act   Def`, ...rows].join("\n"))).to.deep.equal(
      types.map((t, i) => [t, i + 1]),
    );
  });
  it("headings from abroad", () => {
    const rows = five.map((name, i) => `${i + 1}\tX / ${name}\tStk\t20\t${i + 3}\t`);
    expect(
      counts(["Pos\tArtikel / Item\tVE\tSoll\tIst\tBemerkung", ...rows].join("\n")),
    ).to.deep.equal(types.map((t, i) => [t, i + 3]));
  });
  it("bin numbers and packs glued to what they hold", () => {
    const boxes = [2, 1, 3, 1, 2];
    const rows = five.map((name, i) => `07-1${i}  ${boxes[i]}  BX50   ${name.toUpperCase()}`);
    expect(counts(rows.join("\n"))).to.deep.equal(types.map((t, i) => [t, 50 * boxes[i]!]));
  });
});

describe("cards that a program or a till wrote", () => {
  it("one object a line: name, count, packs and size, codes left out", () => {
    expect(
      objectsAsList([
        '{"kit":"A","contents":[',
        ' {"sku":"A11","desc":"Gauze swab, sterile","n":4,"size":"5 x 5 cm"},',
        '{"name":"Eye pads","qty":2,"per_pack":3}',
        "]}",
      ]),
    ).to.deep.equal([
      '{"kit":"A","contents":[',
      "- 4 x Gauze swab, sterile (5 x 5 cm)",
      "- 2 x Eye pads, pack of 3",
      "]}",
    ]);
    expect(objectsAsList(["{ 4 gauze pads }"]), "no object").to.deep.equal(["{ 4 gauze pads }"]);
  });

  it("one field a line: each thing on the line of its name, its other lines empty", () => {
    const one = (name: string, qty: number) => [`  - name: ${name}`, `    qty: ${qty}`];
    const card = ["kit: hut", ...one("gauze pad", 4), ...one("eye pad", 2), ...one("whistle", 1)];
    expect(fieldsAsList(card)).to.deep.equal([
      "kit: hut",
      ...["- 4 x gauze pad", "", "- 2 x eye pad", "", "- 1 x whistle", ""],
    ]);
    // Two of them are no such card: headings with a colon are common.
    expect(fieldsAsList(card.slice(0, 5))).to.deep.equal(card.slice(0, 5));
  });

  it("a till receipt: so many at a price go to the goods that came to their product", () => {
    const receipt = ["2 @ 1.99", "WIPES 10S   3.98", "PLASTERS   2.10", "3 @ 0.70", "CARD  6.08"];
    // 3 × 0.70 = 2.10 is the line before; 2 × 1.99 = 3.98 the line behind.
    expect(receiptCounts(receipt)).to.deep.equal(["", "2 x WIPES 10S", "3 x PLASTERS", "", ""]);
    expect(receiptCounts(["CARD  6.08"]), "no receipt").to.deep.equal(["CARD  6.08"]);
  });
});

describe("who says it, what is quoted, what stands side by side", () => {
  it("mail: what is quoted below an answer is older; what is answered below is read", () => {
    const own = ["- tape", "- whistle", "- gloves 2 pairs"];
    const quoted = ["> - plasters 10", "> - sling"];
    const bare = quoted.map((l) => l.slice(2));
    expect(cleanLines([...own, ...quoted].join("\n"))).to.deep.equal([...own, "", ""]);
    expect(cleanLines([...quoted, ...own].join("\n"))).to.deep.equal([...bare, ...own]);
  });

  it("a heading nobody knows is told by its cells", () => {
    const table = [
      "Bezeichnung;Menge;Abmessung (B);Bemerkung",
      "Sterile compress;10;10x10 cm;ok",
      "Conforming bandage;6;8 cm x 4 m;ok",
      "Rescue blanket;2;210x160 cm;ok",
    ];
    expect(read(table.join("\n"))).to.deep.equal([
      [2, "gauze-pad", 10, [100, 100]],
      [3, "roller-bandage", 6, [80, 4000]],
      [4, "foil-blanket", 2, [1600, 2100]],
    ]);
  });

  it("a column a month: the last one is how many there are, and the user is asked", () => {
    const card = [
      "                 Should   Sep   Oct",
      "Eye pads            2      2     1",
      "Burn gel sachets   10     10     8",
      "Triangular bandage  4      4     3",
      "Whistles            1      1     0",
    ].join("\n");
    expect(read(card).map(([, type, pieces]) => [type, pieces])).to.deep.equal([
      ["eye-pad", 1],
      ["burn-gel-sachet", 8],
      ["triangular-bandage", 3],
    ]);
    expect(readCard(card, vocabulary).columnsUnclearAt).to.equal(2);
  });

  it("several side by side, each with its count; a word in capitals before a list", () => {
    const types = (card: string) => read(card).map(([, type, pieces]) => [type, pieces]);
    expect(
      types("Plasters 40      Eye pads 2      Whistle 1\nSling 4      Burn gel 6      Tape 2"),
    ).to.deep.equal([
      ["adhesive-strip", 40],
      ["eye-pad", 2],
      ["whistle", 1],
      ["triangular-bandage", 4],
      ["burn-gel-sachet", 6],
      ["medical-tape", 2],
    ]);
    expect(
      types("BURNS        burn gel 6 | foil blanket 2\nSKIN         plasters 40 | whistle 1"),
    ).to.deep.equal([
      ["burn-gel-sachet", 6],
      ["foil-blanket", 2],
      ["adhesive-strip", 40],
      ["whistle", 1],
    ]);
  });

  it("a word cut short stands for what makes a name with its neighbours", () => {
    // "ntrl" alone may be nitrile or nonsterile.
    expect(read("GLVS NTRL 4\nBNDG TRNGLR 2\nBNDG ELAS 3").map((e) => e[1])).to.deep.equal([
      "nitrile-gloves",
      "triangular-bandage",
      "elastic-bandage",
    ]);
  });

  it("what lies in a bag is not the bag; what hangs on a wall hangs there", () => {
    expect(
      read("8 plasters in a zip bag\n2 eyewash bottles on the wall by the sink"),
    ).to.deep.equal([
      [1, "adhesive-strip", 8, null],
      [2, "eyewash", 2, null],
    ]);
  });

  it("an inch is none before a word of place or state: '6 in good order', '10 in it'", () => {
    expect(read("Triangular bandages, 6 in good order")[0]).to.deep.equal([
      ...[1, "triangular-bandage", 6, null],
    ]);
    expect(read("Elastic bandage, 3 in x 5 yd")[0]![3]).to.deep.equal([76, 4572]);
  });

  it("a size that lost a fraction to a percent sign is asked about; a percentage is none", () => {
    const { entries } = readCard(
      '8 fabric plasters, % x 3 in\n1 splinter tweezers, 3%"\n1 bottle povidone iodine 10% in the lid\n4 eye pads',
      vocabulary,
    );
    expect(entries.map((e) => e.doubts.includes("fraction-lost"))).to.deep.equal([
      ...[true, true, false, false],
    ]);
    expect(entries[0]!.confidence).to.be.below(0.9);
  });

  it("a sort is named by the word that heads it, on its line or above it", () => {
    expect(read("Plasters: 20 fabric, 6 blister")).to.deep.equal([
      [1, "adhesive-strip", 20, null],
      [1, "blister-cushion", 6, null],
    ]);
    expect(read("Bandages:\n  triangular x4\nDressings:\n  eye x2\n  medium x6")).to.deep.equal([
      [2, "triangular-bandage", 4, null],
      [4, "eye-pad", 2, null],
      // As "medium dressings x6" is.
      [5, "bandaged-dressing", 6, null],
    ]);
  });

  it("a unit's weight is no pack; what is kept in a vehicle is not in the kit", () => {
    const sheet = [
      "Item,Qty,Unit weight (g),Notes",
      "Lip balm,6,8,",
      "Foil blanket,2,60,kept in the vehicle",
      "Whistle,2,9,",
    ];
    expect(read(sheet.join("\n"))).to.deep.equal([
      [2, "lip-balm", 6, null],
      [4, "whistle", 2, null],
    ]);
  });

  it("as many items as rows are rows, not pieces", () => {
    const claimed = (title: string) =>
      readCard(`${title}\n4 eye pads\n2 foil blankets\n10 safety pins`, vocabulary).claimedPieces;
    expect(claimed("Office box, 3 items")).to.equal(null);
    expect(claimed("Office box, 16 items")).to.equal(16);
    expect(claimed("Office box, 12 items")).to.equal(12);
    expect(claimed("Office box, 3 pieces")).to.equal(3);
  });

  it("a finger dressing and a razor leave the kind open", () => {
    const { entries } = readCard("4 finger dressings\n1 razor\n2 finger bandages", vocabulary);
    expect(entries.map((e) => e.open)).to.deep.equal(["finger-dressing", "razor", undefined]);
  });

  it("an annex's title and what is said before a list name nothing", () => {
    expect(
      read("Annex 4 to the safety manual\n4 eye pads\n2 foil blankets").map((e) => e[1]),
    ).to.deep.equal(["eye-pad", "foil-blanket"]);
  });

  it("more of a thing than kits hold is asked about", () => {
    const { entries } = readCard("4 eye pads\n2019 foil blankets", vocabulary);
    expect(entries[1]!.doubts).to.include("count-unusual");
    expect(entries[1]!.confidence).to.be.below(0.9);
    expect(entries[0]!.doubts).to.not.include("count-unusual");
  });
});

describe("counted with strokes", () => {
  it("groups of strokes behind the name are its count; a bar through four makes five", () => {
    expect(
      talliesAsCounts(["plasters .... IIII/ IIII/ II", "tape:  II", "ice    IIII/", "Kit: DESK"]),
    ).to.deep.equal(["plasters, 12 pcs", "tape, 2 pcs", "ice, 5 pcs", "Kit: DESK"]);
    // The bar may not have been written: both numbers are said, and the reader asks.
    const fours = ["plasters .... IIII IIII II", "tape:  II", "ice    III"];
    expect(talliesAsCounts(fours)).to.deep.equal([
      "plasters, 10 pcs (12?)",
      "tape, 2 pcs",
      "ice, 3 pcs",
    ]);
    const [plasters] = readCard(fours.join("\n"), vocabulary).entries;
    expect([plasters!.pieces, plasters!.doubts]).to.deep.equal([10, ["number-left"]]);
    expect(plasters!.confidence).to.be.below(0.9);
    // One II among other lines is a number of Rome.
    const plain = ["Mask, type    II", "plasters 4"];
    expect(talliesAsCounts(plain)).to.deep.equal(plain);
  });
});

describe("the name of a line", () => {
  it("is the card's own, without its leader, its strokes or its count", () => {
    const card = "plasters ..... IIII II\nice ..... III\ntape ..... II\nWhistle (2)\n4 x eye pads";
    const { lines } = linesFromCard(readCard(card, vocabulary), NAMED_CATALOGUE);
    expect(lines.map((l) => [l.text, l.claimed])).to.deep.equal([
      ["plasters", 6],
      ["ice", 3],
      ["tape", 2],
      ["Whistle", 2],
      ["eye pads", 4],
    ]);
  });
});
