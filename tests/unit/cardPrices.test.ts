import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

describe("prices in whole numbers count nothing", () => {
  for (const price of [
    "KSh 280 each",
    "Rs. 280/-",
    "(P85)",
    "(45 kr each)",
    "89 kr",
    "280 naira each",
  ])
    it(`Burn gel sachets - 2 - ${price}: two`, () =>
      expect(entriesOf(`Burn gel sachets - 2 - ${price}`)).to.deep.equal([
        "1 burn-gel-sachet 2 null",
      ]));
});

describe("tables that say it in their own way", () => {
  it("packs without 'of', in French: 2 boxes of 100, 3 bags of 20; a row struck out whole is not there", () =>
    expect(
      entriesOf(
        [
          "Réf.;Désignation;Cond.;Qté;P.U. HT;Total HT",
          "PA-1;Pansements bleus détectables;bte 100;2;8,90;17,80",
          "DO-2;Compresses stériles 10x10;sachet 20;3;3,40;10,20",
          "~~SP-3;Sparadrap 5 m;rlx;2;1,90;3,80~~",
          "EX-4;Bande extensible 6 cm;pce;6;0,95;5,70",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 200 null",
      "3 gauze-pad 60 [100,100]",
      "5 roller-bandage 6 [60]",
    ]));

  it("remarks: about 35 of a box of 100 used are 65 left; missing and on order is none", () =>
    expect(
      entriesOf(
        [
          "Item\tUnit\tOn hand\tNote",
          "Adhesive bandages\tbx 100\t1\tapprox 35 used",
          "Gauze rolls 3in\tea\t6\t",
          "AED pads\tset\t1\tmissing - on order",
        ].join("\n"),
      ),
    ).to.deep.equal(["2 adhesive-strip 65 null", "3 roller-bandage 6 [76]"]));

  it("a name with a comma, and two sizes with two counts: 4 of one inch, 2 of two", () =>
    expect(
      entriesOf('item,size,qty\n"Tape, cloth","1in/2in","4/2"\nCold packs,,5\nSlings,,3'),
    ).to.deep.equal([
      "2 medical-tape 4 [25]",
      "2 medical-tape 2 [51]",
      "3 cold-pack 5 null",
      "4 triangular-bandage 3 null",
    ]));

  it("one box of a hundred gloves is no two counts; 1x12 begins a row", () =>
    expect(
      entriesOf("Qty\tItem\n4\tcold packs 5x9in\n1x12\talcohol wipes\n1 bx/100\texam gloves, L"),
    ).to.deep.equal([
      "2 cold-pack 4 [127,229]",
      "3 alcohol-pad 12 null",
      "4 disposable-gloves 50 null",
    ]));
});

describe("half a name under the other half", () => {
  it("strips under plasters", () =>
    expect(entriesOf("PLASTERS\n  strips - 50 pcs\n  spots - 20")).to.deep.equal([
      "2 adhesive-strip 50 null",
      "3 adhesive-junior 20 null",
    ]));
});

describe("small words of other languages", () => {
  it("para is no paracetamol", () =>
    expect(entriesOf("Pinzas para espinas (1)\nTijeras (1)\nTiritas (20)")[0]).to.match(
      /^1 tweezers-/,
    ));
});

describe("a remark that tells why there are fewer than asked", () => {
  const card = "Item\tMin\tNow\tRemarks\nSlings\t4\t3\t1 gone with the swimmers\nTape\t2\t2\t";
  it("4 asked, 3 there, 1 gone: three, as one of four went", () =>
    expect(entriesOf(card)).to.deep.equal([
      "2 triangular-bandage 3 null",
      "3 medical-tape 2 null",
    ]));
  it("4 asked, 4 there, 1 gone: three, and the reader asks", () =>
    expect(entriesOf(card.replace("\t3\t", "\t4\t"))[0]).to.equal("2 triangular-bandage 3 null"));
});
