/** Hears what share of a card is read, 0–1, often: once a line and step. */
export type Heard = (share: number) => void;
export const UNHEARD: Heard = () => undefined;

/** Hears of a step that takes from one share of the whole to another. */
export const ofStep =
  (heard: Heard, from: number, to: number): Heard =>
  (share) =>
    heard(from + (to - from) * share);
