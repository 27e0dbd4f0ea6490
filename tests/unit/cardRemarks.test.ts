import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { remarksSay } from "../../src/lib/core/card/remarkBehind.ts";
import { REMARK_FORMS } from "../../src/lib/core/card/remarkForms.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const ITEMS = [
  ["eye pads", "eye-pad"],
  ["foil blankets", "foil-blanket"],
  ["triangular bandages", "triangular-bandage"],
  ["burn gel sachets", "burn-gel-sachet"],
] as const;
/** What the middle one of three lines, or the third of a table, is read as. */
function readOn(line: string): string {
  const card = `- 2 tongue depressors\n${line}\n- 3 whistles`;
  return said(card, 2);
}
const said = (card: string, source: number): string =>
  readCard(card, vocabulary)
    .entries.filter((e) => e.source === source)
    .map((e) => `${e.pieces} ${e.itemType} ${JSON.stringify(e.sizeMm)}`)
    .join("; ");

/** Said of five that are there. */
const THERE = [
  "to bin",
  "bin",
  "1 out of date",
  "one of them torn",
  "half used",
  "lid missing",
  "applicator missing",
  "handle missing",
  "label missing",
  "box missing",
  "one missing its lid",
  "instructions missing",
  "1 expired, binned",
  "1 borrowed and returned",
  "for practice",
  "for training too",
  "1 for practice",
  "old stock",
  "old but fine",
  "new",
  "bought in May",
  "donated",
  "in the lid",
  "in the side pocket",
  "on the hook",
  "by the door",
  "1 in the lid, the rest in the bag",
  "the good ones",
  "the cheap ones",
  "not the latex kind",
  "no latex",
  "latex free",
  "checked",
  "counted twice",
  "exp 2027",
  "exp. 03/28",
  "use by 2028",
  "best before end 2027",
  "until 2029-01",
  "dated 2026",
  "bought 2024",
  "2024",
  "since 2023",
  "opened 2025",
  "in date",
  "all in date",
  "expires soon",
  "expires March",
  "next check May",
  "replace in 2027",
  "replace soon",
  "replace next year",
  "should be 10",
  "should be more",
  "min 4",
  "minimum 4",
  "min. 4",
  "need 2 more",
  "2 more needed",
  "want 2 more",
  "2 short",
  "1 short",
  "short by 2",
  "1 to replace",
  "1 to bin",
  "order more",
  "order 2 more",
  "more on order",
  "2 more on order",
  "2 on order",
  "reorder at 2",
  "reorder",
  "top up",
  "low",
  "running low",
  "nearly out",
  "OK",
  "ok",
  "fine",
  "good",
  "full",
  "sealed",
  "unopened",
  "still sealed",
  "loose",
  "loose in the box",
  "in a zip bag",
  "in a plastic bag",
  "in the red pouch",
  "in one box",
  "in 2 boxes",
  "two sizes",
  "various sizes",
  "mixed sizes",
  "different sizes",
  "assorted",
  "see note 2",
  "see note",
  "note 3",
  "*",
  "**",
  "(!)",
  "!!",
  "?",
  "ask Sam",
  "Sam has more",
  "more in the store",
  "spares in the store",
  "spare set in the office",
  "second set in the van",
  "from the old kit",
  "from last year",
  "left over",
  "left from last year",
  "just enough",
  "plenty",
  "too many",
  "more than enough",
  "kids love them",
  "for kids",
  "adults only",
  "for adults",
  "for the hands",
  "for eyes",
  "for burns",
  "for ankles",
  "do not use on burns",
  "not for eyes",
  "not for children",
  "not sterile",
  "non sterile",
  "sterile",
  "wet",
  "damp",
  "dry",
  "dusty",
  "a bit dusty",
  "slightly rusty",
  "rusty but works",
  "works",
  "tested",
  "tested 3 May",
  "battery new",
  "batteries new",
  "with batteries",
  "with instructions",
  "with case",
  "no case",
  "no box",
  "no lid",
  "no label",
  "without box",
  "wrapper torn",
  "wrapper damaged",
  "packet torn",
  "packaging torn",
  "one packet torn",
  "seal broken",
  "seal intact",
  "used for demo",
  "used in training",
  "personal",
  "mine",
  "Anna's",
  "from Anna",
  "thanks Anna",
  "Anna bought these",
];
/** Said of what is not there; no count stands beside. */
const GONE = [
  "expired, thrown away",
  "expired, binned",
  "all expired, binned",
  "all out of date, binned",
  "borrowed by Tom",
  "borrowed, get it back",
  "Tom has borrowed them",
  "Tom has them",
  "on loan to the cubs",
  "lent to the cubs",
  "gone",
  "all gone",
  "used up",
  "all used",
  "all used up",
  "none left",
  "none",
  "missing",
  "not found",
  "not there",
  "not in the box",
  "can't find",
  "could not find",
  "where?",
  "stolen",
  "nicked",
  "empty",
  "empty box",
  "box empty",
  "packet empty",
  "on order",
  "to order",
  "ordered",
  "to buy",
  "buy",
  "need to buy",
  "need",
  "sold out",
  "not replaced",
  "never replaced",
  "never arrived",
  "not delivered",
  "removed",
  "taken out",
  "thrown away",
  "thrown out",
  "chucked",
  "binned",
  "in the bin",
  "in the other bag",
  "in the other kit",
  "moved to the van",
  "at home",
  "left at home",
  "at Anna's",
  "with Anna",
  "Anna has it",
  "Anna has them",
  "Anna carries them",
  "not included",
  "sold separately",
  "not supplied",
  "not needed",
  "not required",
  "not any more",
  "no longer kept",
  "no longer carried",
  "deleted",
  "crossed out",
  "withdrawn",
  "discontinued",
  "out of stock",
  "unavailable",
  "temporarily out",
  "to come",
  "still to come",
  "awaiting delivery",
  "awaiting stock",
  "due Friday",
  "coming Friday",
  "will bring",
  "I will bring it",
  "bring your own",
  "not ours",
  "belongs to the club",
  "belongs to Anna",
];

const COUNTED = [
  (name: string, remark: string) => `- ${name}, 5 – ${remark}`,
  (name: string, remark: string) => `- ${name} x 5 (${remark})`,
  (name: string, remark: string) => `- 5 ${name}, ${remark}`,
  (name: string, remark: string) => `- ${name}: 5, ${remark}`,
  (name: string, remark: string) => `- 5 ${name} - ${remark}`,
  (name: string, remark: string) => `- 5 x ${name} (${remark})`,
];
const BARE = [
  (name: string, remark: string) => `- ${name} – ${remark}`,
  (name: string, remark: string) => `- ${name} (${remark})`,
  (name: string, remark: string) => `- ${name}, ${remark}`,
  (name: string, remark: string) => `- ${name}: ${remark}`,
];
const inTable = (count: string, remark: string) =>
  said(
    `Item | Qty | Comment\nTweezers | 2 |\nEye pads | ${count} | ${remark}\nWhistle | 3 | \nFoil blanket | 2 | ok`,
    3,
  );

describe("a remark behind a name and its count", () => {
  for (const remark of THERE)
    it(`"${remark}" changes nothing of five that are there`, () => {
      COUNTED.forEach((write, k) => {
        const [name, type] = ITEMS[(k + remark.length) % ITEMS.length]!;
        expect(readOn(write(name, remark)), write(name, remark)).to.equal(`5 ${type} null`);
      });
      expect(inTable("5", remark), "in a table").to.equal("5 eye-pad null");
    });
  for (const remark of GONE)
    it(`"${remark}" says that it is not there`, () => {
      BARE.forEach((write, k) => {
        const [name] = ITEMS[(k + remark.length) % ITEMS.length]!;
        expect(readOn(write(name, remark)), write(name, remark)).to.equal("");
      });
      expect(inTable("", remark), "in a table").to.equal("");
    });
  it("leaves alone what names another thing, or tells the kind", () => {
    expect(readOn("- 5 eye pads, tweezers")).to.equal("5 eye-pad null; 1 tweezers-fine null");
    expect(readOn("- gloves, 5 pairs – nitrile")).to.equal("5 nitrile-gloves null");
  });
  it("speaks of no more than there are: a lid that says 30 counts what its box holds", () =>
    expect(readOn("- plasters: one box, 30 on the lid")).to.equal("30 adhesive-strip null"));
  it("counts those that are left where some of them went", () => {
    expect(readOn("- 20 plasters (3 of them used)")).to.equal("17 adhesive-strip null");
    expect(readOn("- eye pads: 6, 2 of them gone")).to.equal("4 eye-pad null");
    expect(readOn("- 40 plasters (20 of them blue), 8 wipes")).to.equal(
      "40 adhesive-strip null; 8 antiseptic-wipe null",
    );
  });
  it("lists nothing of what is kept elsewhere", () => {
    expect(readOn("Kept separately, locked: pencil, whistle")).to.equal("");
    expect(readOn("NOT in it: tweezers, whistle")).to.equal("");
  });
  it("takes the parts of a count for no further ones", () =>
    expect(readOn("- 2 x windlass tourniquets (1 in the door pocket, 1 in the bag)")).to.equal(
      "2 windlass-tourniquet null",
    ));
});

describe("the forms of a remark", () => {
  for (const { name, example, says } of REMARK_FORMS)
    it(`${name}: "${example}"`, () =>
      expect(remarksSay(example, says === "gone" ? null : 5)).to.equal(says));
  it("of which some hold only beside a count", () => {
    expect(remarksSay("to order", 5)).to.equal("some");
    expect(remarksSay("to order", null)).to.equal("gone");
    expect(remarksSay("6 expired", 5)).to.equal(null);
  });
  it("one behind another: one of them that went leaves the others", () => {
    expect(remarksSay("1 expired, binned", 5)).to.equal("some");
    expect(remarksSay("expired, binned", null)).to.equal("gone");
    expect(remarksSay("new, three widgets", 5)).to.equal(null);
  });
});

describe("what is said behind a thing and its count", () => {
  const words = vocabularyOf(NAMED_CATALOGUE);
  const REMARKS =
    "pins separate|no batteries needed|label in Polish|recommended|trained staff only|not for under 12s|check the seal|cut to size|one's a bit bent|one has a tear in the wrapper|in a jar|with the vests|with time label|replaces the old one|individually wrapped|lot 4471|item 12 on the list|plus case|one too many|seal looks dodgy|tin rather dented|on loan from the museum".split(
      "|",
    );
  const THINGS = [
    ["eye pads", "eye-pad"],
    ["foil blankets", "foil-blanket"],
    ["crepe bandages 10 cm", "elastic-bandage"],
  ] as const;
  const FORMS: readonly ((name: string) => string)[] = [
    (name) => `3 ${name}`,
    (name) => `${name} x3`,
    (name) => `${name}: 3`,
    (name) => `${name} (3)`,
    (name) => `${name} ........ 3`,
  ];
  const JOINED: readonly ((line: string, remark: string) => string)[] = [
    (line, remark) => `${line}, ${remark}`,
    (line, remark) => `${line} (${remark})`,
    (line, remark) => `${line} - ${remark}`,
    (line, remark) => `${line}; ${remark}`,
    (line, remark) => `${line}. ${remark[0]!.toUpperCase()}${remark.slice(1)}`,
    (line, remark) => `${line}      ${remark}`,
  ];
  for (const remark of REMARKS)
    it(`takes nothing from it and adds nothing: ${remark}`, () => {
      for (const joined of JOINED)
        for (const form of FORMS) {
          const lines = THINGS.map(([name]) => joined(form(name), remark));
          const read = readCard(`2 whistles\n${lines.join("\n")}\n4 slings`, words).entries;
          expect(
            read.map((e) => `${e.itemType} ${e.pieces}`),
            lines[0],
          ).to.deep.equal([
            "whistle 2",
            ...THINGS.map(([, type]) => `${type} 3`),
            "triangular-bandage 4",
          ]);
        }
    });

  it("tells another thing where it is named in full, or added", () => {
    const read = (line: string) =>
      readCard(`2 whistles\n${line}\n4 slings`, words).entries.map((e) => e.itemType);
    expect(read("3 eye pads; tweezers")).to.include.members(["eye-pad", "tweezers-fine"]);
    expect(read("20 blister plasters + roll of zinc tape")).to.have.length(4);
    expect(read("2 pairs of gloves, they're nitrile")).to.include("nitrile-gloves");
  });
});
