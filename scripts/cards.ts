/**
 * How much of folders of contents cards the reader gets right: type, pieces and size together.
 *
 *   npm run cards -- FOLDER [FOLDER …] [--wrong]
 *
 * Sure is a confidence of 0.9 or more. `--wrong` lists the faults.
 */
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";
import { markFolder } from "./markCard.ts";

const percent = (part: number, of: number) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;

const args = process.argv.slice(2);
for (const folder of args.filter((a) => !a.startsWith("--"))) {
  const m = markFolder(folder, vocabularyOf(NAMED_CATALOGUE));
  if (args.includes("--wrong")) for (const fault of m.faults) console.log(fault);
  const sureWrong = m.sure - m.sureRight;
  console.log(
    `${folder}: ${m.right} of ${m.all} right (${percent(m.right, m.all)}), ` +
      `${m.missed} missed, ${m.left} not there; ` +
      `of ${m.sure} sure ${sureWrong} wrong (${percent(sureWrong, m.sure)})`,
  );
}
