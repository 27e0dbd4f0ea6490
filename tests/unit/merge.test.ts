import { expect } from "chai";
import fc from "fast-check";
import { merge, same } from "../../src/lib/core/records/merge.ts";

const line = (id: string, n: number) => ({ id, n });

describe("three-way merge", () => {
  it("takes over what only one side changed", () => {
    expect(merge({ a: 1, b: 1, c: 1 }, { a: 2, b: 1, c: 1 }, { a: 1, b: 1, c: 3 })).to.deep.equal({
      value: { a: 2, b: 1, c: 3 },
      conflicts: [],
    });
  });
  it("lists what both changed differently; theirs stays unless mine is preferred", () => {
    const [base, mine, theirs] = [{ a: { x: 1 } }, { a: { x: 2 } }, { a: { x: 3 } }];
    expect(merge(base, mine, theirs)).to.deep.equal({ value: theirs, conflicts: ["a.x"] });
    expect(merge(base, mine, theirs, "mine").value).to.deep.equal(mine);
  });
  it("merges lists by id, each element as one thing", () => {
    const base = { l: [line("a", 1), line("b", 1)] };
    const mine = { l: [line("a", 2), line("b", 1), line("c", 1)] };
    const theirs = { l: [line("d", 1), line("b", 5)] };
    // a: removed by them, changed by me; c is mine, d theirs, b theirs.
    expect(merge(base, mine, theirs)).to.deep.equal({
      value: { l: [line("d", 1), line("b", 5), line("c", 1)] },
      conflicts: ["l.a"],
    });
  });
  it("two elements that were made under one id are never mixed", () => {
    const made = merge(
      { l: [] as object[] },
      { l: [{ id: "L1", n: 1, m: 4 }] },
      { l: [line("L1", 2)] },
    );
    expect(made).to.deep.equal({ value: { l: [line("L1", 2)] }, conflicts: ["l.L1"] });
  });
  it("keeps my order where only I moved things", () => {
    const base = [line("a", 1), line("b", 1), line("c", 1)];
    const mine = [line("c", 1), line("a", 1), line("b", 1)];
    const theirs = [line("a", 1), line("b", 2), line("c", 1)];
    expect(merge(base, mine, theirs).value.map((e) => [e.id, e.n])).to.deep.equal([
      ["c", 1],
      ["a", 1],
      ["b", 2],
    ]);
  });
  it("keeps both ends of a list that grew on both sides", () =>
    expect(merge(["x"], ["x", "m"], ["x", "t"])).to.deep.equal({
      value: ["x", "t", "m"],
      conflicts: [],
    }));
  it("a value that both removed or both set alike is no conflict", () => {
    expect(merge<object>({ a: 1 }, {}, {})).to.deep.equal({ value: {}, conflicts: [] });
    expect(merge<object>({}, { a: 1 }, { a: 1 })).to.deep.equal({ value: { a: 1 }, conflicts: [] });
  });

  const value = fc.letrec((tie) => ({
    any: fc.oneof(
      { maxDepth: 3 },
      fc.nat(3),
      fc.dictionary(fc.constantFrom("a", "b", "c"), tie("any"), { maxKeys: 3 }),
      fc.array(fc.nat(2), { maxLength: 3 }),
      fc.uniqueArray(fc.record({ id: fc.constantFrom("p", "q", "r"), n: fc.nat(2) }), {
        selector: (e) => e.id,
      }),
    ),
  })).any;
  it("of one side that changed nothing, the other side is the result; of equal sides, either", () =>
    fc.assert(
      fc.property(value, value, (base, side) => {
        expect(merge(base, side, base)).to.deep.equal({ value: side, conflicts: [] });
        expect(merge(base, base, side)).to.deep.equal({ value: side, conflicts: [] });
        expect(merge(base, side, side)).to.deep.equal({ value: side, conflicts: [] });
      }),
    ));
  it("without a conflict, which side is called mine changes nothing but order", () =>
    fc.assert(
      fc.property(value, value, value, (base, a, b) => {
        const [x, y] = [merge(base, a, b), merge(base, b, a)];
        expect(x.conflicts.length === 0).to.equal(y.conflicts.length === 0);
        expect(merge(base, a, b, "mine").conflicts).to.deep.equal(x.conflicts);
      }),
    ));
  it("equal as JSON", () => {
    expect(same({ a: 1, b: undefined }, { a: 1 })).to.equal(true);
    expect(same([1, 2], [2, 1])).to.equal(false);
    expect(same(null, {})).to.equal(false);
  });
});
