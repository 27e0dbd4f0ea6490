/** What the planner found for a kit; null: not worked out, or no plan makes it ready. */
export interface ReadyCost {
  readonly price: number;
  readonly massG: number;
}
