import js from "@eslint/js";
import svelte from "eslint-plugin-svelte";
import globals from "globals";
import ts from "typescript-eslint";
import svelteConfig from "./svelte.config.js";

export default ts.config(
  { ignores: ["build/", ".svelte-kit/", "node_modules/", ".tmp/", "static/reader/"] },
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
      // There are no stores here, and looking for them takes a third of the lint.
      "svelte/require-store-reactive-access": "off",
    },
  },
  {
    files: ["**/*.svelte", "**/*.svelte.ts"],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  {
    // Typed rules: a promise nobody waits for, a case nobody thought of.
    files: ["**/*.ts", "**/*.svelte"],
    languageOptions: {
      parserOptions: {
        projectService: { allowDefaultProject: ["vite.thread.config.ts", "src/service-worker.ts"] },
        extraFileExtensions: [".svelte"],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      "@typescript-eslint/no-floating-promises": "error",
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: false }],
      "@typescript-eslint/switch-exhaustiveness-check": [
        "error",
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  { files: ["src/**"], rules: { complexity: ["error", 25] } },
  // The card reader is made of small steps over tables of patterns.
  { files: ["src/lib/core/card/**"], rules: { complexity: ["error", 15] } },
);
