import { expect } from "chai";
import { isTouched } from "../../src/lib/core/card/isTouched.ts";
import { mergeCard } from "../../src/lib/core/card/mergeCard.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { linesFromCard } from "../../src/lib/core/card/toLines.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { emptyKitRecord, type KitRecord } from "../../src/lib/core/records/kitRecord.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { PERSONAL_DAY } from "../../src/lib/data/lists/personalDay.ts";

const EMPTY = emptyKitRecord("k", "Kit", "brief:b", PERSONAL_DAY);
const read = (record: KitRecord, text: string) =>
  mergeCard(record, text, readCard(text, vocabularyOf(NAMED_CATALOGUE)), CATALOGUE);
const kinds = (r: KitRecord) => r.kit.lines.map((l) => [l.itemType, l.claimed, l.counted]);
const withLine = (r: KitRecord, at: number, facts: Partial<Line>): KitRecord => ({
  ...r,
  kit: { ...r.kit, lines: r.kit.lines.map((l, i) => (i === at ? { ...l, ...facts } : l)) },
});

describe("a card that is read anew", () => {
  const card = "- 10 sterile gauze pads\n- 2 triangular bandages\n- 1 whistle";

  it("makes its lines, in the order of the card, with ids that are free", () => {
    const first = read(EMPTY, card);
    expect(kinds(first)).to.deep.equal([
      ["gauze-pad", 10, undefined],
      ["triangular-bandage", 2, undefined],
      ["whistle", 1, undefined],
    ]);
    expect(new Set(first.kit.lines.map((l) => l.id)).size).to.equal(3);
    expect(first.cardText).to.equal(card);
  });

  it("takes over a correction of a line that nobody worked on", () => {
    const again = read(read(EMPTY, card), card.replace("10", "12"));
    expect(kinds(again)[0]).to.deep.equal(["gauze-pad", 12, undefined]);
    expect(again.kit.lines.length).to.equal(3);
  });

  it("leaves a line alone that somebody worked on, and makes no second one of its entry", () => {
    const counted = withLine(read(EMPTY, card), 0, { counted: 7 });
    const again = read(counted, card.replace("10", "12"));
    expect(kinds(again)).to.deep.equal([
      ["gauze-pad", 10, 7],
      ["triangular-bandage", 2, undefined],
      ["whistle", 1, undefined],
    ]);
    // Nor when its card line is gone: the count is the user's.
    expect(kinds(read(counted, "- 1 whistle"))).to.deep.equal([
      ["gauze-pad", 10, 7],
      ["whistle", 1, undefined],
    ]);
  });

  it("knows a line in another language by the card's own words, of whatever kind it was called", () => {
    const abroad = "2 Dreiecktücher\n1 Trillerpfeife";
    const named = withLine(read(EMPTY, abroad), 0, { counted: 1, itemType: "sanitary-pad" });
    expect(kinds(read(named, `Verbandkasten\n${abroad}`))).to.deep.equal([
      ["sanitary-pad", 2, 1],
      ["whistle", 1, undefined],
    ]);
  });

  it("gives new lines ids that no kept line has", () => {
    const kept = withLine(read(EMPTY, card), 0, { counted: 7 });
    const again = read(kept, `${card}\n- 3 safety pins`);
    const ids = again.kit.lines.map((l) => l.id);
    expect(new Set(ids).size).to.equal(ids.length);
    expect(again.kit.lines[0]!.id).to.equal(kept.kit.lines[0]!.id);
  });

  it("keeps doubts of kept lines only, and takes the card's own claim", () => {
    const doubtful = { L9: { confidence: 0.4, alternatives: [] } };
    const again = read({ ...EMPTY, doubts: doubtful }, "25 pieces\n- 10 sterile gauze pads");
    expect(again.doubts).to.not.have.property("L9");
    expect(again.kit.claims.pieces).to.equal(25);
    // A card that claims nothing leaves what was claimed before.
    expect(read(again, card).kit.claims.pieces).to.equal(25);
  });

  const FACTS: [string, Partial<Line>][] = [
    ["counted", { counted: 0 }],
    ["condition", { condition: "worn" }],
    ["inspection points", { failedPoints: [] }],
    ["a point answered", { okPoints: ["clean-whole"] }],
    ["a date", { expires: "none" }],
    ["a place", { location: "pocket" }],
    ["a reach", { reachS: 4 }],
    ["a lot", { lot: "A" }],
    ["a note", { note: "x" }],
    ["opened", { opened: "2026-01" }],
    ["first use", { firstUse: "2026-01" }],
    ["a drill", { drills: [{ seconds: 3 }] }],
    ["added by hand", { byHand: true }],
  ];
  for (const [name, fact] of FACTS)
    it(`work done on a line: ${name}`, () => {
      expect(isTouched({ id: "L1", itemType: null, claimed: 1, ...fact })).to.equal(true);
    });
  it("a line as it came from the card is untouched", () =>
    expect(
      isTouched({ id: "L1", itemType: "whistle", text: "whistle", claimed: 1, cardLine: 3 }),
    ).to.equal(false));
});

describe("what a person should look at before it is trusted", () => {
  const entry = (confidence: number) => ({
    source: 1,
    text: "gauze pads",
    itemType: "gauze-pad",
    pieces: 2,
    sizeMm: null,
    volumeMl: null,
    strengthMg: null,
    confidence,
    doubts: [],
    alternatives: ["gauze-nonsterile"],
  });
  it("is an entry below 0.9", () => {
    const reading = {
      claimedPieces: null,
      columnsUnclearAt: null,
      entries: [entry(0.89), entry(0.9), entry(0.6)],
    };
    expect(linesFromCard(reading, CATALOGUE).doubts).to.deep.equal({
      L1: { confidence: 0.89, alternatives: ["gauze-nonsterile"] },
      L3: { confidence: 0.6, alternatives: ["gauze-nonsterile"] },
    });
  });
});

describe("a name that leaves the kind open", () => {
  const first = (text: string) => {
    const { lines, doubts } = linesFromCard(
      readCard(`- ${text}\n- 2 eye pads`, vocabularyOf(NAMED_CATALOGUE)),
      CATALOGUE,
    );
    return {
      itemType: lines[0]!.itemType,
      open: doubts["L1"]?.open,
      kinds: doubts["L1"]?.alternatives,
    };
  };
  it("counts as the least of its kinds until somebody says, and asks which one", () => {
    expect(first("1 tourniquet")).to.deep.equal({
      itemType: "phlebotomy-strap",
      open: "tourniquet",
      kinds: [
        "phlebotomy-strap",
        "stretch-wrap-tourniquet",
        "elastic-loop-tourniquet",
        "ratchet-tourniquet",
        "windlass-tourniquet",
      ],
    });
    expect(first("2 pairs disposable gloves").open).to.equal("gloves");
    expect(first("1 tweezers").itemType).to.equal("tweezers-plastic");
  });
  it("asks nothing where a word tells the kind", () => {
    expect(first("1 windlass tourniquet")).to.deep.equal({
      itemType: "windlass-tourniquet",
      open: undefined,
      kinds: undefined,
    });
    expect(first("2 pairs nitrile gloves").open).to.equal(undefined);
    expect(first("1 fine tweezers").open).to.equal(undefined);
  });
  it("offers kinds that the catalogue has, each once", () => {
    for (const { kinds } of CATALOGUE.openNames) {
      const ids = kinds.map(([id]) => id);
      expect(new Set(ids).size).to.equal(ids.length);
      for (const id of ids) expect(CATALOGUE.types.has(id), id).to.equal(true);
    }
  });
});

describe("what a card says of doses", () => {
  const doses = (text: string) =>
    linesFromCard(readCard(`- ${text}`, vocabularyOf(NAMED_CATALOGUE)), CATALOGUE).lines[0]!
      .dosesPerPiece;
  it("a sachet holds one, a tube is still to be read", () => {
    expect(doses("10 antibiotic ointment sachets 0.9 g")).to.equal(1);
    expect(doses("1 tube antibiotic ointment 15 g")).to.equal(undefined);
  });
});
