import { SLANT_ROOM } from "../report/sieveSvg.ts";
import { download } from "./download.ts";

/** How a published picture is coloured: as the light screen, or ink on white alone. */
const INK: Record<string, string> = {
  "--sheet": "#ffffff",
  "--pass": "#000000",
  "--passbg": "#ffffff",
  "--held": "#000000",
  "--note": "#000000",
  "--soft": "#333333",
  "--line": "#999999",
};

/**
 * A picture of the page as a file of its own: patterns taken along, colours of the theme written out,
 * nothing that only the page knows.
 */
function standaloneSvg(svg: SVGSVGElement, blackAndWhite: boolean): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  const [, , width, height] = (svg.getAttribute("viewBox") ?? "0 0 900 600").split(" ");
  const wide = String(Number(width) + SLANT_ROOM);
  copy.setAttribute("viewBox", `0 0 ${wide} ${height}`);
  copy.setAttribute("width", wide);
  copy.setAttribute("height", height!);
  copy.querySelectorAll("[tabindex]").forEach((e) => e.removeAttribute("tabindex"));
  copy.querySelectorAll(".ring").forEach((e) => e.remove());
  const weaves = document.querySelector("pattern")?.closest("defs")?.cloneNode(true);
  if (weaves) copy.prepend(weaves);
  const paper = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  paper.setAttribute("width", "100%");
  paper.setAttribute("height", "100%");
  paper.setAttribute("fill", blackAndWhite ? "#ffffff" : "var(--ground)");
  copy.prepend(paper);
  const theme = getComputedStyle(document.documentElement);
  const ink = blackAndWhite ? "#000000" : theme.getPropertyValue("--ink").trim();
  copy.setAttribute("style", `color:${ink};font-family:system-ui,sans-serif`);
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) =>
      name.startsWith("--font")
        ? "system-ui,sans-serif"
        : ((blackAndWhite ? INK[name] : undefined) ?? theme.getPropertyValue(name).trim()),
    )
    .replaceAll("currentColor", ink);
}

export const saveSvg = (name: string, svg: SVGSVGElement, blackAndWhite: boolean): void =>
  download(`${name}.svg`, standaloneSvg(svg, blackAndWhite), "image/svg+xml");

/** A drawing that is ink on white already, as a file. */
export const saveDrawing = (name: string, svg: string): void =>
  download(`${name}.svg`, svg, "image/svg+xml");

/** Twice the size of the drawing, sharp in print. */
const SCALE = 2;
export const savePng = (name: string, svg: SVGSVGElement, blackAndWhite: boolean): Promise<void> =>
  saveRaster(name, standaloneSvg(svg, blackAndWhite));

/** A drawing as PNG. */
export async function saveRaster(name: string, svg: string): Promise<void> {
  const url = URL.createObjectURL(new Blob([svg], { type: "image/svg+xml" }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement("canvas");
    canvas.width = image.width * SCALE;
    canvas.height = image.height * SCALE;
    canvas.getContext("2d")!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/png"));
    if (!blob) throw new Error("the browser made no picture");
    download(`${name}.png`, blob, "image/png");
  } finally {
    URL.revokeObjectURL(url);
  }
}
