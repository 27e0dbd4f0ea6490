import { expect } from "chai";
import { HEADS, withoutWriters } from "../../src/lib/core/card/messages.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** A chat copied out lists what its messages list, on their lines, however it writes who said what when. */

const words = vocabularyOf(NAMED_CATALOGUE);
const read = (lines: readonly string[]) =>
  readCard(lines.join("\n"), words).entries.map((e) => `${e.source} ${e.itemType} ${e.pieces}`);
/** Of a few people, and of things, nothing is known here. */
const NOTHING_KNOWN = { knows: () => false, names: () => false };

describe("messages", () => {
  for (const { name, example, pattern } of HEADS)
    it(`${name}: "${example}" is gone whole`, () =>
      expect(example.replace(pattern, "")).to.equal(""));

  const WAYS: readonly ((who: string, minute: number) => string)[] = [
    (who, m) => `[08:${m}, 3/10] ${who}: `,
    (who, m) => `[3/10/26, 8:${m} am] ${who}: `,
    (who, m) => `03/10/2026, 08:${m} - ${who}: `,
    (who, m) => `08:${m} ${who}: `,
    (who, m) => `08:${m} - ${who}: `,
    (who, m) => `${who} (08:${m}): `,
    (who, m) => `${who}, 08:${m}: `,
    (who, m) => `[${who}, 08:${m}] `,
    (who) => `<${who}> `,
    (who, m) => `08:${m} <${who}> `,
    (who, m) => `08:${m}\t${who}\t`,
    (who, m) => `[08:${m}] ${who}: `,
    (who) => `${who}: `,
  ];
  const PEOPLE = [
    ["Bex", "Tam"],
    ["Jo Harris", "Åsa (sec)"],
    ["+44 7700 900123", "~Leo"],
  ] as const;
  WAYS.forEach((way, i) =>
    it(`in way ${i + 1}: ${way("Bex", 14)}`, () => {
      for (const [one, two] of PEOPLE) {
        if (i === WAYS.length - 1 && one !== "Bex") continue;
        const chat = [
          way(one, 10) + "whats in the yard box pls",
          way(two, 11) + "3 eye pads",
          way(two, 12) + "foil blankets x2",
          way(one, 13) + "ok",
          way(two, 14) + "whistle: 1, 4 slings",
          way(one, 15) + "gloves?",
          way(two, 16) + "yes 2 pairs",
          way(one, 17) + "ta x",
        ];
        expect(read(chat), chat[1]).to.deep.equal([
          "2 eye-pad 3",
          "3 foil-blanket 2",
          "5 whistle 1",
          "5 triangular-bandage 4",
          "7 disposable-gloves 2",
        ]);
      }
    }),
  );
  it("who wrote when, over what is said", () =>
    expect(
      read([
        "Bex - 08:10",
        "3 eye pads",
        "Tam - 08:11",
        "ok",
        "Tam - 08:12",
        "2 whistles",
        "Bex - 08:13",
        "thx",
      ]),
    ).to.deep.equal(["2 eye-pad 3", "6 whistle 2"]));
  it("a thing that is only named, and answered no, is not there", () =>
    expect(
      read([
        "[6:04 PM] Pat: eye drops",
        "[6:05 PM] Sam: nope",
        "[6:05 PM] Pat: whistle",
        "[6:06 PM] Sam: yes, got it",
        "[6:07 PM] Pat: 4 slings",
        "[6:08 PM] Sam: no, sorry",
      ]),
    ).to.deep.equal(["3 whistle 1", "5 triangular-bandage 4"]));
  it("a list below one message is read as it stands", () =>
    expect(
      read(["[08:31, 3/10] Tam: ok, lid pocket", "3 eye pads", "2 odd widgets", "4 slings"]),
    ).to.deep.equal(["2 eye-pad 3", "3 null 2", "4 triangular-bandage 4"]));
  it("things with the day they were counted on are no people", () =>
    expect(
      read([
        "12/05/2026, 08:10 - Eye pads: 4",
        "12/05/2026, 08:12 - Whistles: 2",
        "12/05/2026, 08:13 - Slings: 3",
      ]),
    ).to.deep.equal(["1 eye-pad 4", "2 whistle 2", "3 triangular-bandage 3"]));

  const NO_CHAT = [
    ["Wounds: plasters 4", "Burns: gel 2", "Tools: shears", "Warmth: blanket"],
    ["<li>2 slings</li>", "<li>4 whistles</li>", "<li>1 torch</li>", "<li>3 masks</li>"],
    ["Plasters: 20", "Plasters: 30", "Slings: 2", "Slings: 3"],
    ["2.50 bandages", "3.20 slings", "4.10 whistles", "1.99 wipes"],
  ];
  for (const lines of NO_CHAT)
    it(`is none: ${lines[0]}`, () => {
      const text = lines.join("\n");
      const isLabelled = lines[0] === "Plasters: 20";
      const said = isLabelled ? { ...NOTHING_KNOWN, knows: () => true } : NOTHING_KNOWN;
      expect(withoutWriters(text, said)).to.equal(text);
    });
});
