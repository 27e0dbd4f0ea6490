import type { Compartment } from "../model/container.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Kit, Line } from "../model/kit.ts";

/** A small label to stick on a pocket or a thing. */
export type Label =
  | { readonly kind: "pocket"; readonly name: string; readonly holds: readonly Line[] }
  | { readonly kind: "medicine"; readonly line: Line }
  | { readonly kind: "opened"; readonly line: Line; readonly opened: string }
  | { readonly kind: "first-use"; readonly line: Line; readonly on: string };

type TypeOf = (id: string) => ItemType | undefined;
const piecesOf = (line: Line) => line.counted ?? line.claimed ?? 0;

/**
 * The labels that this kit wants: every pocket that holds something, medicines without name and
 * strength on them (only those whose kind is known: what nobody can name is taken out, not labelled),
 * opened tubes and bottles, tools with the day of their first use.
 */
export function labelsFor(kit: Kit, compartments: readonly Compartment[], typeOf: TypeOf): Label[] {
  const lines = kit.lines.filter((l) => piecesOf(l) > 0);
  const inside = (c: Compartment) => lines.filter((l) => l["compartment"] === c.id);
  const pockets = compartments
    .map((c) => ({ kind: "pocket" as const, name: c.name, holds: inside(c) }))
    .filter((p) => p.holds.length > 0);
  const medicines = lines.filter((l) => {
    const type = l.itemType ? typeOf(l.itemType) : undefined;
    return (
      type?.medicine &&
      (l.labelled === false || l.failedPoints?.includes("med-name-strength") === true)
    );
  });
  return [
    ...pockets,
    ...medicines.map((line) => ({ kind: "medicine" as const, line })),
    ...lines.flatMap((line) =>
      line.opened ? [{ kind: "opened" as const, line, opened: line.opened }] : [],
    ),
    ...lines.flatMap((line) =>
      line.firstUse ? [{ kind: "first-use" as const, line, on: line.firstUse }] : [],
    ),
  ];
}
