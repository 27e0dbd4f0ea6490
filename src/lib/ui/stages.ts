/** The stages in the order practitioners work. */
export const STAGES = [
  { id: "brief", label: "Brief" },
  { id: "unpack", label: "Unpack" },
  { id: "bench", label: "Bench" },
  { id: "sieve", label: "Sieve" },
  { id: "plan", label: "Plan" },
  { id: "log", label: "Log" },
] as const;
export type StageId = (typeof STAGES)[number]["id"];
