import { sveltekit } from "@sveltejs/kit/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig, type Plugin } from "vite";

/**
 * What many pages share comes in one file: sixty small ones cost ten round trips on a slow line. What only
 * reading a card needs stays apart, though many pages may come to read one.
 */
const MANY_PAGES = 7;
const READS_CARDS = /cardVocabulary|namedCatalogue|core\/card\//;
const fewFiles: Plugin = {
  name: "few-files",
  config: (_, { isSsrBuild }) => {
    if (isSsrBuild) return {};
    const groups = [
      { name: "shared", minShareCount: MANY_PAGES, test: (id: string) => !READS_CARDS.test(id) },
    ];
    return { build: { rolldownOptions: { output: { codeSplitting: { groups } } } } };
  },
};

export default defineConfig({
  plugins: [tailwindcss(), sveltekit(), fewFiles],
  worker: { format: "es" },
});
