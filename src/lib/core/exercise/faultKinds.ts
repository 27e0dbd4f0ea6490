import type { VerdictId } from "../audit/verdict.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { addDays, lastGoodDayAfterMonths } from "../base/dates.ts";
import type { InspectionPoint } from "../model/inspectionPoint.ts";
import { pointsFor } from "../inspect/points.ts";
import type { Line } from "../model/kit.ts";
import type { Brief } from "../model/brief.ts";
import { SKILLS, type ItemType } from "../model/itemType.ts";
import type { Mesh } from "../model/mesh.ts";
import type { AuditContext, ContextLine } from "../sieve/context.ts";
import { piecesOf } from "../sieve/measure.ts";

/** What a student must do to see a fault. */
type Seen = "read" | "count" | "feel" | "try" | "work-out";

/** A kind of fault that can be planted. */
export interface FaultKind {
  readonly id: string;
  readonly mesh: Mesh;
  readonly seen: Seen;
  /** 1 a beginner sees it, 3 only who looks for it. */
  readonly difficulty: 1 | 2 | 3;
  /** What is to be done with it, where the rules of the sieve propose nothing of their own. */
  readonly verdict: VerdictId;
  /** The line with the fault in it; null: it cannot have it. */
  readonly plant: (line: ContextLine, context: AuditContext) => Line | null;
}

/** What is swapped for what looks like it and does not do its job. */
const TWINS: Readonly<Record<string, string>> = {
  "windlass-tourniquet": "phlebotomy-strap",
  "ratchet-tourniquet": "phlebotomy-strap",
  "stretch-wrap-tourniquet": "phlebotomy-strap",
  "vented-chest-seal": "adhesive-large",
  "pressure-bandage": "roller-bandage",
  "abd-pad": "gauze-pad",
  "adhesive-strip": "adhesive-junior",
  "tweezers-fine": "tweezers-plastic",
  "trauma-shears": "small-scissors",
  "triangular-bandage": "roller-bandage",
  "foil-blanket": "rain-poncho",
  "gauze-pad": "cotton-ball",
};

/** The point that gives a twin away to who looks at it; the others are sound in themselves. */
const GIVES_AWAY: Readonly<Record<string, string[]>> = { "phlebotomy-strap": ["tq-purpose-made"] };

/** What does the same for who was taught it, and asks more of a hand than these people have. */
const beyond = (
  type: ItemType,
  skill: Brief["skill"],
  catalogue: Catalogue,
): ItemType | undefined => {
  const main = type.functions[0]?.function;
  return [...catalogue.types.values()].find(
    (t) =>
      SKILLS.indexOf(t.skill) > SKILLS.indexOf(skill) &&
      t.functions.some((f) => f.function === main && f.credit > 0),
  );
};

/** The kind whose empty wrappers are counted with the rest. */
export const PADDED = "f-padded";

const stays = (line: Line, facts: Partial<Line>): Line => ({ ...line, ...facts });

/** Half of the pieces do the job; of one there is no half. */
const halved: FaultKind["plant"] = ({ line }) =>
  piecesOf(line) >= 2 ? stays(line, { counted: Math.floor(piecesOf(line) / 2) }) : null;

/** A point of the line that a fault of this sort would fail; the gravest first. */
function pointOf(
  { line }: ContextLine,
  catalogue: Catalogue,
  fits: (p: InspectionPoint) => boolean,
): InspectionPoint | null {
  const grave = { fatal: 0, major: 1, minor: 2 } as const;
  return (
    pointsFor(line.itemType, catalogue)
      .filter((p) => p.severity !== "minor" && fits(p))
      .sort((a, b) => grave[a.severity] - grave[b.severity])[0] ?? null
  );
}

const byPoint =
  (fits: (p: InspectionPoint, line: ContextLine) => boolean): FaultKind["plant"] =>
  (line, { catalogue }) => {
    const point = pointOf(line, catalogue, (p) => fits(p, line));
    return point ? stays(line.line, { failedPoints: [point.id] }) : null;
  };

const OPENED = new Set(["seal-intact"]);
const TORN = new Set([
  "glove-no-pinholes",
  "inner-pack-whole",
  "no-leak",
  "cold-inner-whole",
  "clean-whole",
]);
const WET = new Set(["wrapper-dry", "inner-dry"]);
const DRY = /moist|plump|gel|wet|smell/;
const isDated = ({ type, line }: ContextLine) =>
  type?.dated === true && line.expires !== undefined && line.expires !== "none";

/**
 * The catalogue of faults, over the seven meshes, in the order in which they are looked at. Each is
 * planted on one line of a kit that is otherwise as it should be.
 */
export const FAULT_KINDS: readonly FaultKind[] = [
  {
    id: "f-missing",
    mesh: "here",
    seen: "count",
    difficulty: 1,
    verdict: "top-up",
    plant: ({ line }) => (piecesOf(line) > 0 ? stays(line, { counted: 0 }) : null),
  },
  {
    id: "f-in-name-only",
    mesh: "real",
    seen: "work-out",
    difficulty: 2,
    verdict: "replace",
    plant: ({ line }, { catalogue }) => {
      const twin = line.itemType === null ? undefined : TWINS[line.itemType];
      return twin && catalogue.types.has(twin)
        ? stays(line, { itemType: twin, failedPoints: GIVES_AWAY[twin] ?? [] })
        : null;
    },
  },
  {
    id: "f-wrong-size",
    mesh: "real",
    seen: "read",
    difficulty: 2,
    verdict: "replace",
    plant: ({ line }) =>
      line.sizeMm ? stays(line, { sizeMm: line.sizeMm.map((mm) => Math.round(mm / 2)) }) : null,
  },
  {
    id: "f-short-count",
    mesh: "enough",
    seen: "count",
    difficulty: 1,
    verdict: "top-up",
    plant: halved,
  },
  {
    id: PADDED,
    mesh: "enough",
    seen: "count",
    difficulty: 2,
    verdict: "top-up",
    // As many to count as the box says; half of them are empty wrappers.
    plant: halved,
  },
  {
    id: "f-opened",
    mesh: "sound",
    seen: "feel",
    difficulty: 2,
    verdict: "replace",
    plant: byPoint((p) => OPENED.has(p.id)),
  },
  {
    id: "f-torn",
    mesh: "sound",
    seen: "feel",
    difficulty: 2,
    verdict: "replace",
    plant: byPoint((p) => TORN.has(p.id)),
  },
  {
    id: "f-wet",
    mesh: "sound",
    seen: "read",
    difficulty: 2,
    verdict: "replace",
    plant: byPoint((p) => WET.has(p.id)),
  },
  {
    id: "f-dried-out",
    mesh: "sound",
    seen: "feel",
    difficulty: 2,
    verdict: "replace",
    plant: byPoint((p) => DRY.test(p.id)),
  },
  {
    id: "f-weak-tool",
    mesh: "sound",
    seen: "try",
    difficulty: 2,
    verdict: "replace",
    plant: byPoint((p, l) => l.type?.use === "tool" && p.by === "try"),
  },
  {
    id: "f-counterfeit",
    mesh: "sound",
    seen: "read",
    difficulty: 3,
    verdict: "replace",
    plant: byPoint(
      (p) => p.by === "look" && p.severity === "fatal" && !OPENED.has(p.id) && !WET.has(p.id),
    ),
  },
  {
    id: "f-past",
    mesh: "fresh",
    seen: "read",
    difficulty: 1,
    verdict: "replace",
    plant: (l, { brief, lastDay }) =>
      isDated(l)
        ? stays(l.line, { expires: lastGoodDayAfterMonths(brief.start ?? lastDay, -4).slice(0, 7) })
        : null,
  },
  {
    id: "f-past-last-day",
    mesh: "fresh",
    seen: "work-out",
    difficulty: 3,
    verdict: "replace",
    plant: (l, { brief, lastDay }) =>
      isDated(l) && brief.days > 1 ? stays(l.line, { expires: addDays(lastDay, -1) }) : null,
  },
  {
    id: "f-date-unreadable",
    mesh: "fresh",
    seen: "read",
    difficulty: 2,
    verdict: "watch",
    plant: (l) => {
      if (!isDated(l)) return null;
      const { expires: _, ...rest } = l.line;
      return rest;
    },
  },
  {
    id: "f-buried",
    mesh: "handy",
    seen: "try",
    difficulty: 2,
    verdict: "move",
    plant: ({ line }) =>
      line.location === "bottom" ? null : stays(line, { location: "bottom", findable: false }),
  },
  {
    id: "f-unlabelled",
    mesh: "usable",
    seen: "read",
    difficulty: 1,
    verdict: "replace",
    plant: ({ line, type }) => (type?.medicine ? stays(line, { labelled: false }) : null),
  },
  {
    id: "f-trained",
    mesh: "usable",
    seen: "work-out",
    difficulty: 3,
    verdict: "trained-hand",
    plant: ({ line, type }, { brief, catalogue }) => {
      const twin = type && beyond(type, brief.skill, catalogue);
      return twin ? stays(line, { itemType: twin.id }) : null;
    },
  },
  {
    id: "f-latex",
    mesh: "usable",
    seen: "read",
    difficulty: 3,
    verdict: "replace",
    plant: ({ line, type }, { brief }) =>
      brief.sensitivities.includes("latex") && (type?.latex === "ask" || type?.latex === "often")
        ? stays(line, { latexFree: false })
        : null,
  },
];

/** The line that stands for the outing itself. */
export const BRIEF_LINE = "brief";
/** What is wrong with the outing: more is asked of the kit than it was packed for. */
export const BRIEF_FAULT = {
  id: "f-brief",
  mesh: "enough",
  difficulty: 3,
  verdict: "top-up",
} as const;

/** The mesh that a kind of fault is caught by; undefined: there is no such kind. */
export const meshOfFault = (kind: string): Mesh | undefined =>
  kind === BRIEF_FAULT.id ? BRIEF_FAULT.mesh : FAULT_KINDS.find((k) => k.id === kind)?.mesh;
/** How hard a kind of fault is to see. */
export const difficultyOf = (kind: string): 1 | 2 | 3 =>
  FAULT_KINDS.find((k) => k.id === kind)?.difficulty ?? BRIEF_FAULT.difficulty;

/** What looks wrong and is sound; it changes nothing that is counted. */
export interface DecoyKind {
  readonly id: string;
  readonly plant: (line: ContextLine, context: AuditContext) => Line | null;
}
export const DECOY_KINDS: readonly DecoyKind[] = [
  {
    // Near its date, and good for longer than the outing.
    id: "d-near-date",
    plant: (l, { lastDay }) =>
      isDated(l)
        ? stays(l.line, { expires: lastGoodDayAfterMonths(lastDay, 1).slice(0, 7) })
        : null,
  },
  { id: "d-crumpled", plant: ({ line, type }) => (type?.sterile ? { ...line } : null) },
  { id: "d-faded", plant: ({ line }) => ({ ...line }) },
];
