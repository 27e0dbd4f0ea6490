/**
 * A short random text for an id. `crypto.randomUUID` is missing on plain HTTP from another machine,
 * `getRandomValues` is there everywhere.
 */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(6));
  return [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
}

/** Id of an event of a log: of those within one minute the later has the larger. */
export const newEventId = (): string => `e${Date.now().toString(36)}-${newKey().slice(0, 6)}`;
