/** What stands in brackets; no remark is longer, and of a thousand open ones none need be looked for to its end. */
export const IN_BRACKETS = /\([^)]{0,200}\)/g;
