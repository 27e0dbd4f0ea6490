import type { NamedCatalogue } from "../core/catalogue/catalogue.ts";
import { CARD_WORDS, NO_TYPE_WORDS } from "./cardVocabulary.ts";
import { CATALOGUE } from "./catalogue.ts";
import { COMPOUNDS_ABROAD } from "./compoundsAbroad.ts";
import { COUNTED_ABROAD, NAMES_ABROAD } from "./namesAbroad.ts";
import { COUNTED_FURTHER_ABROAD, NAMES_FURTHER_ABROAD } from "./namesFurtherAbroad.ts";
import { NUMBERS_ABROAD } from "./numbersAbroad.ts";

/** The shipped catalogue with the names that cards use: apart, so that a page that reads no card does not load them. */
export const NAMED_CATALOGUE: NamedCatalogue = {
  ...CATALOGUE,
  words: new Map(Object.entries(CARD_WORDS)),
  wordsAbroad: [
    { names: COMPOUNDS_ABROAD, counted: {} },
    { names: NAMES_ABROAD, counted: COUNTED_ABROAD },
    { names: NAMES_FURTHER_ABROAD, counted: COUNTED_FURTHER_ABROAD },
    { names: {}, counted: NUMBERS_ABROAD },
  ],
  noTypeWords: NO_TYPE_WORDS,
};
