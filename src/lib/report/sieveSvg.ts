import type { Audit } from "../core/audit/audit.ts";
import { MESHES } from "../core/model/mesh.ts";
import { CATEGORY_LABEL, MESH_ASKS, MESH_LABEL } from "../words/labels.ts";
import { number } from "../words/sentences.ts";
import { escapeXml } from "./escapeXml.ts";
import { sieveLayout } from "./sieveLayout.ts";
import { weaveDefs } from "./weaves.ts";

/** The last category's slanted name reaches beyond its column, px. */
export const SLANT_ROOM = 46;

/** The sieve as a picture for print, ink on white, without a page: text of an SVG file. */
export function sieveSvg(a: Audit, width = 900): { svg: string; width: number; height: number } {
  const l = sieveLayout(a, width);
  const caught = (m: (typeof MESHES)[number]) => a.caught?.[m] ?? 0;
  const band = l.width - l.left - l.right;
  const parts: string[] = [];
  l.categories.forEach((c, i) => {
    const x = l.left + (i + 0.5) * l.columnWidth;
    parts.push(
      `<text transform="translate(${x - 4} 108) rotate(-34)" font-size="13" font-weight="bold">${escapeXml(CATEGORY_LABEL[c.id])}</text>`,
      `<text x="${x}" y="${l.panBottom + 24}" text-anchor="middle" font-size="15" font-weight="bold">${Math.round(c.coverage * 100)}</text>`,
    );
  });
  MESHES.forEach((m, k) => {
    const y = l.meshY[k]!;
    parts.push(
      `<text x="0" y="${y - 2}" font-size="16" font-weight="bold">${MESH_LABEL[m]}</text>`,
      `<text x="0" y="${y + 14}" font-size="11.5" fill="#333">${escapeXml(MESH_ASKS[m])}</text>`,
      `<rect x="${l.left}" y="${y}" width="${band}" height="13" fill="url(#weave-${m})" stroke="#000" stroke-width="1.2"/>`,
      `<text x="${l.width}" y="${y + 11}" text-anchor="end" font-size="14" font-weight="bold">${caught(m) > 0.0005 ? `-${number(caught(m) * 100, 1)}` : "0"}</text>`,
    );
  });
  parts.push(
    `<path d="M${l.left} ${l.panTop}V${l.panBottom}H${l.width - l.right}V${l.panTop}" fill="none" stroke="#000" stroke-width="2"/>`,
    `<text x="0" y="${l.panTop + 16}" font-size="16" font-weight="bold">${MESH_LABEL.pan}</text>`,
    `<text x="0" y="${l.panTop + 32}" font-size="11.5" fill="#333">${escapeXml(MESH_ASKS.pan)}</text>`,
    `<text x="0" y="${l.panBottom + 24}" font-size="12" fill="#333">coverage, %</text>`,
  );
  for (const g of l.grains) {
    const vital = a.context.needs[g.index]!.tier === "vital";
    const full = g.rests === "pan";
    parts.push(
      `<circle cx="${g.x}" cy="${g.y}" r="${g.r}" fill="${full ? "#000" : "#fff"}" stroke="#000" stroke-width="2"/>`,
    );
    // How much of the need is met, as a level in the grain.
    if (!full && g.fill > 0.001) parts.push(levelOf(g.x, g.y, g.r - 1, g.fill));
    if (vital)
      parts.push(
        `<circle cx="${g.x}" cy="${g.y}" r="${g.r - 3.4}" fill="none" stroke="${full ? "#fff" : "#000"}" stroke-width="1.6"/>`,
      );
  }
  const wide = l.width + SLANT_ROOM;
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide} ${l.height}" width="${wide}" height="${l.height}" font-family="Atkinson, system-ui, sans-serif">${weaveDefs()}${parts.join("")}</svg>`,
    width: wide,
    height: l.height,
  };
}

/** The part of a circle below a level, as a chord and an arc. `fill` is the share of its height. */
function levelOf(x: number, y: number, r: number, fill: number): string {
  const top = y + r - 2 * r * fill;
  const half = Math.sqrt(Math.max(0, r * r - (top - y) ** 2));
  const large = fill > 0.5 ? 1 : 0;
  return `<path d="M${number(x - half, 2)} ${number(top, 2)}A${r} ${r} 0 ${large} 0 ${number(x + half, 2)} ${number(top, 2)}Z" fill="#777"/>`;
}
