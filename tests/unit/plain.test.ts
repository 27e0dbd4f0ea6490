import { expect } from "chai";
import fc from "fast-check";
import { plain } from "../../src/lib/state/plain.ts";

/** As Svelte hands out what a page holds: every object behind a proxy of its own. */
const reactive = <T>(value: T): T =>
  typeof value === "object" && value !== null
    ? new Proxy(value, { get: (of, key, self) => reactive(Reflect.get(of, key, self)) })
    : value;

describe("plain values", () => {
  it("are equal to what they were made of, and storage takes them, which refuses a proxy", () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const held = reactive({ value });
        expect(() => structuredClone(held)).to.throw();
        expect(structuredClone(plain(held))).to.deep.equal({ value });
      }),
    );
  });

  it("do not follow what they were made of", () => {
    const draft = { lines: [{ id: "a", counted: 1 }] };
    const kept = plain(draft);
    draft.lines[0]!.counted = 2;
    draft.lines.push({ id: "b", counted: 3 });
    expect(kept).to.deep.equal({ lines: [{ id: "a", counted: 1 }] });
  });

  it("share what is plain already: an edit of one line copies that line only", () => {
    const before = plain({ lines: [{ id: "a" }, { id: "b" }], list: { needs: [] } });
    const after = plain({ ...before, lines: [before.lines[0]!, { id: "b", counted: 4 }] });
    expect(after.lines[0]).to.equal(before.lines[0]);
    expect(after.list).to.equal(before.list);
    expect(after.lines[1]).to.deep.equal({ id: "b", counted: 4 });
    expect(before.lines[1]).to.deep.equal({ id: "b" });
  });

  it("leave files, dates and bytes what they are", () => {
    const bytes = new Uint8Array([1, 2]);
    const on = new Date(0);
    const kept = plain({ bytes, on, nothing: undefined });
    expect(kept.bytes).to.equal(bytes);
    expect(kept.on).to.equal(on);
    expect(Object.keys(kept)).to.deep.equal(["bytes", "on", "nothing"]);
  });
});
