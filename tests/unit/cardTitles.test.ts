import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const facts = (card: string): string[] =>
  readCard(card, vocabulary).entries.map((e) => `${e.itemType} ${e.pieces}`);

const THINGS = [
  ["plasters", 20],
  ["eye pads", 4],
  ["foil blankets", 2],
  ["triangular bandages", 3],
  ["burn gel sachets", 6],
  ["cold packs", 2],
] as const;
const READ = [
  "adhesive-strip 20",
  "eye-pad 4",
  "foil-blanket 2",
  "triangular-bandage 3",
  "burn-gel-sachet 6",
  "cold-pack 2",
];
const LISTS: Readonly<Record<string, (name: string, count: number) => string>> = {
  "marked, the count first": (name, count) => `- ${count} ${name}`,
  "marked, the count last": (name, count) => `* ${name} x ${count}`,
  "to be ticked": (name, count) => `[ ] ${count} ${name}`,
  "the count first": (name, count) => `${count} ${name}`,
  "the count last": (name, count) => `${name}   ${count}`,
  "a colon": (name, count) => `${name}: ${count}`,
  brackets: (name, count) => `${name} (${count})`,
  "a leader": (name, count) => `${name} .......... ${count}`,
};

/** Over a list, wherever they stand. */
const TITLES = [
  "First aid kit",
  "FIRST AID KIT CONTENTS",
  "First aid box - office",
  "Van kit",
  "My hiking kit",
  "Rucksack contents",
  "First aid cabinet, workshop",
  "First Aid Kit No. 3",
  "Kit B - minibus",
  "Hello! as promised the list",
  "For 1-4 people, 1-2 days",
];
/** What is written above, within and below a list, and lists nothing. */
const NOTES = [
  "Kit list 2026",
  "Car first aid kit (updated May)",
  "Contents of the green bag",
  "What's in the box",
  "Whats in my bag",
  "Inventory",
  "Stock list",
  "Stock take 12 May 2026",
  "Stocktake – kitchen box",
  "Monthly check – October",
  "Kit #2",
  "Bag 2 of 3",
  "Sheet 1 of 2",
  "Form FA-7 rev 3",
  "Doc. no. HS-014",
  "Date: 12 May 2026",
  "Checked by: K. Osei",
  "Name: ____________",
  "Location: workshop, bay 3",
  "Vehicle: AB12 CDE",
  "Site: Northgate Road 14",
  "Company: Brannock Ltd",
  "Department of Works",
  "Hi all,",
  "Hi Tom, here's the list:",
  "Dear Una,",
  "From: Tom To: Anna",
  "Subject: first aid",
  "Sent: Monday, 12 May 2026 14:02",
  "To: all staff",
  "Re: kit check",
  "Attachment: list.xlsx",
  "Photo of the label:",
  "Scan of the card",
  "Transcribed from the lid",
  "(copied from the whiteboard)",
  "See below",
  "As of 3 March",
  "Last updated: 3 March 2026",
  "Version 2.1",
  "Page 1",
  "Page 1 of 3",
  "- 1 -",
  "1/3",
  "Total value: £45.20",
  "Price: €39.90",
  "Weight: 1.2 kg",
  "Dimensions: 20 x 15 x 8 cm",
  "Size: 24 x 18 x 9 cm",
  "Colour: red",
  "Material: nylon",
  "Suitable for 10 people",
  "For up to 20 persons",
  "Complies with the standard",
  "Meets EN 388",
  "Made in Portugal",
  "Best before: see items",
  "Keep dry. Store below 25 C",
  "Keep out of reach of children",
  "Do not use if seal is broken",
  "Seal no. 004417",
  "Lot 23A117",
  "SKU 88-1204",
  "EAN 4006501234567",
  "Item no. 5512",
  "Order #20418",
  "Invoice 2026-118",
  "Customer: R. Penhale",
  "Delivery address: Mill Lane 3",
  "Phone 0123 456789",
  "Tel. 0551 443 221",
  "www.example.org",
  "info@example.org",
  "4.6 stars (212 reviews)",
  "In stock - ships in 2 days",
  "Free delivery over £30",
  "Qty: 1",
  "Add to basket",
  "Home > Outdoor > First aid",
  "Description",
  "Features",
  "Product details",
  "About this item",
  "Package includes",
  "What's included:",
  "In the box:",
  "Includes:",
  "Contains:",
  "Contents:",
  "The kit contains the following:",
  "This kit includes 42 pieces",
  "You will find in it:",
  "List of contents",
  "Checklist",
  "Tick when present",
  "x = missing",
  "[ ] = missing",
  "* = replace soon",
  "✓ = there",
  "Legend: R = replace, O = ok",
  "Notes",
  "NB",
  "Remember to check dates!",
  "Next check: November",
  "Next review due 05/27",
  "Signed: ____",
  "Signature",
  "Initials KO",
  "OK",
  "Thanks, Bea",
  "Cheers",
  "Regards, Tom",
  "Best wishes",
  "--",
  "***",
  "===",
  "END",
  "End of list",
  "continued overleaf",
  "PTO",
  "cont'd",
  "(2)",
  "2.",
  "II",
  "Appendix C",
  "Annex 2: contents",
  "Table 4. Contents of the kit",
  "Fig. 3",
  "Source: handbook",
  "© 2026",
  "Printed 12/05/2026",
  "Rev. B",
  "Confidential",
  "DRAFT",
  "Emergency: call 112",
  "In an emergency dial 999",
  "Nearest hospital: 12 km",
  "First aiders: Anna, Tom",
  "First aider on duty: Jo, ext. 214",
  "AED location: reception",
  "Meeting point: car park",
  "Assembly point B",
];

/** Groups of things that no kit holds by that name. */
const GROUPS = [
  "Eyes",
  "Bleeding",
  "Burns",
  "Wound care",
  "Tools",
  "Bandages and dressings",
  "PPE",
];
const HEADINGS: Readonly<Record<string, (group: string, n: number) => string>> = {
  alone: (g) => g,
  "with a colon": (g) => `${g}:`,
  capitals: (g) => g.toUpperCase(),
  marked: (g) => `## ${g}`,
  bold: (g) => `**${g}**`,
  emphasised: (g) => `*${g}*`,
  "emphasised by lines": (g) => `_${g}_`,
  framed: (g) => `-- ${g} --`,
  "in square brackets": (g) => `[${g}]`,
  numbered: (g, n) => `${n}. ${g}`,
  lettered: (g, n) => `${"ABC"[n - 1]}) ${g}`,
  "by Roman numbers": (g, n) => `${"I".repeat(n)}. ${g}`,
  "a section": (g, n) => `Section ${n}: ${g}`,
  "a section by its letter": (g, n) => `Section ${"ABC"[n - 1]} – ${g}`,
  "a category": (g) => `Category: ${g}`,
  "with where it is": (g) => `${g} (top tray)`,
  "with how many lines": (g) => `${g} (3 items)`,
  "with how many lines, behind a dash": (g) => `${g} – 3 items`,
  underlined: (g) => `${g}\n${"-".repeat(g.length)}`,
  "in markup": (g) => `<h3>${g}</h3>`,
  "an arrow": (g) => `▶ ${g}`,
};

describe("titles and notes about a list", () => {
  for (const [how, write] of Object.entries(LISTS)) {
    const lines = THINGS.map(([name, count]) => write(name, count));
    it(`list nothing above it (${how})`, () => {
      for (const title of [...TITLES, ...NOTES]) {
        expect(facts([title, ...lines].join("\n")), title).to.deep.equal(READ);
        expect(facts([title, "", ...lines].join("\n")), title).to.deep.equal(READ);
      }
    });
    it(`list nothing within and below it (${how})`, () => {
      for (const note of NOTES) {
        expect(facts([...lines, "", note].join("\n")), note).to.deep.equal(READ);
        const within = [...lines.slice(0, 3), note, ...lines.slice(3)];
        expect(facts(within.join("\n")), note).to.deep.equal(READ);
      }
    });
  }
});

describe("headings of the groups of a list", () => {
  for (const [how, heading] of Object.entries(HEADINGS))
    it(`list nothing ${how}`, () => {
      for (const write of Object.values(LISTS))
        GROUPS.forEach((_, at) => {
          const groups = [0, 2, 4].map((from, k) => {
            const things = THINGS.slice(from, from + 2).map(([name, count]) => write(name, count));
            return [heading(GROUPS[(at + k) % GROUPS.length]!, k + 1), ...things].join("\n");
          });
          const card = `Kit check\n\n${groups.join("\n\n")}`;
          expect(facts(card), card).to.deep.equal(READ);
        });
    });
  it("that are holders with their numbers: pouch 1, pouch 2", () => {
    const card = "Pouch 1\nplasters x 20\neye pads x 4\n\nPouch 2\nfoil blankets x 2";
    expect(facts(card)).to.deep.equal(READ.slice(0, 3));
  });
});

/** Right over a list that has no title. */
const REST = "3 triangular bandages\n2 whistles\n4 eye pads";
const firstOf = (line: string, rest = REST) => {
  const found = readCard(`${line}\n${rest}`, vocabulary).entries.filter((e) => e.source === 1);
  return found.map((e) => `${e.itemType} ${e.pieces}`);
};
describe("the first line of a list is one of it", () => {
  for (const [line, read] of [
    ["4 x instant adhesive", "null 4"],
    ["instant adhesive x4", "null 4"],
    ["instant adhesive (4)", "null 4"],
    ["4 instant adhesives", "null 4"],
    ["Instant adhesive, 2 tubes", "null 2"],
    ["foil blanket", "foil-blanket 1"],
    ["Tweezers, pointed", "tweezers-fine 1"],
    ["a crepe bandage that has seen better days", "elastic-bandage 1"],
    ["tweezers tied to the door", "tweezers-fine 1"],
    ["Glucose gel tube 25 ml", "glucose-gel 1"],
    ["plasters, box of forty", "adhesive-strip 40"],
    ["a wee box of plasters, 30", "adhesive-strip 30"],
  ] as const)
    it(line, () => expect(firstOf(line)).to.deep.equal([read]));
  it("counted as those below it", () => {
    for (const form of ["#: 4", "#, 4", "# - 4", "# = 4", "# Qty 4", "# ........ 4"]) {
      const line = (name: string) => form.replace("#", name);
      const rest = ["Triangular bandages", "Whistles"].map(line).join("\n");
      expect(firstOf(line("Instant adhesive"), rest), form).to.deep.equal(["null 4"]);
    }
  });
});
describe("a title stays one", () => {
  for (const title of [
    "Bus 4",
    "Vehicle number: 4",
    "Kit no - 4",
    "prep list – kit 4 (returned 3/6, counted by Sun)",
    "Bandages",
    "Burns box (2 people)",
    "KM 32 post",
    "First aid station 2 - workshop wall",
    "03 Nov  kit opened, 2 plasters used (tea urn)",
  ])
    it(`${title}`, () => expect(firstOf(title, REST)).to.deep.equal([]));
  it("numbered as the things below are counted", () =>
    expect(firstOf("Vehicle number: 4", "Whistles: 2\nEye pads: 4")).to.deep.equal([]));
});
