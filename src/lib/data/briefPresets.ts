import type { Brief } from "../core/model/brief.ts";

/** Outings to start a brief from, each with the list it is usually judged by. */
export interface BriefPreset {
  readonly id: string;
  readonly title: string;
  readonly list: string;
  readonly brief: Pick<Brief, "people" | "days" | "hoursToCare" | "activities" | "carry" | "skill">;
}

// prettier-ignore
export const BRIEF_PRESETS: readonly BriefPreset[] = [
  { id: "day-walk", title: "Day walk for two", list: "personal-day", brief: { people: 2, days: 1, hoursToCare: 3, activities: ["walking"], carry: "pack", skill: "trained" } },
  { id: "outing", title: "Outing with a class", list: "school-outing", brief: { people: 24, days: 1, hoursToCare: 1, activities: ["walking", "children"], carry: "pack", skill: "trained" } },
  { id: "harvest", title: "Harvest or work camp", list: "group-leader", brief: { people: 8, days: 3, hoursToCare: 2, activities: ["orchard", "ladder-work", "pruning", "wasps", "sun", "cooking", "camping"], carry: "vehicle", skill: "trained" } },
  { id: "week-out", title: "A week in the hills", list: "remote-party", brief: { people: 5, days: 7, hoursToCare: 20, activities: ["hiking", "camping", "cooking", "sun"], carry: "pack", skill: "trained" } },
  { id: "saw-work", title: "Two with saws", list: "bleeding-pouch", brief: { people: 2, days: 1, hoursToCare: 1, activities: ["saws", "forestry"], carry: "belt", skill: "trained" } },
  { id: "workshop", title: "Small workshop", list: "workshop-crew", brief: { people: 6, days: 1, hoursToCare: 0.5, activities: ["workshop", "machinery", "saws"], carry: "wall", skill: "trained" } },
  { id: "car", title: "Family car", list: "vehicle-locker", brief: { people: 4, days: 1, hoursToCare: 0.5, activities: ["vehicle", "children"], carry: "vehicle", skill: "trained" } },
  { id: "boat", title: "Small boat, a weekend", list: "vehicle-locker", brief: { people: 4, days: 2, hoursToCare: 4, activities: ["boating", "sun"], carry: "boat", skill: "trained" } },
  { id: "match", title: "Match day", list: "club-touchline", brief: { people: 30, days: 1, hoursToCare: 0.5, activities: ["team-sport", "running"], carry: "pack", skill: "trained" } },
  { id: "home", title: "At home", list: "household", brief: { people: 4, days: 1, hoursToCare: 0.5, activities: ["cooking", "children"], carry: "wall", skill: "anyone" } },
  { id: "snakes-wrap", title: "Walk in snake country where pressure wraps are taught", list: "bite-wrap", brief: { people: 3, days: 1, hoursToCare: 4, activities: ["walking", "snakes", "wraps-taught", "sun"], carry: "pack", skill: "trained" } },
  { id: "snakes-rest", title: "Walk in snake country where a bitten limb is kept still without a wrap", list: "personal-day", brief: { people: 3, days: 1, hoursToCare: 4, activities: ["walking", "snakes", "wraps-not-taught", "sun"], carry: "pack", skill: "trained" } },
];
