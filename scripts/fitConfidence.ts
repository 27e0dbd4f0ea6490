/**
 * Fits the chance that an entry of a card is right (core/card/confidence.ts) and writes the costs of
 * the doubts to core/card/confidenceModel.ts.
 *
 *   npm run confidence
 *
 * Logistic regression by gradient descent, costs held at 0 or more (a doubt never helps), with a
 * small ridge. Fitted on the cards in FITTED and every second name of the shared synonyms; judged on
 * those in JUDGED and the other names, which it does not see.
 */
import { existsSync, readdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { CARD_DOUBTS, type CardDoubt } from "../src/lib/core/card/cardDoubt.ts";
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";
import { readNames, rightEntries } from "./markCard.ts";

/** Weight of a case: the own cards were mended until they were right, so each says less. */
const FITTED: readonly (readonly [folder: string, weight: number])[] = [
  ["tests/fixtures/own-cards", 0.1],
  ["tests/fixtures/kept-aside-1", 1],
  ["tests/fixtures/kept-aside-2", 1],
  ["tests/fixtures/aside-3", 1],
  ["tests/fixtures/mended", 0.5],
  ["tests/fixtures/mended-2", 0.5],
  ["tests/fixtures/aside-5", 1],
];
const JUDGED = [
  "tests/fixtures/aside-cards",
  "tests/fixtures/aside-2",
  "tests/fixtures/aside-4",
  "tests/fixtures/aside-6",
  "tests/fixtures/aside-7",
  "tests/fixtures/aside-8",
  "tests/fixtures/aside-9",
  "tests/fixtures/aside-10",
  "tests/fixtures/aside-11",
  "tests/fixtures/aside-12",
  "tests/fixtures/aside-13",
  "tests/fixtures/aside-14",
  "tests/fixtures/aside-15",
  "tests/fixtures/aside-16",
  "tests/fixtures/aside-17",
  "tests/fixtures/aside-18",
  "tests/fixtures/aside-19",
  "tests/fixtures/aside-20",
  "tests/fixtures/aside-21",
  "tests/fixtures/aside-22",
  "tests/fixtures/aside-23",
  "tests/fixtures/aside-24",
  "tests/fixtures/aside-25",
  "tests/fixtures/aside-26",
  "tests/fixtures/aside-27",
  "tests/fixtures/aside-28",
  "tests/fixtures/aside-29",
  "tests/fixtures/aside-30",
  "tests/fixtures/aside-31",
  "tests/fixtures/aside-32",
  "tests/fixtures/aside-33",
  "tests/fixtures/aside-34",
  "tests/fixtures/aside-35",
  "tests/fixtures/aside-36",
  "tests/fixtures/aside-37",
  "tests/fixtures/aside-38",
  "tests/fixtures/aside-39",
  "tests/fixtures/aside-40",
  "tests/fixtures/aside-41",
  "tests/fixtures/aside-42",
  "tests/fixtures/aside-43",
  "tests/fixtures/aside-44",
  "tests/fixtures/aside-45",
  "tests/fixtures/aside-46",
  "tests/fixtures/aside-47",
  "tests/fixtures/aside-48",
  "tests/fixtures/aside-49",
  "tests/fixtures/aside-50",
  "tests/fixtures/aside-51",
  "tests/fixtures/aside-52",
  "tests/fixtures/aside-53",
  "tests/fixtures/aside-54",
  "tests/fixtures/aside-55",
  "tests/fixtures/aside-56",
  "tests/fixtures/aside-57",
  "tests/fixtures/aside-58",
  "tests/fixtures/aside-59",
  "tests/fixtures/aside-60",
  "tests/fixtures/aside-61",
  "tests/fixtures/aside-62",
  "tests/fixtures/aside-63",
  "tests/fixtures/aside-64",
  "tests/fixtures/aside-65",
  "tests/fixtures/aside-66",
  "tests/fixtures/aside-67",
  "tests/fixtures/aside-68",
];
const SYNONYMS = "../shared/data/synonyms.csv";
/** A name alone among two others is a harder case than most lines of a card, and shows what other words do. */
const NAME_WEIGHT = 1;
/**
 * The reader was mended for the cards it is fitted on: 2.5 % of their entries are wrong, against 12 to
 * 22 % on cards it has not seen. A wrong entry counts so many times, to ask as often as those need; of 3, 6
 * and 9 the middle is right in 99 % of what it is sure of on cards not fitted on, and 9 only asks more.
 */
const WRONG_COUNTS = 6;
/** Keeps a cost that few cases speak for small. */
const RIDGE = 0.02;

/**
 * Least cost of a doubt that must always be asked about, however few cases speak for it: an open kind
 * is taken as its least until somebody answers, a guessed column spoils every row, a box of
 * plasters is seldom one plaster, and a thousand of a thing are mostly a misread size or year;
 * what is left unticked may not be there; a bag beside other things mostly holds them; of a size that lost its fraction only a part was read.
 */
const LEAST_COST: Partial<Record<CardDoubt, number>> = {
  "kind-open": 1,
  "column-guessed": 1.5,
  "pack-unknown": 1,
  "count-unusual": 2,
  "size-unusual": 2,
  "fraction-lost": 2,
  unticked: 1,
  "holds-others": 1,
  // Inches that nothing on the card says are never silent.
  "unit-assumed": 1,
};

interface Case {
  readonly doubts: readonly CardDoubt[];
  readonly right: boolean;
  readonly weight: number;
}
const vocabulary = vocabularyOf(NAMED_CATALOGUE);

const casesOf = (folder: string, weight: number): Case[] =>
  readdirSync(folder)
    .filter((f) => f.endsWith(".txt"))
    .flatMap((name) =>
      rightEntries(join(folder, name), vocabulary).map(({ entry, right }) => ({
        doubts: entry.doubts,
        right,
        weight: right ? weight : WRONG_COUNTS * weight,
      })),
    );

function namesIn(file: string, which: 0 | 1): Case[] {
  if (!existsSync(file)) return [];
  return readNames(file, vocabulary)
    .filter((_, i) => i % 2 === which)
    .flatMap(({ type, entries }) =>
      entries
        .filter((e) => e.itemType !== null)
        .map((e) => ({ doubts: e.doubts, right: e.itemType === type, weight: NAME_WEIGHT })),
    );
}

const chance = (base: number, cost: readonly number[], on: readonly number[]) =>
  1 / (1 + Math.exp(-on.reduce((s, k) => s - cost[k]!, base)));

function fit(cases: readonly Case[]): { base: number; cost: number[] } {
  const at = new Map(CARD_DOUBTS.map((d, i) => [d, i]));
  const rows = cases.map((c) => ({ ...c, on: c.doubts.map((d) => at.get(d)!) }));
  const all = rows.reduce((s, r) => s + r.weight, 0);
  let base = 3;
  const cost = CARD_DOUBTS.map(() => 0.5);
  for (let round = 0; round < 6000; round++) {
    let slopeBase = 0;
    const slope = cost.map((c) => (RIDGE * c) / 10);
    for (const r of rows) {
      const miss = (r.weight * (chance(base, cost, r.on) - Number(r.right))) / all;
      slopeBase += miss;
      for (const k of r.on) slope[k]! -= miss;
    }
    base -= 4 * slopeBase;
    cost.forEach(
      (c, k) => (cost[k] = Math.max(LEAST_COST[CARD_DOUBTS[k]!] ?? 0, c - 4 * slope[k]!)),
    );
  }
  return { base, cost };
}

const { base, cost } = fit([
  ...FITTED.flatMap(([folder, weight]) => casesOf(folder, weight)),
  ...namesIn(SYNONYMS, 0),
]);

const at = new Map(CARD_DOUBTS.map((d, i) => [d, i]));
function judge(name: string, cases: readonly Case[]) {
  const judged = cases.map((c) => ({
    ...c,
    p:
      Math.round(
        100 *
          chance(
            base,
            cost,
            c.doubts.map((d) => at.get(d)!),
          ),
      ) / 100,
  }));
  const sure = judged.filter((c) => c.p >= 0.9);
  const wrong = judged.filter((c) => !c.right);
  const flagged = wrong.filter((c) => c.p < 0.9);
  const bands = [0, 0.5, 0.7, 0.9, 1.01].slice(0, -1).map((from, i) => {
    const to = [0.5, 0.7, 0.9, 1.01][i]!;
    const inside = judged.filter((c) => c.p >= from && c.p < to);
    const right = inside.filter((c) => c.right).length;
    return `${from}–${Math.min(1, to)}: ${right}/${inside.length}`;
  });
  console.log(
    `${name}: sure ${sure.length} of ${judged.length}, right ${sure.filter((c) => c.right).length}; ` +
      `wrong ${wrong.length}, of these asked ${flagged.length}; ${bands.join(", ")}`,
  );
}
for (const [folder] of FITTED) judge(`fitted  ${folder}`, casesOf(folder, 1));
judge("fitted  names", namesIn(SYNONYMS, 0));
for (const folder of JUDGED) judge(`unseen  ${folder}`, casesOf(folder, 1));
judge("unseen  names", namesIn(SYNONYMS, 1));

const two = (n: number) => n.toFixed(2);
writeFileSync(
  "src/lib/core/card/confidenceModel.ts",
  `import type { CardDoubt } from "./cardDoubt.ts";

/**
 * Made by \`npm run confidence\` on ${new Date().toISOString().slice(0, 10)} from the cards in
 * ${FITTED.map(([f]) => f).join(", ")} and every second name of the
 * shared synonyms; see docs/method.md for its figures on cards it did not see. Do not edit.
 */

/** Log odds of an entry without any doubt. */
export const BASE = ${two(base)};

/** What each doubt takes from the log odds. */
export const COST: Readonly<Record<CardDoubt, number>> = {
${CARD_DOUBTS.map((d, i) => `  ${/-/.test(d) ? `"${d}"` : d}: ${two(cost[i]!)},`).join("\n")}
};
`,
);
