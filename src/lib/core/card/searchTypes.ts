import { CARD_WORDS } from "../../data/cardVocabulary.ts";
import { ITEM_TYPES } from "../../data/itemTypes.ts";
import { foldedWords } from "./words.ts";
import type { ItemType } from "../model/itemType.ts";

const indexed = ITEM_TYPES.map((type) => ({
  type,
  label: foldedWords(type.label).join(" "),
  all: foldedWords([type.label, ...type.alsoCalled, ...(CARD_WORDS[type.id] ?? [])].join(" ")).join(
    " ",
  ),
}));

/** Item types by any of their names; every word typed must begin one of them. Best first. */
export function searchTypes(query: string, own: readonly ItemType[] = [], most = 12): ItemType[] {
  const words = foldedWords(query);
  if (words.length === 0) return ITEM_TYPES.slice(0, most);
  const begins = (text: string, word: string) => text.startsWith(word) || text.includes(` ${word}`);
  const mine = own.map((type) => {
    const label = foldedWords(type.label).join(" ");
    return { type, label, all: `${label} ${foldedWords(type.alsoCalled.join(" ")).join(" ")}` };
  });
  return [...mine, ...indexed]
    .filter((t) => words.every((w) => begins(t.all, w)))
    .map((t) => ({ t, rank: words.every((w) => begins(t.label, w)) ? 0 : 1 }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ t }) => t.type);
}
