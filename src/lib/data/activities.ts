export interface Activity {
  readonly id: string;
  readonly label: string;
  /** It answers a question that another activity raises (ASKED_OF), and is no pick of its own. */
  readonly answers?: string;
}

/** Activities offered in the brief; a list may ask for any other id as well. */
export const ACTIVITIES: readonly Activity[] = [
  { id: "walking", label: "walking" },
  { id: "hiking", label: "hill walking" },
  { id: "running", label: "running" },
  { id: "climbing", label: "climbing" },
  { id: "camping", label: "camping" },
  { id: "cooking", label: "camp stove or kitchen" },
  { id: "boating", label: "boating" },
  { id: "orchard", label: "orchard and garden" },
  { id: "ladder-work", label: "ladders" },
  { id: "pruning", label: "pruning" },
  { id: "saws", label: "saws" },
  { id: "axes", label: "axes and knives" },
  { id: "forestry", label: "forestry" },
  { id: "fieldwork", label: "fieldwork" },
  { id: "wasps", label: "wasps and bees" },
  { id: "sun", label: "strong sun" },
  { id: "cold", label: "snow and cold" },
  { id: "snakes", label: "snake country" },
  { id: "hot-work", label: "welding and hot work" },
  { id: "workshop", label: "workshop" },
  { id: "machinery", label: "machinery" },
  { id: "vehicle", label: "driving" },
  { id: "team-sport", label: "team sport" },
  { id: "water", label: "swimming and water" },
  { id: "children", label: "children along" },
  { id: "asthma", label: "someone has asthma" },
  { id: "wraps-taught", label: "pressure wraps are taught there", answers: "snakes" },
  { id: "wraps-not-taught", label: "pressure wraps are not taught there", answers: "snakes" },
];

/** Asked once where the activity is picked: regions teach different methods, and the wrong one harms. */
export const ASKED_OF: Readonly<Record<string, string>> = {
  snakes: "Which method is taught where you go, for a bite there?",
};
