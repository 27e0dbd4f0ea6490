/**
 * Puts the text recogniser and its English data where the application serves them from (static/reader),
 * so that nothing is fetched from elsewhere. Run by `npm run build` and `npm run dev`.
 */
import { copyFileSync, mkdirSync } from "node:fs";

const to = "static/reader";
mkdirSync(to, { recursive: true });
for (const [from, name] of [
  ["node_modules/tesseract.js/dist/worker.min.js", "worker.min.js"],
  // The build for browsers with SIMD, which all have had since 2023.
  ["node_modules/tesseract.js-core/tesseract-core-simd-lstm.wasm.js", "core.wasm.js"],
  ["node_modules/@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz", "eng.traineddata.gz"],
])
  copyFileSync(from, `${to}/${name}`);
