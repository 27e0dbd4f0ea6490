import { sveltekit } from "@sveltejs/kit/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig, type Plugin } from "vite";

/**
 * What many pages share comes in few files, since sixty small ones cost ten round trips on a slow line. They
 * are cut by when they are needed, so that each is a short task of its own and the start page waits for no
 * control that only a kit's pages have. What only reading a card or a table needs stays apart, though many
 * pages may come to read one.
 */
const MANY_PAGES = 7;
const APART = /cardVocabulary|namedCatalogue|core\/card\/|papaparse/;
const FRAMEWORK =
  /node_modules\/(svelte|@sveltejs|esm-env|clsx|devalue|zod)\/|vite\/preload|svelte-kit\/generated|state\/nextTask/;
const DIALOGS =
  /bits-ui\/dist\/(bits\/(dialog|utilities\/(?!popper|floating))|internal\/body-scroll)|tabbable/;
const OPENS =
  /bits-ui\/dist\/(bits\/(?!toggle-group|dialog|utilities)|bits\/utilities\/(popper|floating)|internal\/floating)|@?floating-ui|@internationalized|ui\/(ChoiceList|TermMeaning)/;
const KITS_PAGES = /words\/cautions|state\/(kit|pages)|ui\/(Choice\.|NumberField|Tally|Trail)/;
const DATA = /src\/lib\/data\/(?!catalogue)/;
const CORE = /src\/lib\/(core\/|data\/catalogue)/;
const RECORDS = /src\/lib\/(core|data|state)\/|node_modules\/localforage\//;
const isLater = (id: string) =>
  APART.test(id) || DIALOGS.test(id) || OPENS.test(id) || KITS_PAGES.test(id);
const GROUPS = [
  { name: "framework", test: (id: string) => FRAMEWORK.test(id) },
  // The core and the records come first: each begins when it is here, while the rest is still on its way (hooks.client.ts).
  { name: "data", test: (id: string) => !isLater(id) && DATA.test(id) },
  { name: "core", test: (id: string) => !isLater(id) && CORE.test(id) },
  { name: "records", test: (id: string) => !isLater(id) && RECORDS.test(id) },
  { name: "everyPage", test: (id: string) => !isLater(id) },
  { name: "dialogs", test: (id: string) => DIALOGS.test(id) },
  { name: "opens", test: (id: string) => OPENS.test(id) },
  { name: "kitsPages", test: (id: string) => KITS_PAGES.test(id) },
].map((group, i) => ({ ...group, minShareCount: MANY_PAGES, priority: 10 - i }));
const fewFiles: Plugin = {
  name: "few-files",
  config: (_, { isSsrBuild }) => {
    if (isSsrBuild) return {};
    return { build: { rolldownOptions: { output: { codeSplitting: { groups: GROUPS } } } } };
  },
};

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), fewFiles],
  worker: { format: "es" },
});
