import { plain } from "../plain.ts";
import { schoolRange, type SchoolRange } from "../../core/audit/schoolsEffect.ts";
import type { AuditFile } from "../../core/model/auditFile.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { workspace } from "../workspace.svelte.ts";

/** Longer at a time and typing would stutter: under two frames of a 60 Hz screen. */
const BATCH_MS = 24;

/** All combinations of house rules tried on one kit, a few at a time so that the page stays alive. */
export class SchoolsRun {
  progress = $state.raw<{ readonly done: number; readonly of: number } | null>(null);
  range = $state.raw<SchoolRange | null>(null);
  #timer: ReturnType<typeof setTimeout> | undefined;

  start(file: AuditFile): void {
    this.forget();
    const run = schoolRange(plain(file), workspace.today, CATALOGUE);
    const step = () => {
      const until = performance.now() + BATCH_MS;
      while (performance.now() < until) {
        const next = run.next();
        if (next.done) {
          this.range = next.value;
          this.progress = null;
          return;
        }
        this.progress = next.value;
      }
      this.#timer = setTimeout(step);
    };
    step();
  }
  stop(): void {
    clearTimeout(this.#timer);
    this.progress = null;
  }
  /** What was tried holds for the kit as it was. */
  forget(): void {
    this.stop();
    this.range = null;
  }
}
