import { expect } from "chai";
import { ClassState } from "../../src/lib/state/pages/class.svelte.ts";
import { DrillState } from "../../src/lib/state/pages/drill.svelte.ts";
import { TakingState } from "../../src/lib/state/pages/taking.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf } from "./open.ts";

const fileOf = (name: string, text: string): File => new File([text], name);

/** An instructor at work: an exercise made of the demo's crew box. */
async function made(change: (room: ClassState) => void = () => undefined): Promise<ClassState> {
  const room = new ClassState();
  room.kitId = CREW_BOX;
  room.passphrase = "orchard ladder";
  room.faults = 5;
  change(room);
  await room.make();
  return room;
}
/** A student who answers as the key has it on so many faults. */
async function handedBack(
  room: ClassState,
  student: string,
  faults: number,
  paper = 0,
): Promise<File> {
  const taking = new TakingState();
  await taking.open(fileOf("e.json", room.made[paper]!.exercise));
  taking.student = student;
  for (const f of room.made[paper]!.key.faults.slice(0, faults)) {
    taking.at = taking.lines.findIndex((l) => l.id === f.line);
    taking.answer(f.verdict, f.kind);
  }
  return fileOf(`${student}.json`, await taking.result());
}

describe("the instructor's page", () => {
  beforeEach(() => demoShelf());

  it("makes an exercise; results are marked, taken twice counts once, a cut one is refused by name", async () => {
    const room = await made();
    expect(room.made[0]!.slips).to.have.length(7);
    const [four, one] = [await handedBack(room, "4", 4), await handedBack(room, "1", 1)];
    await room.take([four, one, four, fileOf("cut.json", "{")]);
    expect(room.summary!.students.map((s) => [s.id, s.found.length])).to.deep.equal([
      ["4", 4],
      ["1", 1],
    ]);
    expect(room.refused.map((r) => r.file)).to.deep.equal(["cut.json"]);
    expect(room.table()[1]!.slice(0, 3)).to.deep.equal(["4", 4, 1]);
    expect(JSON.stringify(room.sheetOf("1"))).to.include("What you missed, and how one sees it");
    expect(room.nameOf("brief")).to.equal("the outing");
  });

  it("a second run is set beside the first; another kit's key begins anew", async () => {
    const room = await made();
    await room.take([await handedBack(room, "a", 1), await handedBack(room, "b", 2)]);
    await room.take([await handedBack(room, "a", 4), await handedBack(room, "b", 4)], "again");
    expect(room.runs!.gain!.mean).to.be.closeTo((3 / 5 + 2 / 5) / 2, 1e-9);
    const other = new ClassState();
    await other.showDemo();
    expect(other.results).to.have.length(24);
    const { exercise, key } = { exercise: room.made[0]!.exercise, key: room.made[0]!.keyText };
    room.passphrase = "wrong";
    await room.take([fileOf("e.json", exercise)]);
    expect(room.refused[0]!.why).to.include("passphrase");
    await room.take([fileOf("k.json", key)]);
    expect(room.results).to.have.length(2);
  });

  it("several papers: each student is marked by her own; by hand and trap are in all of them", async () => {
    const room = await made((r) => {
      r.papers = 2;
      r.briefTrap = true;
      const first = r.plantable[0]!;
      r.picked = { [first.line]: first.kinds[0]!.id };
    });
    expect(room.made).to.have.length(2);
    for (const p of room.made) expect(p.key.faults.map((f) => f.line)).to.include("brief");
    expect(room.made[0]!.key.exercise).to.not.equal(room.made[1]!.key.exercise);
    await room.take([await handedBack(room, "x", 6, 0), await handedBack(room, "y", 3, 1)]);
    expect(room.summary!.students.map((s) => s.found.length)).to.deep.equal([6, 3]);
    expect(JSON.stringify(room.realKit(room.made[0]!))).to.include("answer card");
  });

  it("what cannot be made is said, with what to do", async () => {
    await made((r) => (r.faults = 39));
    expect(workspace.message!.text).to.match(/room for \d+ such faults/);
    await made((r) => {
      r.meshes = ["usable"];
      r.hardest = 1;
      r.faults = 12;
    });
    expect(workspace.message!.problem).to.equal(true);
  });
});

describe("practising alone", () => {
  beforeEach(() => demoShelf());

  it("a named thing is kept with its day, comes again later when right, and undo takes it back", () => {
    let now = Date.UTC(2026, 10, 26, 9);
    const drill = new DrillState(() => new Date(now));
    drill.next();
    const { card, right } = drill.question!;
    now += 5000;
    drill.name(right);
    expect(drill.said).to.equal(right);
    // Said once: a second word does not count.
    drill.name("f-past");
    expect(drill.record.answers).to.deep.include({
      at: "2026-11-26T09:00:05.000Z",
      card,
      mesh: drill.cards.find((c) => c.id === card)!.mesh,
      right: true,
      seconds: 5,
    });
    expect(drill.record.answers).to.have.length(1);
    expect(drill.record.cards[card]!.due > "2026-11-26T09:00:05").to.equal(true);
    expect(drill.weeks[0]!.from).to.equal("2026-11-23");
    workspace.undo();
    expect(drill.record.answers).to.deep.equal([]);
  });

  it("a round counts right and wrong, waits after a wrong one, and ends when nothing can be asked", () => {
    const drill = new DrillState(() => new Date(Date.UTC(2026, 10, 26, 9)));
    drill.choose("padding");
    drill.start();
    drill.say(drill.round!.right[0]!);
    expect([drill.right, drill.asked]).to.deep.equal([1, 1]);
    const asked = drill.round!;
    drill.say(asked.options.find((o) => !asked.right.includes(o.id))!.id);
    expect([drill.right, drill.asked]).to.deep.equal([1, 2]);
    expect(drill.round).to.equal(asked);
    drill.goOn();
    expect(drill.round).to.not.equal(asked);
    drill.stop();
    expect(drill.left).to.equal(null);
    for (const d of ["date", "estimate", "find"] as const) {
      drill.choose(d);
      drill.kitId = CREW_BOX;
      drill.start();
      expect(drill.round!.options.length, d).to.be.within(2, 4);
      drill.stop();
    }
    // An empty kit has nothing to find.
    drill.kitId = workspace.addKit("Empty");
    drill.choose("find");
    drill.start();
    expect(drill.left).to.equal(null);
  });
});
