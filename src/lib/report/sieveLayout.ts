import type { Audit } from "../core/audit/audit.ts";
import type { Category } from "../core/model/functionRecord.ts";
import { MESHES, type Mesh } from "../core/model/mesh.ts";

/** Where each grain lies in the sieve picture. Plain numbers; no drawing. */

interface Grain {
  /** Index of the need in `a.needs`. */
  readonly index: number;
  readonly column: number;
  readonly rests: Mesh | "pan";
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly fill: number;
}
export interface SieveLayout {
  /** Drawn columns, in order. */
  readonly categories: Audit["categories"];
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly columnWidth: number;
  /** Top of each mesh's band, and of the pan. */
  readonly meshY: readonly number[];
  readonly panTop: number;
  readonly panBottom: number;
  readonly grains: readonly Grain[];
}

/** Vital needs are drawn large, useful ones small. */
const RADIUS = { vital: 11, core: 9, useful: 6.5 } as const;
const BAND = 13;
const PER_ROW = 3;

/** What of the audit is drawn: some categories only, some needs only. */
export interface SieveView {
  readonly categories?: readonly Category[];
  readonly keep?: (index: number) => boolean;
}

export function sieveLayout(a: Audit, width: number, view: SieveView = {}): SieveLayout {
  const left = 158;
  const right = 54;
  const shown = a.categories.filter((c) => view.categories?.includes(c.id) ?? true);
  const columns = Math.max(1, shown.length);
  const columnWidth = (width - left - right) / columns;
  // One category alone has room for all its grains in a row.
  const most = columns === 1 ? Math.floor(columnWidth / 24) : PER_ROW;
  const perRow = Math.max(1, Math.min(most, Math.floor(columnWidth / 22)));
  const columnOf = new Map(shown.map((c, i) => [c.id, i]));
  const cells = new Map<string, number[]>();
  a.needs.forEach((n, i) => {
    const column = columnOf.get(a.context.needs[i]!.category);
    if (column === undefined || view.keep?.(i) === false) return;
    const key = `${column}:${n.restsOn}`;
    cells.set(key, [...(cells.get(key) ?? []), i]);
  });
  const rowsAt = (rest: string) =>
    Math.max(
      1,
      ...shown.map((_, c) => Math.ceil((cells.get(`${c}:${rest}`)?.length ?? 0) / perRow)),
    );
  const meshY: number[] = [];
  let y = 118;
  for (const mesh of MESHES) {
    y += 20 + rowsAt(mesh) * 23;
    meshY.push(y);
  }
  const panTop = y + BAND + 22;
  const panBottom = panTop + 14 + rowsAt("pan") * 24;
  const grains: Grain[] = [];
  for (const [key, members] of cells) {
    const [column, rests] = key.split(":") as [string, Mesh | "pan"];
    const floor = rests === "pan" ? panBottom - 6 : meshY[MESHES.indexOf(rests)]!;
    const centre = left + (Number(column) + 0.5) * columnWidth;
    members.forEach((index, k) => {
      const row = Math.floor(k / perRow);
      const inRow = Math.min(perRow, members.length - row * perRow);
      const r = RADIUS[a.context.needs[index]!.tier];
      grains.push({
        index,
        column: Number(column),
        rests,
        x: centre + ((k % perRow) - (inRow - 1) / 2) * 23,
        y: floor - 12 - row * 23 + (rests === "pan" ? 0 : 12 - r - 1),
        r,
        fill: a.needs[index]!.met,
      });
    });
  }
  grains.sort((p, q) => p.column - q.column || p.y - q.y || p.x - q.x);
  return {
    categories: shown,
    width,
    height: panBottom + 34,
    left,
    right,
    columnWidth,
    meshY,
    panTop,
    panBottom,
    grains,
  };
}
