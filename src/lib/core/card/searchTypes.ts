import type { NamedCatalogue } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import { foldedWords } from "./words.ts";

interface Named {
  readonly type: ItemType;
  readonly label: string;
  readonly all: string;
}

const indexes = new WeakMap<NamedCatalogue, readonly Named[]>();
function indexOf(catalogue: NamedCatalogue): readonly Named[] {
  let known = indexes.get(catalogue);
  if (!known) {
    known = [...catalogue.types.values()].map((type) => ({
      type,
      label: foldedWords(type.label).join(" "),
      all: foldedWords(
        [type.label, ...type.alsoCalled, ...(catalogue.words.get(type.id) ?? [])].join(" "),
      ).join(" "),
    }));
    indexes.set(catalogue, known);
  }
  return known;
}

/** Item types by any of their names; every word typed must begin one of them. Best first. */
export function searchTypes(
  query: string,
  catalogue: NamedCatalogue,
  own: readonly ItemType[] = [],
  most = 12,
): ItemType[] {
  const words = foldedWords(query);
  if (words.length === 0) return [...catalogue.types.values()].slice(0, most);
  const begins = (text: string, word: string) => text.startsWith(word) || text.includes(` ${word}`);
  const mine = own.map((type) => {
    const label = foldedWords(type.label).join(" ");
    return { type, label, all: `${label} ${foldedWords(type.alsoCalled.join(" ")).join(" ")}` };
  });
  return [...mine, ...indexOf(catalogue)]
    .filter((t) => words.every((w) => begins(t.all, w)))
    .map((t) => ({ t, rank: words.every((w) => begins(t.label, w)) ? 0 : 1 }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ t }) => t.type);
}
