import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";
import { Bench } from "tinybench";
import { readFileSync, readdirSync } from "node:fs";
import MiniSearch from "minisearch";
import Fuse from "fuse.js";
import { audit, worthChecking } from "../src/lib/core/audit/audit.ts";
import { compareKits } from "../src/lib/core/compare/compareKits.ts";
import { PRICE_BOOK } from "../src/lib/data/priceBook.ts";
import { readCard } from "../src/lib/core/card/readCard.ts";
import { CARD_WORDS } from "../src/lib/data/cardVocabulary.ts";
import { ITEM_TYPES } from "../src/lib/data/itemTypes.ts";
import { benchCards } from "./cards.ts";
import { benchChance } from "./chance.ts";
import { benchPlans } from "./plans.ts";
import { madeUp } from "./madeUp.ts";
import { benchMany } from "./many.ts";

/** Timings, as ratios in one run. Not a test: machines differ. */

const bench = new Bench({ time: 600, warmupTime: 200 });
const half = madeUp(100, 60, 0.5);
const none = madeUp(100, 60, 0);
const large = madeUp(300, 72, 0.7);
bench.add(
  "audit, 100 lines × 60 needs, half checked",
  () => void audit(half, "2026-11-25", CATALOGUE),
);
bench.add("audit, 100 × 60, nothing checked", () => void audit(none, "2026-11-25", CATALOGUE));
bench.add("audit, 300 × 72", () => void audit(large, "2026-11-25", CATALOGUE));
const fifty = Array.from({ length: 50 }, (_, i) => ({
  id: String(i),
  file: madeUp(100, 60, (i % 10) / 10),
}));
const judge = { brief: half.brief, list: half.list, houseRules: {} };
bench.add(
  "compare 50 kits of 100 lines",
  () => void compareKits(fifty, judge, "2026-11-25", PRICE_BOOK, CATALOGUE),
);
const audited = audit(none, "2026-11-25", CATALOGUE);
bench.add("most worth checking, 100 lines unchecked", () => void worthChecking(audited));

const folder = new URL("../tests/fixtures/", import.meta.url);
const cards = ["cards", "own-cards"].flatMap((set) => {
  try {
    return readdirSync(new URL(`${set}/`, folder))
      .filter((f) => f.endsWith(".txt"))
      .map((f) => ({
        text: readFileSync(new URL(`${set}/${f}`, folder), "utf8"),
        expected: JSON.parse(
          readFileSync(new URL(`${set}/${f.replace(".txt", ".expected.json")}`, folder), "utf8"),
        ) as { entries: { source: number; itemType: string | null; pieces: number }[] },
      }));
  } catch {
    return [];
  }
});
const lines = cards.reduce((s, c) => s + c.text.split("\n").length, 0);
bench.add(`reader, ${cards.length} cards of ${lines} lines`, () =>
  cards.forEach((c) => readCard(c.text, vocabularyOf(NAMED_CATALOGUE))),
);
await bench.run();
console.table(bench.table());

// Search engines alone on the same cards: the item type of each expected entry from its line.
const documents = ITEM_TYPES.map((t) => ({
  id: t.id,
  text: [t.label, ...t.alsoCalled, ...(CARD_WORDS[t.id] ?? [])].join(" ; "),
}));
const mini = new MiniSearch({ fields: ["text"], searchOptions: { fuzzy: 0.2 } });
mini.addAll(documents);
const fuse = new Fuse(documents, {
  keys: ["text"],
  includeScore: true,
  ignoreLocation: true,
  threshold: 0.5,
});
/** A search engine that reads a card in seconds is tried on a part of them. */
const share = (find: (line: string) => string | null, some = cards) => {
  let right = 0;
  let all = 0;
  const started = performance.now();
  for (const c of some) {
    const text = c.text.split(/\r?\n/);
    for (const e of c.expected.entries) {
      all++;
      if (find(text[e.source - 1]!) === e.itemType) right++;
    }
  }
  return {
    "type right, %": Math.round((1000 * right) / all) / 10,
    "lines a second": Math.round((1000 * all) / (performance.now() - started)),
  };
};
const ours = () => {
  let right = 0;
  let all = 0;
  const started = performance.now();
  for (const c of cards) {
    const { entries } = readCard(c.text, vocabularyOf(NAMED_CATALOGUE));
    for (const e of c.expected.entries) {
      all++;
      if (
        entries.some(
          (g) => g.source === e.source && g.itemType === e.itemType && g.pieces === e.pieces,
        )
      )
        right++;
    }
  }
  return {
    "type right, %": Math.round((1000 * right) / all) / 10,
    "lines a second": Math.round((1000 * lines) / (performance.now() - started)),
  };
};
console.table({
  "Wide Sieve (type and pieces)": ours(),
  "MiniSearch alone": share((line) => (mini.search(line)[0]?.id as string | undefined) ?? null),
  "Fuse.js alone, 20 cards": share(
    (line) => fuse.search(line.slice(0, 60))[0]?.item.id ?? null,
    cards.slice(0, 20),
  ),
});
benchCards();
benchChance();
await benchMany();
await benchPlans();
