import { existsSync, readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { readCard } from "../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";
import { lostOf, markFolder, readNames } from "../scripts/markCard.ts";
import { madeCard, truthOf, written } from "../tests/unit/cardMaker.ts";
import { hostileCards } from "../tests/unit/hostileCards.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const percent = (part: number, of: number) => Math.round((1000 * part) / Math.max(1, of)) / 10;

/** Folders of cards by people: right in type, pieces and size; and what of the sure ones is wrong. */
const FOLDERS = [
  "cards",
  "own-cards",
  "kept-aside-1",
  "kept-aside-2",
  "aside-cards",
  "aside-2",
  "aside-3",
  "aside-4",
  "mended",
  "mended-2",
  "aside-5",
  "aside-6",
  "aside-7",
  "aside-8",
  "aside-9",
  "aside-10",
  "aside-11",
  "aside-12",
  "aside-13",
  "aside-14",
  "aside-15",
  "aside-16",
  "aside-17",
  "aside-18",
  "aside-19",
  "aside-20",
  "aside-21",
  "aside-22",
  "aside-23",
  "aside-24",
  "aside-25",
  "aside-26",
  "aside-27",
  "aside-28",
  "aside-29",
  "aside-30",
  "aside-31",
  "aside-32",
  "aside-33",
  "aside-34",
  "aside-35",
  "aside-36",
  "aside-37",
  "aside-38",
  "aside-39",
  "aside-40",
  "aside-41",
  "aside-42",
  "aside-43",
  "aside-44",
  "aside-45",
  "aside-46",
  "aside-47",
  "aside-48",
  "aside-49",
  "aside-50",
  "aside-51",
  "aside-52",
  "aside-53",
  "aside-54",
  "aside-55",
  "aside-56",
  "aside-57",
  "aside-58",
  "aside-59",
  "aside-60",
  "aside-61",
  "aside-62",
  "aside-63",
  "aside-64",
  "aside-65",
  "aside-66",
  "aside-67",
  "aside-68",
];

function cardsByPeople() {
  console.log("\nCards by people");
  console.table(
    Object.fromEntries(
      FOLDERS.map((name) => {
        const m = markFolder(`tests/fixtures/${name}`, vocabulary);
        return [
          name,
          {
            entries: m.all,
            "right, %": percent(m.right, m.all),
            "sure, %": percent(m.sure, m.all),
            "sure and wrong, %": percent(m.sure - m.sureRight, m.sure),
          },
        ];
      }),
    ),
  );
}

/** Cards made by rule; errors counted by what was done to them. */
function madeCards(howMany: number) {
  const errors = new Map<string, { wrong: number; of: number }>();
  let [right, all] = [0, 0];
  const started = performance.now();
  for (const card of fc.sample(madeCard, { seed: 13, numRuns: howMany })) {
    const wanted = truthOf(card.contents).map((e) => JSON.stringify(e));
    const got = readCard(written(card), vocabulary).entries.map((e) =>
      JSON.stringify([e.itemType, e.pieces, e.sizeMm]),
    );
    const lost = lostOf(wanted, got).lost.length;
    all += wanted.length;
    right += wanted.length - lost;
    for (const by of [`layout: ${card.layout}`, `habit: ${card.habit}`, `noise: ${card.noise}`]) {
      const e = errors.get(by) ?? { wrong: 0, of: 0 };
      errors.set(by, { wrong: e.wrong + lost, of: e.of + wanted.length });
    }
  }
  const seconds = (performance.now() - started) / 1000;
  console.log(
    `\n${howMany} cards made by rule: ${right} of ${all} entries right (${percent(right, all)} %), ${Math.round(all / seconds)} entries a second`,
  );
  console.table(Object.fromEntries([...errors].sort().filter(([, e]) => e.wrong > 0)));
}

/** Further names of the trade, each alone on a line: right, asked about, or wrong and sure. */
function names(file: string) {
  if (!existsSync(file)) return;
  const tally = { right: 0, asked: 0, "wrong and sure": 0, "not read": 0 };
  const rows = readNames(file, vocabulary);
  for (const { type, entries: found } of rows) {
    if (found.length === 0) tally["not read"]++;
    else if (found.length === 1 && found[0]!.itemType === type) tally.right++;
    else if (found.every((e) => e.confidence < 0.9)) tally.asked++;
    else tally["wrong and sure"]++;
  }
  console.log(`\n${rows.length} further names`);
  console.table({ names: tally });
}

/** Cards of 100,000 characters that patterns and tables may trip over: the slowest, beside one of real lines as long. */
function hostile() {
  const LENGTH = 100_000;
  const seconds = (card: string) => {
    const started = performance.now();
    readCard(card, vocabulary);
    return (performance.now() - started) / 1000;
  };
  const real = readdirSync("tests/fixtures/cards")
    .filter((name) => name.endsWith(".txt"))
    .map((name) => readFileSync(`tests/fixtures/cards/${name}`, "utf8"))
    .join("\n");
  const usual = seconds(real.repeat(Math.ceil(LENGTH / real.length)).slice(0, LENGTH));
  const slowest = [...hostileCards(LENGTH)]
    .map((card) => ({ line: card.slice(0, 24), seconds: seconds(card) }))
    .sort((a, b) => b.seconds - a.seconds)
    .slice(0, 5);
  console.log(`\nHostile cards of 100 KB (real lines: ${usual.toFixed(2)} s)`);
  console.table(
    slowest.map(({ line, seconds }) => ({
      line: JSON.stringify(line),
      seconds: Number(seconds.toFixed(2)),
      "times the real": Number((seconds / usual).toFixed(1)),
    })),
  );
}

export function benchCards(): void {
  cardsByPeople();
  madeCards(10_000);
  names("../shared/data/synonyms.csv");
  hostile();
}
