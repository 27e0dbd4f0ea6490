/** One look at the outside: a statement that is true or false. */
export interface BagPoint {
  readonly id: string;
  readonly good: string;
  readonly failing: string;
}

// prettier-ignore
export const BAG_POINTS: readonly BagPoint[] = [
  { id: "one-handed", good: "Opens with one hand, gloved", failing: "A casualty alone, or a hand held on a wound, cannot get in." },
  { id: "closure-holds", good: "Closure stays shut when shaken", failing: "Contents spill when it falls." },
  { id: "mount-comes-off", good: "Comes off its mount in one move", failing: "Seconds are lost, or it stays behind." },
  { id: "colour-seen", good: "Colour is seen in grass and dusk", failing: "Set down, it is gone." },
  { id: "marked", good: "Marked so that a stranger knows it", failing: "Nobody fetches it who does not know it." },
  { id: "keeps-water-out", good: "Keeps out rain for as long as it is carried", failing: "Wet paper wrappers are no longer sterile." },
  { id: "zips-run", good: "Zips run, with pulls for gloves", failing: "A zip that catches opens nothing." },
  { id: "stitching-holds", good: "Stitching whole at handle and mount", failing: "Look for loose threads where it bears weight." },
  { id: "compartments-labelled", good: "Compartments say what is in them", failing: "A stranger turns it out to find one thing." },
  { id: "seal-intact", good: "Seal unbroken, number noted", failing: "Something may have been taken: count it all." },
];
