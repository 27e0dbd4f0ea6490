import { expect } from "chai";
import { unchanged } from "../../src/lib/state/unchanged.ts";

describe("a list whose things have not changed", () => {
  const [a, b] = [{ id: "a" }, { id: "b" }];
  it("is the same list as before, made anew or not", () => {
    const same = unchanged<{ id: string }>();
    const first = same([a, b]);
    expect(same([a, b])).to.equal(first);
  });
  it("is another with another thing, order or length", () => {
    const same = unchanged<{ id: string }>();
    const first = same([a, b]);
    expect(same([a, { id: "b" }])).to.not.equal(first);
    expect(same([b, a])).to.deep.equal([b, a]);
    expect(same([b])).to.deep.equal([b]);
    expect(same([])).to.deep.equal([]);
  });
});
