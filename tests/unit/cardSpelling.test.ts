import { expect } from "chai";
import fc from "fast-check";
import { repairText } from "../../src/lib/core/card/repairText.ts";
import { isTypedFor } from "../../src/lib/core/card/slip.ts";
import {
  speltAbroad,
  spellingsOf,
  withoutUmlauts,
} from "../../src/lib/core/card/spellingAbroad.ts";
import { asMeant } from "../../src/lib/core/card/typedWrong.ts";
import { isKnownWord, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { entriesOf } from "./cardReading.ts";

/** Words that a slip of the hand, a keyboard without umlauts or a recogniser has spoilt. */

describe("a word with one slip", () => {
  it("a letter left out, typed twice, or changed with its neighbour", () => {
    expect(isTypedFor("plasers", "plasters")).to.equal(true);
    expect(isTypedFor("plassters", "plasters")).to.equal(true);
    expect(isTypedFor("plasetrs", "plasters")).to.equal(true);
  });
  it("no other letter in its place, not the first, not the last", () => {
    expect(isTypedFor("plaszers", "plasters"), "another letter").to.equal(false);
    expect(isTypedFor("lasters", "plasters"), "the first").to.equal(false);
    expect(isTypedFor("remove", "remover"), "the last is another word").to.equal(false);
    expect(isTypedFor("strikes", "strikers"), "before an s too").to.equal(false);
    expect(isTypedFor("plsters", "plasterss"), "two slips").to.equal(false);
    expect(isTypedFor("plasters", "plasters"), "none").to.equal(false);
  });
  it("every such slip is told, wherever it is", () => {
    const word = fc.stringMatching(/^[a-z]{6,12}$/);
    fc.assert(
      fc.property(word, fc.nat(), fc.constantFrom("out", "twice", "swap"), (meant, n, how) => {
        const at = 1 + (n % (meant.length - 3));
        const spoilt = {
          out: meant.slice(0, at) + meant.slice(at + 1),
          twice: meant.slice(0, at + 1) + meant.slice(at),
          swap: meant.slice(0, at) + meant[at + 1]! + meant[at]! + meant.slice(at + 2),
        }[how];
        const without = (k: number) => meant.slice(0, k) + meant.slice(k + 1);
        const isOther = [...meant].some(
          (_, k) => without(k) === spoilt && /^s*$/.test(meant.slice(k + 1)),
        );
        expect(isTypedFor(spoilt, meant)).to.equal(spoilt !== meant && !isOther);
      }),
    );
  });
  it("is read as what was meant: names, numbers, packs, sizes and headings", () => {
    expect(
      entriesOf(
        "Triangualr bandges 4\ntwelev plasetrs\ngoves 6 pairs\nparacetamol, 2 packtes of 8",
      ),
    ).to.deep.equal([
      "1 triangular-bandage 4 null",
      "2 adhesive-strip 12 null",
      "3 disposable-gloves 6 null",
      "4 paracetamol 16 null",
    ]);
    const table = [
      "Item   Reqiured   Acutal",
      "Eye pads   4   2",
      "Shears   1   3",
      "Tape   2   5",
    ];
    expect(entriesOf(table.join("\n"))).to.deep.equal([
      "2 eye-pad 2 null",
      "3 trauma-shears 3 null",
      "4 medical-tape 5 null",
    ]);
  });
  it("never where it is a word of its own", () => {
    expect(entriesOf("eight eye pads")).to.deep.equal(["1 eye-pad 8 null"]);
    const [split] = entriesOf("eye pads 2, one of them is split");
    expect(split).to.equal("1 eye-pad 2 null");
  });
});

describe("a word that is not meant for another", () => {
  const vocabulary = vocabularyOf(NAMED_CATALOGUE);
  const said = (line: string) => asMeant(line, (w) => isKnownWord(w, vocabulary), vocabulary);
  it("short ones that are words themselves, and those of two meanings", () => {
    for (const line of ["first class", "one is split", "Tom weighs 80 kg", "a tree"])
      expect(said(line)).to.equal(line);
    expect(said("TRIANGUALR bandge")).to.equal("TRIANGULAR bandage");
  });
});

describe("words of other languages as they are typed", () => {
  const GERMAN = ["Verbandskasten Werkstatt", "2 Dreiecktücher", "3 Verbandpäckchen groß"];
  GERMAN.push("1 Kälte-Sofortkompresse", "6 Kompressen 10 x 10 cm", "2 Augenkompressen");
  const read = entriesOf(GERMAN.join("\n"));
  it("umlauts written out", () => {
    const ascii = GERMAN.join("\n").replace(
      /[äöüß]/g,
      (c) => ({ ä: "ae", ö: "oe", ü: "ue", ß: "ss" })[c]!,
    );
    expect(read).to.have.length(5);
    expect(entriesOf(ascii)).to.deep.equal(read);
    expect(withoutUmlauts("dreiecktuecher")).to.equal("dreiecktucher");
    expect(withoutUmlauts("masque"), "none").to.equal("masque");
  });
  it("with a slip, among lines of their language", () => {
    const typed = GERMAN.join("\n")
      .replace("Augenk", "Agenk")
      .replace("Dreieck", "Driereck")
      .replace("Driereck", "Dreiekc");
    expect(entriesOf(typed)).to.deep.equal(read);
  });
  it("two that are meant alike are none", () => {
    const spellings = spellingsOf(["kompresse", "kompressen", "pinzette"]);
    expect(speltAbroad(["pinzete"], spellings)).to.equal("pinzette");
    expect(speltAbroad(["pinzette"], spellings), "it is one").to.equal(null);
    expect(speltAbroad(["komprssee"], spellings)).to.equal(null);
    const alike = spellingsOf(["verband", "verbund"]);
    expect(speltAbroad(["verbnd"], alike)).to.equal(null);
  });
});

describe("numbers as a recogniser reads them", () => {
  const repair = (line: string) => repairText(line, () => false);
  const READ: Readonly<Record<string, string>> = {
    "saline 20m1": "saline 20ml",
    "7.S cm x 4.Sm": "7.5cm x 4.5m",
    "6 x 7S mm": "6 x 75mm",
    "2,5 cm x S m": "2,5cm x 5m",
    "wipes x l0": "wipes x 10",
    "plasters, box/l00": "plasters, box/100",
    "dressings l8xl8cm": "dressings 18x18cm",
    "BNDG lOCM": "BNDG 10CM",
    "tape l in": "tape 1 in",
    "blanket / l gel": "blanket / 1 gel",
    "Plasters .... 3O Tape .... 1": "Plasters .... 30 Tape .... 1",
  };
  for (const [written, printed] of Object.entries(READ))
    it(`${written} → ${printed}`, () => void expect(repair(written)).to.equal(printed));
  it("litres, sizes by their letter, codes and other tongues stay", () => {
    for (const line of [
      "water 5 l bottle",
      "gloves S 2",
      "gloves 2 x S",
      "SL-10 tape",
      '2,BX50,"GLOVES"',
      "(lo lleva el jefe)",
      "FINGER COT 50S",
    ])
      expect(repair(line)).to.equal(line);
  });
});

it("a number in words with a digit in it is that number", () =>
  expect(entriesOf("twe1ve plasters\nf1ve eye pads\ne1even wipes\ntwo slings")).to.deep.equal([
    "1 adhesive-strip 12 null",
    "2 eye-pad 5 null",
    "3 antiseptic-wipe 11 null",
    "4 triangular-bandage 2 null",
  ]));
