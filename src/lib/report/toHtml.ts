import type { Block } from "./blocks.ts";

const escape = (text: string) =>
  text
    .replaceAll("&", "&amp;")
    .replaceAll("<", "&lt;")
    .replaceAll(">", "&gt;")
    .replaceAll('"', "&quot;");

const STYLE = `body{font-family:system-ui,sans-serif;color:#1b2b2e;background:#fff;max-width:60rem;margin:2rem auto;padding:0 1rem;line-height:1.4}
h1,h2,h3{line-height:1.15}h2{margin-top:2rem;border-bottom:1px solid #999}table{border-collapse:collapse;width:100%;font-size:.9rem}
th,td{text-align:left;vertical-align:top;padding:.25rem .6rem .25rem 0;border-bottom:1px solid #ccc}.strong{font-size:1.3rem;font-weight:700}
figure{margin:1rem 0;break-inside:avoid}figure img{max-width:100%;max-height:24rem}svg{max-width:100%;height:auto}nav ul{columns:2}
@media print{h2{break-after:avoid}tr{break-inside:avoid}.new-page{break-before:page}nav{display:none}}`;

/** Data for machines; no text of a kit can end it. */
const dataTag = (data: object | null): string =>
  data === null
    ? ""
    : `<script type="application/ld+json">${JSON.stringify(data).replaceAll("<", "\\u003c")}</script>`;

/**
 * A report as one HTML file that needs nothing else: style, pictures and photographs are in it.
 * @param data schema.org data that goes with it (reviewData.ts)
 */
export function toHtml(
  title: string,
  blocks: readonly Block[],
  data: object | null = null,
): string {
  const id = (text: string) => text.toLowerCase().replaceAll(/[^a-z0-9]+/g, "-");
  const sections = blocks.filter((b) => b.kind === "heading" && b.level === 2);
  const nav = `<nav aria-label="Sections"><ul>${sections
    .map((b) =>
      b.kind === "heading" ? `<li><a href="#${id(b.text)}">${escape(b.text)}</a></li>` : "",
    )
    .join("")}</ul></nav>`;
  const row = (cells: readonly string[], tag: "td" | "th") =>
    `<tr>${cells.map((c) => `<${tag}${tag === "th" ? ' scope="col"' : ""}>${escape(c)}</${tag}>`).join("")}</tr>`;
  const body = blocks
    .map((b) => {
      switch (b.kind) {
        case "heading":
          return `<h${b.level} id="${id(b.text)}">${escape(b.text)}</h${b.level}>`;
        case "text":
          return `<p${b.strong ? ' class="strong"' : ""}>${escape(b.text)}</p>`;
        case "list":
          return `<ul>${b.items.map((i) => `<li>${escape(i)}</li>`).join("")}</ul>`;
        case "table":
          return `<table><thead>${row(b.head, "th")}</thead><tbody>${b.rows.map((r) => row(r, "td")).join("")}</tbody></table>`;
        case "facts":
          return `<table><tbody>${b.rows.map(([k, v]) => `<tr><th scope="row">${escape(k)}</th><td>${escape(v)}</td></tr>`).join("")}</tbody></table>`;
        case "picture":
          return `<figure role="img" aria-label="${escape(b.alt)}">${b.svg}</figure>`;
        case "photos":
          return b.items
            .filter((p) => p.dataUrl.startsWith("data:image/"))
            .map(
              (p) =>
                `<figure><img src="${escape(p.dataUrl)}" alt="${escape(p.caption)}"><figcaption>${escape(p.caption)}</figcaption></figure>`,
            )
            .join("");
        case "new-page":
          return `<div class="new-page"></div>${nav}`;
      }
    })
    .join("\n");
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)}</title><style>${STYLE}</style>${dataTag(data)}</head>
<body>
${body}
</body></html>
`;
}
