import { plain } from "../plain.ts";
import { audit } from "../../core/audit/audit.ts";
import type { VerdictId } from "../../core/audit/verdict.ts";
import { asSaid } from "../../core/exercise/asSaid.ts";
import type { Answer, Exercise } from "../../core/exercise/exerciseFile.ts";
import { BRIEF_LINE } from "../../core/exercise/faultKinds.ts";
import { readExercise, writeResult } from "../../core/exercise/write.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import type { Line } from "../../core/model/kit.ts";
import { told } from "../../words/problems.ts";
import { workspace } from "../workspace.svelte.ts";

const KEPT = "wide-sieve.taking.";

/** The student's side: the exercise she was given, item by item. */
export class TakingState {
  exercise = $state.raw<Exercise | null>(null);
  student = $state("");
  at = $state(0);
  answers = $state<Record<string, Answer>>({});
  /** Points looked at so far, by line. */
  looked = $state<Record<string, string[]>>({});
  #begun = $state(0);

  /** The lines of the kit, and the outing itself as the last item. */
  lines = $derived.by((): readonly Pick<Line, "id" | "text" | "claimed">[] => {
    if (!this.exercise) return [];
    const { lines } = this.exercise.audit.kit;
    return BRIEF_LINE in this.exercise.sights
      ? [...lines, { id: BRIEF_LINE, text: "The outing" }]
      : lines;
  });
  isOuting = $derived.by(() => this.line?.id === BRIEF_LINE);
  line = $derived.by(() => this.lines[this.at]);
  sight = $derived.by(() => (this.line ? this.exercise?.sights[this.line.id] : undefined));
  done = $derived.by(() => this.lines.filter((l) => this.answers[l.id]).length);
  /** Packs of the plan, by product. */
  packs = $state<Record<string, number>>({});
  offer = $derived.by(() => this.exercise?.plan ?? null);
  /** What the plan costs so far. */
  cost = $derived.by(() =>
    (this.offer?.products ?? []).reduce(
      (sum, p) => sum + (this.packs[p.id] ?? 0) * p.price.amount,
      0,
    ),
  );

  withKit = $derived.by(() => this.exercise?.held?.withKit === true);
  /** For practice: what the answers so far come to; null: it is not shown. */
  tally = $derived.by(() =>
    this.exercise?.held?.practice
      ? audit(
          asSaid(this.exercise, plain(this.answers)),
          this.exercise.audit.brief.start ?? workspace.today,
          CATALOGUE,
        )
      : null,
  );
  /** What the list asks of the line in hand, by need; for practice. */
  asked = $derived.by(() => {
    const at = this.tally?.context.lines.findIndex((l) => l.line.id === this.line?.id) ?? -1;
    if (!this.tally || at < 0) return [];
    return this.tally.needs
      .map((n, i) => ({ serves: n.pairs.some((p) => p.pair.line === at && p.f > 0), i }))
      .filter((n) => n.serves)
      .map((n) => this.tally!.context.needs[n.i]!);
  });
  #now = $state(Date.now());
  /** Minutes left of those given, rounded up, 0 when they are over; null: there is no clock. */
  minutesLeft = $derived.by(() => {
    const given = this.exercise?.held?.minutes;
    if (given === undefined) return null;
    return Math.max(0, Math.ceil(given - (this.#now - this.#begun) / 60_000));
  });
  /** Lets the clock go; returns what stops it. */
  tick(): () => void {
    const timer = setInterval(() => (this.#now = Date.now()), 1000);
    return () => clearInterval(timer);
  }
  /** The device or the card goes to the next student: nothing of the last one's answers stays. */
  nextStudent(): void {
    this.student = "";
    this.#begin();
    this.keep();
  }
  /** Nothing looked at, nothing answered, the clock at its start. */
  #begin(): void {
    this.answers = {};
    this.looked = {};
    this.packs = {};
    this.at = 0;
    this.#begun = this.#now = Date.now();
  }

  async open(file: File): Promise<void> {
    let json: unknown = null;
    try {
      json = JSON.parse(await file.text());
    } catch {
      // said below, as any other wrong file
    }
    const read = await readExercise(json);
    if (!read.ok) {
      workspace.say(
        `${file.name} is no exercise that can be taken.`,
        true,
        read.problems.slice(0, 3).map(told),
      );
      return;
    }
    this.exercise = read.value;
    this.#begin();
    try {
      const kept = JSON.parse(localStorage.getItem(KEPT + read.value.id) ?? "null") as {
        student: string;
        answers: Record<string, Answer>;
        packs?: Record<string, number>;
        begun: number;
      } | null;
      if (kept) {
        this.student = kept.student;
        this.answers = kept.answers;
        this.packs = kept.packs ?? {};
        this.#begun = kept.begun;
      }
    } catch {
      // nothing was kept
    }
  }

  look(point: string): void {
    const id = this.line!.id;
    this.looked = { ...this.looked, [id]: [...(this.looked[id] ?? []), point] };
  }

  answer(verdict: VerdictId, fault: string): void {
    const { line } = this;
    if (!line) return;
    this.answers = { ...this.answers, [line.id]: { line: line.id, verdict, fault } };
    this.keep();
  }

  /** So many packs of a product in the plan; none takes it out. */
  plan(product: string, packs: number): void {
    this.packs = { ...this.packs, [product]: Math.max(0, packs) };
    this.keep();
  }

  go(step: number): void {
    this.at = Math.min(this.lines.length - 1, Math.max(0, this.at + step));
  }

  keep(): void {
    try {
      localStorage.setItem(
        KEPT + this.exercise!.id,
        JSON.stringify({
          ...{ student: this.student, answers: this.answers, packs: this.packs },
          begun: this.#begun,
        }),
      );
    } catch {
      // A browser without storage keeps it until the page is left.
    }
  }

  /** The result file; lines without an answer are kept. */
  async result(): Promise<string> {
    const answers = this.lines.map(
      (l): Answer => this.answers[l.id] ?? { line: l.id, verdict: "keep", fault: "" },
    );
    const seconds = Math.round((Date.now() - this.#begun) / 1000);
    const bought = Object.entries(plain(this.packs))
      .filter(([, packs]) => packs > 0)
      .map(([product, packs]) => ({ product, packs }));
    const result = await writeResult(
      this.exercise!,
      this.student.trim() || "without a number",
      plain(answers),
      seconds,
      this.offer ? bought : undefined,
    );
    return JSON.stringify(result, null, 1);
  }
}
