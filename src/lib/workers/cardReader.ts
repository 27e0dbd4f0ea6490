import { habitsFrom } from "../core/card/learned.ts";
import { NO_HABITS, type Habits } from "../core/card/habits.ts";
import type { Heard } from "../core/card/heard.ts";
import { columnsUnclearAt, readCard } from "../core/card/readCard.ts";
import { buildVocabulary, vocabularyOf, type Vocabulary } from "../core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../data/namedCatalogue.ts";
import type { CardAsk, CardSays } from "./protocol.ts";

/** Lines in the ways of most cards. */
const WAYS: readonly string[] = [
  "2 foil blankets",
  "Eye pads x 4",
  "Plasters, assorted (20)",
  "- Gauze pads 10 x 10 cm: 5",
  "Nitrile gloves, 2 pairs",
  "1 box of 20 alcohol wipes and a torch",
  "Crepe bandage 7.5 cm – 2",
  "Item\tQty\nSafety pins\t6\nWhistle\t1",
  "• Paracetamol 500 mg, 16 tablets",
  "Trauma shears ........ 1",
];

/** How far it is, is said so often, in milliseconds: a bar that moves on every tenth of a second stands still for nobody. */
const SAY_EVERY_MS = 100;

/** The worker's side of reading cards: what it knows, and what it answers. */
export class CardReader {
  #vocabulary: Vocabulary | null = null;
  #habits: Habits = NO_HABITS;
  #asked = 0;

  async answer(ask: CardAsk, say: (says: CardSays) => void): Promise<void> {
    this.#asked++;
    if (ask.is === "know") {
      this.#vocabulary =
        ask.aliases.length > 0
          ? buildVocabulary(NAMED_CATALOGUE, ask.aliases)
          : vocabularyOf(NAMED_CATALOGUE);
      this.#habits = habitsFrom(ask.habits);
    } else if (ask.is === "warm") await this.#warmUp();
    else if (ask.is === "columns")
      say({ is: "columns", at: columnsUnclearAt(ask.text, this.#known, this.#habits) });
    else {
      const reading = readCard(ask.text, this.#known, this.#habits, saying(say));
      say({ is: "read", reading });
    }
  }

  get #known(): Vocabulary {
    return this.#vocabulary ?? vocabularyOf(NAMED_CATALOGUE);
  }

  /**
   * Reads lines in the ways of most cards: the browser prepares a pattern when it first runs, and a first card would wait a
   * second for all of them. Ends where something is asked in between.
   */
  async #warmUp(): Promise<void> {
    const until = this.#asked;
    for (const line of WAYS)
      for (const read of [columnsUnclearAt, readCard]) {
        await new Promise((later) => setTimeout(later));
        if (this.#asked !== until) return;
        read(line, this.#known, this.#habits);
      }
  }
}

function saying(say: (says: CardSays) => void): Heard {
  let next = performance.now() + SAY_EVERY_MS;
  return (share) => {
    const now = performance.now();
    if (now < next) return;
    next = now + SAY_EVERY_MS;
    say({ is: "progress", share });
  };
}
