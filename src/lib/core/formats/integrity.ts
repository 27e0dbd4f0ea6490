import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { type Problem, problem } from "../model/problem.ts";

/** Whole-file checks that no single field shows: unknown and doubled ids, counts that are missing. */
export function integrity(audit: AuditFile, catalogue: Catalogue): Problem[] {
  const own = audit.itemTypes ?? [];
  const typeOf = typeLookup(own, catalogue);
  const problems: Problem[] = [];
  const bad = (...found: Parameters<typeof problem>) => problems.push(problem(...found));
  const checkType = (where: string, typeId: string) => {
    if (!typeOf(typeId)) bad(where, "no-type-here", { type: typeId });
  };
  const checkFunction = (where: string, functionId: string) => {
    if (!catalogue.functions.has(functionId)) bad(where, "no-function", { function: functionId });
  };
  const checkUnique = (where: string, ids: readonly string[]) => {
    for (const doubled of doubles(ids)) bad(where, "id-twice", { id: doubled });
  };

  checkUnique(
    "itemTypes",
    own.map((t) => t.id),
  );
  own.forEach((t, i) => {
    const at = `itemTypes[${i}]`;
    if (catalogue.types.has(t.id)) bad(`${at}.id`, "id-of-catalogue", { id: t.id });
    if ((t.measure === "metre" || t.measure === "millilitre") && t.typical === undefined)
      bad(`${at}.typical`, "no-typical", { measure: t.measure });
    t.functions.forEach((c, k) => checkFunction(`${at}.functions[${k}]`, c.function));
    checkUnique(
      `${at}.functions`,
      t.functions.map((c) => c.function),
    );
  });

  audit.events?.forEach((e, i) => {
    for (const c of [...(e.changes ?? []), ...(e.lines ?? [])]) {
      for (const typeId of [c.itemType, c.facts?.itemType])
        if (typeId !== undefined && typeId !== null) checkType(`events[${i}]`, typeId);
      for (const p of c.facts?.failedPoints ?? [])
        if (!catalogue.points.has(p)) bad(`events[${i}].changes`, "no-point", { point: p });
    }
  });

  checkUnique("incidents.kinds", audit.incidents?.kinds.map((k) => k.id) ?? []);
  audit.incidents?.kinds.forEach((k, i) =>
    k.asks.forEach((a, n) => checkFunction(`incidents.kinds[${i}].asks[${n}]`, a.function)),
  );

  checkUnique(
    "list.needs",
    audit.list.needs.map((n) => n.id),
  );
  audit.list.needs.forEach((n, i) => {
    const at = `list.needs[${i}]`;
    checkFunction(`${at}.function`, n.function);
    n.companions?.forEach((c, k) => checkFunction(`${at}.companions[${k}]`, c));
    n.accept?.forEach((a, k) => checkType(`${at}.accept[${k}].itemType`, a.itemType));
    checkUnique(`${at}.accept`, n.accept?.map((a) => a.itemType) ?? []);
    const { min, max } = n.quantity;
    if (min !== undefined && max !== undefined && min > max)
      bad(`${at}.quantity`, "min-above-max", { min, max });
  });

  const elsewhere = audit.brief.carriedElsewhere ?? [];
  elsewhere.forEach((e, i) => checkType(`brief.carriedElsewhere[${i}].itemType`, e.itemType));
  checkUnique("kit.lines", [
    ...audit.kit.lines.map((l) => l.id),
    ...elsewhere.map((_, i) => `elsewhere-${i + 1}`),
  ]);
  audit.kit.lines.forEach((l, i) => {
    const at = `kit.lines[${i}]`;
    if (l.itemType !== null) checkType(`${at}.itemType`, l.itemType);
    if (l.claimed === undefined && l.counted === undefined) bad(at, "no-pieces");
    for (const p of l.failedPoints ?? [])
      if (!catalogue.points.has(p)) bad(`${at}.failedPoints`, "no-point", { point: p });
  });
  return problems;
}

function doubles(ids: readonly string[]): Set<string> {
  const seen = new Set<string>();
  const doubled = new Set<string>();
  for (const each of ids) (seen.has(each) ? doubled : seen).add(each);
  return doubled;
}
