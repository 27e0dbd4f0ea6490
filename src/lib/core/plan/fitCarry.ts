import { carryFiguresOf, roomToThickness } from "../bag/carryCheck.ts";
import { kitLoad } from "../bag/load.ts";
import type { PlanRequest } from "./request.ts";

/**
 * The request under what the place of carry bears: its mass, and no more bulk than until the bag is too
 * thick there. A bag that is not measured sets no limit of bulk, a place without a figure none of mass.
 */
export function keptToCarry(request: PlanRequest): PlanRequest {
  const { audit, limits, catalogue } = request;
  const { massG } = carryFiguresOf(audit);
  const room = roomToThickness(audit);
  const bulk = room === null ? null : kitLoad(audit, catalogue).volumeMl + room;
  return {
    ...request,
    limits: {
      ...limits,
      massG: smaller(limits.massG, massG),
      volumeMl: smaller(limits.volumeMl, bulk),
    },
  };
}

const smaller = (a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : Math.min(a, b);
