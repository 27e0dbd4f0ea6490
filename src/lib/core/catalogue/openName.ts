/** A name that leaves the kind open, as "tourniquet" or "gloves". */
export interface OpenName {
  readonly id: string;
  /** The question: "Which tourniquet is it?" */
  readonly ask: string;
  /** Folded words that say no more than the name itself; any other word may tell the kind. */
  readonly words: readonly string[];
  /** Words that mostly describe, but of this thing tell the kind. */
  readonly tells?: readonly string[];
  /** A word that nobody knows behind it is a make; of other things it may name what belongs to them: "dressing tray". */
  readonly madeBy?: boolean;
  /** Item type and how one tells it in the hand; the least of them first. */
  readonly kinds: readonly (readonly [itemType: string, tell: string])[];
}
