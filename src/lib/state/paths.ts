/** Addresses of pages, by the ids of what they show. */

/** A kit's address: its id without the kind. */
export const kitPath = (id: string): string =>
  `/kit/${encodeURIComponent(id.replace(/^kit:/, ""))}`;

/** A list's page, by the id of its record. */
export const listPath = (id: string): string =>
  `/lists/${encodeURIComponent(id.replace(/^list:/, ""))}`;

/** The id of the kit at an address. */
export const kitIdOf = (param: string): string => `kit:${param}`;
