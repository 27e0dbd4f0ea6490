import type { Line } from "../model/kit.ts";

/** One part of a line: so many pieces, with what is particular to them. */
export interface LinePart {
  readonly pieces: number;
  readonly facts: Partial<Line>;
}

/**
 * A line in parts, each a line of its own: same item, same claim in sum, the pieces as counted. The
 * first part keeps the line's id, so that photos and verdicts stay with it.
 * @param newId gives a free id for each further part
 */
export function splitLine(line: Line, parts: readonly LinePart[], newId: () => string): Line[] {
  const { claimed, ...rest } = line;
  let left = claimed;
  const rows = parts.map(({ pieces, facts }, i): Line => {
    // The claim is dealt out in order, so that all parts together claim what the line did.
    const share = left === undefined ? undefined : Math.min(left, pieces);
    if (left !== undefined) left -= share!;
    return {
      ...rest,
      ...facts,
      id: i === 0 ? line.id : newId(),
      counted: pieces,
      ...(share === undefined ? {} : { claimed: share }),
    };
  });
  if (left && rows[0]) rows[0] = { ...rows[0], claimed: rows[0].claimed! + left };
  return rows;
}
