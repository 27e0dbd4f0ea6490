import { plain } from "../plain.ts";
import { compareRuns } from "../../core/exercise/compareRuns.ts";
import type { Held, KeyFile, Result } from "../../core/exercise/exerciseFile.ts";
import { BRIEF_LINE } from "../../core/exercise/faultKinds.ts";
import { madeUpClass } from "../../core/exercise/madeUpClass.ts";
import { plantable, type Made } from "../../core/exercise/make.ts";
import { summarise } from "../../core/exercise/mark.ts";
import { optimumRequest, planTask } from "../../core/exercise/planTask.ts";
import { makeVariants } from "../../core/exercise/variants.ts";
import { readKey, readResult, writeExercise, writeResult } from "../../core/exercise/write.ts";
import type { AuditFile } from "../../core/model/auditFile.ts";
import { MESHES, type Mesh } from "../../core/model/mesh.ts";
import type { PriceBook } from "../../core/model/priceBook.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { classBlocks, planText, realKitBlocks, studentBlocks } from "../../report/classBlocks.ts";
import type { Block } from "../../report/blocks.ts";
import { FAULT_LABEL, meshTaught, SIGHT_WORDS } from "../../words/exerciseTexts.ts";
import { told } from "../../words/problems.ts";
import { planOnce } from "../../workers/planOnce.ts";
import { lineName } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** A paper that was made of a kit, for the instructor's eyes. */
export interface PaperMade {
  readonly exercise: string;
  readonly key: KeyFile;
  readonly keyText: string;
  /** What to plant where, line by line. */
  readonly slips: readonly {
    readonly line: string;
    readonly name: string;
    readonly fault: string;
  }[];
}

/** The made-up class of the demo: so many students, one evening and another after it was taught. */
const DEMO = { students: 24, faults: 10, decoys: 3, seed: 7, taught: 0.7 } as const;

/** The instructor's side: making, handing out, marking. */
export class ClassState {
  kitId = $state("");
  faults = $state(8);
  decoys = $state(2);
  seed = $state(1);
  papers = $state(1);
  hardest = $state<1 | 2 | 3>(3);
  meshes = $state<readonly Mesh[]>(MESHES);
  briefTrap = $state(false);
  /** How it is held. */
  held = $state<Held>({});
  /** Of the plan that students make; undefined: none is asked for. */
  budget = $state<number | undefined>(undefined);
  /** Chosen by hand: kind of fault by line. */
  picked = $state<Record<string, string>>({});
  passphrase = $state("");
  title = $state("");
  made = $state.raw<readonly PaperMade[]>([]);
  busy = $state(false);

  keys = $state.raw<readonly KeyFile[]>([]);
  results = $state.raw<readonly Result[]>([]);
  /** Results of the same exercise taken again. */
  again = $state.raw<readonly Result[]>([]);
  refused = $state.raw<readonly { readonly file: string; readonly why: string }[]>([]);
  #lineNames = $state.raw<ReadonlyMap<string, string>>(new Map());

  #summaryOf(results: readonly Result[]) {
    const papers = this.keys.map((key) => ({
      key,
      results: results.filter((r) => r.exercise === key.exercise),
    }));
    return papers.length > 0 ? summarise(papers, CATALOGUE) : null;
  }
  summary = $derived.by(() => this.#summaryOf(this.results));
  runs = $derived.by(() => {
    const second = this.again.length > 0 ? this.#summaryOf(this.again) : null;
    return this.summary && second ? compareRuns(this.summary, second) : null;
  });

  kit = $derived.by(() => workspace.kit(this.kitId) ?? workspace.kits[0]);
  #given = $derived.by(() => this.kit && this.#fileOf(this.kit));
  /** What can be planted where, for choosing by hand; reckoned only where it is shown. */
  plantable = $derived.by(() =>
    this.#given
      ? plantable(this.#given, workspace.today, CATALOGUE)
          .filter((p) => p.kinds.length > 0)
          .map((p) => ({ ...p, name: nameIn(this.#given!, p.line) }))
      : [],
  );
  pickedCount = $derived.by(() => Object.values(this.picked).filter(Boolean).length);

  #fileOf(kit: KitRecord): AuditFile | undefined {
    const brief = workspace.brief(kit.briefId)?.brief;
    return brief && workspace.auditOf(kit, brief);
  }

  /** So many minutes; undefined: without a clock. */
  minutes(n: number | undefined): void {
    const { minutes: _, ...rest } = this.held;
    this.held = n === undefined ? rest : { ...rest, minutes: n };
  }

  toggleMesh(mesh: Mesh): void {
    this.meshes = this.meshes.includes(mesh)
      ? this.meshes.filter((m) => m !== mesh)
      : MESHES.filter((m) => m === mesh || this.meshes.includes(m));
  }

  async make(): Promise<void> {
    const { kit } = this;
    const given = this.#given;
    if (!kit || !given || this.busy) return;
    this.busy = true;
    try {
      const picked = Object.entries(plain(this.picked))
        .filter(([, kind]) => kind)
        .map(([line, kind]) => ({ line, kind }));
      const wanted = {
        faults: Math.max(this.faults, picked.length),
        ...{ decoys: this.decoys, seed: this.seed, hardest: this.hardest },
        ...{ meshes: this.meshes, picked, briefTrap: this.briefTrap },
      };
      const outcome = makeVariants(given, wanted, this.papers, workspace.today, CATALOGUE);
      if (!outcome.ok) {
        workspace.say(
          outcome.why === "brief-trap"
            ? "A longer or larger outing asks nothing more of this kit: leave the trap in the brief out."
            : outcome.why === "picked"
              ? "One of the faults chosen by hand changes nothing beside the others: choose another."
              : `This kit has room for ${outcome.most} such faults that change its audit: ask for fewer.`,
          true,
        );
        return;
      }
      const { papers } = outcome;
      if (papers.length < this.papers)
        workspace.say(
          `${papers.length} papers could be made of this kit, not ${this.papers}.`,
          true,
        );
      const made: PaperMade[] = [];
      for (const paper of papers) made.push(await this.#paperOf(paper, given));
      this.title = kit.kit.name;
      this.made = made;
      this.keys = made.map((p) => p.key);
      this.results = this.again = [];
      this.#lineNames = namesIn(given);
    } catch (error) {
      workspace.say(
        error instanceof Error && error.name === "OperationError"
          ? "The key could not be sealed here: the browser seals only over HTTPS or on this machine."
          : `The exercise could not be made: ${(error as Error).message}.`,
        true,
      );
    } finally {
      this.busy = false;
    }
  }

  async #paperOf(made: Made, given: AuditFile): Promise<PaperMade> {
    const today = workspace.today;
    const book = plain(workspace.priceBook);
    const task =
      this.budget === undefined ? undefined : await taskOf(made.file, book, this.budget, today);
    const { exercise, key } = await writeExercise(
      made,
      given,
      this.passphrase,
      SIGHT_WORDS,
      CATALOGUE,
      task,
      plain(this.held),
    );
    return {
      exercise: JSON.stringify(exercise, null, 1),
      key,
      keyText: JSON.stringify(key, null, 1),
      slips: [
        ...key.faults.map((f) => ({
          line: f.line,
          name: f.line === BRIEF_LINE ? "The outing" : nameIn(given, f.line),
          fault: FAULT_LABEL[f.kind] ?? f.kind,
        })),
        ...key.decoys.map((d) => ({
          line: d.line,
          name: nameIn(given, d.line),
          fault: `sound, but ${SIGHT_WORDS.decoy[d.kind] ?? d.kind}`,
        })),
      ],
    };
  }

  /** Slip sheet, numbered labels and answer card of a paper, for a class with the real kit. */
  realKit(paper: PaperMade): Block[] {
    const lines = [...this.#lineNames].map(([id, name]) => ({ id, name }));
    return realKitBlocks(this.title, paper.slips, lines);
  }

  /** What a line is called where its exercise was made here, else its id. */
  nameOf = (line: string): string =>
    line === BRIEF_LINE ? "the outing" : (this.#lineNames.get(line) ?? line);

  /**
   * Takes in keys or exercises, and results, any number at once.
   * @param run the first time the exercise is taken, or again
   */
  async take(files: readonly File[], run: "first" | "again" = "first"): Promise<void> {
    const read = await Promise.all(
      files.map(async (f): Promise<{ name: string; json: unknown }> => {
        try {
          return { name: f.name, json: JSON.parse(await f.text()) };
        } catch {
          return { name: f.name, json: null };
        }
      }),
    );
    const refused: { file: string; why: string }[] = [];
    const isKey = (json: unknown) =>
      ["wide-sieve.key", "wide-sieve.exercise"].includes(
        String((json as { format?: unknown } | null)?.format),
      );
    const keys: KeyFile[] = [];
    for (const { name, json } of read.filter((r) => isKey(r.json))) {
      const key = await readKey(json, this.passphrase || undefined);
      if (key.ok) keys.push(key.value);
      else refused.push({ file: name, why: key.problems.map((p) => told(p).what).join("; ") });
    }
    this.#addKeys(keys);
    const kept = run === "first" ? this.results : this.again;
    const known = new Map(kept.map((r) => [`${r.exercise} ${r.student}`, r]));
    for (const { name, json } of read.filter((r) => !isKey(r.json))) {
      const why = await this.#whyNot(json, (r) => known.set(`${r.exercise} ${r.student}`, r));
      if (why) refused.push({ file: name, why });
    }
    if (run === "first") this.results = [...known.values()];
    else this.again = [...known.values()];
    this.refused = refused;
  }

  /** Papers of one exercise come together; the key of another kit begins anew. */
  #addKeys(keys: readonly KeyFile[]): void {
    for (const key of keys) {
      if (this.keys.some((k) => k.exercise === key.exercise)) continue;
      const isSame = this.keys[0]?.title === key.title;
      if (!isSame) this.results = this.again = [];
      this.keys = isSame ? [...this.keys, key] : [key];
    }
  }

  /** Takes a result that fits one of the keys; else says why not. */
  async #whyNot(json: unknown, take: (r: Result) => void): Promise<string | null> {
    if (this.keys.length === 0) return "the key of the exercise is wanted first";
    if (json === null) return "is cut short or no result";
    let why = "";
    for (const key of this.keys) {
      const result = await readResult(json, key.exercise);
      if (result.ok) {
        take(result.value);
        return null;
      }
      why = result.problems.map((p) => told(p).what).join("; ");
    }
    return why;
  }

  /** An exercise on the demo's crew box, taken twice by a class that never was. */
  async showDemo(): Promise<void> {
    const { demoRecords } = await import("../../data/demo.ts");
    const records = demoRecords();
    const kit = records.find((r) => r.id === "kit:demo-crew-box");
    const brief = records.find(
      (r) => r.kind === "brief" && kit?.kind === "kit" && r.id === kit.briefId,
    );
    if (kit?.kind !== "kit" || brief?.kind !== "brief") return;
    const given = workspace.auditOf(kit, brief.brief);
    const outcome = makeVariants(given, DEMO, 1, workspace.today, CATALOGUE);
    if (!outcome.ok) return;
    const paper = await this.#paperOf(outcome.papers[0]!, given);
    const handedBack = async (seed: number, taught: number) =>
      Promise.all(
        madeUpClass(paper.key, DEMO.students, seed, taught).map((s) =>
          writeResult({ id: paper.key.exercise }, s.id, s.answers, s.timeS),
        ),
      );
    this.title = kit.kit.name;
    this.made = [];
    this.keys = [paper.key];
    this.results = await handedBack(1, 0);
    this.again = await handedBack(2, DEMO.taught);
    this.refused = [];
    this.#lineNames = namesIn(given);
  }

  /** The class as a table. */
  table(): (string | number)[][] {
    const { summary } = this;
    if (!summary) return [];
    return [
      [
        ...["student", "found", "missed", "false alarms", "right reasons", "verdicts", "plan"],
        ...["seconds", "next"],
      ],
      ...summary.students.map((s) => [
        s.id,
        s.found.length,
        s.missed.length,
        s.falseAlarms.length,
        s.rightReason.length,
        Math.round(1000 * s.verdictScore) / 1000,
        planText(s),
        s.timeS ?? "",
        s.next ? meshTaught(s.next) : "",
      ]),
    ];
  }
  classBlocks(): Block[] {
    const { summary } = this;
    return summary ? classBlocks(this.keys[0]!.title, summary, this.nameOf, this.runs) : [];
  }
  /** A student's sheet: what you saw, what you missed and how one sees it. */
  sheetOf(student: string): Block[] {
    const m = this.summary?.students.find((s) => s.id === student);
    const exercise = this.results.find((r) => r.student === student)?.exercise;
    const key = this.keys.find((k) => k.exercise === exercise);
    return m && key ? studentBlocks(key, m, this.nameOf) : [];
  }
}

/** The plan that students make, with the best there is for the money. */
async function taskOf(truth: AuditFile, book: PriceBook, budget: number, today: string) {
  const best = await planOnce(optimumRequest(truth, book, budget, today, CATALOGUE));
  const optimum = best.status === "infeasible" ? 0 : (best.coverage ?? 0);
  return planTask(truth, book, budget, optimum, today, CATALOGUE);
}

const nameIn = (file: AuditFile, id: string): string => {
  const line = file.kit.lines.find((l) => l.id === id);
  if (!line) return id;
  return lineName(line, line.itemType ? workspace.typeOf(line.itemType)?.label : undefined);
};
const namesIn = (file: AuditFile): Map<string, string> =>
  new Map(file.kit.lines.map((l) => [l.id, nameIn(file, l.id)]));
