import { addTo } from "../base/addTo.ts";

/** Words for where things lie in a kit or a cupboard, as parts of patterns that ignore capitals. */

/** Parts of one: no kit holds three drawers, so a number behind one is none that counts. */
export const PART_OF_ONE =
  "compartment|fach|poche|tiroir|tasca|bolsillo|section|part|layer|level|tier|shelf|drawer|pocket|module|bay|zone|tray|side|row|rack|bin";
/** What is carried by itself: "pouch 2" may be two pouches. */
export const CARRIED = "bag|box|pouch|case|sack|tin|kit";
/** All of them. */
export const PLACE_WORDS = `${PART_OF_ONE}|${CARRIED}`;
/** Places whose words are a letter or two from a thing's: "hut" is no slip for hot, nor "trailer" for trainer. */
const PLACES_LIKE_THINGS = /^(?:huts?|trailers?|galley|bridge|boot|bar|lift|gate|ward|bay)$/i;
export const isPlaceWord = (word: string): boolean => PLACES_LIKE_THINGS.test(word);

/** "Pouch 2", which may be two pouches: a group where what follows has its count in front. */
export const BAG_WITH_NUMBER = new RegExp(
  `^\\W*(?<place>${CARRIED}|pack)\\s(?<number>\\d{1,2})\\W*$`,
  "i",
);
/** "Pack 1" over some lines and "Pack 2" over others: words for what things lie in that stand alone with each number from one on. */
export function placesNumbered(lines: readonly string[]): ReadonlySet<string> {
  const numbers = new Map<string, number[]>();
  for (const line of lines) {
    const said = BAG_WITH_NUMBER.exec(line)?.groups;
    if (said) addTo(numbers, said["place"]!.toLowerCase(), Number(said["number"]));
  }
  const runsFromOne = (ns: number[]) => ns.length > 1 && ns.every((n, i) => n === i + 1);
  return new Set([...numbers].flatMap(([place, ns]) => (runsFromOne(ns) ? [place] : [])));
}
