import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const heardOf = (text: string): number[] => {
  const heard: number[] = [];
  readCard(text, vocabularyOf(NAMED_CATALOGUE), undefined, (share) => heard.push(share));
  return heard;
};

describe("how far a card is read", () => {
  it("grows from line to line and step to step, and is all of it only at the end", () => {
    const heard = heardOf(Array.from({ length: 20 }, (_, i) => `- ${i + 1} eye pads`).join("\n"));
    expect(heard).to.deep.equal([...heard].sort((a, b) => a - b));
    // Four steps over twenty lines.
    expect(heard.length).to.equal(80);
    // 10 % before the first line is put right, and one line of twenty less than all of the last tenth.
    expect([heard[0], heard.at(-1)!.toFixed(3)]).to.deep.equal([0.1, "0.995"]);
  });
  it("is heard of a card without lines too", () => {
    expect(heardOf("").every((share) => share >= 0 && share <= 1)).to.equal(true);
  });
});
