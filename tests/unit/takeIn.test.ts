import { problemText } from "../../src/lib/words/problems.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { parseWorkspace, writeWorkspace } from "../../src/lib/core/formats/workspaceFile.ts";
import { barcodeRecord } from "../../src/lib/core/records/barcodeRecord.ts";
import { itemTypeRecord } from "../../src/lib/core/records/itemTypeRecord.ts";
import { inUse, isOffer } from "../../src/lib/core/records/keptCopy.ts";
import { listRecord } from "../../src/lib/core/records/listRecord.ts";
import { photoRecord } from "../../src/lib/core/records/photoRecord.ts";
import { priceBookRecord } from "../../src/lib/core/records/priceBookRecord.ts";
import type { RecordKind, RecordOf, WorkspaceRecord } from "../../src/lib/core/records/records.ts";
import { setRecord } from "../../src/lib/core/records/setRecord.ts";
import { DEFAULT_SETTINGS } from "../../src/lib/core/records/settingsRecord.ts";
import { takeIn } from "../../src/lib/core/records/takeIn.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import { PERSONAL_DAY } from "../../src/lib/data/lists/personalDay.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { newBrief, newKit } from "../../src/lib/state/newRecords.ts";
import { ownType } from "./build.ts";

let keys = 0;
const newKey = () => `n${++keys}`;
const shelf = (records: readonly WorkspaceRecord[]) => new Map(records.map((r) => [r.id, r]));
const of = <K extends RecordKind>(records: readonly WorkspaceRecord[], kind: K) =>
  records.filter((r): r is RecordOf<K> => r.kind === kind);

const strap = (label: string) => ownType("own-strap", label);

/** A workspace in which everything speaks of everything else. */
function crowded(label: string): WorkspaceRecord[] {
  const brief = newBrief("b");
  const list = listRecord("l", PERSONAL_DAY);
  const kit = newKit("k", "Box", brief.id);
  const accept = [{ itemType: "own-strap", credit: 0.5 }];
  const line = { id: "L1", itemType: "own-strap", counted: 1 };
  return [
    {
      ...brief,
      brief: { ...brief.brief, carriedElsewhere: [{ itemType: "own-strap", pieces: 1 }] },
    },
    {
      ...kit,
      kit: { ...kit.kit, lines: [line] },
      list: { ...list.list, needs: list.list.needs.map((n) => ({ ...n, accept })) },
      doubts: { L1: { confidence: 0.5, alternatives: ["own-strap", "gauze-pad"] } },
    },
    { ...newKit("s", "Box, second look", brief.id), secondOf: kit.id },
    list,
    itemTypeRecord(strap(label)),
    barcodeRecord({ gtin: "04012345678901", itemType: "own-strap" }),
    photoRecord("p", { kitId: kit.id, name: "x", dataUrl: "data:image/png;base64,AA" }),
    setRecord("t", { title: "two", judgedBy: kit.id, members: [{ kit: "kit:s", count: 1 }] }),
    { ...DEFAULT_SETTINGS, currency: "USD" },
    priceBookRecord({
      ...PRICE_BOOK,
      products: [{ ...PRICE_BOOK.products[0]!, itemType: "own-strap" }],
    }),
  ];
}

const exported = (records: Iterable<WorkspaceRecord>) =>
  parseWorkspace(JSON.parse(writeWorkspace([...records])), CATALOGUE);

describe("taking records in", () => {
  it("takes the same content only once", () => {
    const here = shelf(crowded("strap"));
    expect(takeIn(crowded("strap"), here, newKey)).to.deep.equal([]);
  });

  it("renames what is taken, and every mention of it", () => {
    const here = shelf(crowded("strap"));
    const theirs = crowded("another strap").map((r) =>
      r.kind === "brief" ? { ...r, brief: { ...r.brief, people: 7 } } : r,
    );
    const taken = takeIn(theirs, here, newKey);
    const [brief] = of(taken, "brief");
    const kits = of(taken, "kit");
    const first = kits.find((k) => k.secondOf === undefined)!;
    const second = kits.find((k) => k.secondOf !== undefined)!;
    expect(brief!.id).to.not.equal("brief:b");
    expect(kits.map((k) => k.briefId)).to.deep.equal([brief!.id, brief!.id]);
    expect(second.secondOf).to.equal(first.id);
    expect(of(taken, "photo")[0]!.kitId).to.equal(first.id);
    expect(of(taken, "set")[0]).to.deep.include({ judgedBy: first.id });
    expect(of(taken, "set")[0]!.members[0]!.kit).to.equal(second.id);
    // The other definition of the same id is a type of its own, wherever it is named.
    expect(of(taken, "itemType")[0]!.itemType).to.deep.include({
      id: "own-strap-2",
      label: "another strap",
    });
    expect(first.kit.lines[0]!.itemType).to.equal("own-strap-2");
    expect(first.list.needs[0]!.accept![0]!.itemType).to.equal("own-strap-2");
    expect(first.doubts["L1"]!.alternatives).to.deep.equal(["own-strap-2", "gauze-pad"]);
    expect(brief!.brief.carriedElsewhere![0]!.itemType).to.equal("own-strap-2");
    for (const r of here.values()) expect(taken.map((t) => t.id)).to.not.include(r.id);
  });

  it("offers settings and a price book, and puts neither in use", () => {
    const taken = takeIn(crowded("strap"), shelf([newBrief("x")]), newKey);
    const offers = taken.filter((r) => isOffer(r.id)).map((r) => r.kind);
    expect(offers).to.have.members(["settings", "priceBook"]);
    expect(inUse(taken, "settings")).to.deep.equal([]);
    // On an empty shelf there is nothing that they could take over from.
    expect(takeIn(crowded("strap"), new Map(), newKey).filter((r) => isOffer(r.id))).to.deep.equal(
      [],
    );
  });

  it("a barcode that means something else here is offered; an equal one is left out", () => {
    const mine = barcodeRecord({ gtin: "04012345678901", itemType: "gauze-pad" });
    const taken = takeIn(crowded("strap"), shelf([mine]), newKey);
    const [code] = of(taken, "barcode");
    expect(isOffer(code!.id)).to.equal(true);
    expect(code!.itemType).to.equal("own-strap");
  });

  it("whatever was taken in, in any order and number, everything exported is imported again", () => {
    const sources = [
      () => crowded("strap"),
      () => crowded("another"),
      () => crowded("a third"),
      demoRecords,
      () => [newBrief("b"), newKit("k", "Bag", "brief:b")],
    ];
    fc.assert(
      fc.property(fc.array(fc.nat(sources.length - 1), { maxLength: 6 }), (order) => {
        const here = new Map<string, WorkspaceRecord>();
        for (const i of order)
          for (const r of takeIn(sources[i]!(), here, newKey)) here.set(r.id, r);
        const read = exported(here.values());
        if (!read.ok) throw new Error(JSON.stringify(read.problems));
        expect(read.value.records.length).to.equal(here.size);
        expect(read.value.mended).to.deep.equal([]);
        // And into a browser that has it all already, nothing comes twice.
        expect(takeIn(read.value.records, here, newKey)).to.deep.equal([]);
      }),
      { numRuns: 60 },
    );
  });

  it("a workspace of an earlier version with one id for two own types is told apart, and it is said", () => {
    const records = [
      { ...itemTypeRecord(strap("one")), id: "itemType:a" },
      { ...itemTypeRecord(strap("two")), id: "itemType:b" },
    ];
    const read = exported(records);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    // The last record by id was looked up, so it keeps the name.
    expect(
      of(read.value.records, "itemType").map((r) => [r.itemType.label, r.itemType.id]),
    ).to.have.deep.members([
      ["two", "own-strap"],
      ["one", "own-strap-2"],
    ]);
    expect(problemText(read.value.mended[0]!)).to.match(/twice/);
  });
});
