/** Reads the demo's cards and writes what they say: `npm run demo:lines`, after a change of the reader. */
import { writeFileSync } from "node:fs";
import { readDemo } from "../src/lib/data/demo/read.ts";

const path = "src/lib/data/demo/lines.json";
writeFileSync(path, `${JSON.stringify(readDemo(), null, 1)}\n`);
console.log(`written: ${path}`);
