import { expect } from "chai";
import { BenchState } from "../../src/lib/state/pages/bench.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { demoShelf, kitState } from "./open.ts";

describe("the bench", () => {
  beforeEach(demoShelf);
  const uninspected = (bench: BenchState) =>
    bench.kit.lines.find((l) => l.condition === undefined && l.failedPoints === undefined)!;

  it("begins with the first item, and stops at both ends", () => {
    const bench = new BenchState(kitState(), null);
    expect(bench.at).to.equal(0);
    bench.go(-1);
    expect(bench.at).to.equal(0);
    bench.go(1);
    expect(bench.at).to.equal(1);
    bench.go(1000);
    expect(bench.at).to.equal(bench.order.length - 1);
  });

  it("an item is sound only when every point was good, and the next one comes then", () => {
    const bench = new BenchState(kitState(), null);
    const { id } = uninspected(bench);
    bench.picked = id;
    const points = bench.points.map((p) => p.id);
    expect(points.length).to.be.greaterThan(1);
    for (const [k, point] of points.entries()) {
      expect(bench.nextPoint?.id).to.equal(point);
      expect(bench.complete, `before point ${k + 1}`).to.equal(false);
      bench.answer(point, true);
    }
    expect(bench.line?.id).to.not.equal(id);
    const line = bench.kit.lines.find((l) => l.id === id)!;
    expect(line).to.deep.include({ failedPoints: [], checkedOn: "2026-11-26" });
    expect(line.okPoints).to.equal(undefined);
  });

  it("a failed point counts at once, stays on the item, and can be taken back", () => {
    const bench = new BenchState(kitState(), null);
    bench.picked = uninspected(bench).id;
    const [first] = bench.points;
    bench.answer(first!.id, false);
    expect(bench.line?.failedPoints).to.deep.equal([first!.id]);
    bench.answer(first!.id, true);
    expect(bench.failed).to.deep.equal([]);
    expect(bench.line?.okPoints).to.deep.equal([first!.id]);
  });

  it("all sound takes the claim for the count unless it was counted", () => {
    const bench = new BenchState(kitState(), null);
    const line = bench.kit.lines.find((l) => l.counted === undefined && l.claimed !== undefined)!;
    bench.picked = line.id;
    bench.restIsSound();
    expect(bench.kit.lines.find((l) => l.id === line.id)).to.deep.include({
      counted: line.claimed,
      failedPoints: [],
    });
    workspace.undo();
    expect(bench.kit.lines.find((l) => l.id === line.id)!.counted).to.equal(undefined);
  });

  it("asks which kind it is before it goes on, and begins the inspection of that kind", () => {
    const kit = kitState(workspace.addKit("Canoe"));
    const strap = { id: "L1", itemType: "phlebotomy-strap", text: "1 tourniquet", claimed: 1 };
    kit.update("read", (r) => ({
      ...r,
      kit: { ...r.kit, lines: [strap, { id: "L2", itemType: "whistle", claimed: 1 }] },
      doubts: { L1: { confidence: 0.8, alternatives: [], open: "tourniquet" } },
    }));
    const bench = new BenchState(kit, null);
    expect(bench.openName?.ask).to.equal("Which tourniquet is it?");
    for (const p of bench.points) bench.answer(p.id, true);
    expect(bench.line!.id, "stays until it is said").to.equal("L1");
    bench.choose("windlass-tourniquet");
    expect(bench.openName).to.equal(undefined);
    expect(bench.line).to.deep.include({ id: "L1", itemType: "windlass-tourniquet" });
    expect(bench.complete, "none of its points was looked at").to.equal(false);
    expect(bench.nextPoint?.id).to.equal("not-a-trainer");
    workspace.undo();
    expect(bench.openName, "undone, it is asked again").to.not.equal(undefined);
  });

  it("takes date and lot off a scanned code, and learns what it is", () => {
    const bench = new BenchState(kitState(), null);
    const line = bench.line!;
    // (01) GTIN with a right check digit, (17) 31 May 2027, (10) lot A7.
    bench.scanned("(01)04012345678901(17)270531(10)A7");
    expect(bench.line).to.deep.include({ expires: "2027-05-31", lot: "A7" });
    expect(workspace.barcodes.map((b) => [b.gtin, b.itemType])).to.deep.equal([
      ["04012345678901", line.itemType],
    ]);
    // The same code on a thing of another kind is refused, with both names.
    const other = bench.order.find((l) => l.itemType !== line.itemType && l.itemType !== null)!;
    bench.picked = other.id;
    bench.scanned("(01)04012345678901(10)B8");
    expect(workspace.message).to.deep.include({ problem: true });
    expect(bench.line?.lot).to.equal(undefined);
  });

  it("goes through the places in turn, and takes the date of the item before", () => {
    const bench = new BenchState(kitState(), null);
    const dated = bench.order.findIndex((l) => l.expires && l.expires !== "none");
    const next = bench.order[dated + 1]!;
    bench.picked = next.id;
    bench.sameDate();
    expect(bench.line?.expires).to.equal(bench.order[dated]!.expires);
    const before = bench.line!.location;
    for (let i = 0; i < 5; i++) bench.nextPlace();
    expect(bench.line!.location).to.equal(before ?? "other-bag");
  });
});
