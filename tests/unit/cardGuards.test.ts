import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { confidenceOf, entriesOf } from "./cardReading.ts";

/** What keeps the rules for whole cards from taking more than is theirs. */

const CASES: readonly (readonly [
  why: string,
  card: readonly string[],
  entries: readonly string[],
])[] = [
  [
    "a sentence with a comma heads no table",
    [
      "This is everything, counted twice.",
      "1 hi-vis vest, 17 safety pins",
      "6 eye pads, 4 whistles",
    ],
    ["2 hi-vis-vest 1 null", "2 safety-pin 17 null", "3 eye-pad 6 null", "3 whistle 4 null"],
  ],
  [
    "a column with nothing below its heading stays a column",
    [
      ...[
        "Code      Item                  Size     Qty   Use by",
        "FA-830    Gauze swabs                    2     10/2027",
      ],
      ...[
        "FA-768    Antiseptic wipes               7",
        "FA-820    Eye pads                       5     10/2029",
      ],
      ...[
        "FA-668    Face shield                    3     11/2030",
        "FA-312    Whistle                        6     11/2029",
      ],
    ],
    [
      ...["2 gauze-pad 2 null", "3 antiseptic-wipe 7 null", "4 eye-pad 5 null"],
      ...["5 face-shield 3 null", "6 whistle 6 null"],
    ],
  ],
  [
    "a pack's content beside what is left of it",
    [
      "Wipes, box of 20, 18 left",
      "Eye pads, box of 16, 13 left",
      "Safety pins, box of 12, 9 left",
      "Burn gel sachets, box of 10, 7 left",
    ],
    [
      "1 antiseptic-wipe 18 null",
      "2 eye-pad 13 null",
      "3 safety-pin 9 null",
      "4 burn-gel-sachet 7 null",
    ],
  ],
  [
    "numbers with their nought before counts in words",
    [
      "01 four eye pads",
      "02 two whistles",
      "03 seven light sticks",
      "04 four foil blankets",
      "05 eight safety pins",
    ],
    [
      "1 eye-pad 4 null",
      "2 whistle 2 null",
      "3 light-stick 7 null",
      "4 foil-blanket 4 null",
      "5 safety-pin 8 null",
    ],
  ],
  [
    "“Box 2” with a mark of its own heads what is below",
    ["🧰 Box 2", "- 3 whistles", "- 2 eye pads", "- 5 foil blankets"],
    ["2 whistle 3 null", "3 eye-pad 2 null", "4 foil-blanket 5 null"],
  ],
  [
    "“Box 2” without a mark over marked lines heads them",
    [
      "Misc",
      "· Whistles 7 pcs",
      "· Light sticks 3 pcs",
      "Box 2",
      "· Eye pads 7 pcs",
      "· Safety pins 9 pcs",
    ],
    ["2 whistle 7 null", "3 light-stick 3 null", "5 eye-pad 7 null", "6 safety-pin 9 null"],
  ],
  [
    "a short letter quoted below a long one that lists nothing",
    [
      ...[
        "Hi Jo,",
        "sorry, I only saw your mail today.",
        "It is all as you wrote, as far as I could see.",
        "I will look again when I am back.",
        "",
      ],
      ...["Best, Tam", "On 3 May Sam wrote:", "> 3 whistles", "> 2 eye pads", "> 5 foil blankets"],
    ],
    ["8 whistle 3 null", "9 eye-pad 2 null", "10 foil-blanket 5 null"],
  ],
  [
    "plasters for blisters come in no blister",
    [
      "8 of 10 blister plasters",
      "40 blister plasters (2 packs of 20)",
      "2 blister packs of 10 paracetamol",
    ],
    ["1 blister-cushion 8 null", "2 blister-cushion 40 null", "3 paracetamol 20 null"],
  ],
  [
    "“no” in brackets behind a count says which of them they are",
    ["2 whistles (the red ones, no horse's)", "3 eye pads", "foil blankets (none left)"],
    ["1 whistle 2 null", "2 eye-pad 3 null"],
  ],
  [
    "sizes first on as many lines as counts first stay sizes",
    [
      "4 x whistles",
      "2 x eye pads",
      "5 x foil blankets",
      "10 x 10 cm gauze pads",
      "20 x 20 cm burn dressing",
      "5 x 5 cm non-adherent pads",
    ],
    [
      ...[
        "1 whistle 4 null",
        "2 eye-pad 2 null",
        "3 foil-blanket 5 null",
        "4 gauze-pad 1 [100,100]",
      ],
      ...["5 burn-gel-dressing 1 [200,200]", "6 non-adherent-pad 1 [50,50]"],
    ],
  ],
  [
    "a count before a size, where nearly all lines have theirs so",
    ["4 x whistles", "2 x eye pads", "5 x foil blankets", "45 x 5 cm cohesive bandages"],
    ["1 whistle 4 null", "2 eye-pad 2 null", "3 foil-blanket 5 null", "4 cohesive-wrap 45 [50]"],
  ],
];

describe("what keeps rules to what is theirs", () => {
  for (const [why, card, entries] of CASES)
    it(why, () => {
      expect(entriesOf(card.join("\n"))).to.eql(entries);
    });
  it("a number in brackets and one behind it: multiplied, and asked", () => {
    expect(entriesOf("throat lozenges (6) - 3\n4 eye pads")).to.eql([
      "1 throat-lozenge 18 null",
      "2 eye-pad 4 null",
    ]);
    const [first, second] = confidenceOf("throat lozenges (6) - 3\n4 eye pads");
    expect(first).to.be.below(0.9);
    expect(second).to.be.at.least(0.9);
  });
  it("how a sentence ends is no part of its last thing's name", () => {
    const vocabulary = vocabularyOf(NAMED_CATALOGUE);
    const { entries } = readCard(
      "We have 2 whistles, 3 eye pads and a foil blanket in total.",
      vocabulary,
    );
    expect(entries.at(-1)!.text).to.equal("a foil blanket");
  });
});
