import { typeLookup } from "../catalogue/catalogue.ts";
import type { PlanRequest } from "./request.ts";

/**
 * Kit lines that a plan never takes out, by id: those that the user keeps, the container, and what is
 * prescribed to someone.
 */
export function neverLeft(request: Pick<PlanRequest, "audit" | "catalogue" | "keep">): Set<string> {
  const typeOf = typeLookup(request.audit.itemTypes, request.catalogue);
  const kept = new Set(request.keep);
  for (const line of request.audit.kit.lines) {
    const keptFor = line.itemType === null ? undefined : typeOf(line.itemType)?.keptFor;
    if (keptFor === "container" || keptFor === "prescribed") kept.add(line.id);
  }
  return kept;
}
