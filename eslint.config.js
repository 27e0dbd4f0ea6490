import js from "@eslint/js";
import svelte from "eslint-plugin-svelte";
import globals from "globals";
import ts from "typescript-eslint";
import svelteConfig from "./svelte.config.js";

/**
 * Svelte files, what needs no types: TypeScript is looked at by oxlint (.oxlintrc.json), which also looks at
 * the typed rules of Svelte files, as svelte-check writes them (scripts/typedSvelte.sh). Here each file would have all of
 * its types worked out anew: two minutes.
 */
export default ts.config(
  { ignores: ["build/", ".svelte-kit/", "node_modules/", ".tmp/", "static/reader/", "**/*.ts"] },
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
      // Prettier needs {" "} to keep a space before a line break.
      "svelte/no-useless-mustaches": "off",
      "svelte/no-navigation-without-resolve": "off",
      "svelte/prefer-svelte-reactivity": "off",
      // There are no stores here, and looking for them takes a third of the lint.
      "svelte/require-store-reactive-access": "off",
      complexity: ["error", 25],
    },
  },
  {
    files: ["**/*.svelte"],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
);
