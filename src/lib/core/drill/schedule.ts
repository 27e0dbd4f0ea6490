import { createEmptyCard, fsrs, Rating, type Card } from "ts-fsrs";
import type { Mesh } from "../model/mesh.ts";
import type { DrillAnswer, Scheduled } from "../records/drillRecord.ts";
import type { DrillCard } from "./cards.ts";

/**
 * When a card comes again: FSRS (ts-fsrs) without its random spread, so that the same answers give the same
 * days. Wrong is "again", right but slow "hard", right "good".
 */
const scheduler = fsrs({ enable_fuzz: false });

/** Longer than this with one thing in the hand is slow: five points at four seconds. */
const SLOW_S = 20;
/** New cards a day: with the old ones that come again a quarter of an hour. */
export const NEW_A_DAY = 12;

const cardOf = ({ due, last_review, ...s }: Scheduled): Card => ({
  ...s,
  elapsed_days: 0,
  due: new Date(due),
  ...(last_review === undefined ? {} : { last_review: new Date(last_review) }),
});

/** A card after an answer. @param now the clock, passed in */
export function answered(
  before: Scheduled | undefined,
  right: boolean,
  seconds: number,
  now: Date,
): Scheduled {
  const grade = !right ? Rating.Again : seconds > SLOW_S ? Rating.Hard : Rating.Good;
  const { card } = scheduler.next(before ? cardOf(before) : createEmptyCard(now), now, grade);
  return {
    due: card.due.toISOString(),
    stability: card.stability,
    difficulty: card.difficulty,
    scheduled_days: card.scheduled_days,
    learning_steps: card.learning_steps,
    reps: card.reps,
    lapses: card.lapses,
    state: card.state,
    ...(card.last_review ? { last_review: card.last_review.toISOString() } : {}),
  };
}

/** How often a mesh is got wrong, so far; with nothing known one half (Laplace's rule). */
function errorOf(mesh: Mesh, answers: readonly DrillAnswer[]): number {
  const own = answers.filter((a) => a.mesh === mesh);
  return (own.filter((a) => !a.right).length + 1) / (own.length + 2);
}

/**
 * What comes next: what is due, the longest overdue first; then new cards of the mesh in which one errs most,
 * so many a day.
 * @returns null: nothing more today
 */
export function nextCard(
  cards: readonly DrillCard[],
  scheduled: Readonly<Record<string, Scheduled>>,
  answers: readonly DrillAnswer[],
  now: Date,
): DrillCard | null {
  const at = now.toISOString();
  const due = cards
    .filter((c) => (scheduled[c.id]?.due ?? "9") <= at)
    .sort((a, b) => (scheduled[a.id]!.due < scheduled[b.id]!.due ? -1 : 1));
  if (due[0]) return due[0];
  const today = at.slice(0, 10);
  const first = new Map<string, string>();
  for (const a of answers) if (!first.has(a.card)) first.set(a.card, a.at);
  const newToday = [...first.values()].filter((t) => t.slice(0, 10) === today).length;
  if (newToday >= NEW_A_DAY) return null;
  const fresh = cards.filter((c) => !scheduled[c.id]);
  return [...fresh].sort((a, b) => errorOf(b.mesh, answers) - errorOf(a.mesh, answers))[0] ?? null;
}

/** The day on which the next card is due; null: none was seen yet. */
export const nextDue = (scheduled: Readonly<Record<string, Scheduled>>): string | null =>
  Object.values(scheduled)
    .map((s) => s.due)
    .sort()[0] ?? null;

/** Right answers of a week by mesh. */
export interface DrillWeek {
  /** Its Monday. */
  readonly from: string;
  readonly meshes: Readonly<Partial<Record<Mesh, { readonly right: number; readonly of: number }>>>;
}

/** Progress by mesh over the weeks, the newest last. */
export function weeksOf(answers: readonly DrillAnswer[]): DrillWeek[] {
  const weeks = new Map<string, Partial<Record<Mesh, { right: number; of: number }>>>();
  for (const a of answers) {
    const from = mondayOf(a.at.slice(0, 10));
    const week = weeks.get(from) ?? {};
    const own = week[a.mesh] ?? { right: 0, of: 0 };
    week[a.mesh] = { right: own.right + (a.right ? 1 : 0), of: own.of + 1 };
    weeks.set(from, week);
  }
  return [...weeks]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([from, meshes]) => ({ from, meshes }));
}

const DAY_MS = 86_400_000;
function mondayOf(day: string): string {
  const at = Date.parse(day);
  const sinceMonday = (new Date(at).getUTCDay() + 6) % 7;
  return new Date(at - sinceMonday * DAY_MS).toISOString().slice(0, 10);
}
