import { lastGoodDayAfterMonths } from "../base/dates.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Random } from "../chance/random.ts";
import { FAULT_KINDS } from "../exercise/faultKinds.ts";
import { sightOf, type SightWords } from "../exercise/write.ts";
import type { Exercise } from "../exercise/exerciseFile.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { EMPTY_BRIEF, type Brief } from "../model/brief.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import type { Mesh } from "../model/mesh.ts";
import { contextOf } from "../sieve/context.ts";

/** Something to learn to see: a kind of fault, and the point of inspection that shows it, where one does. */
export interface DrillCard {
  readonly id: string;
  readonly kind: string;
  readonly mesh: Mesh;
  /** Kinds of thing on which it can be seen. */
  readonly types: readonly string[];
}

/** For whom the things of a drill are: dates run beyond one day, and somebody reacts to latex. */
const DRILL_BRIEF: Omit<Brief, "start"> = {
  ...EMPTY_BRIEF,
  people: 4,
  days: 3,
  sensitivities: ["latex"],
};

/** Too small for what? A drill has no list: left to the exercise. */
const NEEDS_A_LIST = new Set(["f-wrong-size"]);

/** A drill shows so many pieces, so that half of them may be missing. */
const PIECES = 4;

/** A kit of one thing, as it should be. */
function oneThing(type: ItemType, today: string): AuditFile {
  const { use, latex, dated } = type;
  const pieces = use === "tool" ? 1 : PIECES;
  const line: Line = {
    id: "drill",
    itemType: type.id,
    text: type.label,
    claimed: pieces,
    counted: pieces,
    failedPoints: [],
    expires: dated ? lastGoodDayAfterMonths(today, 20).slice(0, 7) : "none",
    location: "open-top",
    ...(latex === "ask" || latex === "often" ? { latexFree: true } : {}),
  };
  return {
    format: "wide-sieve.audit",
    version: 1,
    brief: { ...DRILL_BRIEF, start: today },
    list: { id: "drill", title: "drill", needs: [] },
    kit: { name: "drill", lines: [line], claims: {} },
  };
}

/** Types whose faults are worth learning: anybody's, with points of inspection, no trainers. */
const isDrilled = (type: ItemType, catalogue: Catalogue): boolean =>
  !type.trainer && (catalogue.pointsByType.get(type.id)?.length ?? 0) > 0;

/** The line with a fault in it, or null; and which card that is. */
function planted(
  kind: (typeof FAULT_KINDS)[number],
  type: ItemType,
  today: string,
  catalogue: Catalogue,
) {
  const context = contextOf(oneThing(type, today), today, catalogue);
  const line = kind.plant(context.lines[0]!, context);
  if (!line) return null;
  const point = line.failedPoints?.[0];
  return { line, id: point === undefined ? kind.id : `${kind.id}/${point}` };
}

/** All cards of the catalogue: fault kind × inspection point, in the order of the meshes. */
export function drillCards(today: string, catalogue: Catalogue): DrillCard[] {
  const cards = new Map<string, { kind: string; mesh: Mesh; types: string[] }>();
  for (const kind of FAULT_KINDS) {
    if (NEEDS_A_LIST.has(kind.id)) continue;
    for (const type of catalogue.types.values()) {
      const found = isDrilled(type, catalogue) ? planted(kind, type, today, catalogue) : null;
      if (!found) continue;
      const card = cards.get(found.id);
      if (card) card.types.push(type.id);
      else cards.set(found.id, { kind: kind.id, mesh: kind.mesh, types: [type.id] });
    }
  }
  return [...cards].map(([id, card]) => ({ id, ...card }));
}

/** One thing shown: what the box says, what is seen, and what is wrong with it. */
export interface DrillQuestion {
  readonly card: string;
  readonly itemType: string;
  readonly claimed: number;
  readonly sight: Exercise["sights"][string];
  readonly brief: Brief;
  /** A kind of fault; empty: it is sound. */
  readonly right: string;
}

/** Of three things shown one is sound: else who always names something would never err. */
const SOUND = 1 / 3;

/** Draws a thing of a card's kinds, with the fault or without. */
export function drillQuestion(
  card: DrillCard,
  random: Random,
  today: string,
  words: SightWords,
  catalogue: Catalogue,
): DrillQuestion {
  const type = catalogue.types.get(card.types[Math.floor(random.next() * card.types.length)]!)!;
  const isSound = random.next() < SOUND;
  const kind = FAULT_KINDS.find((k) => k.id === card.kind)!;
  const file = oneThing(type, today);
  const clean = file.kit.lines[0]!;
  const line = isSound ? clean : planted(kind, type, today, catalogue)!.line;
  const shown = line.itemType === null ? undefined : catalogue.types.get(line.itemType);
  return {
    card: card.id,
    itemType: type.id,
    claimed: clean.claimed!,
    sight: sightOf(line, shown, isSound ? undefined : card.kind, words, catalogue),
    brief: file.brief,
    right: isSound ? "" : card.kind,
  };
}
