/**
 * How much of a card is still read right from its picture, against the same text typed.
 *
 *   npm run pictures [-- FOLDER …]
 *
 * Each card is drawn straight; tilted by 1.5°, blurred and saved small; and in two columns. What is set in
 * columns by spaces stands in them only where each letter is as wide as the next.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createCanvas } from "@napi-rs/canvas";
import { readPictureFile } from "../src/cli/readPicture.ts";
import { readCard } from "../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { lostOf } from "./markCard.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";

interface Look {
  readonly name: string;
  readonly tilt: number;
  readonly blur: number;
  readonly columns: 1 | 2;
}
const LOOKS: readonly Look[] = [
  { name: "straight", tilt: 0, blur: 0, columns: 1 },
  { name: "tilted 1.5°, blurred, JPEG 60", tilt: 1.5, blur: 1, columns: 1 },
  { name: "two columns", tilt: 0, blur: 0, columns: 2 },
];
const SIZE = 28;
const LINE = 42;
/** Rows that are set in columns by spaces are a third of a card that is. */
const isAligned = (lines: readonly string[]): boolean =>
  3 * lines.filter((l) => /\S {3,}\S/.test(l)).length >= lines.length;

function draw(text: string, { tilt, blur, columns }: Look): Buffer {
  const lines = text.trimEnd().split("\n");
  const half = Math.ceil(lines.length / columns);
  const wide = Math.max(...lines.map((l) => l.length)) * SIZE * 0.62;
  const canvas = createCanvas(wide * columns + 160, half * LINE + 160);
  const g = canvas.getContext("2d");
  g.fillStyle = "#f2eee4";
  g.fillRect(0, 0, canvas.width, canvas.height);
  g.translate(canvas.width / 2, canvas.height / 2);
  g.rotate((tilt * Math.PI) / 180);
  g.translate(-canvas.width / 2, -canvas.height / 2);
  g.fillStyle = "#2b2b2b";
  g.font = `${SIZE}px "${isAligned(lines) ? "DejaVu Sans Mono" : "DejaVu Sans"}"`;
  if (blur > 0) g.filter = `blur(${blur}px)`;
  lines.forEach((line, i) =>
    g.fillText(
      line.replace(/\t/g, "    "),
      60 + Math.floor(i / half) * wide,
      90 + (i % half) * LINE,
    ),
  );
  return blur > 0 ? canvas.toBuffer("image/jpeg", 60) : canvas.toBuffer("image/png");
}

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const facts = (text: string) =>
  readCard(text, vocabulary).entries.map((e) => JSON.stringify([e.itemType, e.pieces, e.sizeMm]));

const folders = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), "pictures-"));
try {
  for (const look of LOOKS) {
    let all = 0;
    let right = 0;
    for (const from of folders.length > 0 ? folders : ["tests/fixtures/cards"])
      for (const name of readdirSync(from).filter((f) => f.endsWith(".txt"))) {
        const text = readFileSync(join(from, name), "utf8");
        const file = join(folder, look.blur > 0 ? "card.jpg" : "card.png");
        writeFileSync(file, draw(text, look));
        const wanted = facts(text);
        const { lost, left } = lostOf(wanted, facts((await readPictureFile(file)).text));
        all += wanted.length;
        right += wanted.length - lost.length;
        if (lost.length > 0)
          console.log(`  ${look.name} ${name}: lost ${lost.join(" ")}; got ${left.join(" ")}`);
      }
    console.log(`${look.name}: ${right} of ${all} (${((100 * right) / all).toFixed(1)} %)`);
  }
} finally {
  rmSync(folder, { recursive: true });
}
