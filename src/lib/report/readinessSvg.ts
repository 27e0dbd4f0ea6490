import { addDays, daysBetween } from "../core/base/dates.ts";
import type { Readiness } from "../core/log/readiness.ts";
import type { EventKind, KitEvent } from "../core/model/event.ts";
import { day } from "../words/sentences.ts";
import { escapeXml } from "./escapeXml.ts";

/** Sizes of the picture, px. */
const WIDTH = 900;
const LEFT = 44;
const RIGHT = 14;
const TOP = 34;
const PLOT = 190;
const BAND = 12;
const HEIGHT = TOP + PLOT + BAND + 42;

/** Events that are marked on the line; the others change little and would hide it. */
const SIGN: Partial<Record<EventKind, string>> = {
  used: "▼",
  "put-back": "▲",
  recalled: "✕",
  sealed: "○",
};

/** Labels of the time axis: as many as stand beside each other. */
const MOST_TICKS = 9;

/**
 * Coverage of a kit day by day as a step chart for print, ink on white, with what happened on it and the days
 * on which it was Ready as a band below: text of an SVG file.
 * @param until YYYY-MM-DD, the last day shown
 */
export function readinessSvg(
  readiness: Readiness,
  events: readonly KitEvent[],
  until: string,
): { svg: string; width: number; height: number } {
  const { steps } = readiness;
  const first = steps[0]?.from ?? until;
  const days = daysBetween(first, until) + 1;
  const wide = WIDTH - LEFT - RIGHT;
  const x = (d: string) => LEFT + (wide * daysBetween(first, d)) / days;
  const y = (share: number) => TOP + PLOT * (1 - share);
  const end = WIDTH - RIGHT;
  const line = (valueOf: (s: (typeof steps)[number]) => number): string =>
    steps
      .map(
        (s, i) =>
          `${i === 0 ? "M" : "H"}${round(x(s.from))} ${i === 0 ? round(y(valueOf(s))) : `V${round(y(valueOf(s)))}`}`,
      )
      .join("") + `H${end}`;
  const stepOn = (d: string) => steps.findLast((s) => s.from <= d);
  const parts = [
    `<defs><pattern id="not-ready" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V7" stroke="#000" stroke-width="1.6"/></pattern></defs>`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#fff"/>`,
    ...[0, 0.25, 0.5, 0.75, 1].map(
      (share) =>
        `<path d="M${LEFT} ${y(share)}H${end}" stroke="#ccc"/><text x="${LEFT - 6}" y="${y(share) + 4}" text-anchor="end" font-size="12">${100 * share} %</text>`,
    ),
    ...ticks(first, days).map(
      (d) =>
        `<text x="${round(x(d))}" y="${TOP + PLOT + BAND + 22}" font-size="12">${escapeXml(day(d))}</text>`,
    ),
    `<path d="${line((s) => s.interval?.[0] ?? 0)}" fill="none" stroke="#000" stroke-width="1.2" stroke-dasharray="4 3"/>`,
    `<path d="${line((s) => s.coverage ?? 0)}" fill="none" stroke="#000" stroke-width="2.6"/>`,
    ...steps.map((s, i) => {
      const from = x(s.from);
      const to = i + 1 < steps.length ? x(steps[i + 1]!.from) : end;
      return `<rect x="${round(from)}" y="${TOP + PLOT + 4}" width="${round(to - from)}" height="${BAND}" fill="${s.grade === "Ready" ? "#000" : "url(#not-ready)"}" stroke="#000"/>`;
    }),
    ...events
      .filter((e) => SIGN[e.kind] && e.on >= first && e.on <= until)
      .map(
        (e) =>
          `<text x="${round(x(e.on))}" y="${round(y(stepOn(e.on)?.coverage ?? 0) - 6)}" text-anchor="middle" font-size="13">${SIGN[e.kind]}</text>`,
      ),
    `<text x="${LEFT}" y="18" font-size="13">Solid: coverage; dashed: what is guaranteed. ▼ used, ▲ put back, ✕ recalled, ○ sealed. Band: black Ready, hatched not.</text>`,
  ];
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}" font-family="Atkinson, system-ui, sans-serif">${parts.join("")}</svg>`,
    width: WIDTH,
    height: HEIGHT,
  };
}

const round = (n: number): number => Math.round(n * 10) / 10;

/** Days named below the plot, evenly from the first. */
function ticks(first: string, days: number): string[] {
  const every = Math.max(1, Math.ceil(days / MOST_TICKS));
  return Array.from({ length: Math.ceil(days / every) }, (_, i) => addDays(first, i * every)).slice(
    0,
    MOST_TICKS,
  );
}
