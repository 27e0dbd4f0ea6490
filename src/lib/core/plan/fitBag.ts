import type { Compartment } from "../model/container.ts";
import { fitInto, PACKING_FACTOR } from "../bag/fit.ts";
import { typeLookup } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { boughtLine } from "./candidates.ts";
import type { PlanRequest } from "./request.ts";

export type MeasuredRoom = Compartment & { readonly innerMm: [number, number, number] };

/** The compartments of the bag with their inner sizes; null: none, or one that is not measured. */
export function measuredRooms(audit: AuditFile): readonly MeasuredRoom[] | null {
  const all = audit.kit.container?.compartments ?? [];
  const known = all.filter((c): c is MeasuredRoom => c.innerMm !== undefined);
  return known.length > 0 && known.length === all.length ? known : null;
}

/** Room in all compartments that can be used, ml; null: not measured. */
export function bagRoomMl(audit: AuditFile): number | null {
  const rooms = measuredRooms(audit);
  if (!rooms) return null;
  const ml = rooms.reduce((s, c) => s + (c.innerMm[0] * c.innerMm[1] * c.innerMm[2]) / 1000, 0);
  return Math.round(ml * PACKING_FACTOR);
}

/**
 * The request under the limit of the bag itself: no more bulk than its compartments hold, and nothing
 * that goes into none of them for being too long or for a fold it must not get. Which thing then lies in
 * which compartment is decided afterwards (places.ts). A bag that is not measured sets no limit.
 */
export function keptToBag(request: PlanRequest): PlanRequest {
  const rooms = measuredRooms(request.audit);
  const room = bagRoomMl(request.audit);
  if (!rooms || room === null) return request;
  const typeOf = typeLookup(request.audit.itemTypes, request.catalogue);
  const tooBig = request.book.products.filter((p) => {
    const type = typeOf(p.itemType);
    if (!type) return false;
    const line = boughtLine({ ...p, pack: 1 }, 1, request.today);
    return rooms.every((r) =>
      fitInto(r, [{ line, type }]).misfits.some((m) => m.code !== "too-full"),
    );
  });
  const { volumeMl } = request.limits;
  return {
    ...request,
    exclude: [...(request.exclude ?? []), ...tooBig.map((p) => p.id)],
    limits: { ...request.limits, volumeMl: Math.min(room, volumeMl ?? Infinity) },
  };
}
