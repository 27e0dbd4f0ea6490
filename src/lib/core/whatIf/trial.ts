import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import type { RuleId } from "../model/houseRules.ts";

/** One "what if": a change to an audit that can be looked at before it is kept. */
export type Trial =
  | { readonly kind: "sound"; readonly line: string }
  | { readonly kind: "more"; readonly line: string; readonly pieces: number }
  | { readonly kind: "fresh"; readonly line: string }
  | { readonly kind: "within-reach"; readonly line: string }
  | { readonly kind: "out"; readonly line: string }
  | {
      readonly kind: "add";
      readonly itemType: string;
      readonly pieces: number;
      readonly id: string;
    }
  | { readonly kind: "school"; readonly rule: RuleId; readonly option: string };

const changed = (file: AuditFile, id: string, change: (l: Line) => Line): AuditFile => ({
  ...file,
  kit: { ...file.kit, lines: file.kit.lines.map((l) => (l.id === id ? change(l) : l)) },
});

/** The audit as it would be. Lines that are not there are left alone. */
export function applyTrial(file: AuditFile, trial: Trial): AuditFile {
  switch (trial.kind) {
    case "sound":
      return changed(file, trial.line, ({ condition: _, okPoints: __, ...l }) => ({
        ...l,
        failedPoints: [],
      }));
    case "more":
      return changed(file, trial.line, (l) => ({
        ...l,
        counted: (l.counted ?? l.claimed ?? 0) + trial.pieces,
      }));
    case "fresh":
      return changed(file, trial.line, (l) => ({ ...l, expires: "none" }));
    case "within-reach":
      return changed(
        file,
        trial.line,
        ({ reachS: _, drills: __, findable: ___, labelled: ____, ...l }) => ({
          ...l,
          location: "outside",
        }),
      );
    case "out":
      return {
        ...file,
        kit: { ...file.kit, lines: file.kit.lines.filter((l) => l.id !== trial.line) },
      };
    case "add":
      return {
        ...file,
        kit: {
          ...file.kit,
          lines: [
            ...file.kit.lines,
            {
              id: trial.id,
              itemType: trial.itemType,
              counted: trial.pieces,
              failedPoints: [],
              expires: "none",
              location: "outside",
            },
          ],
        },
      };
    case "school":
      return { ...file, houseRules: { ...file.houseRules, [trial.rule]: trial.option } };
  }
}

export const applyTrials = (file: AuditFile, trials: readonly Trial[]): AuditFile =>
  trials.reduce(applyTrial, file);
