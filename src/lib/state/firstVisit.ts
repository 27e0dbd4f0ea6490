/** Set once the demo was offered, so that it is never seeded over a user's own data, or again. */
const SEEN = "wide-sieve.seen";

/** Whether this browser has not been offered the demo yet. */
export function isFirstVisit(): boolean {
  try {
    return localStorage.getItem(SEEN) === null;
  } catch {
    return false;
  }
}

export const visited = (): void => localStorage.setItem(SEEN, "1");
