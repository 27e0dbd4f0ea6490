/** The stages in the order practitioners work. */
export const STAGES = [
  { id: "brief", label: "Brief" },
  { id: "unpack", label: "Unpack" },
  { id: "bench", label: "Bench" },
  { id: "sieve", label: "Sieve" },
  { id: "plan", label: "Plan" },
  { id: "report", label: "Report" },
  { id: "log", label: "Log" },
] as const;
export type StageId = (typeof STAGES)[number]["id"];

/** Pages of a kit beside its stages, for titles. */
const OTHER_PAGES: Readonly<Record<string, string>> = {
  calendar: "Calendar",
  labels: "Packing and labels",
  last: "Will it last?",
  second: "Second opinion",
};
/** What a kit's page is called, by the last part of its address. */
export const pageName = (part: string | undefined): string =>
  STAGES.find((s) => s.id === part)?.label ?? OTHER_PAGES[part ?? ""] ?? "Kit";
