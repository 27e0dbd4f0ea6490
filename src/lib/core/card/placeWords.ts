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
