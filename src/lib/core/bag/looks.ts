import type { ContainerLook } from "../model/container.ts";

/** What failed newly and what was mended since the look before; nothing before the first. */
export function wearSince(
  before: ContainerLook | undefined,
  now: ContainerLook,
): { readonly worse: readonly string[]; readonly mended: readonly string[] } {
  if (!before) return { worse: [], mended: [] };
  return {
    worse: now.failed.filter((p) => before.looked.includes(p) && !before.failed.includes(p)),
    mended: before.failed.filter((p) => now.looked.includes(p) && !now.failed.includes(p)),
  };
}
