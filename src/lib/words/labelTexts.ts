import type { LabelSheet } from "../core/labels/sheets.ts";

/** What stands on printed labels and cards. */
export const LABEL_TEXT = {
  sheetTitle: "Labels",
  goodTo: "good to",
  opened: "opened",
  firstUse: "first used",
  strengthToWrite: "strength: __________",
  dateToWrite: "good to: __________",
  medicine: "Ask about allergies and other medicines; dose by its leaflet.",
  contents: "Contents, as counted",
  nextDate: "next date",
  noDate: "no dated things",
  uncounted: "not counted: as claimed",
} as const;

export const sheetLabel = (s: LabelSheet): string =>
  `${s.page === "A4" ? "A4" : "Letter"}, ${s.across * s.down} labels of ${s.width} × ${s.height} mm`;
