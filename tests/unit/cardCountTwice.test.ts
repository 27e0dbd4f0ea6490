import { expect } from "chai";
import { countedOnce } from "../../src/lib/core/card/countTwice.ts";

/** A thing in two languages, counted in each, is one. */

const TYPES: Readonly<Record<string, string>> = {
  "triangular bandages": "triangular-bandage",
  "disposable gloves": "disposable-gloves",
  whistle: "whistle",
  scissors: "small-scissors",
};
const typeOf = (text: string) => TYPES[text] ?? null;
const once = (text: string) => countedOnce(text, typeOf);

describe("counted in two languages", () => {
  it("is read once, by the side that is known", () => {
    expect(once("4 Dreiecktücher / 4 triangular bandages")).to.equal("4 triangular bandages");
    expect(once("4 triangular bandages / 4 écharpes")).to.equal("4 triangular bandages");
  });
  it("keeps its unit", () =>
    expect(once("4 Paar Handschuhe / 4 pairs disposable gloves")).to.equal(
      "4 Paar disposable gloves",
    ));
  it("is two things where both sides name one of their own", () =>
    expect(once("1 scissors / 1 whistle")).to.equal("1 scissors / 1 whistle"));
  it("is left where the counts differ, or one side has none", () => {
    for (const line of ["4 Pfeifen / 2 whistle", "4 Pfeifen / whistle"])
      expect(once(line)).to.equal(line);
  });
});
