import { expect } from "chai";
import { inSlices } from "../../src/lib/state/inSlices.ts";

describe("work in slices", () => {
  function* slow(n: number, made: number[]) {
    for (let i = 0; i < n; i++) {
      // Three milliseconds each: a slice of eight ends within three of them.
      for (const until = performance.now() + 3; performance.now() < until;);
      made.push(i);
      yield i;
    }
  }

  it("gives all in order at the end, and lets others have their turn in between", async () => {
    const made: number[] = [];
    let turns = 0;
    const all = await new Promise<readonly number[]>((done) => {
      const others = setInterval(() => turns++);
      inSlices(slow(12, made), (found) => {
        clearInterval(others);
        done(found);
      });
    });
    expect(all).to.deep.equal([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
    expect(turns).to.be.at.least(2);
  });

  it("once stopped, works no further and gives nothing", async () => {
    const made: number[] = [];
    const stop = inSlices(slow(12, made), () => made.push(99));
    await new Promise((r) => setTimeout(r, 5));
    stop();
    const soFar = made.length;
    await new Promise((r) => setTimeout(r, 40));
    expect(made.length).to.equal(soFar).and.to.be.below(12);
  });
});
