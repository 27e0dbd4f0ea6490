import fc from "fast-check";

/**
 * Contents cards made by rule, whose truth is known: contents × layout × habits × noise. What differs
 * between two layouts of the same contents is only how it is written.
 */

/** One thing of a card, with what it is read as. */
interface Thing {
  readonly name: string;
  readonly itemType: string;
  /** As printed, and in mm. */
  readonly size?: readonly [printed: string, mm: readonly number[]];
}

const THINGS: readonly Thing[] = [
  { name: "Adhesive strip plasters", itemType: "adhesive-strip", size: ["72 x 19 mm", [19, 72]] },
  { name: "Sterile gauze pads", itemType: "gauze-pad", size: ["10 x 10 cm", [100, 100]] },
  { name: "Non-adherent pads", itemType: "non-adherent-pad", size: ["7.5 x 10 cm", [75, 100]] },
  { name: "Conforming bandage", itemType: "roller-bandage", size: ["7.5 cm x 4 m", [75, 4000]] },
  { name: "Crepe bandage", itemType: "elastic-bandage", size: ["10 cm x 4.5 m", [100, 4500]] },
  { name: "Triangular bandage", itemType: "triangular-bandage" },
  { name: "Medical tape", itemType: "medical-tape", size: ["2.5 cm x 5 m", [25, 5000]] },
  { name: "Antiseptic wipes", itemType: "antiseptic-wipe" },
  { name: "Alcohol prep pads", itemType: "alcohol-pad" },
  { name: "Butterfly closures", itemType: "butterfly-closure" },
  { name: "Safety pins", itemType: "safety-pin" },
  { name: "Eye pads", itemType: "eye-pad" },
  { name: "Foil blanket", itemType: "foil-blanket", size: ["140 x 210 cm", [1400, 2100]] },
  { name: "Trauma shears", itemType: "trauma-shears" },
  { name: "Fine tweezers", itemType: "tweezers-fine" },
  { name: "CPR face shield", itemType: "face-shield" },
  { name: "Instant cold pack", itemType: "cold-pack" },
  { name: "Burn gel sachets", itemType: "burn-gel-sachet" },
  { name: "Blister plasters", itemType: "blister-cushion" },
  { name: "Windlass tourniquet", itemType: "windlass-tourniquet" },
  { name: "Vented chest seal", itemType: "vented-chest-seal" },
  { name: "Emergency pressure bandage", itemType: "pressure-bandage", size: ["15 cm", [150]] },
  { name: "Saline ampoules", itemType: "saline-ampoule" },
  { name: "Whistle", itemType: "whistle" },
  { name: "First aid guide", itemType: "first-aid-guide" },
];

export interface Content {
  readonly thing: Thing;
  readonly pieces: number;
}
/** What a card's entries should be read as, in the order of the card. */
export const truthOf = (contents: readonly Content[]) =>
  contents.map(({ thing, pieces }) => [thing.itemType, pieces, thing.size?.[1] ?? null]);

const sized = ({ thing }: Content, before = ", ") =>
  thing.size ? `${thing.name}${before}${thing.size[0]}` : thing.name;

/** Ways to set a card; each states the same contents. */
export const LAYOUTS: Readonly<Record<string, (contents: readonly Content[]) => string>> = {
  "count in brackets": (c) => c.map((x) => `${sized(x)} (${x.pieces})`).join("\n"),
  "count first": (c) => c.map((x) => `${x.pieces} x ${sized(x)}`).join("\n"),
  "bullets, pieces": (c) => c.map((x) => `- ${x.pieces}pcs ${sized(x, " ")}`).join("\n"),
  "dot leaders": (c) =>
    c.map((x) => `${sized(x)} ${".".repeat(60 - sized(x).length)} ${x.pieces}`).join("\n"),
  "numbered, count behind": (c) =>
    c.map((x, i) => `${i + 1}. ${sized(x)} - ${x.pieces} pcs`).join("\n"),
  "table by tabs": (c) =>
    [
      "No.\tItem\tSize\tQty",
      ...c.map((x, i) => [i + 1, x.thing.name, x.thing.size?.[0] ?? "", x.pieces].join("\t")),
    ].join("\n"),
  "table by semicolons, with minimum": (c) =>
    [
      "Code;Description;Min;Held;Exp",
      ...c.map((x, i) => `FA-${100 + i};${sized(x, " ")};${x.pieces + 1};${x.pieces};05/2029`),
    ].join("\n"),
  "table by bars": (c) =>
    ["| Qty | Item |", "|---|---|", ...c.map((x) => `| ${x.pieces} | ${sized(x)} |`)].join("\n"),
  "columns by blanks": (c) =>
    [`${"ITEM".padEnd(60)}QTY`, ...c.map((x) => `${sized(x).padEnd(60)}${x.pieces}`)].join("\n"),
  "page with its markup": (c) =>
    `<h2>What is in it</h2><ul>\n${c.map((x) => `<li>${x.pieces} &times; ${sized(x)}</li>`).join("\n")}\n</ul>`,
  "quoted mail": (c) => c.map((x) => `> * ${sized(x)} x${x.pieces}`).join("\n"),
  "count on the next line": (c) => c.map((x) => `${sized(x, " ")}\n${x.pieces}`).join("\n"),
  "count on the line before": (c) => c.map((x) => `${x.pieces}\n${sized(x, " ")}`).join("\n"),
  "quantity below a blank line": (c) =>
    c.map((x) => `${sized(x, " ")}\n\nQuantity: ${x.pieces}`).join("\n\n"),
  "page whose cells stand on lines": (c) =>
    `<table>\n${c.map((x) => `<tr>\n<td>${sized(x, " ")}</td>\n<td>${x.pieces}</td>\n</tr>`).join("\n")}\n</table>`,
  "fields of a form": (c) => c.map((x) => `Item: ${sized(x, " ")}\nQty: ${x.pieces}`).join("\n"),
  "objects on one line": (c) =>
    JSON.stringify(c.map((x) => ({ item: sized(x, " "), count: x.pieces }))),
  "one line by commas": (c) =>
    `Contents: ${c.map((x) => `${sized(x, " ")} (${x.pieces})`).join(", ")}.`,
  "one line by semicolons": (c) => c.map((x) => `${x.pieces}x ${sized(x, " ")}`).join("; "),
  "two side by side": (c) =>
    Array.from({ length: Math.ceil(c.length / 2) }, (_, i) =>
      c
        .slice(2 * i, 2 * i + 2)
        .map((x) => `${x.pieces} x ${sized(x, " ")}`.padEnd(60))
        .join("")
        .trimEnd(),
    ).join("\n"),
  "counts with decimals": (c) =>
    c.map((x) => [sized(x, " "), `${x.pieces}.00`, "EA"].join("\t")).join("\n"),
  "packs, what one holds, and the sum of both": (c) =>
    [
      "Item,Pack size,Packs,In all",
      // Four to a pack where they can be, else one.
      ...c.map((x) => {
        const per = x.pieces % 4 === 0 ? 4 : 1;
        return [sized(x, " "), per, x.pieces / per, x.pieces].join(",");
      }),
    ].join("\n"),
  "boxes, and how many in each": (c) =>
    [
      "Item | Boxes | Qty per box",
      "---|---|---",
      ...c.map((x) => {
        const per = x.pieces % 3 === 0 ? 3 : 1;
        return `${sized(x, " ")} | ${x.pieces / per} | ${per}`;
      }),
    ].join("\n"),
  "whether it is there": (c) =>
    [
      "Item\tQty\tIn kit?",
      ...c.map((x) => `${sized(x, " ")}\t${x.pieces}\tY`),
      "Skin stapler\t1\tN",
    ].join("\n"),
  "objects with what should be there": (c) =>
    c
      .map((x) => JSON.stringify({ name: sized(x, " "), par: x.pieces + 2, held: x.pieces }))
      .join(",\n"),
  "by places, standard and on the shelf": (c) =>
    [
      "Area;Article;Std;On shelf;Use by",
      ...c.map((x, i) => `Bay ${1 + (i >> 2)};${sized(x, " ")};${x.pieces + 1};${x.pieces};03/28`),
    ].join("\n"),
  "a typesetter's list": (c) =>
    [
      "\\begin{itemize}",
      ...c.map((x) => `\\item ${sized(x, " ")}, about ${x.pieces}`),
      "\\end{itemize}",
    ].join("\n"),
  "boxes ticked": (c) => c.map((x) => `[x] ${sized(x, " ")} – ${x.pieces}`).join("\n"),
  "expected and found": (c) =>
    [
      "Item\tExpected\tFound\tDiff",
      ...c.map((x) => [sized(x, " "), x.pieces + 2, x.pieces, -2].join("\t")),
    ].join("\n"),
};

/** How a person or a machine changes what is written, leaving its meaning. */
export const HABITS: Readonly<Record<string, (text: string) => string>> = {
  none: (t) => t,
  capitals: (t) =>
    t.includes("<") || t.includes("\t") || t.includes(";")
      ? t
      : t.toUpperCase().replace(/ X /g, " x "),
  "small letters": (t) => (t.includes("\t") || t.includes(";") ? t : t.toLowerCase()),
  "windows line ends": (t) => t.replace(/\n/g, "\r\n"),
  "blank lines": (t) =>
    t.includes("|") || t.includes("\t") || t.includes(";") ? t : t.replace(/\n/g, "\n\n"),
  "title and footer": (t) =>
    `Harrow Trail Kit\n\n${t}\n\nKeep dry. Check the contents once a year.`,
};

/** What a recogniser or a hasty hand does to letters; the meaning is still to be seen. */
export const NOISE: Readonly<Record<string, (text: string) => string>> = {
  none: (t) => t,
  "l for 1 in sizes": (t) => t.replace(/\b1(\d) x/g, "l$1 x"),
  "O for 0": (t) => t.replace(/(\d)0(?= (?:x|cm|mm|m)\b)/g, "$1O"),
  "rn for m in units": (t) => t.replace(/\bcm\b/g, "crn"),
  "a letter dropped": (t) => t.replace(/bandage/gi, "bandge").replace(/blanket/gi, "blankt"),
};

const contents: fc.Arbitrary<Content[]> = fc
  .uniqueArray(fc.nat(THINGS.length - 1), { minLength: 5, maxLength: 14 })
  .chain((picks) =>
    fc.tuple(
      ...picks.map((i) =>
        fc.integer({ min: 1, max: 30 }).map((pieces) => ({ thing: THINGS[i]!, pieces })),
      ),
    ),
  );

export interface MadeCard {
  readonly contents: readonly Content[];
  readonly layout: string;
  readonly habit: string;
  readonly noise: string;
}
export const madeCard: fc.Arbitrary<MadeCard> = fc.record({
  contents,
  layout: fc.constantFrom(...Object.keys(LAYOUTS)),
  habit: fc.constantFrom(...Object.keys(HABITS)),
  noise: fc.constantFrom(...Object.keys(NOISE)),
});
export const contentsOfCard = contents;

export const written = (card: MadeCard): string =>
  HABITS[card.habit]!(NOISE[card.noise]!(LAYOUTS[card.layout]!(card.contents)));
