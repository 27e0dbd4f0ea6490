import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { compareRuns } from "../../src/lib/core/exercise/compareRuns.ts";
import { asSaid } from "../../src/lib/core/exercise/asSaid.ts";
import type { Answer, Held, KeyFile, Result } from "../../src/lib/core/exercise/exerciseFile.ts";
import { BRIEF_LINE, difficultyOf, FAULT_KINDS } from "../../src/lib/core/exercise/faultKinds.ts";
import { madeUpClass } from "../../src/lib/core/exercise/madeUpClass.ts";
import {
  asItShouldBe,
  makeExercise,
  plantable,
  type Made,
  type Wanted,
} from "../../src/lib/core/exercise/make.ts";
import { mark, summarise } from "../../src/lib/core/exercise/mark.ts";
import { markPlan, optimumRequest, planTask } from "../../src/lib/core/exercise/planTask.ts";
import { difficultyOfPaper, makeVariants } from "../../src/lib/core/exercise/variants.ts";
import { readExercise, sightOf, writeExercise } from "../../src/lib/core/exercise/write.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { contextOf } from "../../src/lib/core/sieve/context.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import {
  classBlocks,
  gainText,
  realKitBlocks,
  studentBlocks,
} from "../../src/lib/report/classBlocks.ts";
import { SIGHT_WORDS } from "../../src/lib/words/exerciseTexts.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { bookOf, product, realSolver } from "./planBuild.ts";

const records = demoRecords();
const crew = records.find((r) => r.id === "kit:demo-crew-box")!;
const brief = records.find((r) => r.id === "brief:fennel-lane")!;
if (crew.kind !== "kit" || brief.kind !== "brief") throw new Error("the demo has changed");
const CREW = auditOf(crew, brief.brief, [], TODAY, CATALOGUE);

const made = (wanted: Partial<Wanted>): Made => {
  const asked = { faults: 6, decoys: 0, seed: 3, ...wanted };
  const out = makeExercise(CREW, asked, TODAY, CATALOGUE);
  if (!out.ok) throw new Error(`room for ${out.most}`);
  return out.made;
};
const keyOf = (m: Made): KeyFile => ({
  ...{ format: "wide-sieve.key", version: 1, exercise: "x", title: "t" },
  faults: [...m.key.faults],
  decoys: [...m.key.decoys],
  already: [...m.key.already],
  verdicts: m.key.verdicts.map((v) => ({ ...v })),
});
const result = (
  student: string,
  answers: readonly Answer[],
  more: Partial<Result> = {},
): Result => ({
  ...{ format: "wide-sieve.result", version: 1, exercise: "x", student, checksum: "" },
  answers: [...answers],
  ...more,
});

describe("what an exercise is drawn from", () => {
  it("only the meshes asked for, and nothing harder than asked for", () => {
    const m = made({ faults: 4, meshes: ["fresh", "enough"], hardest: 1 });
    for (const f of m.key.faults) {
      expect(["fresh", "enough"]).to.include(f.mesh);
      expect(difficultyOf(f.kind)).to.equal(1);
    }
    const out = makeExercise(
      CREW,
      { faults: 9, decoys: 0, seed: 1, meshes: ["usable"] },
      TODAY,
      CATALOGUE,
    );
    expect(out.ok).to.equal(false);
  });

  it("what is chosen by hand is in it whatever is drawn; what changes nothing is refused", () => {
    const open = plantable(CREW, TODAY, CATALOGUE).filter((p) => p.kinds.length > 0);
    const line = open.at(-1)!;
    const picked = [{ line: line.line, kind: line.kinds[0]!.id }];
    for (const seed of [1, 2, 3])
      expect(made({ seed, picked }).key.faults).to.deep.include.members([
        made({ seed, picked }).key.faults.find((f) => f.line === line.line)!,
      ]);
    expect(made({ picked }).key.faults.find((f) => f.line === line.line)!.kind).to.equal(
      picked[0]!.kind,
    );
    const wrong = {
      faults: 3,
      decoys: 0,
      seed: 1,
      picked: [{ line: line.line, kind: "f-nothing" }],
    };
    expect(makeExercise(CREW, wrong, TODAY, CATALOGUE)).to.deep.include({
      ok: false,
      why: "picked",
    });
  });

  it("what may be planted changes the audit by itself", () => {
    const base = asItShouldBe(CREW, TODAY, CATALOGUE);
    const context = contextOf(base, TODAY, CATALOGUE);
    const clean = audit(base, TODAY, CATALOGUE);
    const all = plantable(CREW, TODAY, CATALOGUE);
    expect(all.some((p) => p.kinds.length > 2)).to.equal(true);
    for (const [i, p] of all.entries())
      for (const kind of p.kinds) {
        const line = kind.plant(context.lines[i]!, context)!;
        const lines = base.kit.lines.map((l) => (l.id === p.line ? line : l));
        const a = audit({ ...base, kit: { ...base.kit, lines } }, TODAY, CATALOGUE);
        const figures = (x: typeof a) =>
          JSON.stringify([x.interval, x.needs.map((n) => n.met), x.failing.map((n) => n.met)]);
        expect(figures(a), `${kind.id} on ${p.line}`).to.not.equal(figures(clean));
      }
  });
});

describe("a trap in the brief", () => {
  const trapped = made({ briefTrap: true });

  it("asks more than the kit was packed for, is not counted among the faults, and the audit misses it when taken out", () => {
    expect(trapped.key.faults).to.have.length(7);
    expect(trapped.key.faults.at(-1)).to.deep.include({
      line: BRIEF_LINE,
      kind: "f-brief",
      verdict: "top-up",
    });
    const { brief: b } = trapped.file;
    expect(b.people * b.days).to.equal(2 * trapped.packedFor.people * trapped.packedFor.days);
    const finished = audit(trapped.file, TODAY, CATALOGUE);
    const out = audit({ ...trapped.file, brief: trapped.packedFor }, TODAY, CATALOGUE);
    expect(out.needs.map((n) => n.met)).to.not.deep.equal(finished.needs.map((n) => n.met));
  });

  it("every exercise has the outing as an item, trap or not; who names it there has found it", async () => {
    const plain = made({});
    for (const m of [trapped, plain]) {
      const { exercise } = await writeExercise(m, CREW, "w", SIGHT_WORDS, CATALOGUE);
      const { people, days } = m.packedFor;
      expect(exercise.sights[BRIEF_LINE]!.printed[0]).to.match(
        new RegExp(`${people} pe.* ${days} day`),
      );
      expect((await readExercise(exercise)).ok).to.equal(true);
    }
    const names: Answer[] = [{ line: BRIEF_LINE, verdict: "top-up", fault: "f-brief" }];
    expect(mark(keyOf(trapped), result("s", names), CATALOGUE).rightReason).to.deep.equal([
      "fault-brief",
    ]);
    expect(mark(keyOf(plain), result("s", names), CATALOGUE).falseAlarms).to.deep.equal([
      BRIEF_LINE,
    ]);
  });
});

describe("papers of equal difficulty", () => {
  it("have other faults, as hard in all, and the first is that of the seed", () => {
    const out = makeVariants(CREW, { faults: 6, decoys: 1, seed: 5 }, 3, TODAY, CATALOGUE);
    if (!out.ok) throw new Error("not made");
    const [first, ...others] = out.papers;
    expect(first!.key).to.deep.equal(made({ faults: 6, decoys: 1, seed: 5 }).key);
    expect(others).to.have.length(2);
    for (const o of others) {
      expect(Math.abs(difficultyOfPaper(o) - difficultyOfPaper(first!))).to.be.at.most(1);
      expect(o.key.faults.map((f) => `${f.line} ${f.kind}`)).to.not.deep.equal(
        first!.key.faults.map((f) => `${f.line} ${f.kind}`),
      );
    }
  });

  it("are marked each by its own key, and the class as one", () => {
    const keys = [1, 2].map((seed, i) => ({ ...keyOf(made({ seed })), exercise: `x${i}` }));
    const all = (key: KeyFile, student: string) =>
      result(
        student,
        key.faults.map((f) => ({ line: f.line, verdict: f.verdict, fault: f.kind })),
      );
    const none = (student: string) => result(student, []);
    const summary = summarise(
      [
        { key: keys[0]!, results: [all(keys[0]!, "a"), none("b")] },
        { key: keys[1]!, results: [all(keys[1]!, "c")] },
      ],
      CATALOGUE,
    );
    expect(summary.students.map((s) => s.id)).to.deep.equal(["a", "c", "b"]);
    expect(summary.faults).to.have.length(12);
    expect(summary.faults.filter((f) => f.paper === 0).map((f) => f.foundRate)).to.deep.equal(
      Array(6).fill(0.5),
    );
    expect(summary.meshes.reduce((s, g) => s + g.of, 0)).to.equal(18);
    expect(summary.difficulties.reduce((s, g) => s + g.found, 0)).to.equal(12);
    // Who missed everything needs what most of it was; who missed nothing, nothing.
    expect(summary.students[2]!.next).to.not.equal(null);
    expect(summary.students[0]!.next).to.equal(null);
  });
});

describe("what a student sees", () => {
  it("every kind of fault shows on every line that may have it: an honest look finds all", () => {
    const base = asItShouldBe(CREW, TODAY, CATALOGUE);
    const context = contextOf(base, TODAY, CATALOGUE);
    const seen = new Set<string>();
    for (const kind of FAULT_KINDS)
      for (const l of context.lines) {
        const line = kind.plant(l, context);
        if (!line) continue;
        const type = line.itemType === null ? undefined : CATALOGUE.types.get(line.itemType);
        const look = (x: typeof line, t: typeof type, planted?: string) =>
          JSON.stringify(sightOf(x, t, planted, SIGHT_WORDS, CATALOGUE));
        expect(look(line, type, kind.id), `${kind.id} on ${l.line.id}`).to.not.equal(
          look(l.line, l.type ?? undefined),
        );
        seen.add(kind.id);
      }
    expect([...seen].sort()).to.deep.equal(FAULT_KINDS.map((k) => k.id).sort());
  });
});

describe("in name only", () => {
  it("a vein strap in place of a tourniquet does not look made for stopping a bleed", () => {
    const context = contextOf(
      auditFile([], [good("own", "windlass-tourniquet", 1)]),
      TODAY,
      CATALOGUE,
    );
    const kind = FAULT_KINDS.find((k) => k.id === "f-in-name-only")!;
    const line = kind.plant(context.lines[0]!, context)!;
    const type = CATALOGUE.types.get("phlebotomy-strap");
    const { points } = sightOf(line, type, kind.id, SIGHT_WORDS, CATALOGUE);
    const { failing } = CATALOGUE.points.get("tq-purpose-made")!;
    expect(points.find((p) => p.point === "tq-purpose-made")!.sees).to.equal(failing);
  });
});

describe("counted with what is empty", () => {
  const box = good("own", "gauze-pad", 6);
  const type = CATALOGUE.types.get("gauze-pad");
  const context = contextOf(auditFile([], [{ ...box, claimed: 6 }]), TODAY, CATALOGUE);
  it("six to count, three of them empty, which only who feels them finds", () => {
    const kind = FAULT_KINDS.find((k) => k.id === "f-padded")!;
    const line = kind.plant(context.lines[0]!, context)!;
    expect(line.counted).to.equal(3);
    const sight = sightOf(line, type, "f-padded", SIGHT_WORDS, CATALOGUE);
    const sound = sightOf(context.lines[0]!.line, type, undefined, SIGHT_WORDS, CATALOGUE);
    expect(sight.counted).to.equal(6);
    expect(sight.printed).to.deep.equal(sound.printed);
    expect(sight.points.map((p) => p.point)).to.deep.equal(sound.points.map((p) => p.point));
    expect(sight.points[0]!.sees).to.equal(SIGHT_WORDS.each.padded);
    expect(sound.points[0]!.sees).to.equal(SIGHT_WORDS.each.whole);
  });
});

describe("how an exercise is held", () => {
  const written = async (held: Held) => {
    const m = made({});
    const { exercise } = await writeExercise(m, CREW, "w", SIGHT_WORDS, CATALOGUE, undefined, held);
    expect((await readExercise(exercise)).ok).to.equal(true);
    return { m, exercise };
  };
  it("as usual it says nothing; a clock and practice stand in the file", async () => {
    expect((await written({})).exercise).to.not.have.property("held");
    const { exercise } = await written({ minutes: 20, practice: true, withKit: false });
    expect(exercise.held).to.deep.equal({ minutes: 20, practice: true });
  });
  it("with the real kit the file shows the outing and the lines, and not what lies there", async () => {
    const { exercise } = await written({ withKit: true });
    expect(Object.keys(exercise.sights)).to.deep.equal([BRIEF_LINE]);
    expect(exercise.audit.kit.lines.length).to.equal(CREW.kit.lines.length);
  });
  it("practice shows what the answers come to, and knows nothing of the key", async () => {
    const { m, exercise } = await written({ practice: true });
    const covered = (answers: Record<string, Answer>) =>
      audit(asSaid(exercise, answers), TODAY, CATALOGUE);
    const all = (verdict: Answer["verdict"]) =>
      Object.fromEntries(CREW.kit.lines.map((l) => [l.id, { line: l.id, verdict, fault: "" }]));
    const none = covered({}).interval!;
    expect(none[0]).to.be.lessThan(none[1]);
    const kept = covered(all("keep"));
    expect(kept.interval![0]).to.equal(kept.interval![1]);
    expect(covered(all("replace")).coverage).to.equal(0);
    // A thing that is not there counts for nothing, whoever keeps it; one that is there and spoilt does.
    const missing = m.key.faults.find((f) => f.kind === "f-missing");
    if (missing) expect(exercise.sights[missing.line]!.counted).to.equal(0);
    const { id } = CREW.kit.lines[0]!;
    const line = (verdict: Answer["verdict"]) =>
      asSaid(exercise, { [id]: { line: id, verdict, fault: "" } }).kit.lines[0]!;
    expect(line("move")).to.include({ location: "bottom", findable: false });
    expect(line("drop").condition).to.equal("failed");
    expect(line("watch")).to.not.have.property("condition");
  });
});

describe("a student's plan", () => {
  // Two pads asked, one is there and buried pads count nothing: coverage of pads and of a whistle, equal weights.
  const truth = auditFile(
    [
      need("p", "medium-wound-pad", { quantity: { base: 4 } }),
      need("w", "signal", { quantity: { base: 1 } }),
    ],
    [good("own", "gauze-pad", 1)],
  );
  const book = bookOf([
    product("pad", "gauze-pad", 1, 2),
    product("whistle", "whistle", 1, 3),
    product("x", "foil-blanket", 1, 1),
  ]);

  it("is held against the best there is for the money", async () => {
    const solver = await realSolver();
    const before = audit(truth, TODAY, CATALOGUE).coverage!;
    const request = optimumRequest(truth, book, 6, TODAY, CATALOGUE);
    expect(request.book.products.map((p) => p.id)).to.deep.equal(["pad", "whistle"]);
    const best = plan(request, solver);
    if (best.status === "infeasible") throw new Error("no plan");
    const optimum = best.choice.after.coverage!;
    const task = planTask(truth, book, 6, optimum, TODAY, CATALOGUE);
    expect(task.before).to.be.closeTo(before, 1e-12);
    const held = (bought: { product: string; packs: number }[]) =>
      markPlan(task, bought, [], CATALOGUE);
    expect(held([])).to.deep.include({ cost: 0, share: 0, overBudget: false });
    const optimal = held(
      best.choice.purchases.map((p) => ({ product: p.product.id, packs: p.packs })),
    );
    expect(optimal.share).to.be.closeTo(1, 1e-9);
    // Three pads of the four fill the need: 0.25 more each of half the coverage.
    expect(held([{ product: "pad", packs: 1 }]).coverage - before).to.be.closeTo(1 / 8, 1e-9);
    expect(held([{ product: "pad", packs: 4 }])).to.deep.include({
      cost: 8,
      overBudget: true,
      share: null,
    });
    expect(held([{ product: "unheard-of", packs: 9 }]).cost).to.equal(0);
  });

  it("what the student would move is brought within reach, as the planner may", () => {
    const buried = auditFile(
      [need("p", "medium-wound-pad", { access: "seconds", quantity: { base: 1 } })],
      [{ ...good("own", "gauze-pad", 1), location: "bottom" as const, findable: false }],
    );
    const task = planTask(buried, book, 6, 1, TODAY, CATALOGUE);
    expect(task.before).to.be.below(0.9);
    const moves: Answer[] = [{ line: "own", verdict: "move", fault: "f-buried" }];
    expect(markPlan(task, [], moves, CATALOGUE).share).to.be.closeTo(1, 1e-9);
  });
});

describe("a made-up class, taken twice", () => {
  const key = { ...keyOf(made({ faults: 10, decoys: 3, seed: 7 })) };
  const run = (seed: number, taught: number) =>
    summarise(
      [
        {
          key,
          results: madeUpClass(key, 24, seed, taught).map((s) =>
            result(s.id, s.answers, { timeS: s.timeS }),
          ),
        },
      ],
      CATALOGUE,
    );

  it("is the same for the same seed, the able find more, and hard faults are found less", () => {
    expect(madeUpClass(key, 24, 1)).to.deep.equal(madeUpClass(key, 24, 1));
    const summary = run(1, 0);
    const found = (ids: string[]) =>
      summary.students.filter((s) => ids.includes(s.id)).reduce((n, s) => n + s.found.length, 0);
    expect(found(["01", "02", "03", "04", "05", "06"])).to.be.below(
      found(["19", "20", "21", "22", "23", "24"]),
    );
    const rates = summary.difficulties.map((d) => d.rate);
    expect([...rates].sort((a, b) => b - a)).to.deep.equal(rates);
  });

  it("did they learn? The gain with its paired interval, by hand for three students", () => {
    const one = (id: string, n: number) =>
      result(
        id,
        key.faults.slice(0, n).map((f) => ({ line: f.line, verdict: f.verdict, fault: f.kind })),
      );
    const of = (results: Result[]) => summarise([{ key, results }], CATALOGUE);
    const compared = compareRuns(
      of([one("a", 2), one("b", 4), one("c", 5), one("only", 1)]),
      of([one("a", 4), one("b", 7), one("c", 6)]),
    );
    // Gains of 0.2, 0.3 and 0.1: mean 0.2, s = 0.1, t(2) = 4.303, half width 4.303 × 0.1/√3 = 0.2484.
    expect(compared.students.map((s) => s.id)).to.deep.equal(["b", "a", "c"]);
    expect(compared.gain!.mean).to.be.closeTo(0.2, 1e-9);
    expect(compared.gain!.interval[0]).to.be.closeTo(0.2 - 0.24844, 1e-4);
    expect(compared.gain!.interval[1]).to.be.closeTo(0.2 + 0.24844, 1e-4);
    expect(compared.onlyOne).to.deep.equal(["only"]);
    expect(gainText(compared)).to.include("That may be chance");
    const [few, none] = [of([one("a", 1)]), of([])];
    expect(compareRuns(few, none).gain).to.equal(null);
    expect(gainText(compareRuns(run(1, 0), run(2, 0.7)))).to.include("They learned.");
  });

  it("sheets and summary say what was missed and how one sees it; the real kit gets slips, labels and a card", () => {
    const summary = run(1, 0);
    const nameOf = (line: string) => `item ${line}`;
    const text = JSON.stringify(
      classBlocks("Box", summary, nameOf, compareRuns(summary, run(2, 0.7))),
    );
    for (const s of summary.students) expect(text).to.include(`"${s.id}"`);
    expect(text).to.include("Before and after").and.to.include("Teach tomorrow");
    const worst = summary.students.at(-1)!;
    const sheet = JSON.stringify(studentBlocks(key, worst, nameOf));
    expect(sheet).to.include("What you missed, and how one sees it");
    for (const id of worst.missed)
      expect(sheet).to.include(`item ${key.faults.find((f) => f.id === id)!.line}`);
    const lines = [
      { id: "L1", name: "Pads" },
      { id: "L2", name: "Tape" },
    ];
    const cards = JSON.stringify(
      realKitBlocks("Box", [{ line: "L2", name: "Tape", fault: "Dried out" }], lines),
    );
    expect(cards)
      .to.include('["2","Tape","Dried out"]')
      .and.to.include("1  Pads")
      .and.to.include("answer card");
  });
});
