import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { Random } from "../../src/lib/core/chance/random.ts";
import {
  cohensKappa,
  correlation,
  krippendorffsAlpha,
  wilson,
} from "../../src/lib/core/exercise/agreement.ts";
import type { Answer, KeyFile, Result } from "../../src/lib/core/exercise/exerciseFile.ts";
import { FAULT_KINDS } from "../../src/lib/core/exercise/faultKinds.ts";
import { asItShouldBe, makeExercise, type Made } from "../../src/lib/core/exercise/make.ts";
import { mark, summarise } from "../../src/lib/core/exercise/mark.ts";
import { seal, unseal } from "../../src/lib/core/exercise/seal.ts";
import {
  readExercise,
  readKey,
  readResult,
  writeExercise,
  writeResult,
} from "../../src/lib/core/exercise/write.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import { FAULT_HOW, FAULT_LABEL, SIGHT_WORDS } from "../../src/lib/words/exerciseTexts.ts";
import { TODAY } from "./build.ts";

const records = demoRecords();
const crew = records.find((r) => r.id === "kit:demo-crew-box")!;
const brief = records.find((r) => r.id === "brief:fennel-lane")!;
if (crew.kind !== "kit" || brief.kind !== "brief") throw new Error("the demo has changed");
const CREW = auditOf(crew, brief.brief, [], TODAY, CATALOGUE);

const made = (faults: number, decoys: number, seed: number): Made => {
  const out = makeExercise(CREW, { faults, decoys, seed }, TODAY, CATALOGUE);
  if (!out.ok) throw new Error(`room for ${out.most}`);
  return out.made;
};
const sign = (lines: Made["file"]["kit"]["lines"], of: Made): string => {
  const a = audit({ ...of.file, kit: { ...of.file.kit, lines } }, TODAY, CATALOGUE);
  return JSON.stringify([
    a.coverage,
    a.interval,
    a.needs.map((n) => n.met),
    a.failing.map((n) => n.met),
  ]);
};

describe("measures of agreement", () => {
  it("Krippendorff's worked example, four judges with gaps: alpha 0.743", () => {
    // Krippendorff 2011, Computing Krippendorff's alpha-reliability, example C.
    const rows = [
      "1 2 3 3 2 1 4 1 2 . . .",
      "1 2 3 3 2 2 4 1 2 5 . 3",
      ". 3 3 3 2 3 4 2 2 5 1 .",
      "1 2 3 3 2 4 4 1 2 5 1 .",
    ].map((r) => r.split(" ").map((v) => (v === "." ? undefined : v)));
    const units = rows[0]!.map((_, u) => rows.map((r) => r[u]));
    expect(krippendorffsAlpha(units)).to.be.closeTo(0.743, 0.0005);
    expect(
      krippendorffsAlpha([
        ["a", "a"],
        ["a", "a"],
      ]),
    ).to.equal(null);
    expect(krippendorffsAlpha([["a", undefined]])).to.equal(null);
  });

  it("Cohen's kappa by hand: 20 and 15 agreed of 50: 0.4", () => {
    const pairs = [
      ...Array<[string, string]>(20).fill(["y", "y"]),
      ...Array<[string, string]>(5).fill(["y", "n"]),
      ...Array<[string, string]>(10).fill(["n", "y"]),
      ...Array<[string, string]>(15).fill(["n", "n"]),
    ];
    expect(
      cohensKappa(
        pairs.map(([a]) => a),
        pairs.map(([, b]) => b),
      ),
    ).to.be.closeTo(0.4, 1e-12);
    expect(cohensKappa(["a", "a"], ["a", "a"])).to.equal(null);
    expect(cohensKappa([], [])).to.equal(null);
  });

  it("Wilson's interval of 8 among 10, and a correlation by hand", () => {
    const [low, high] = wilson(8, 10)!;
    expect(low).to.be.closeTo(0.4902, 5e-4);
    expect(high).to.be.closeTo(0.9433, 5e-4);
    expect(wilson(0, 0)).to.equal(null);
    // Deviations (−1, 0, 1) and (−1, −1, 2): 3/√(2·6) = 0.866.
    expect(correlation([1, 2, 3], [0, 0, 3])).to.be.closeTo(Math.sqrt(0.75), 1e-12);
    expect(correlation([1, 1], [0, 3])).to.equal(null);
  });
});

describe("making an exercise", () => {
  it("every fault changes the audit alone and when it is taken out; no decoy does; one a line; meshes are mixed", () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const m = made(8, 3, seed);
      const base = asItShouldBe(CREW, TODAY, CATALOGUE);
      const all = m.file.kit.lines;
      const clean = sign(base.kit.lines, m);
      const finished = sign(all, m);
      expect(new Set(m.key.faults.map((f) => f.line)).size).to.equal(8);
      expect(new Set(m.key.faults.map((f) => f.mesh)).size).to.be.at.least(5);
      for (const f of m.key.faults) {
        const line = all.find((l) => l.id === f.line)!;
        const was = base.kit.lines.find((l) => l.id === f.line)!;
        const alone = base.kit.lines.map((l) => (l.id === f.line ? line : l));
        expect(sign(alone, m), `${f.kind} alone`).to.not.equal(clean);
        const without = all.map((l) => (l.id === f.line ? was : l));
        expect(sign(without, m), `${f.kind} taken out`).to.not.equal(finished);
        expect(f.verdict).to.not.equal("keep");
      }
      for (const d of m.key.decoys) {
        const was = base.kit.lines.find((l) => l.id === d.line)!;
        expect(
          sign(
            all.map((l) => (l.id === d.line ? was : l)),
            m,
          ),
        ).to.equal(finished);
        expect(m.key.faults.some((f) => f.line === d.line)).to.equal(false);
      }
    }
  });

  it("the same seed makes the same, another another; too many are refused with how many there is room for", () => {
    expect(made(6, 2, 7).key).to.deep.equal(made(6, 2, 7).key);
    expect(made(6, 2, 7).key.faults).to.not.deep.equal(made(6, 2, 8).key.faults);
    const out = makeExercise(CREW, { faults: 200, decoys: 0, seed: 1 }, TODAY, CATALOGUE);
    expect(out.ok).to.equal(false);
    if (!out.ok) expect(out.most).to.be.within(8, 24);
  });

  it("each kind says what it is and how one sees it, and begins as the contract says", () => {
    for (const k of FAULT_KINDS) {
      expect(k.id).to.match(/^f-/);
      expect(FAULT_LABEL[k.id], k.id).to.be.a("string");
      expect(FAULT_HOW[k.id], k.id).to.be.a("string");
    }
  });
});

describe("the files of an exercise", () => {
  const m = made(6, 2, 7);

  it("the student's file has no word of the key, and opens with the passphrase only", async () => {
    const { exercise, key } = await writeExercise(
      m,
      CREW,
      "orchard ladder",
      SIGHT_WORDS,
      CATALOGUE,
    );
    const text = JSON.stringify(exercise);
    for (const f of key.faults) expect(text.includes(f.kind), f.kind).to.equal(false);
    for (const d of key.decoys) expect(text.includes(d.kind)).to.equal(false);
    expect(text).to.not.contain("orchard ladder");
    expect(text).to.not.contain('"verdict"');
    expect(text).to.not.contain("failedPoints");
    expect(await readKey(exercise, "orchard ladder")).to.deep.equal({ ok: true, value: key });
    expect((await readKey(exercise, "orchard")).ok).to.equal(false);
    expect((await readKey(exercise, undefined)).ok).to.equal(false);
    expect(await readKey(key, undefined)).to.deep.equal({ ok: true, value: key });
    expect((await readExercise(exercise)).ok).to.equal(true);
    const changed = structuredClone(exercise);
    changed.sights[key.faults[0]!.line]!.counted += 1;
    expect((await readExercise(changed)).ok).to.equal(false);
  });

  it("a result is tied to its exercise; damage, edits and foreign ones are found", async () => {
    const { exercise } = await writeExercise(m, CREW, "w", SIGHT_WORDS, CATALOGUE);
    const result = await writeResult(
      exercise,
      "7",
      [{ line: "L1", verdict: "keep", fault: "" }],
      60,
    );
    expect(await readResult(result, exercise.id)).to.deep.equal({ ok: true, value: result });
    expect((await readResult(result, "another")).ok).to.equal(false);
    expect((await readResult({ ...result, timeS: 10 }, exercise.id)).ok).to.equal(false);
    expect((await readResult({ ...result, answers: "none" }, exercise.id)).ok).to.equal(false);
  });

  it("what was sealed comes back whole", async () => {
    const text = "Schlüssel × 7 – 絆創膏";
    expect(await unseal(await seal(text, "p"), "p")).to.equal(text);
  });
});

const keyOf = (m: Made): KeyFile => ({
  format: "wide-sieve.key",
  version: 1,
  exercise: "x",
  title: "t",
  faults: [...m.key.faults],
  decoys: [...m.key.decoys],
  already: [...m.key.already],
  verdicts: m.key.verdicts.map((v) => ({ ...v })),
});
const result = (student: string, answers: Answer[]): Result => ({
  format: "wide-sieve.result",
  version: 1,
  exercise: "x",
  student,
  answers,
  checksum: "",
});

const marked = (key: KeyFile, r: Result) => mark(key, r, CATALOGUE);

describe("marking", () => {
  const key = keyOf(made(6, 2, 7));
  const classOf = (results: Result[]) => summarise([{ key, results }], CATALOGUE);
  const keepAll = (): Answer[] =>
    key.verdicts.map((v) => ({ line: v.line, verdict: "keep", fault: "" }));

  it("the blind find nothing, the honest everything, with the right verdicts and reasons", () => {
    const blind = marked(key, result("b", keepAll()));
    expect(blind.found).to.deep.equal([]);
    expect(blind.falseAlarms).to.deep.equal([]);
    const honest = marked(
      key,
      result(
        "h",
        key.verdicts.map((v) => ({
          line: v.line,
          verdict: v.verdict,
          fault: key.faults.find((f) => f.line === v.line)?.kind ?? "",
        })),
      ),
    );
    expect(honest.found.length).to.equal(6);
    expect(honest.rightReason.length).to.equal(6);
    expect(honest.falseAlarms).to.deep.equal([]);
    expect(honest.verdictScore).to.equal(1);
  });

  it("a fault is found by a verdict and a name; the verdict alone, or the name alone, is not it", () => {
    const f = key.faults[0]!;
    const one = (verdict: Answer["verdict"], fault: string) =>
      marked(key, result("s", [{ line: f.line, verdict, fault }]));
    expect(one("replace", f.kind).found).to.deep.equal([f.id]);
    expect(one("keep", f.kind).found).to.deep.equal([]);
    expect(one("replace", "").found).to.deep.equal([]);
    const other = FAULT_KINDS.find((k) => k.mesh !== f.mesh)!.id;
    expect(one("replace", other)).to.deep.include({ found: [f.id], rightReason: [], sameMesh: [] });
  });

  it("a sound line named is a false alarm, a decoy too; what was wrong of itself is neither", () => {
    const sound = key.verdicts.find(
      (v) =>
        !key.faults.some((f) => f.line === v.line) &&
        !key.already.includes(v.line) &&
        !key.decoys.some((d) => d.line === v.line),
    )!;
    const alarms = (line: string) =>
      marked(key, result("s", [{ line, verdict: "drop", fault: "f-past" }]));
    expect(alarms(sound.line).falseAlarms).to.deep.equal([sound.line]);
    expect(alarms(key.decoys[0]!.line).decoysFallenFor).to.deep.equal([key.decoys[0]!.line]);
    expect(alarms(key.already[0]!).falseAlarms).to.deep.equal([]);
  });

  it("a thousand exercises against a plain marker: no difference", () => {
    const random = new Random().begin(11, 0);
    const upTo = (n: number) => Math.floor(random.next() * n);
    const kinds = ["", ...FAULT_KINDS.map((k) => k.id)];
    const verdicts = ["keep", "replace", "top-up", "drop"] as const;
    for (let i = 0; i < 1000; i++) {
      const lines = Array.from({ length: 10 }, (_, n) => `L${n}`);
      const faulty = lines.filter(() => upTo(3) === 0);
      const k: KeyFile = {
        ...key,
        faults: faulty.map((line, n) => ({
          id: `fault-${n + 1}`,
          line,
          kind: kinds[1 + upTo(15)]!,
          mesh: "sound",
          verdict: "replace",
        })),
        decoys: [],
        already: lines.filter((l) => !faulty.includes(l) && upTo(6) === 0),
        verdicts: lines.map((line) => ({ line, verdict: "keep", weight: 1 })),
      };
      const answers = lines
        .filter(() => upTo(5) > 0)
        .map((line): Answer => ({ line, verdict: verdicts[upTo(4)]!, fault: kinds[upTo(16)]! }));
      const got = marked(k, result("s", answers));
      const found: string[] = [];
      const alarms: string[] = [];
      for (const a of answers) {
        if (a.verdict === "keep" || a.fault === "") continue;
        const f = k.faults.find((x) => x.line === a.line);
        if (f) found.push(f.id);
        else if (!k.already.includes(a.line)) alarms.push(a.line);
      }
      expect([...got.found].sort()).to.deep.equal(found.sort());
      expect([...got.falseAlarms].sort()).to.deep.equal(alarms.sort());
      expect(got.found.length + got.missed.length).to.equal(k.faults.length);
    }
  });

  it("ranks thirty students of known skill as well as chance allows: 0.78 with twelve faults, 0.9 with forty", () => {
    const spearman = (x: number[], y: number[]): number => {
      const rank = (v: number[]) =>
        v.map((a) => v.filter((b) => b < a).length + (v.filter((b) => b === a).length + 1) / 2);
      return correlation(rank(x), rank(y))!;
    };
    const meanOver = (faults: number): number => {
      let sum = 0;
      for (let seed = 1; seed <= 20; seed++) {
        const random = new Random().begin(seed, faults);
        const k: KeyFile = {
          ...key,
          faults: Array.from({ length: faults }, (_, n) => ({
            id: `fault-${n}`,
            line: `L${n}`,
            kind: "f-past",
            mesh: "fresh",
            verdict: "replace",
          })),
          verdicts: Array.from({ length: faults + 10 }, (_, n) => ({
            line: `L${n}`,
            verdict: n < faults ? "replace" : "keep",
            weight: 1,
          })),
          already: [],
          decoys: [],
        };
        const skills = Array.from({ length: 30 }, (_, i) => 0.3 + (0.65 * i) / 29);
        const results = skills.map((skill, i) =>
          result(
            `s${i}`,
            k.verdicts.map((v, n): Answer => {
              const names = n < faults ? random.next() < skill : random.next() < 0.1 * (1 - skill);
              return {
                line: v.line,
                verdict: names ? "replace" : "keep",
                fault: names ? "f-past" : "",
              };
            }),
          ),
        );
        const ranked = summarise([{ key: k, results }], CATALOGUE).students.map((s) => s.id);
        sum += spearman(
          skills,
          skills.map((_, i) => -ranked.indexOf(`s${i}`)),
        );
      }
      return sum / 20;
    };
    expect(meanOver(12)).to.be.at.least(0.78);
    expect(meanOver(40)).to.be.at.least(0.9);
  });

  it("the class: rates, agreement and what to teach next", () => {
    const find = (student: string, n: number): Result =>
      result(
        student,
        key.verdicts.map((v): Answer => {
          const at = key.faults.findIndex((f) => f.line === v.line);
          return at >= 0 && at < n
            ? { line: v.line, verdict: key.faults[at]!.verdict, fault: key.faults[at]!.kind }
            : { line: v.line, verdict: "keep", fault: "" };
        }),
      );
    const summary = classOf([find("a", 6), find("b", 3), find("c", 1)]);
    expect(summary.students.map((s) => s.id)).to.deep.equal(["a", "b", "c"]);
    expect(summary.faults.map((f) => f.foundRate)).to.deep.equal([
      1,
      2 / 3,
      2 / 3,
      1 / 3,
      1 / 3,
      1 / 3,
    ]);
    // Found by all: no variance, no discrimination.
    expect(summary.faults[0]!.discrimination).to.equal(null);
    expect(summary.faults[5]!.discrimination).to.be.greaterThan(0.8);
    expect(summary.alpha).to.be.within(-1, 1);
    expect(summary.kappaWithKey).to.be.within(0, 1);
    expect(summary.teachNext.length).to.equal(3);
    expect(summary.teachNext[0]!.rate).to.be.closeTo(2 / 3, 1e-9);
    expect(classOf([]).teachNext).to.deep.equal([]);
  });
});
