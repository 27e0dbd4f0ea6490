import type { ReferenceList } from "../core/formats/auditFile.ts";
import type {
  BriefRecord,
  KitRecord,
  ListRecord,
  SettingsRecord,
} from "../core/records/records.ts";
import { PERSONAL_DAY } from "../data/lists/personalDay.ts";
import { currentVersion } from "./store.ts";

/** A brief to start from: two people out for a day. */
export const newBrief = (key: string): BriefRecord => ({
  kind: "brief",
  id: `brief:${key}`,
  version: currentVersion("brief"),
  brief: {
    title: "",
    people: 2,
    days: 1,
    hoursToCare: 2,
    activities: [],
    carry: "pack",
    skill: "trained",
    sensitivities: [],
    limits: {},
  },
});

/** An empty kit under a brief, against the shortest of the shipped lists. */
export const newKit = (key: string, name: string, briefId: string): KitRecord => ({
  kind: "kit",
  id: `kit:${key}`,
  version: currentVersion("kit"),
  briefId,
  kit: { name, claims: {}, lines: [] },
  list: structuredClone(PERSONAL_DAY),
  houseRules: {},
  cardText: "",
  verdicts: {},
  doubts: {},
  history: [],
  plan: { question: "cheapest", budget: null },
});

/** A list of the user's own, from any list: its content under an id of its own. */
export const newList = (key: string, list: ReferenceList): ListRecord => ({
  kind: "list",
  id: `list:${key}`,
  version: currentVersion("list"),
  list: { ...structuredClone(list), id: `own-${key}`, version: 1 },
  from: list.id,
});

/** Until someone chooses: metric, dates and numbers as the browser writes them, euros. */
export const DEFAULT_SETTINGS: SettingsRecord = {
  kind: "settings",
  id: "settings:own",
  version: currentVersion("settings"),
  units: "metric",
  locale: "",
  currency: "EUR",
  rates: {},
};
