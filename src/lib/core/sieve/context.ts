import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import { addDays } from "../base/dates.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Brief } from "../model/brief.ts";
import type { Line } from "../model/kit.ts";
import { askedNeeds, type AskedNeed } from "../reference/asked.ts";
import { schools, type Schools } from "../model/houseRules.ts";

/** Everything laid out: what is asked, what lies there, by which school, until which day. */
export interface AuditContext {
  readonly needs: readonly AskedNeed[];
  readonly lines: readonly ContextLine[];
  readonly rules: Schools;
  readonly brief: Brief;
  readonly lastDay: string;
  readonly audit: AuditFile;
  /** What it is judged by. */
  readonly catalogue: Catalogue;
}

/** A line of the kit, or a thing carried elsewhere, with its type. */
export interface ContextLine {
  readonly line: Line;
  /** null: a real thing that no id describes; it serves nothing. */
  readonly type: ItemType | null;
  readonly elsewhere: boolean;
}

/** Lays an audit out. `today` (YYYY-MM-DD) stands in for a brief without a start. */
export function contextOf(audit: AuditFile, today: string, catalogue: Catalogue): AuditContext {
  const rules = schools(audit.houseRules);
  const typeOf = typeLookup(audit.itemTypes, catalogue);
  const known = (id: string): ItemType => {
    const type = typeOf(id);
    if (!type) throw new Error(`unknown item type '${id}': the audit was not checked`);
    return type;
  };
  const lines: ContextLine[] = audit.kit.lines.map((line) => ({
    line,
    type: line.itemType === null ? null : known(line.itemType),
    elsewhere: false,
  }));
  if (rules.duplicates === "lean")
    (audit.brief.carriedElsewhere ?? []).forEach((e, i) => {
      const { pieces, ...rest } = e;
      const line: Line = {
        ...rest,
        id: `elsewhere-${i + 1}`,
        counted: pieces,
        location: "other-bag",
      };
      lines.push({ line, type: known(e.itemType), elsewhere: true });
    });
  return {
    needs: askedNeeds(audit.list.needs, audit.brief, rules, catalogue, audit.byChance),
    lines,
    rules,
    brief: audit.brief,
    lastDay: addDays(audit.brief.start ?? today, audit.brief.days - 1),
    audit,
    catalogue,
  };
}
