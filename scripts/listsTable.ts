/**
 * Writes the tables of docs/lists.md: what every shipped list asks for, for a party of one, of its usual size and of
 * its largest, for one day and for seven, with every activity that its needs name. Run after a list
 * was changed: `npm run lists`.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { EMPTY_BRIEF, type Brief } from "../src/lib/core/model/brief.ts";
import { schools } from "../src/lib/core/model/houseRules.ts";
import { askedNeeds } from "../src/lib/core/reference/asked.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { SHIPPED_LISTS } from "../src/lib/data/lists/index.ts";
import { needLabel, quantity } from "../src/lib/words/sentences.ts";

/** People whom a list is usually and at most for, and hours to care: as its own text says. */
const SIZES: Readonly<Record<string, readonly [usual: number, largest: number, hours: number]>> = {
  "personal-day": [2, 4, 3],
  "group-leader": [8, 15, 2],
  "remote-party": [5, 12, 20],
  "bleeding-pouch": [2, 8, 1],
  "vehicle-locker": [4, 12, 1],
  "workshop-crew": [6, 15, 0.5],
  "bite-wrap": [3, 6, 4],
  "club-touchline": [20, 40, 0.5],
  household: [4, 8, 0.5],
  "school-outing": [24, 40, 1],
};
const DAYS = [1, 7] as const;

const MARK = "<!-- quantities: made by `npm run lists`, from here to the end -->";
const out = [
  MARK,
  "",
  "# What the shipped lists ask for",
  "",
  "Made by `npm run lists` from the lists themselves. Every activity, sensitivity and way of carrying that a",
  "need names is taken as given, so that every need is asked; a brief asks for less. Quantities are planning",
  "figures, for judging equipment: no advice on treatment. *theirs*: a person's own thing, checked and never",
  "bought.",
  "",
];
for (const list of SHIPPED_LISTS) {
  const size = SIZES[list.id];
  if (!size) throw new Error(`say in scripts/listsTable.ts how many people '${list.id}' is for`);
  const [usual, largest, hoursToCare] = size;
  const all = <T>(
    of: (w: NonNullable<(typeof list.needs)[number]["when"]>) => readonly T[] | undefined,
  ) => [...new Set(list.needs.flatMap((n) => (n.when ? (of(n.when) ?? []) : [])))];
  const columns = [1, usual, largest].flatMap((people) =>
    DAYS.map((days) => {
      const brief: Brief = {
        ...EMPTY_BRIEF,
        people,
        days,
        hoursToCare,
        activities: all((w) => w.activities),
        sensitivities: all((w) => w.sensitivities),
      };
      const asked = askedNeeds(list.needs, brief, schools({}), CATALOGUE);
      return { people, days, asked: new Map(asked.map((n) => [n.need.id, n.required])) };
    }),
  );
  out.push(
    `## ${list.title}`,
    "",
    `${list.for} ${list.isNot}`,
    "",
    `| Need | Tier | ${columns.map((c) => `${c.people} p, ${c.days} d`).join(" | ")} |`,
    `| --- | --- | ${columns.map(() => "---:").join(" | ")} |`,
    ...list.needs.map((n) => {
      const { unit } = CATALOGUE.functions.get(n.function)!;
      const cells = columns.map((c) => {
        const q = c.asked.get(n.id);
        return q === undefined ? "–" : quantity(q, unit);
      });
      return `| ${needLabel(n.function)}${n.theirs ? " (*theirs*)" : ""} | ${n.tier} | ${cells.join(" | ")} |`;
    }),
    "",
    `At ${hoursToCare} h from care.`,
    "",
  );
}
const [text] = readFileSync("docs/lists.md", "utf8").split(MARK);
writeFileSync("docs/lists.md", text + out.join("\n"));
