export type Severity = "minor" | "major" | "fatal";

/** One thing to look at, feel or try on an item. */
export interface InspectionPoint {
  readonly id: string;
  /** Points are taken in this order: what is seen, what is felt, what is tried. */
  readonly by: "look" | "feel" | "try";
  /** What good looks like, as a statement answered yes or no. */
  readonly good: string;
  /** What failing looks like, and why it matters. */
  readonly failing: string;
  /** How to find out without spoiling the thing. */
  readonly how: string;
  readonly severity: Severity;
}
