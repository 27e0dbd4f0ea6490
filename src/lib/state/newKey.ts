/**
 * A short random text for an id. `crypto.randomUUID` is missing on plain HTTP from another machine,
 * `getRandomValues` is there everywhere.
 */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(6));
  return [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
}
