import type { HouseRules, Tier } from "../formats/auditFile.ts";

/** House rules with every school decided. */
export interface Schools {
  readonly emphasis: "balanced" | "severity-led" | "frequency-led";
  readonly dates: "strict" | "tiered";
  readonly duplicates: "self-contained" | "lean";
  readonly devices: "tolerant" | "protocol-only";
  readonly improvised: "allow" | "deny";
  readonly advanced: "gate" | "carry";
  readonly breathing: "barrier" | "hands-only";
  readonly cutting: "shears" | "scissors";
  readonly thresholds: Thresholds;
  readonly passMarks: Record<Tier, number>;
}

/** Coverage asked for each grade; `partialVital`: what every vital need must reach for Partial. */
export interface Thresholds {
  readonly ready: number;
  readonly nearly: number;
  readonly partial: number;
  readonly partialVital: number;
}

/** Vital needs count in full only when whole; a core need holds at four fifths, a useful one at half. */
export const PASS_MARKS: Record<Tier, number> = { vital: 1, core: 0.8, useful: 0.5 };
export const THRESHOLDS: Thresholds = { ready: 0.9, nearly: 0.7, partial: 0.5, partialVital: 0.5 };

/** The eight rules with their schools, the default first. Source: the house rules of the trade's schools. */
export const HOUSE_RULE_OPTIONS = [
  { id: "emphasis", options: ["balanced", "severity-led", "frequency-led"] },
  { id: "dates", options: ["strict", "tiered"] },
  { id: "duplicates", options: ["self-contained", "lean"] },
  { id: "devices", options: ["tolerant", "protocol-only"] },
  { id: "improvised", options: ["allow", "deny"] },
  { id: "advanced", options: ["gate", "carry"] },
  { id: "breathing", options: ["barrier", "hands-only"] },
  { id: "cutting", options: ["shears", "scissors"] },
] as const;
export type RuleId = (typeof HOUSE_RULE_OPTIONS)[number]["id"];

/** Fills in the default school wherever none was chosen. */
export function schools(rules: HouseRules | undefined): Schools {
  return {
    emphasis: rules?.emphasis ?? "balanced",
    dates: rules?.dates ?? "strict",
    duplicates: rules?.duplicates ?? "self-contained",
    devices: rules?.devices ?? "tolerant",
    improvised: rules?.improvised ?? "allow",
    advanced: rules?.advanced ?? "gate",
    breathing: rules?.breathing ?? "barrier",
    cutting: rules?.cutting ?? "shears",
    thresholds: {
      ready: rules?.thresholds?.ready ?? THRESHOLDS.ready,
      nearly: rules?.thresholds?.nearly ?? THRESHOLDS.nearly,
      partial: rules?.thresholds?.partial ?? THRESHOLDS.partial,
      partialVital: rules?.thresholds?.partialVital ?? THRESHOLDS.partialVital,
    },
    passMarks: {
      vital: rules?.passMarks?.vital ?? PASS_MARKS.vital,
      core: rules?.passMarks?.core ?? PASS_MARKS.core,
      useful: rules?.passMarks?.useful ?? PASS_MARKS.useful,
    },
  };
}
