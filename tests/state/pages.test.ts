import { expect } from "chai";
import { CompareState } from "../../src/lib/state/pages/compare.svelte.ts";
import { ListState } from "../../src/lib/state/pages/list.svelte.ts";
import {
  CardPicturesState,
  doubtfulWords,
  WrapperState,
} from "../../src/lib/state/pages/pictures.svelte.ts";
import { PictureProblem } from "../../src/lib/core/picture/opening.ts";
import { SecondState } from "../../src/lib/state/pages/second.svelte.ts";
import { SieveState } from "../../src/lib/state/pages/sieve.svelte.ts";
import { sortRows } from "../../src/lib/state/pages/sortRows.ts";
import { UnpackState } from "../../src/lib/state/pages/unpack.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { PERSONAL_DAY } from "../../src/lib/data/lists/personalDay.ts";
import { KitState } from "../../src/lib/state/kit.svelte.ts";
import { DirectReader, readsCards } from "./directReader.ts";
import { CREW_BOX, demoShelf, kitState } from "./open.ts";

describe("unpacking", () => {
  readsCards();
  let unpack: UnpackState;
  beforeEach(async () => {
    await demoShelf();
    unpack = new UnpackState(kitState(workspace.addKit("Empty")));
  });

  it("reads a card as it is typed, and says which lines are doubtful first", async () => {
    await unpack.read("10 sterile gauze pads\n2 zonk wraps");
    expect(unpack.kit.lines.map((l) => [l.itemType, l.claimed])).to.deep.equal([
      ["gauze-pad", 10],
      [null, 2],
    ]);
    expect(unpack.lines[0]!.itemType).to.equal(null);
  });

  it("has a card's text at once, its lines when they are read, and of a text that has changed since none", async () => {
    const first = unpack.read("1 whistle\n2 eye pads");
    expect([unpack.cardText, unpack.kit.lines.length]).to.deep.equal(["1 whistle\n2 eye pads", 0]);
    expect(unpack.isUnderWay).to.equal(true);
    const second = unpack.read("3 whistles");
    await Promise.all([first, second]);
    expect(unpack.isUnderWay).to.equal(false);
    expect(unpack.kit.lines.map((l) => [l.itemType, l.claimed])).to.deep.equal([["whistle", 3]]);
  });

  it("takes text and lines back in one step", async () => {
    await unpack.read("3 whistles");
    workspace.undo();
    expect([unpack.cardText, unpack.kit.lines.length]).to.deep.equal(["", 0]);
    workspace.redo();
    expect([unpack.cardText, unpack.kit.lines.length]).to.deep.equal(["3 whistles", 1]);
  });

  it("makes no lines of a text that was taken back while it was read", async () => {
    const done = unpack.read("3 whistles");
    workspace.undo();
    await done;
    expect([unpack.cardText, unpack.kit.lines.length]).to.deep.equal(["", 0]);
  });

  it("keeps the text where reading is stopped, and reads it when asked again", async () => {
    const done = unpack.read("3 whistles");
    unpack.stop();
    await done;
    expect([unpack.cardText, unpack.kit.lines.length]).to.deep.equal(["3 whistles", 0]);
    expect([DirectReader.all.at(-1)!.ended, unpack.isUnderWay]).to.deep.equal([true, false]);
    await unpack.read("3 whistles", true);
    expect(unpack.kit.lines.length).to.equal(1);
  });

  it("takes the lines away with the text, but for those somebody worked on", async () => {
    await unpack.read("3 whistles\n2 eye pads");
    unpack.kit.updateLine(unpack.kit.lines[0]!.id, "count", { counted: 2 });
    await unpack.read(" ");
    expect(unpack.kit.lines.map((l) => [l.itemType, l.counted])).to.deep.equal([["whistle", 2]]);
  });

  it("tells the reader what corrections have taught when that changes, not with every text", async () => {
    await unpack.read("- 2 zonk wraps\n- 3 safety pins");
    const { asked } = DirectReader.all.at(-1)!;
    const before = asked.length;
    await unpack.read("- 2 zonk wraps\n- 4 safety pins");
    unpack.chooseType(unpack.kit.lines[0]!, "cohesive-wrap");
    await unpack.read("- 4 zonk wraps");
    await unpack.read("- 5 zonk wraps");
    expect(asked.slice(before).map((a) => a.is)).to.deep.equal(["read", "know", "read", "read"]);
  });

  it("says so where the reader cannot start, and keeps the text", async () => {
    DirectReader.all.at(-1)!.onerror!({ message: "no memory" } as ErrorEvent);
    globalThis.Worker = function () {
      throw new Error("no memory");
    } as unknown as typeof Worker;
    await unpack.read("3 whistles");
    globalThis.Worker = DirectReader as unknown as typeof Worker;
    expect(workspace.message!.text).to.equal(
      "The card could not be read: no memory. Its text is kept; its lines are as they were.",
    );
    expect([unpack.cardText, unpack.isUnderWay]).to.deep.equal(["3 whistles", false]);
  });

  it("remembers what a thing is called, and reads it so the next time", async () => {
    await unpack.read("- 2 zonk wraps\n- 3 safety pins");
    unpack.chooseType(unpack.kit.lines[0]!, "cohesive-wrap");
    await unpack.read("- 4 zonk wraps\n- 1 whistle");
    expect(unpack.kit.lines.map((l) => l.itemType)).to.deep.equal(["cohesive-wrap", "whistle"]);
  });

  it("asks again which one it is where a name leaves the kind open, and remembers no answer", async () => {
    await unpack.read("- 1 tourniquet\n- 3 safety pins");
    const line = unpack.kit.lines[0]!;
    expect([line.itemType, unpack.doubts[line.id]?.open]).to.deep.equal([
      "phlebotomy-strap",
      "tourniquet",
    ]);
    unpack.chooseType(line, "windlass-tourniquet");
    expect(unpack.kit.lines[0]!.itemType).to.equal("windlass-tourniquet");
    expect(unpack.doubts[line.id]).to.equal(undefined);
    expect(workspace.aliases).to.deep.equal([]);
  });

  it("learns what a pack holds, says since when, and forgets it", async () => {
    await unpack.read("- 2 boxes of plasters\n- 3 safety pins");
    unpack.setClaimed(unpack.kit.lines[0]!, "plasters", 80);
    await unpack.read("- 3 boxes of plasters\n- 1 whistle");
    const line = unpack.kit.lines.find((l) => l.itemType === "adhesive-strip")!;
    expect(line.claimed).to.equal(120);
    expect(unpack.learned(line)).to.deep.equal([{ what: "pack", on: workspace.today }]);
    workspace.edit("forget", [], [workspace.habitRecords[0]!.id]);
    await unpack.read("- 3 boxes of plasters\n- 1 whistle\n");
    expect(unpack.kit.lines.find((l) => l.itemType === "adhesive-strip")!.claimed).to.equal(3);
  });

  it("tells three states of the card's lines, and makes one of what was left out", async () => {
    await unpack.read("Box of the shed:\n- 10 sterile gauze pads\n- 2 zonk wraps\n- 3 safety pins");
    expect(unpack.states).to.deep.equal({ sure: 2, look: 1, unread: 1 });
    unpack.addFromCard(1);
    expect(unpack.kit.lines.at(-1)).to.deep.include({
      text: "Box of the shed:",
      cardLine: 1,
      claimed: 1,
      byHand: true,
    });
  });

  it("asks what the columns are, and reads the card as told", async () => {
    const rows = "Eye pads   4   3\nWhistles   2   2\nSafety pins   12   10\nTorch   2   1";
    await unpack.read(`My box\n\n${rows}`);
    expect(unpack.columnsUnclearAt).to.equal(3);
    await unpack.askColumns();
    expect(workspace.columns!.guess.rows[0]).to.deep.equal(["Eye pads", "4", "3"]);
    expect(workspace.columns!.around).to.deep.equal(["My box\n", ""]);
    workspace.columns = null;
  });

  it("seeks such columns in a card that was read before, once", async () => {
    const other = new UnpackState(kitState(workspace.addKit("Other")));
    const rows = "Eye pads   4   3\nWhistles   2   2\nSafety pins   12   10\nTorch   2   1";
    await unpack.read(`My box\n\n${rows}`);
    await other.read("1 whistle");
    expect(unpack.columnsUnclearAt).to.equal(null);
    const { asked } = DirectReader.all.at(-1)!;
    const before = asked.length;
    await unpack.seekColumns();
    await unpack.seekColumns();
    expect(unpack.columnsUnclearAt).to.equal(3);
    expect(asked.slice(before).map((a) => a.is)).to.deep.equal(["columns"]);
  });

  it("waits to be asked with a very long card", async () => {
    const long = Array.from({ length: 900 }, (_, i) =>
      i % 2 ? "" : `- ${i + 1} sterile gauze pads of the shed, by the door`,
    );
    await unpack.read(long.join("\n"));
    expect([unpack.long, unpack.kit.lines.length]).to.deep.equal([true, 0]);
    await unpack.read(long.join("\n"), true);
    expect(unpack.kit.lines.length).to.equal(450);
  });

  it("splits a line in two of its kind, and merges them again", async () => {
    await unpack.read("10 sterile gauze pads");
    unpack.split(unpack.kit.lines[0]!);
    const [first, second] = unpack.kit.lines;
    expect(second).to.deep.include({ itemType: "gauze-pad", claimed: 0, counted: 0 });
    expect(unpack.twin(second!)).to.equal(first);
    expect(unpack.twin(first!)).to.equal(undefined);
    unpack.merge(second!, first!);
    expect(unpack.kit.lines.map((l) => l.claimed)).to.deep.equal([10]);
  });

  it("lays a line into a compartment, with how fast one gets at it there", () => {
    const box = new UnpackState(kitState());
    const line = box.kit.lines[0]!;
    const main = box.compartments.find((c) => c.place === "bottom")!;
    box.lay(line, main.id);
    expect(box.kit.lines[0]).to.deep.include({ compartment: main.id, location: "bottom" });
  });
});

describe("pictures of a card", () => {
  readsCards();
  const page = (lines: string[]) => ({
    text: {
      lines,
      words: lines.flatMap((text, line) =>
        [...text.matchAll(/\S+/g)].map((m) => ({
          text: m[0],
          confidence: m[0] === "pads" ? 0.4 : 0.95,
          box: { x0: m.index, x1: m.index + m[0].length, y0: line, y1: line + 1 },
          line,
          from: m.index,
          to: m.index + m[0].length,
        })),
      ),
    },
    picture: "data:image/jpeg;base64,AA==",
    width: 100,
    height: 100,
  });
  const file = (name: string) => new File(["x"], name);
  beforeEach(demoShelf);

  it("add their text below what the card says, and stand beside it with their words", async () => {
    const kit = kitState(workspace.addKit("Empty"));
    const unpack = new UnpackState(kit);
    await unpack.read("1 whistle");
    let read: Promise<void> | undefined;
    const cards = new CardPicturesState(
      kit,
      (text) => (read = unpack.read(text, true)),
      () => Promise.resolve([page(["2 eye pads"]), page(["3 safety pins"])]),
    );
    await cards.take([file("card.pdf")]);
    await read;
    expect(unpack.cardText).to.equal("1 whistle\n\n2 eye pads\n\n3 safety pins");
    expect(kit.lines.map((l) => [l.itemType, l.claimed])).to.deep.equal([
      ["whistle", 1],
      ["eye-pad", 2],
      ["safety-pin", 3],
    ]);
    expect(cards.pictures.map((p) => [p.name, p.seen!.cardLine])).to.deep.equal([
      ["card.pdf, page 1", 3],
      ["card.pdf, page 2", 5],
    ]);
    expect(doubtfulWords(cards.pictures[0]!)).to.deep.equal([{ text: "pads", cardLine: 3 }]);
    cards.remove(cards.pictures[0]!.id);
    expect(cards.pictures.length).to.equal(1);
    expect(kit.lines.length).to.equal(3);
  });

  it("take nothing when they are stopped, cannot be read, or hold no words", async () => {
    const kit = kitState(workspace.addKit("Empty"));
    const taken: string[] = [];
    const with_ = (read: ConstructorParameters<typeof CardPicturesState>[2]) =>
      new CardPicturesState(kit, (text) => taken.push(text), read);
    const endless = with_(
      (_, { signal }) =>
        new Promise((_resolve, reject) =>
          signal.addEventListener("abort", () => reject(new Error("stopped"))),
        ),
    );
    const reading = endless.take([file("a.jpg")]);
    expect(endless.reading.running?.name).to.equal("a.jpg");
    endless.reading.cancel();
    await reading;
    expect(endless.reading.running).to.equal(null);
    await with_(() => Promise.reject(new PictureProblem("is locked"))).take([file("b.pdf")]);
    expect(workspace.message?.text).to.equal("b.pdf is locked. Nothing was taken from it.");
    await with_(() => Promise.resolve([page([])])).take([file("c.jpg")]);
    expect(workspace.message?.text).to.equal("No words were found on c.jpg.");
    expect(taken).to.deep.equal([]);
  });

  it("are not put into another kit that was opened meanwhile", async () => {
    let id = workspace.addKit("First");
    const kit = new KitState(() => id);
    const taken: string[] = [];
    const cards = new CardPicturesState(
      kit,
      (text) => taken.push(text),
      () => {
        id = workspace.addKit("Second");
        return Promise.resolve([page(["2 eye pads"])]);
      },
    );
    await cards.take([file("a.jpg")]);
    expect(taken).to.deep.equal([]);
  });

  it("several are read one after another; one that cannot be read leaves what was found", async () => {
    const texts: Record<string, string[]> = { "a.jpg": ["EXP 2028-05"], "b.jpg": ["EXP 2027-03"] };
    const wrappers = new WrapperState((f) => {
      const lines = texts[f.name];
      return lines ? Promise.resolve([page(lines)]) : Promise.reject(new PictureProblem("is none"));
    });
    await wrappers.take([file("a.jpg"), file("b.jpg"), file("c.jpg")]);
    expect(wrappers.read).to.equal(2);
    expect(wrappers.facts!.dates.map((d) => d.value.means[0])).to.deep.equal([
      "2027-03",
      "2028-05",
    ]);
    expect(workspace.message!.text).to.equal("c.jpg is none. Nothing was taken from it.");
    wrappers.clear();
    expect(wrappers.facts).to.equal(null);
  });
});

describe("the sieve's page", () => {
  beforeEach(demoShelf);
  it("tries a change without keeping it, then keeps it as one step", () => {
    const kit = kitState();
    const sieve = new SieveState(kit);
    const before = kit.audit.coverage;
    sieve.try({ kind: "school", rule: "dates", option: "tiered" }, "Dates: tiered");
    expect(sieve.audit.context.rules.dates).to.equal("tiered");
    expect(kit.audit.coverage).to.equal(before);
    sieve.keepTrials();
    expect(kit.record?.houseRules.dates).to.equal("tiered");
    expect(sieve.trials).to.deep.equal([]);
    workspace.undo();
    expect(kit.record?.houseRules.dates).to.equal(undefined);
  });
  it("shows first the need that decides the grade, and the tiers add up to coverage", () => {
    const sieve = new SieveState(kitState());
    const a = sieve.audit;
    expect(a.context.needs[sieve.shown!]!.need.id).to.equal(a.decidedBy!.need);
    const met = sieve.byTier.reduce((s, t) => s + t.met, 0);
    const weight = sieve.byTier.reduce((s, t) => s + t.weight, 0);
    expect(met / weight).to.be.closeTo(a.coverage!, 1e-12);
    expect(sieve.inspected).to.equal(kitState().lines.length - kitState().open.toInspect);
    sieve.mesh = "pan";
    a.needs.forEach((n, i) => expect(sieve.view.keep(i)).to.equal(n.restsOn === "pan"));
  });
});

describe("a second look", () => {
  beforeEach(demoShelf);
  it("is handed over unseen, and what is settled goes to both with who decided", () => {
    const looks = new SecondState(kitState());
    looks.who = "Ines";
    const id = looks.ask()!;
    const second = workspace.kit(id)!;
    expect(second).to.deep.include({ secondOf: CREW_BOX, inspector: "Ines" });
    expect(second.kit.lines.every((l) => l.counted === undefined)).to.equal(true);
    const line = looks.first!.kit.lines.find((l) => (l.counted ?? 0) > 1)!;
    workspace.edit("count", [
      {
        ...second,
        kit: {
          ...second.kit,
          lines: second.kit.lines.map((l) => (l.id === line.id ? { ...l, counted: 1 } : l)),
        },
      },
    ]);
    expect(looks.differences).to.deep.equal([{ line: line.id, what: "count" }]);
    looks.settle(line.id, "count", "second", "settle");
    expect(looks.differences).to.deep.equal([]);
    expect(looks.first!.kit.lines.find((l) => l.id === line.id)!.counted).to.equal(1);
    expect(looks.merged.at(-1)).to.deep.include({ took: "Ines", what: "count" });
  });
});

describe("a list's page", () => {
  let list: ListState;
  beforeEach(async () => {
    await demoShelf();
    const id = workspace.addList(PERSONAL_DAY);
    list = new ListState(() => id);
    list.open();
  });
  it("adds after the need picked, moves and takes out, each undone at once", () => {
    const ids = () => list.list!.needs.map((n) => n.id);
    const before = ids();
    list.selectedId = before[1]!;
    list.add();
    expect(ids()).to.deep.equal([...before.slice(0, 2), "need", ...before.slice(2)]);
    list.move(list.selected!, -1);
    expect(ids()[1]).to.equal("need");
    list.remove(list.selected!);
    expect(ids()).to.deep.equal(before);
    expect(list.selected!.id).to.equal(before[1]);
    workspace.undo();
    expect(ids()).to.include("need");
  });
  it("does not move past either end, and picks along the list", () => {
    const [first] = list.list!.needs;
    list.move(first!, -1);
    expect(list.list!.needs[0]).to.equal(first);
    list.select(1);
    expect(list.selected!.id).to.equal(list.list!.needs[1]!.id);
    list.select(-1);
    list.select(-1);
    expect(list.selected!.id).to.equal(first!.id);
  });
  it("counts its version up when a kit holds the one before, and brings the kit up to date", () => {
    const kit = workspace.kits[0]!;
    workspace.edit("judge", [{ ...kit, list: structuredClone(list.list!) }]);
    const [need] = list.list!.needs;
    list.changeNeed(need!.id, "ask more", { ...need!, quantity: { base: 9 } }, null);
    expect(list.list!.version).to.equal(2);
    expect(list.holders.map((k) => k.id)).to.deep.equal([kit.id]);
    list.updateKits();
    expect(workspace.kit(kit.id)!.list).to.deep.include({ version: 2 });
    expect(list.holders).to.deep.equal([]);
  });
});

describe("comparing", () => {
  beforeEach(demoShelf);
  it("judges all by the first kit until another is chosen, and leaves out what is left out", () => {
    const compare = new CompareState();
    expect(compare.contenders.length).to.equal(3);
    compare.left = { [CREW_BOX]: true };
    expect(compare.contenders.map((c) => c.id)).to.not.include(CREW_BOX);
    compare.judgeId = "kit:demo-bleed-pouch";
    expect(compare.judge!.list).to.deep.equal(workspace.kit("kit:demo-bleed-pouch")!.list);
  });
  it("makes a set of what is chosen", () => {
    const compare = new CompareState();
    compare.left = { "kit:demo-family-set": true };
    compare.makeSet();
    expect(workspace.sets[0]!.members.map((m) => m.kit)).to.deep.equal([
      "kit:demo-bleed-pouch",
      CREW_BOX,
    ]);
  });
  it("turns the order of the column that is sorted by, and begins cheap things at the cheap end", () => {
    const compare = new CompareState();
    compare.sort("price");
    expect([compare.sortBy, compare.down]).to.deep.equal(["price", false]);
    compare.sort("price");
    expect(compare.down).to.equal(true);
    compare.sort("coverage");
    expect(compare.down).to.equal(true);
  });
  it("what is not known comes last, whichever way it is sorted", () => {
    const rows = [{ v: 2 }, { v: null }, { v: 1 }];
    const of = (r: { v: number | null }) => r.v;
    expect(sortRows(rows, of, false).map(of)).to.deep.equal([1, 2, null]);
    expect(sortRows(rows, of, true).map(of)).to.deep.equal([2, 1, null]);
  });
});
