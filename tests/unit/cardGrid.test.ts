import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Short names, many of them words that also head groups, in every way of writing a count beside a name. */
const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const NAMES =
  "Plasters|Bandages|Dressings|Gloves|Wipes|Pads|Gauze|Tape|Splints|Scissors|Tweezers|Eye pads|Cold packs|Triangular bandages|Safety pins|Burn gel|Saline|Antiseptic wipes|Face shield|Tourniquet|Torch|Eyewash|Medicines|Tools|Creams|Tablets|Sterile gauze|Foil blankets|Thermometer|Masks|Soap|Tissues|Pins|Shears|Needle|Rope|Cotton wool|Iodine|Aspirin|Instruments|Slings|Sick bags|Cling film|Crepe bandages|Leaflet".split(
    "|",
  );
type Layout = (name: string, count: number) => string;
const LAYOUTS: Readonly<Record<string, Layout>> = {
  "dot leaders": (n, c) => `${n} ......... ${c}`,
  "count last": (n, c) => `${n} ${c}`,
  "count first": (n, c) => `${c} ${n}`,
  "count and sign first": (n, c) => `${c} x ${n}`,
  "sign and count last": (n, c) => `${n} x ${c}`,
  "sign clinging": (n, c) => `${n} x${c}`,
  colon: (n, c) => `${n}: ${c}`,
  dash: (n, c) => `${n} – ${c}`,
  brackets: (n, c) => `${n} (${c})`,
  "list mark": (n, c) => `- ${n} ${c}`,
  "list mark, count first": (n, c) => `• ${c} ${n}`,
  tab: (n, c) => `${n}\t${c}`,
  blanks: (n, c) => `${n}            ${c}`,
  "comma-separated": (n, c) => `${n},${c}`,
  strokes: (n, c) => `| ${n} | ${c} |`,
  comma: (n, c) => `${n}, ${c}`,
  pieces: (n, c) => `${n} ${c} pcs`,
  off: (n, c) => `${c} off ${n}`,
  capitals: (n, c) => `${n.toUpperCase()} ........ ${c}`,
  "small letters": (n, c) => `${n.toLowerCase()} ${c}`,
  ticked: (n, c) => `[x] ${n} ${c}`,
};
const entriesAt = (lines: readonly string[], at: number) =>
  readCard(lines.join("\n"), vocabulary).entries.filter((e) => e.source === at);

describe("short names with their counts", () => {
  for (const [layout, line] of Object.entries(LAYOUTS))
    it(`are read in the way of writing: ${layout}`, () => {
      const others = [line("Compass", 1), line("Signal mirror", 2)];
      const after = [line("Whistles", 3), line("Compass", 4)];
      const lost = NAMES.flatMap((name) => {
        const amid = entriesAt([...others, line(name, 7), ...after], 3);
        const first = entriesAt(
          ["Kit of the green van", "", line(name, 7), ...others, ...after],
          3,
        );
        return [amid, first].every((e) => e.length === 1 && e[0]!.pieces === 7) ? [] : [name];
      });
      expect(lost).to.deep.equal([]);
    });
});

/** What people write behind a line, that says nothing of how many there are. */
const REMARKS =
  "(out of date)|(blue)|- one opened|exp 03/27|exp. 2028-04|ok|OK ✓|£2.50|€ 3,20|(new)|* sterile|LOT A4471|(in lid)|in the lid|– replace soon|(check date)|!!|?|[ok]|best before 05/2027|all in date|(see note)|from the old box|sealed|left|still good|approx|each|in a tin|(was 10)|need 10|min 10|#A12|bay 4|shelf 2|checked|JB 12/3|last year|(one missing)|one torn|two out of date|of 10|/10|out of 10|per person|for 20 people|@ 3.50|3.50 each|**|ea|nos|yes|done|pending|RED|row 4|see p. 3|grade A|type II".split(
    "|",
  );

describe("remarks behind a count", () => {
  const names = ["Plasters", "Triangular bandages", "Scissors", "Eye pads", "Foil blankets"];
  const layouts = [
    "dot leaders",
    "count last",
    "count first",
    "sign and count last",
    "dash",
    "tab",
  ];
  for (const remark of REMARKS)
    it(`“${remark}” leaves the count alone, or is asked about`, () => {
      const wrong = layouts.flatMap((layout) => {
        const line = LAYOUTS[layout]!;
        return names.flatMap((name) => {
          const text = `${line(name, 7)} ${remark}`;
          const card = [line("Compass", 1), line("Signal mirror", 2), text, line("Whistles", 3)];
          const read = entriesAt(card, 3);
          const isRight = read.length === 1 && read[0]!.pieces === 7;
          const isAsked = read.length > 0 && read.every((e) => e.confidence < 0.9);
          return isRight || isAsked ? [] : [`${text}: ${read.map((e) => e.pieces).join(" + ")}`];
        });
      });
      expect(wrong).to.deep.equal([]);
    });
});

/** Several things on a line, each with its count, and what may stand between them. */
describe("several things on one line", () => {
  const THINGS = [
    ["plasters", 10],
    ["triangular bandages", 4],
    ["gauze pads 10 x 10 cm", 6],
    ["scissors", 1],
  ] as const;
  const layouts = [
    "count last",
    "count first",
    "count and sign first",
    "sign clinging",
    "brackets",
    "colon",
  ];
  for (const between of [
    ", ",
    "; ",
    " / ",
    " | ",
    " + ",
    " & ",
    " · ",
    " • ",
    " – ",
    " - ",
    "  ",
    " // ",
  ])
    it(`are each read with “${between}” between them`, () => {
      const lost = layouts.flatMap((layout) => {
        const line = LAYOUTS[layout]!;
        const text = THINGS.map(([name, count]) => line(name, count)).join(between);
        const read = entriesAt(["Bag of the blue van", text], 2).map((e) => e.pieces);
        return read.join() === "10,4,6,1" ? [] : [`${text}: ${read.join()}`];
      });
      expect(lost).to.deep.equal([]);
    });
});

/** Tables: what may head the column that counts, and what may stand beside it. */
describe("tables by their headings", () => {
  const ROWS = [
    ["Plasters", 10],
    ["Triangular bandages", 4],
    ["Foil blanket", 1],
    ["Scissors", 2],
    ["Eye pads", 3],
  ] as const;
  const BESIDE: Readonly<Record<string, (row: number) => string>> = {
    Expiry: (i) => `0${i + 1}/2027`,
    Location: (i) => `shelf ${i % 3}`,
    Price: (i) => `${i + 1}.50`,
    Min: (i) => `${i + 5}`,
    Used: (i) => `${i % 3}`,
    Unit: () => "ea",
    Batch: (i) => `L${4400 + i}`,
    UoM: (i) => (i % 3 === 2 ? "pc" : "pcs"),
    "Last counted": (i) => `2025-10-0${i + 1}`,
    "Counted on": (i) => `${i + 1}/10`,
    Action: (i) => (i % 3 === 0 ? `order ${i + 1}` : "–"),
    Colour: (i) => ["blue", "white", "gold", "black", "red"][i]!,
  };
  const DELIMITED: readonly ((cells: readonly string[]) => string)[] = [
    (cells) => cells.join("\t"),
    (cells) => cells.join(";"),
    (cells) => `| ${cells.join(" | ")} |`,
    (cells) =>
      cells
        .map((c) => c.padEnd(26))
        .join("")
        .trimEnd(),
  ];
  const COUNTED =
    "Qty|Quantity|No.|Nos|Count|Amount|Number|Units|Pcs|How many|In kit|Stock|Held|Present|On hand|Actual|Found|Counted|Total|Balance|Left|Now|Have|Packed|Qty received".split(
      "|",
    );
  for (const counted of COUNTED)
    it(`“${counted}” counts, whatever stands beside it and where`, () => {
      const lost = Object.entries(BESIDE).flatMap(([beside, cell]) =>
        DELIMITED.flatMap((join) =>
          [0, 1, 2].flatMap((place) => {
            const row = (name: string, count: string, other: string) =>
              join([name, count].toSpliced(place, 0, other));
            const text = [
              "Kit of the green van",
              "",
              row("Item", counted, beside),
              ...ROWS.map(([name, count], i) => row(name, `${count}`, cell(i))),
            ].join("\n");
            const read = readCard(text, vocabulary).entries.map((e) => e.pieces);
            return read.join() === "10,4,1,2,3" ? [] : [`${text}\n${read.join()}`];
          }),
        ),
      );
      expect(lost).to.deep.equal([]);
    });
});
