import { expect } from "chai";
import { LogState } from "../../src/lib/state/pages/log.svelte.ts";
import { ServiceState } from "../../src/lib/state/pages/service.svelte.ts";
import { BenchState } from "../../src/lib/state/pages/bench.svelte.ts";
import { ownEvents } from "../../src/lib/state/kit.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf, kitState, SHED_BOX } from "./open.ts";

const events = () => workspace.kit(SHED_BOX)!.events!;
const line = (id: string) => kitState(SHED_BOX).lines.find((l) => l.id === id)!;

describe("a kit in service", () => {
  beforeEach(() => demoShelf(true));

  it("is changed by events of today, its first state stays; undo takes them back", () => {
    const kit = kitState(SHED_BOX);
    const before = events().length;
    kit.updateLine("y20", "count", { counted: 1 }, "counted");
    expect(line("y20").counted).to.equal(1);
    expect(workspace.kit(SHED_BOX)!.kit.lines.find((l) => l.id === "y20")!.counted).to.equal(2);
    expect(events().at(-1)).to.deep.include({ kind: "counted", on: "2026-11-26" });
    workspace.undo();
    expect(events().length).to.equal(before);
    expect(line("y20").counted).to.equal(2);
  });

  it("keeps several answers on one item as one look, until the log was handed on", () => {
    const bench = new BenchState(kitState(SHED_BOX), "y1");
    const before = events().length;
    bench.answer(bench.points[1]!.id, false);
    bench.answer(bench.points[0]!.id, true);
    expect(events().length).to.equal(before + 1);
    expect(line("y1").failedPoints).to.deep.equal([bench.points[1]!.id]);
    ownEvents.clear();
    bench.answer(bench.points[1]!.id, true);
    expect(events().length).to.equal(before + 2);
    expect(line("y1").failedPoints).to.deep.equal([]);
  });

  it("a line counted again on the same day takes the earlier count back", () => {
    const kit = kitState(SHED_BOX);
    kit.updateLine("y20", "count", { counted: 1 });
    kit.updateLine("y2", "count", { counted: 0 });
    kit.updateLine("y20", "count", { counted: 2 });
    expect(line("y20").counted).to.equal(2);
    expect(new LogState(kit).problems).to.deep.equal([]);
  });

  it("fills up from a store: that one less, this one more, in one step", () => {
    workspace.edit("store", [{ ...workspace.kit(CREW_BOX)!, isStore: true }]);
    const log = new LogState(kitState(SHED_BOX));
    const gloves = log.deficits.find((d) => d.line === "y5")!;
    const [store] = log.stores;
    const [stock] = log.inStore(store!, "nitrile-gloves");
    expect(stock!.counted).to.equal(2);
    expect(log.fromStore(store!, gloves)).to.equal(2);
    expect(log.inStore(workspace.kit(CREW_BOX)!, "nitrile-gloves")).to.deep.equal([]);
    expect(log.deficits.find((d) => d.line === "y5")!.pieces).to.equal(1);
    workspace.undo();
    expect(log.deficits.find((d) => d.line === "y5")!.pieces).to.equal(3);
    expect(log.inStore(workspace.kit(CREW_BOX)!, "nitrile-gloves")[0]!.counted).to.equal(2);
  });

  it("moves pieces into another kit, with their date; taking that back mends both", () => {
    const shed = new LogState(kitState(SHED_BOX));
    const crew = () => new LogState(kitState(CREW_BOX)).kit;
    const plasters = shed.kit.lines.find((l) => l.itemType === "adhesive-strip")!;
    const pieces = () => crew().lines.reduce((n, l) => n + (l.counted ?? 0), 0);
    const before = pieces();
    shed.moveTo(workspace.kit(CREW_BOX)!, plasters.id, 1, { note: "for the van" });
    expect(pieces()).to.equal(before + 1);
    expect(new LogState(kitState(CREW_BOX)).events[0]).to.include({
      kind: "moved",
      from: shed.kit.record!.kit.name,
      note: "for the van",
    });
    const [moved] = shed.events;
    expect(moved).to.include({ kind: "moved", to: crew().record!.kit.name });
    shed.takeBack(moved!);
    expect(pieces()).to.equal(before);
    workspace.undo();
    workspace.undo();
    expect(pieces()).to.equal(before);
    expect(shed.events).to.not.deep.include(moved);
  });

  it("says what the kit can do no more once things were taken", () => {
    const log = new LogState(kitState(SHED_BOX));
    expect(log.take(new Map([["y33", 2]]), "eyes")).to.deep.equal([
      "Flush an eye: 35 % of what is asked",
    ]);
    expect(log.take(new Map([["y22", 2]]), "practice").at(0)).to.match(/^Flush an eye: no more/);
  });

  it("takes in a table of events, and refuses what is none", () => {
    const log = new LogState(kitState(SHED_BOX));
    log.takeIn("id,on,kind,what,line,pieces\nz1,2026-11-20,used,burns,y16,1\n", "log.csv");
    expect(workspace.message!.text).to.match(/^1 event came in/);
    expect(events().some((e) => e.id === "z1")).to.equal(true);
    log.takeIn("id,on,kind,what,line,pieces\nz1,2026-11-20,used,burns,y16,1\n", "log.csv");
    expect(workspace.message!.text).to.match(/^Nothing new came in; 1 were here already/);
    const before = events().length;
    log.takeIn("{", "broken.json");
    log.takeIn(JSON.stringify({ records: [] }), "another.json");
    expect(workspace.message!.problem).to.equal(true);
    expect(events().length).to.equal(before);
  });

  it("stands first of all kits where most is to be put back; a recall goes to each that holds it", () => {
    const service = new ServiceState();
    expect(service.rows[0]!.k.id).to.equal(SHED_BOX);
    expect(service.rows[0]!).to.deep.include({ toPutBack: 5, checked: "2026-11-18" });
    const hit = service.withLot("triangular-bandage", "").map((h) => h.k.id);
    expect(hit).to.include.members([SHED_BOX, CREW_BOX]);
    expect(service.recall("triangular-bandage", "", "tears")).to.equal(hit.length);
    expect(line("y18").condition).to.equal("failed");
    workspace.undo();
    expect(line("y18").condition).to.not.equal("failed");
  });
});
