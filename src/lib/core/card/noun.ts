import type { Item } from "./numbers.ts";
import { isBookkeeping, PACK_ONLY, PACK_SIZE } from "./packWords.ts";

/** The words that name the thing: those that no number, no pack and no place has taken. */

/** "one box of fifty plasters": what they come in names nothing; a roll or a strip may. */
const wraps = (item: Item, i: number): boolean => {
  const before = item.kind(i - 1);
  return (
    /^(?:box(?:es)?|bags?|cases?|pouch(?:es)?|tins?|packs?|packets?|sleeves?|wallets?|cartons?|tubs?|pots?|jars?)$/i.test(
      item.word(i),
    ) &&
    (i === 0 ||
      ["number", "separator", "dash", "open", "colon"].includes(before!) ||
      ((i === 1 || item.kind(i - 2) === "number") && PACK_SIZE.test(item.word(i - 1)))) &&
    (/^(?:of|with|containing)$/i.test(item.word(i + 1)) ||
      // "1 box gloves"
      (/^(?:box(?:es)?|packs?|packets?|cartons?|tubs?)$/i.test(item.word(i)) &&
        before === "number" &&
        item.kind(i + 1) === "word"))
  );
};

/** "tissues 1 box": nor does it at the end, but for "sticking plaster, 1 roll", as of two. */
const endsIn = (item: Item, i: number): boolean => {
  return (
    i > 1 &&
    PACK_ONLY.test(item.word(i)) &&
    !/^(?:roll|bottle)$/i.test(item.word(i)) &&
    item.kind(i - 1) === "number" &&
    ["separator", "close", undefined].includes(item.kind(i + 1)) &&
    item.tokens.slice(0, i - 1).some((t) => t.kind === "word" && !isBookkeeping(t.text))
  );
};

const CONTAINER = /^(?:box|bag|case|pouch|tin|packet|sleeve|wallet|tub|pot|jar)$/i;
const OF_A_CONTAINER =
  /^(?:the|its|own|small|soft|hard|plastic|zip|zipped|ziplock|resealable|clear|freezer|sandwich|carry|nylon|red|green|blue|old)$/i;
/** Between "in" and what it lies in stand an article and so many words at most. */
const FARTHEST_IN = 4;

/** "mask in a pouch", "plasters in a zip bag": nor does what it lies in. */
const liesIn = (item: Item, i: number): boolean => {
  let end = i;
  while (end < i + FARTHEST_IN && OF_A_CONTAINER.test(item.word(end))) end++;
  if (!CONTAINER.test(item.word(end))) return false;
  let from = i - 1;
  while (from > i - FARTHEST_IN && (OF_A_CONTAINER.test(item.word(from)) || isArticle(item, from)))
    from--;
  return from > 0 && /^in$/i.test(item.word(from));
};
const isArticle = (item: Item, i: number): boolean =>
  item.kind(i) === "number" && /^(?:an?|one)$/i.test(item.tokens[i]!.text);

/** "plasters (box, 40)" */
const isBoxed = (item: Item, i: number): boolean => {
  return (
    i > 1 &&
    item.kind(i - 1) === "open" &&
    PACK_ONLY.test(item.word(i)) &&
    item.kind(i + 1) === "separator"
  );
};

/** "(1 card of 5)": nor does a card or a strip of so many. */
const isOfSoMany = (item: Item, i: number): boolean =>
  /^(?:cards?|blisters?|sheets?|strips?|envelopes?|envs?)$/i.test(item.word(i)) &&
  /^of$/i.test(item.word(i + 1)) &&
  item.kind(i - 2) === "open" &&
  item.kind(i - 1) === "number" &&
  item.kind(i + 2) === "number";

/** As text, in the order of the card. */
export const nounOf = (item: Item): string =>
  item.tokens
    .filter(
      (t, i) =>
        t.kind === "word" &&
        !item.used.has(i) &&
        !isBookkeeping(t.text) &&
        ![wraps, liesIn, endsIn, isBoxed, isOfSoMany].some((says) => says(item, i)),
    )
    .map((t) => t.text)
    .join(" ");
