import { expect } from "chai";

/** The page's frames, as the test lets them come. */
const frames: (() => void)[] = [];
const seen = { hidden: false };

describe("the page that the program starts with", () => {
  const had = new Map<string, PropertyDescriptor | undefined>();
  const set = (name: string, value: unknown) => {
    had.set(name, Object.getOwnPropertyDescriptor(globalThis, name));
    Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
  };
  before(() => {
    set("document", seen);
    set("requestAnimationFrame", (run: () => void) => frames.push(run));
  });
  after(() => {
    for (const [name, was] of had)
      if (was) Object.defineProperty(globalThis, name, was);
      else delete (globalThis as Record<string, unknown>)[name];
  });
  beforeEach(() => {
    frames.length = 0;
    seen.hidden = false;
  });
  const parts = () => import("../../src/lib/ui/firstPage.ts");
  const painted = async () => {
    frames.shift()?.();
    await new Promise((done) => setTimeout(done));
  };

  it("one part comes after each painting, in the order in which they were asked for", async () => {
    const { inTurn } = await parts();
    const shown: string[] = [];
    for (const part of ["one", "two", "three"]) inTurn(() => shown.push(part));
    expect([shown.length, frames.length]).to.deep.equal([0, 1]);
    await painted();
    expect(shown).to.deep.equal(["one"]);
    await painted();
    await painted();
    expect(shown).to.deep.equal(["one", "two", "three"]);
    expect(frames.length).to.equal(0);
  });

  it("what a part asks for comes after what waited before it", async () => {
    const { inTurn } = await parts();
    const shown: string[] = [];
    inTurn(() => {
      shown.push("outer");
      inTurn(() => shown.push("inner"));
    });
    inTurn(() => shown.push("next"));
    for (let i = 0; i < 3; i++) await painted();
    expect(shown).to.deep.equal(["outer", "next", "inner"]);
  });

  it("a key brings all that waits at once, with what waits in it; the painting after it finds nothing", async () => {
    const { allNow, inTurn } = await parts();
    const shown: string[] = [];
    inTurn(() => {
      shown.push("outer");
      inTurn(() => shown.push("inner"));
    });
    inTurn(() => shown.push("next"));
    allNow();
    expect(shown).to.deep.equal(["outer", "next", "inner"]);
    await painted();
    expect(shown.length).to.equal(3);
    inTurn(() => shown.push("later"));
    await painted();
    expect(shown.at(-1)).to.equal("later");
  });

  it("a part that fails keeps no other from coming", async () => {
    const { inTurn } = await parts();
    const shown: string[] = [];
    const failed = new Promise<unknown>((done) => process.once("uncaughtException", done));
    const listeners = process.listeners("uncaughtException").slice(0, -1);
    for (const l of listeners) process.off("uncaughtException", l);
    inTurn(() => {
      throw new Error("no part");
    });
    inTurn(() => shown.push("next"));
    await painted();
    expect(String(await failed)).to.contain("no part");
    for (const l of listeners) process.on("uncaughtException", l);
    await painted();
    expect(shown).to.deep.equal(["next"]);
  });

  it("a window in the background waits for no painting", async () => {
    const { inTurn } = await parts();
    seen.hidden = true;
    const shown: string[] = [];
    inTurn(() => shown.push("one"));
    expect(frames.length).to.equal(0);
    await new Promise((done) => setTimeout(done));
    expect(shown).to.deep.equal(["one"]);
  });

  it("is the first until another is gone to", async () => {
    const { firstPageDone, isFirstPage } = await parts();
    expect(isFirstPage()).to.equal(true);
    firstPageDone();
    expect(isFirstPage()).to.equal(false);
  });
});
