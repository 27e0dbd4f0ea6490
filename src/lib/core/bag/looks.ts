import { z } from "zod";

/** A look at the container on one day: what was looked at and what failed. */
export const bagLookSchema = z.looseObject({
  on: z.string().max(10),
  by: z.string().max(200).optional(),
  looked: z.array(z.string().max(120)).max(50),
  failed: z.array(z.string().max(120)).max(50),
  note: z.string().max(1000).optional(),
});
export type BagLook = z.infer<typeof bagLookSchema>;

/** The looks kept with a container, oldest first; what is not one is left out. */
export function looksOf(container: unknown): BagLook[] {
  const looks = (container as { looks?: unknown } | undefined)?.looks;
  return Array.isArray(looks)
    ? looks.flatMap((l) => {
        const read = bagLookSchema.safeParse(l);
        return read.success ? [read.data] : [];
      })
    : [];
}

/** What failed newly and what was mended since the look before; nothing before the first. */
export function wearSince(
  before: BagLook | undefined,
  now: BagLook,
): { readonly worse: readonly string[]; readonly mended: readonly string[] } {
  if (!before) return { worse: [], mended: [] };
  return {
    worse: now.failed.filter((p) => before.looked.includes(p) && !before.failed.includes(p)),
    mended: before.failed.filter((p) => now.looked.includes(p) && !now.failed.includes(p)),
  };
}
