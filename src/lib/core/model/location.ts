/** Where a thing lies, quickest to the hand first. */
export const LOCATIONS = ["outside", "open-top", "pocket", "bottom", "other-bag"] as const;
