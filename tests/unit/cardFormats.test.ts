import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** The same five things in every markup, list and data format that people paste; each reads the same. */

type Things = readonly (readonly [name: string, count: number])[];
const THINGS: Things = [
  ["Plasters", 20],
  ["Eye pads", 4],
  ["Foil blankets", 2],
  ["Gauze pads 10 x 10 cm", 6],
  ["Fine tweezers", 1],
];
const READ = [
  ["adhesive-strip", 20, null],
  ["eye-pad", 4, null],
  ["foil-blanket", 2, null],
  ["gauze-pad", 6, [100, 100]],
  ["tweezers-fine", 1, null],
];

const FORMATS: Readonly<Record<string, (x: Things) => string>> = {
  html_tr: (x) =>
    "<table>\n<tr><th>Item</th><th>Qty</th></tr>\n" +
    x.map(([n, q]) => `<tr><td>${n}</td><td>${q}</td></tr>`).join("\n") +
    "\n</table>",
  html_tr_multi: (x) =>
    "<table>\n" +
    x.map(([n, q]) => `<tr>\n<td>${n}</td>\n<td>${q}</td>\n</tr>`).join("\n") +
    "\n</table>",
  html_li: (x) => "<ul>\n" + x.map(([n, q]) => `<li>${q} x ${n}</li>`).join("\n") + "\n</ul>",
  html_li_one: (x) => "<ul>" + x.map(([n, q]) => `<li>${n} (${q})</li>`).join("") + "</ul>",
  html_br: (x) => "<p>" + x.map(([n, q]) => `${q} ${n}`).join("<br>") + "</p>",
  html_br2: (x) => x.map(([n, q]) => `${n}: ${q}<br/>`).join("\n"),
  html_dl: (x) => "<dl>\n" + x.map(([n, q]) => `<dt>${n}</dt><dd>${q}</dd>`).join("\n") + "\n</dl>",
  yaml: (x) => "items:\n" + x.map(([n, q]) => `  - name: ${n}\n    qty: ${q}`).join("\n"),
  yaml2: (x) => x.map(([n, q]) => `${n}: ${q}`).join("\n"),
  yaml3: (x) => x.map(([n, q]) => `- { item: ${n}, qty: ${q} }`).join("\n"),
  yamlq: (x) => x.map(([n, q]) => `- item: "${n}"\n  held: ${q}\n  exp: 2027-03`).join("\n"),
  json_pretty: (x) => JSON.stringify({ items: x.map(([name, qty]) => ({ name, qty })) }, null, 2),
  json_map: (x) => JSON.stringify(Object.fromEntries(x), null, 2),
  json_map1: (x) => JSON.stringify(Object.fromEntries(x)),
  json_lines: (x) => x.map(([name, q]) => JSON.stringify({ name, quantity: q })).join("\n"),
  json_pretty2: (x) =>
    JSON.stringify(
      x.map(([item, held]) => ({ item, expected: held + 3, held })),
      null,
      4,
    ),
  xml: (x) =>
    "<kit>\n" +
    x.map(([n, q]) => `  <item><name>${n}</name><qty>${q}</qty></item>`).join("\n") +
    "\n</kit>",
  xml2: (x) =>
    "<kit>\n" + x.map(([n, q]) => `  <item qty="${q}">${n}</item>`).join("\n") + "\n</kit>",
  xml3: (x) =>
    "<kit>\n" +
    x
      .map(([n, q]) => `  <item>\n    <name>${n}</name>\n    <qty>${q}</qty>\n  </item>`)
      .join("\n") +
    "\n</kit>",
  xml4: (x) => x.map(([n, q]) => `<item name="${n}" quantity="${q}"/>`).join("\n"),
  toml: (x) => x.map(([n, q]) => `[[item]]\nname = "${n}"\nqty = ${q}`).join("\n"),
  ini: (x) => "[kit]\n" + x.map(([n, q]) => `${n} = ${q}`).join("\n"),
  ini2: (x) => x.map(([n, q]) => `${n}=${q}`).join("\n"),
  latex: (x) =>
    "\\begin{itemize}\n" + x.map(([n, q]) => `\\item ${q} ${n}`).join("\n") + "\n\\end{itemize}",
  latex_tab: (x) =>
    "\\begin{tabular}{lr}\nItem & Qty \\\\ \\hline\n" +
    x.map(([n, q]) => `${n} & ${q} \\\\`).join("\n") +
    "\n\\end{tabular}",
  wiki: (x) =>
    '{| class="wikitable"\n! Item !! Qty\n|-\n' +
    x.map(([n, q]) => `| ${n} || ${q}`).join("\n|-\n") +
    "\n|}",
  wiki2: (x) => "||Item||Qty||\n" + x.map(([n, q]) => `|${n}|${q}|`).join("\n"),
  org: (x) => "| Item | Qty |\n|------+-----|\n" + x.map(([n, q]) => `| ${n} | ${q} |`).join("\n"),
  rst: (x) =>
    "====================== ===\nItem                   Qty\n====================== ===\n" +
    x.map(([n, q]) => n.padEnd(23) + q).join("\n") +
    "\n====================== ===",
  rst2: (x) =>
    "+------------------------+-----+\n| Item                   | Qty |\n+========================+=====+\n" +
    x
      .map(
        ([n, q]) =>
          `| ${n.padEnd(22)} | ${String(q).padEnd(3)} |\n+------------------------+-----+`,
      )
      .join("\n"),
  box: (x) =>
    "┌────────────────────────┬─────┐\n│ Item                   │ Qty │\n├────────────────────────┼─────┤\n" +
    x.map(([n, q]) => `│ ${n.padEnd(22)} │ ${String(q).padStart(3)} │`).join("\n") +
    "\n└────────────────────────┴─────┘",
  bbcode: (x) => "[list]\n" + x.map(([n, q]) => `[*]${n} x${q}`).join("\n") + "\n[/list]",
  adoc: (x) => "|===\n|Item |Qty\n\n" + x.map(([n, q]) => `|${n} |${q}`).join("\n") + "\n|===",
  fields: (x) => x.map(([n, q]) => `Item: ${n} | Qty: ${q} | Exp: 03/27`).join("\n"),
  fields2: (x) => x.map(([n, q]) => `Item: ${n}, Qty: ${q}, Exp: 03/27`).join("\n"),
  fields3: (x) => x.map(([n, q]) => `${n} (qty ${q}, exp 03/27)`).join("\n"),
  fields4: (x) => x.map(([n, q]) => `${n} — Qty: ${q} — Loc: lid`).join("\n"),
  fields5: (x) => x.map(([n, q]) => `Item=${n}; Qty=${q}`).join("\n"),
  fields6: (x) => x.map(([n, q]) => `${n}\nQty: ${q}`).join("\n"),
  fields7: (x) => x.map(([n, q]) => `${n}\n  x${q}`).join("\n"),
  fields8: (x) => x.map(([n, q]) => `${n}\n${q} pcs`).join("\n\n"),
  fields9: (x) =>
    x.map(([n, q], i) => `Item ${i + 1}: ${n}\nQuantity: ${q}\nCondition: good`).join("\n\n"),
  fields10: (x) => x.map(([n, q]) => `Name: ${n}\nCount: ${q}\n`).join("\n"),
  fields11: (x) => x.map(([n, q]) => `qty=${q} item="${n}"`).join("\n"),
  fields12: (x) => x.map(([n, q]) => `• ${n} · qty ${q} · exp 2027`).join("\n"),
  par: (x) => x.map(([n, q]) => `(${q}) ${n}`).join("\n"),
  br: (x) => x.map(([n, q]) => `[${q}] ${n}`).join("\n"),
  dash: (x) => x.map(([n, q]) => `${q} - ${n}`).join("\n"),
  dash2: (x) => x.map(([n, q]) => `${q}- ${n}`).join("\n"),
  paren2: (x) => x.map(([n, q]) => `${q}) ${n}`).join("\n"),
  arrow: (x) => x.map(([n, q]) => `${n} -> ${q}`).join("\n"),
  arrow2: (x) => x.map(([n, q]) => `${n} → ${q}`).join("\n"),
  eq: (x) => x.map(([n, q]) => `${q} = ${n}`).join("\n"),
  star: (x) => x.map(([n, q]) => `${n} * ${q}`).join("\n"),
  star2: (x) => x.map(([n, q]) => `${q}*${n}`).join("\n"),
  at: (x) => x.map(([n, q]) => `${n} @ ${q}`).join("\n"),
  hash: (x) => x.map(([n, q]) => `${n} #${q}`).join("\n"),
  under: (x) => x.map(([n, q]) => `${n}_____${q}`).join("\n"),
  under2: (x) => x.map(([n, q]) => `_${q}_ ${n}`).join("\n"),
  dots: (x) => x.map(([n, q]) => `${n}....${q}`).join("\n"),
  tild: (x) => x.map(([n, q]) => `${n} ~ ${q}`).join("\n"),
  curly: (x) => x.map(([n, q]) => `${n} {${q}}`).join("\n"),
  angle: (x) => x.map(([n, q]) => `${n} <${q}>`).join("\n"),
  zero: (x) => x.map(([n, q]) => `${String(q).padStart(3, "0")} ${n}`).join("\n"),
  xpre: (x) => x.map(([n, q]) => `x${q} ${n}`).join("\n"),
  xcap: (x) => x.map(([n, q]) => `${q}X ${n}`).join("\n"),
  pipe0: (x) => x.map(([n, q]) => `${n}|${q}`).join("\n"),
  pipe1: (x) => x.map(([n, q]) => `${q}|${n}`).join("\n"),
  sem: (x) => x.map(([n, q]) => `${n};${q}`).join("\n"),
  comma: (x) => x.map(([n, q]) => `${n},${q}`).join("\n"),
  comma2: (x) => x.map(([n, q]) => `${q},${n}`).join("\n"),
  tab: (x) => x.map(([n, q]) => `${n}\t${q}`).join("\n"),
  quoted: (x) => x.map(([n, q]) => `"${n}","${q}"`).join("\n"),
  md_check: (x) => x.map(([n, q]) => `- [x] **${n}** — ${q}`).join("\n"),
  md_code: (x) => x.map(([n, q]) => `- \`${n}\`: ${q}`).join("\n"),
  md_bold: (x) => x.map(([n, q]) => `**${q}** ${n}`).join("\n"),
  md_num: (x) => x.map(([n, q], i) => `${i + 1}. ${n} - ${q}`).join("\n"),
  roman: (x) => x.map(([n, q], i) => `${["i", "ii", "iii", "iv", "v"][i]}. ${q} ${n}`).join("\n"),
  alpha: (x) => x.map(([n, q], i) => `${"abcde"[i]}) ${n} (${q})`).join("\n"),
  tuple: (x) => "[\n" + x.map(([n, q]) => `  ("${n}", ${q}),`).join("\n") + "\n]",
  dict: (x) => "{\n" + x.map(([n, q]) => `  '${n}': ${q},`).join("\n") + "\n}",
  semis: (x) => x.map(([n, q]) => `${q} ${n}`).join("; "),
  slashes: (x) => x.map(([n, q]) => `${n} ${q}`).join(" / "),
  csvline: (x) => x.map(([n, q]) => `${n} x${q}`).join(", "),
  and: (x) =>
    "The kit holds " +
    x
      .slice(0, -1)
      .map(([n, q]) => `${q} ${n.toLowerCase()}`)
      .join(", ") +
    " and " +
    x.at(-1)![1] +
    " " +
    x.at(-1)![0].toLowerCase() +
    ".",
  pluses: (x) => x.map(([n, q]) => `${q} ${n}`).join(" + "),
  emoji: (x) => x.map(([n, q]) => `🩹 ${n} ×${q}`).join("\n"),
  keycap: (x) => x.map(([n, q]) => `${n} – ${q} Stück`).join("\n"),
  right: (x) => x.map(([n, q]) => `${String(q).padStart(6)}  ${n}`).join("\n"),
  wide: (x) => x.map(([n, q]) => `${n.padEnd(40)}${String(q).padStart(4)}`).join("\n"),
};

describe("formats of a card", () => {
  const vocabulary = vocabularyOf(NAMED_CATALOGUE);
  for (const [name, format] of Object.entries(FORMATS))
    it(name, () => {
      const { entries } = readCard(format(THINGS), vocabulary);
      expect(entries.map((e) => [e.itemType, e.pieces, e.sizeMm])).to.deep.equal(READ);
    });

  /** What a pack holds is said in the name, and packs are counted: 2 × 20, 3 × 10, 4 × 5. */
  const PACKED: Things = [
    ["Plasters, box of 20", 2],
    ["Antiseptic wipes (pack of 10)", 3],
    ["Gauze swabs 10 x 10 cm, 5s", 4],
    ["Eye pads", 4],
    ["Nitrile gloves, pair", 6],
  ];
  /** A name too long for its column, a comma that parts things, an arrow from one number to another. */
  const OTHERWISE = new Set(["rst", "fields4", "fields12", "arrow", "arrow2"]);
  for (const [name, format] of Object.entries(FORMATS).filter(([n]) => !OTHERWISE.has(n)))
    it(`${name}, packs counted`, () => {
      const { entries } = readCard(format(PACKED), vocabulary);
      expect(entries.map((e) => [e.itemType, e.pieces])).to.deep.equal([
        ["adhesive-strip", 40],
        ["antiseptic-wipe", 30],
        ["gauze-pad", 20],
        ["eye-pad", 4],
        ["nitrile-gloves", 6],
      ]);
    });
});
