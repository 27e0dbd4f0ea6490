/** A value from outside as text: what it is, where it has no text of its own. Never throws. */
export function said(value: unknown): string {
  switch (typeof value) {
    case "string":
      return value;
    case "number":
    case "boolean":
    case "bigint":
    case "undefined":
      return String(value);
    default:
      return value === null ? "null" : Array.isArray(value) ? "a list" : "an object";
  }
}
