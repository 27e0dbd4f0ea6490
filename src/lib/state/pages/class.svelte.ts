import type { KeyFile, Result } from "../../core/exercise/exerciseFile.ts";
import { makeExercise } from "../../core/exercise/make.ts";
import { summarise } from "../../core/exercise/mark.ts";
import { readKey, readResult, writeExercise } from "../../core/exercise/write.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { FAULT_HOW, FAULT_LABEL, SIGHT_WORDS } from "../../words/exerciseTexts.ts";
import { told } from "../../words/problems.ts";
import { lineName } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** What was made of a kit, for the instructor's eyes. */
export interface MadeShown {
  readonly title: string;
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

/** The instructor's side: making, handing out, marking. */
export class ClassState {
  kitId = $state("");
  faults = $state(8);
  decoys = $state(2);
  seed = $state(1);
  passphrase = $state("");
  made = $state.raw<MadeShown | null>(null);
  busy = $state(false);

  key = $state.raw<KeyFile | null>(null);
  results = $state.raw<readonly Result[]>([]);
  refused = $state.raw<readonly { readonly file: string; readonly why: string }[]>([]);
  summary = $derived.by(() => (this.key ? summarise(this.key, this.results) : null));

  kit = $derived.by(() => workspace.kit(this.kitId) ?? workspace.kits[0]);

  async make(): Promise<void> {
    const kit = this.kit;
    const brief = kit && workspace.brief(kit.briefId)?.brief;
    if (!kit || !brief || this.busy) return;
    this.busy = true;
    try {
      const given = workspace.auditOf(kit, brief);
      const outcome = makeExercise(
        given,
        { faults: this.faults, decoys: this.decoys, seed: this.seed },
        workspace.today,
        CATALOGUE,
      );
      if (!outcome.ok) {
        workspace.say(
          `This kit has room for ${outcome.most} faults that change its audit: ask for fewer.`,
          true,
        );
        return;
      }
      const { exercise, key } = await writeExercise(
        outcome.made,
        given,
        this.passphrase,
        SIGHT_WORDS,
        CATALOGUE,
      );
      const nameOf = (id: string) => {
        const line = given.kit.lines.find((l) => l.id === id);
        if (!line) return id;
        return lineName(line, line.itemType ? workspace.typeOf(line.itemType)?.label : undefined);
      };
      this.made = {
        title: kit.kit.name,
        exercise: JSON.stringify(exercise, null, 1),
        key,
        keyText: JSON.stringify(key, null, 1),
        slips: [
          ...key.faults.map((f) => ({
            line: f.line,
            name: nameOf(f.line),
            fault: FAULT_LABEL[f.kind] ?? f.kind,
          })),
          ...key.decoys.map((d) => ({
            line: d.line,
            name: nameOf(d.line),
            fault: `sound, but ${SIGHT_WORDS.decoy[d.kind] ?? d.kind}`,
          })),
        ],
      };
      this.key = key;
      this.results = [];
    } catch {
      workspace.say(
        "The key could not be sealed here: the browser seals only over HTTPS or on this machine.",
        true,
      );
    } finally {
      this.busy = false;
    }
  }

  /** The slip sheet in Markdown: for a real kit, numbered labels and what to plant. */
  slipSheet(): string {
    const { made } = this;
    if (!made) return "";
    return [
      `# ${made.title}: slip sheet`,
      "For the instructor's eyes. Put each back after the class; nothing planted goes into a kit in service.",
      ...made.slips.map((s, i) => `${i + 1}. **${s.name}** (label ${s.line}): ${s.fault}`),
    ].join("\n\n");
  }

  /** Takes in a key or exercise, and results, any number at once. */
  async take(files: readonly File[]): Promise<void> {
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
    const formatOf = (json: unknown) => (json as { format?: unknown } | null)?.format;
    for (const { name, json } of read) {
      const format = formatOf(json);
      if (format !== "wide-sieve.key" && format !== "wide-sieve.exercise") continue;
      const key = await readKey(json, this.passphrase || undefined);
      if (key.ok) {
        if (key.value.exercise !== this.key?.exercise) this.results = [];
        this.key = key.value;
      } else refused.push({ file: name, why: key.problems.map((p) => told(p).what).join("; ") });
    }
    const known = new Map(this.results.map((r) => [r.student, r]));
    for (const { name, json } of read) {
      const format = formatOf(json);
      if (format === "wide-sieve.key" || format === "wide-sieve.exercise") continue;
      if (!this.key) {
        refused.push({ file: name, why: "the key of the exercise is wanted first" });
        continue;
      }
      const result = await readResult(json, this.key.exercise);
      if (result.ok) known.set(result.value.student, result.value);
      else
        refused.push({
          file: name,
          why:
            json === null
              ? "is cut short or no result"
              : result.problems.map((p) => told(p).what).join("; "),
        });
    }
    this.results = [...known.values()];
    this.refused = refused;
  }

  /** The class as a table. */
  table(): (string | number)[][] {
    const { summary, key } = this;
    if (!summary || !key) return [];
    return [
      ["student", "found", "missed", "false alarms", "right reasons", "verdicts", "seconds"],
      ...summary.students.map((s) => [
        s.id,
        s.found.length,
        s.missed.length,
        s.falseAlarms.length,
        s.rightReason.length,
        Math.round(1000 * s.verdictScore) / 1000,
        s.timeS ?? "",
      ]),
    ];
  }

  /** A student's sheet: what you saw, what you missed and how one sees it. */
  sheetOf(student: string): string {
    const { key, summary } = this;
    const m = summary?.students.find((s) => s.id === student);
    if (!key || !m) return "";
    const kindOf = (id: string) => key.faults.find((f) => f.id === id)!;
    return [
      `# ${key.title}: ${student}`,
      `Found ${m.found.length} of ${key.faults.length}, ${m.falseAlarms.length} false alarms.`,
      "## You saw",
      ...m.found.map((id) => `- ${FAULT_LABEL[kindOf(id).kind]} (${kindOf(id).line})`),
      "## You missed, and how one sees it",
      ...m.missed.map(
        (id) =>
          `- ${FAULT_LABEL[kindOf(id).kind]} (${kindOf(id).line}): ${FAULT_HOW[kindOf(id).kind]}`,
      ),
    ].join("\n");
  }
}
