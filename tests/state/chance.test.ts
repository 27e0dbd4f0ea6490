import { expect } from "chai";
import { schoolsEffect } from "../../src/lib/core/audit/schoolsEffect.ts";
import { LastState } from "../../src/lib/state/pages/last.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf, kitState, SHED_BOX } from "./open.ts";

const PLASTERS = "small-wound-cover";
const asked = (functionId = PLASTERS): number =>
  kitState().audit.context.needs.find((n) => n.need.function === functionId)!.required;

describe("quantities by chance, on the shelf", () => {
  beforeEach(() => demoShelf(true));

  it("one click asks by chance, kept with the kit; undo asks by the list again", () => {
    const byList = asked();
    const kit = kitState();
    new LastState(kit).quantitiesBy(0.99);
    const kept = workspace.kit(CREW_BOX)!.byChance!;
    const need = kit.record!.list.needs.find((n) => n.function === PLASTERS)!;
    expect(asked()).to.equal(kept.enough[need.id]!["99"]).and.not.equal(byList);
    workspace.undo();
    expect(workspace.kit(CREW_BOX)!.byChance).to.equal(undefined);
    expect(asked()).to.equal(byList);
  });

  it("another answer in the brief works them out anew, in the same step that undo takes back", () => {
    const kit = kitState();
    new LastState(kit).quantitiesBy(0.95);
    const before = workspace.kit(CREW_BOX)!.byChance!;
    const few = asked();
    kit.updateBrief("people", { people: 5 * kit.brief.people });
    const after = workspace.kit(CREW_BOX)!.byChance!;
    expect(after.inputs).to.not.equal(before.inputs);
    expect(asked()).to.be.above(few);
    workspace.undo();
    expect(workspace.kit(CREW_BOX)!.byChance).to.deep.equal(before);
    expect(asked()).to.equal(few);
  });

  it("before it is followed the page says what it would make of the kit", () => {
    const kit = kitState();
    const effect = schoolsEffect(kit.bothWays, workspace.today, kit.audit);
    const chance = effect.find((e) => e.option === "chance")!;
    expect(chance.followed).to.equal(false);
    new LastState(kit).quantitiesBy(0.95);
    expect(kitState().audit.coverage).to.be.closeTo(chance.coverage!, 1e-12);
  });

  it("rates that the log taught say since when", () => {
    const kit = kitState(SHED_BOX);
    const last = new LastState(kit);
    last.takeLearned();
    expect(last.incidents.learnedOn).to.equal("2026-11-26");
    expect(last.own).to.equal(true);
    last.reset();
    expect(last.incidents.learnedOn).to.equal(undefined);
  });
});
