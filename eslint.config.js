import js from "@eslint/js";
import svelte from "eslint-plugin-svelte";
import globals from "globals";
import ts from "typescript-eslint";
import svelteConfig from "./svelte.config.js";

/** What a folder must not import: dependencies point one way (docs/architecture.md). */
const below = (files, names, message) => ({
  files,
  rules: {
    "no-restricted-imports": [
      "error",
      { patterns: [{ regex: `(?:^\\$lib/|/|^)(?:${names})(?:/|$)`, message }] },
    ],
  },
});

export default ts.config(
  { ignores: ["build/", ".svelte-kit/", "node_modules/", ".tmp/"] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      "@typescript-eslint/no-non-null-assertion": "off",
      "@typescript-eslint/no-dynamic-delete": "off",
      // Taking a key out of an object names what is left behind.
      "@typescript-eslint/no-unused-vars": [
        "error",
        { varsIgnorePattern: "^_+$", argsIgnorePattern: "^_+$" },
      ],
      "no-control-regex": "off",
      // Prettier needs {" "} to keep a space before a line break.
      "svelte/no-useless-mustaches": "off",
      "svelte/no-navigation-without-resolve": "off",
      "svelte/prefer-svelte-reactivity": "off",
    },
  },
  {
    files: ["**/*.svelte", "**/*.svelte.ts"],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  below(
    ["src/lib/core/**"],
    "state|ui|words|report|workers|server|routes|cli|svelte",
    "core imports nothing above it: no screen, words, storage or worker.",
  ),
  below(
    ["src/lib/data/**"],
    "state|ui|report|workers|server|routes|cli",
    "data rests on core only.",
  ),
  below(
    ["src/lib/words/**", "src/lib/report/**"],
    "state|ui|workers|server|routes|cli",
    "words and report rest on core only.",
  ),
  below(["src/lib/workers/**"], "state|ui|words|routes|cli", "workers are thin over core."),
  below(["src/lib/state/**"], "ui|routes|cli", "state knows no screen."),
  below(["src/cli/**"], "state|ui|workers|routes", "the command line is thin over core."),
);
