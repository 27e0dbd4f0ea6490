import { expect } from "chai";
import { inEnglish, keyOf } from "../../src/lib/core/card/abroad.ts";
import { linesFromCard } from "../../src/lib/core/card/toLines.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { knowsAny, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const english = (line: string) =>
  inEnglish(line, vocabulary.abroad, (words) => knowsAny(words, vocabulary));
const read = (text: string) =>
  readCard(text, vocabulary).entries.map((e) => [e.itemType, e.pieces, e.sizeMm]);

describe("names in other languages", () => {
  it("a name is read by the English one, whatever its accents, capitals and plural", () => {
    expect(english("2 Dreiecktücher")).to.equal("2 triangular bandage");
    expect(english("COMPRESSES STERILES 10x10")).to.equal("sterile gauze pads 10x10");
    expect(english("Vendas elásticas 5 cm: 2")).to.equal("elastic bandage 5 cm: 2");
  });
  it("the longer name wins: a 'venda' alone leaves the kind open", () => {
    expect(english("1 venda triangular")).to.equal("1 triangular bandage");
    expect(english("1 venda")).to.equal("1 bandage");
  });
  it("small words between those of a name may be there or not", () => {
    expect(english("guantes de nitrilo")).to.equal("nitrile gloves");
    expect(english("guante nitrilo")).to.equal("nitrile gloves");
  });
  it("what it is counted in goes with it, and stays where nothing else is abroad", () => {
    expect(english("Gants nitrile M bte 100")).to.equal("nitrile gloves M box 100");
    expect(english("plasters, rol of 5")).to.equal("plasters, rol of 5");
  });
  it("a line that says it in English too stays as it is", () => {
    const line = "Rettungsdecke / rescue blanket – 8";
    expect(english(line)).to.equal(line);
  });
  it("a card in one other language is read like one in English", () => {
    expect(
      read("8 Pflaster\n2 Verbandtücher 60 x 80 cm\n1 Schere 19 cm\n4 Fixierbinden 6 cm x 4 m"),
    ).to.deep.equal([
      ["adhesive-strip", 8, null],
      ["burn-sheet", 2, [600, 800]],
      ["small-scissors", 1, [190]],
      ["roller-bandage", 4, [60, 4000]],
    ]);
  });

  it("in Polish, Swedish and Portuguese too, with what they are counted in", () => {
    expect(read("Plastry z opatrunkiem – 20 szt.\nRękawiczki nitrylowe – 4 pary")).to.deep.equal([
      ["adhesive-strip", 20, null],
      ["nitrile-gloves", 4, null],
    ]);
    expect(read("Första förband: 2 st\nElastisk binda 8 cm: 1 st")).to.deep.equal([
      ["bandaged-dressing", 2, null],
      ["elastic-bandage", 1, [80]],
    ]);
    expect(read("2 ligaduras elásticas 10 cm\n4 pares de luvas de nitrilo")).to.deep.equal([
      ["elastic-bandage", 2, [100]],
      ["nitrile-gloves", 4, null],
    ]);
  });
  it("what is read in English stands with the card's own words, its accents with them", () => {
    const card =
      "Náplasti s polštářkem – 20 ks\nWhistle 1\nPos;Bezeichnung;Ist\n1;Dreieckstücher;2\n2;Kälte-Sofortkompresse, groß;1";
    const { lines } = linesFromCard(readCard(card, vocabulary), NAMED_CATALOGUE);
    expect(lines.map((l) => l.text)).to.deep.equal([
      "Náplasti s polštářkem – 20 ks",
      "Whistle 1",
      "Dreieckstücher",
      "Kälte-Sofortkompresse, groß",
    ]);
  });
  it("a table with its headings in one of them", () =>
    expect(
      read("Nazwa;Ilość;Termin ważności\nGaza jałowa 5 x 5 cm;5;2029-03\nNożyczki;1;"),
    ).to.deep.equal([
      ["gauze-pad", 5, [50, 50]],
      ["small-scissors", 1, null],
    ]));

  it("every English name that stands for others is one that the reader knows", () => {
    const names = NAMED_CATALOGUE.wordsAbroad.flatMap((t) => Object.keys(t.names));
    const unknown = names.filter(
      (name) => read(`whistle, 4 pcs\n${name}, 3 pcs\ncompass, 1 pc`).length !== 3,
    );
    expect(unknown).to.deep.equal([]);
  });
  it("no name abroad stands for two things", () => {
    const stands = new Map<string, string>();
    const two = NAMED_CATALOGUE.wordsAbroad
      .flatMap((t) => [...Object.entries(t.names), ...Object.entries(t.counted)])
      .flatMap(([english, abroad]) =>
        abroad.filter((words) => {
          const before = stands.get(keyOf(words));
          stands.set(keyOf(words), english);
          return before !== undefined && before !== english;
        }),
      );
    expect(two).to.deep.equal([]);
  });
});

describe("sizes without a unit", () => {
  it("what is made in these centimetres and in no such inches is one, and no count of packs", () => {
    expect(read("Gauze swab 20x20\nBurn dressing 10x40, 2\nBurn dressing 10x20")).to.deep.equal([
      ["gauze-pad", 1, [200, 200]],
      ["burn-gel-dressing", 2, [100, 400]],
      ["burn-gel-dressing", 1, [100, 200]],
    ]);
  });
  it("plasters come in packs: twenty of twenty", () => {
    expect(read("Plasters 20x20\nPlasters 20")).to.deep.equal([
      ["adhesive-strip", 400, null],
      ["adhesive-strip", 20, null],
    ]);
  });
});
