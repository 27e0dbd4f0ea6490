/**
 * The seven meshes of the sieve, in the order things fall through them. Each is a file of sieve/ of
 * the same name; words/needs.ts and report/weaves.ts name and draw every one of them.
 */
export const MESHES = ["here", "real", "enough", "sound", "fresh", "handy", "usable"] as const;
export type Mesh = (typeof MESHES)[number];
