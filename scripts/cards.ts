/**
 * How much of folders of contents cards the reader gets right: type, pieces and size together.
 *
 *   npm run cards -- FOLDER [FOLDER …] [--wrong]
 *
 * Sure is a confidence of 0.9 or more; flagged are the wrong lines below it.
 */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readCard, type CardEntry } from "../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";

interface Expected extends Pick<CardEntry, "source" | "itemType" | "pieces" | "sizeMm"> {
  readonly alsoRight?: readonly string[];
}

const vocabulary = vocabularyOf(CATALOGUE);
const same = (got: CardEntry, want: Expected): boolean =>
  got.source === want.source &&
  (got.itemType === want.itemType || (want.alsoRight ?? []).includes(got.itemType ?? "")) &&
  got.pieces === want.pieces &&
  JSON.stringify(got.sizeMm) === JSON.stringify(want.sizeMm);

const tell = (e: Pick<CardEntry, "itemType" | "pieces" | "sizeMm"> | undefined): string =>
  e ? `${e.itemType ?? "?"} ${e.pieces} ${JSON.stringify(e.sizeMm)}` : "nothing";

const args = process.argv.slice(2);
for (const folder of args.filter((a) => !a.startsWith("--"))) {
  const sum = { right: 0, all: 0, extra: 0, sure: 0, sureWrong: 0 };
  for (const name of readdirSync(folder).filter((f) => f.endsWith(".txt"))) {
    const text = readFileSync(join(folder, name), "utf8");
    const { entries } = JSON.parse(
      readFileSync(join(folder, name.replace(".txt", ".expected.json")), "utf8"),
    ) as { entries: Expected[] };
    const left = [...readCard(text, vocabulary).entries];
    const missed: Expected[] = [];
    for (const want of entries) {
      const at = left.findIndex((got) => same(got, want));
      if (at < 0) missed.push(want);
      else {
        if (left[at]!.confidence >= 0.9) sum.sure++;
        left.splice(at, 1);
      }
    }
    sum.all += entries.length;
    sum.right += entries.length - missed.length;
    const sureWrong = left.filter((e) => e.confidence >= 0.9).length;
    sum.sure += sureWrong;
    sum.sureWrong += sureWrong;
    sum.extra += Math.max(0, left.length - missed.length);
    if (!args.includes("--wrong")) continue;
    const line = (n: number) => text.split("\n")[n - 1]!.trim().slice(0, 90);
    for (const want of missed) {
      const got = left.find((e) => e.source === want.source);
      if (got) left.splice(left.indexOf(got), 1);
      console.log(
        `${name}:${want.source} want ${tell(want)}, got ${tell(got)} | ${line(want.source)}`,
      );
    }
    for (const e of left)
      console.log(`${name}:${e.source} not there: ${tell(e)} | ${line(e.source)}`);
  }
  const percent = (part: number, of: number) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;
  console.log(
    `${folder}: ${sum.right} of ${sum.all} right (${percent(sum.right, sum.all)}), ${sum.extra} too many; ` +
      `of ${sum.sure} sure ${sum.sureWrong} wrong (${percent(sum.sureWrong, sum.sure)})`,
  );
}
