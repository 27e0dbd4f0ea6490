/**
 * Bundles the tests of state classes (tests/state) for Mocha: compiles `*.svelte.ts` as the
 * application's build does, with the runes of the client, whose signals need no document.
 */
import { build } from "esbuild";
import { readFile, rm } from "node:fs/promises";
import { readdirSync } from "node:fs";
import { basename, resolve } from "node:path";
import { transform } from "esbuild";
import { compileModule } from "svelte/compiler";

const runes = {
  name: "runes",
  setup(b) {
    b.onResolve({ filter: /^\$lib\// }, ({ path }) => ({
      path: resolve("src/lib", path.slice("$lib/".length)),
    }));
    b.onLoad({ filter: /\.svelte\.ts$/ }, async ({ path }) => {
      const { code } = await transform(await readFile(path, "utf8"), {
        loader: "ts",
        target: "esnext",
        tsconfigRaw: {
          compilerOptions: { verbatimModuleSyntax: true, useDefineForClassFields: true },
        },
      });
      const { js } = compileModule(code, {
        filename: basename(path),
        generate: "client",
        dev: false,
      });
      return { contents: js.code, loader: "js" };
    });
  },
};

const out = ".tmp/state";
await rm(out, { recursive: true, force: true });
await build({
  entryPoints: readdirSync("tests/state")
    .filter((f) => f.endsWith(".test.ts"))
    .map((f) => `tests/state/${f}`),
  outdir: out,
  outExtension: { ".js": ".mjs" },
  bundle: true,
  splitting: true,
  format: "esm",
  platform: "node",
  target: "node20",
  conditions: ["browser", "svelte"],
  mainFields: ["module", "main"],
  external: [
    "chai",
    "fast-check",
    "fake-indexeddb",
    "fake-indexeddb/auto",
    // Loaded only when a picture is read.
    "tesseract.js",
    "pdfjs-dist",
    "pdfjs-dist/*",
  ],
  sourcemap: "inline",
  logLevel: "warning",
  plugins: [runes],
  banner: {
    js: 'import { createRequire as __cr } from "node:module"; const require = __cr(import.meta.url);',
  },
});
