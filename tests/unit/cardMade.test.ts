import { expect } from "chai";
import fc from "fast-check";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { lostOf } from "../../scripts/markCard.ts";
import { contentsOfCard, HABITS, LAYOUTS, madeCard, NOISE, truthOf, written } from "./cardMaker.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const read = (card: string) =>
  readCard(card, vocabulary).entries.map((e) => [e.itemType, e.pieces, e.sizeMm]);

describe("the same contents on another card", () => {
  for (const layout of Object.keys(LAYOUTS))
    it(`read the same: ${layout}`, () =>
      fc.assert(
        fc.property(contentsOfCard, (contents) => {
          const card = { contents, layout, habit: "none", noise: "none" };
          expect(read(written(card))).to.deep.equal(truthOf(contents));
        }),
        { numRuns: 15 },
      ));
  it("read the same by every habit and with every noise, each by itself", () =>
    fc.assert(
      fc.property(contentsOfCard, (contents) => {
        for (const habit of Object.keys(HABITS))
          expect(
            read(written({ contents, layout: "count in brackets", habit, noise: "none" })),
            habit,
          ).to.deep.equal(truthOf(contents));
        for (const noise of Object.keys(NOISE))
          expect(
            read(written({ contents, layout: "count in brackets", habit: "none", noise })),
            noise,
          ).to.deep.equal(truthOf(contents));
      }),
      { numRuns: 15 },
    ));
  it("nearly all with layout, habit and noise together: at least 99 of 100 entries", () => {
    let all = 0;
    let right = 0;
    for (const card of fc.sample(madeCard, { seed: 13, numRuns: 150 })) {
      const wanted = truthOf(card.contents).map((e) => JSON.stringify(e));
      const got = read(written(card)).map((e) => JSON.stringify(e));
      all += wanted.length;
      right += wanted.length - lostOf(wanted, got).lost.length;
    }
    expect(right / all).to.be.at.least(0.99);
  });
});
