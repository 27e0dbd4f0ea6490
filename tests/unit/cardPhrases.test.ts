import { claimOf, CLAIM_RULES } from "../../src/lib/core/card/claim.ts";
import { draftOf } from "../../src/lib/core/card/draft.ts";
import { cardRows } from "../../src/lib/core/card/layout.ts";
import { AFTER_NUMBER, lex, SPOKEN_RULES } from "../../src/lib/core/card/lexer.ts";
import { innerOf, PACK_SIZES } from "../../src/lib/core/card/pieces.ts";
import {
  kindBySize,
  kindByVolume,
  SIZE_RULES,
  VOLUME_RULES,
} from "../../src/lib/core/card/kindBySize.ts";
import { NOTE_RULES } from "../../src/lib/core/card/notes.ts";
import { Item, NUMBER_RULES, placeNumbers } from "../../src/lib/core/card/numbers.ts";
import { readQuantity } from "../../src/lib/core/card/quantity.ts";
import { expect } from "chai";
import { hostileCards } from "./hostileCards.ts";
import { COUNT_FORMS, countSaid, withCountBehind } from "../../src/lib/core/card/countBehind.ts";
import vm from "node:vm";
import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { CARD_DOUBTS } from "../../src/lib/core/card/cardDoubt.ts";
import { confidenceOf } from "../../src/lib/core/card/confidence.ts";
import { BASE, COST } from "../../src/lib/core/card/confidenceModel.ts";
import {
  headingKey,
  lessonOfPieces,
  lessonOfSize,
  nameOnCard,
  NO_HABITS,
} from "../../src/lib/core/card/habits.ts";
import { ABSENT, saysGone } from "../../src/lib/core/card/absence.ts";
import { PHRASES, rephrase } from "../../src/lib/core/card/phrases.ts";
import { columnsOfCard, mappedCard } from "../../src/lib/core/card/columns.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { REMARK_FORMS } from "../../src/lib/core/card/remarkForms.ts";
import { countedSorts } from "../../src/lib/core/card/countedSorts.ts";
import { LEFT_PHRASES } from "../../src/lib/core/card/leftOfPack.ts";
import { PACK_CLAUSES, packsSaid } from "../../src/lib/core/card/packsSaid.ts";
import { eachVariant, VARIANTS } from "../../src/lib/core/card/variants.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const read = (card: string, habits = NO_HABITS) =>
  readCard(card, vocabulary, habits).entries.map((e) => [e.source, e.itemType, e.pieces, e.sizeMm]);

/** Every line of every card among the fixtures, of a length that phrases are sought in. */
const fixtureLines = (): string[] =>
  readdirSync("tests/fixtures", { recursive: true, encoding: "utf8" })
    .filter((path) => path.endsWith(".txt"))
    .flatMap((path) => readFileSync(`tests/fixtures/${path}`, "utf8").split(/\r?\n/))
    .filter((line) => line.length < 400);

describe("ways of writing on a card", () => {
  for (const { name, example, pattern } of PHRASES)
    it(name, () => {
      expect(example[0]).to.match(pattern);
      expect(rephrase(example[0]).trim()).to.equal(example[1]);
    });
  it("are searched for only where a word of theirs stands, and none is overlooked so", () => {
    // Every third line has every phrase in it many times over.
    for (const line of fixtureLines().filter((_, at) => at % 3 === 0)) {
      let slow = line;
      for (const { pattern, read: as } of PHRASES)
        slow = typeof as === "string" ? slow.replace(pattern, as) : slow.replace(pattern, as);
      expect(rephrase(line), line).to.equal(slow);
    }
  });
  it("are left as they are where none applies", () => {
    for (const text of ["10 sterile gauze pads 10 x 10 cm", "tape 2.5 cm x 5 m", "2 pairs gloves"])
      expect(rephrase(text)).to.equal(text);
  });
});

describe("how many, said behind a name", () => {
  for (const { name, example } of COUNT_FORMS)
    it(name, () => expect(countSaid(example[0])).to.equal(example[1]));
  it("says nothing where more is said", () => {
    for (const text of ["20 plasters", "10 x 10", "box of 20", "4 in", "red", "1/2", "20 cm"])
      expect(countSaid(text), text).to.equal(null);
  });
  it("nothing is there, in many words", () => {
    for (const text of "missing|none left|out|gone|empty|✗|not there|no|none!|used up|all used|ordered|on order|nil - order|–".split(
      "|",
    ))
      expect(countSaid(text), text).to.equal("none");
  });
  it("is told behind a name without a number, whatever stands between", () => {
    const told = (text: string) =>
      withCountBehind({
        source: 1,
        text,
        quantity: null,
        inTable: false,
        bullet: false,
        indent: 0,
      });
    for (const between of [": ", ", ", " - ", " – ", " ..... ", "   "])
      expect(told(`eye pads${between}about 20`)).to.include({ text: "eye pads", quantity: "20" });
    expect(told("wipes, box of 25, 21 left").quantity).to.equal(null);
  });
});

/** A line in each form that the grammar of counted sorts knows. */
const COUNTED = [
  "6 gauze bandages (4 x 7.5 cm, 2 x 10 cm)",
  "gloves: 4 pairs L and 2 pairs M",
  "crepe bandages 8 cm: 12, and 10 cm: 6",
  "2 wide 1 narrow crepe bandages",
  "medium dressings x 5, large x 2",
];
/** These are told by their form alone. */
const KNOWS_NOTHING = { names: () => false, typeOf: () => null, isWhole: () => false };

describe("one name with several variants", () => {
  for (const { name, example } of VARIANTS)
    it(name, () => expect(eachVariant(example[0], KNOWS_NOTHING)).to.deep.equal(example[1]));
  it("are not made of one size, or of counts that do not add up", () => {
    for (const text of [
      "gauze pads 10 x 10 cm (5)",
      "3 tourniquets (1 windlass, 1 ratchet)",
      "gauze pads: 5 x 7.5 cm, 10 x 10 cm",
    ])
      expect(eachVariant(text, KNOWS_NOTHING)).to.deep.equal([text]);
  });
});

describe("what leans on other lines of a card", () => {
  it("ditto repeats the name above, not its size", () =>
    expect(
      read("- burn gel dressing 10 x 10 cm, 2\n- do. 20 x 20 cm, 1\n- eye pads 2"),
    ).to.deep.equal([
      [1, "burn-gel-dressing", 2, [100, 100]],
      [2, "burn-gel-dressing", 1, [200, 200]],
      [3, "eye-pad", 2, null],
    ]));
  it("sizes alone are of the kind of their heading, which is no item then", () =>
    expect(
      read("2 eye pads\nCrepe bandages\n5 cm x 4.5 m - 6\n10 cm x 4.5 m - 4\n1 whistle"),
    ).to.deep.equal([
      [1, "eye-pad", 2, null],
      [3, "elastic-bandage", 6, [50, 4500]],
      [4, "elastic-bandage", 4, [100, 4500]],
      [5, "whistle", 1, null],
    ]));
  it("a place before the things is no thing", () =>
    expect(read("top pocket: 2 eye pads, 1 whistle\n- 3 safety pins\n- 1 torch")).to.deep.equal([
      [1, "eye-pad", 2, null],
      [1, "whistle", 1, null],
      [2, "safety-pin", 3, null],
      [3, "torch", 1, null],
    ]));
  it("sentences of a dictated line are read one by one", () =>
    expect(
      read(
        "Okay the tub in the truck so plasters there's a box of forty but it's been opened call it twenty five. Two whistles. Eye pads two.",
      ),
    ).to.deep.equal([
      [1, "adhesive-strip", 25, null],
      [1, "whistle", 2, null],
      [1, "eye-pad", 2, null],
    ]));
});

describe("a table whose headings are over its last columns", () => {
  const rows =
    "Eye pads          4     3\nWhistles          2     2\nSafety pins      12    10\nTriangular bandages   4     1";
  it("counts what was found, not what is asked for", () => {
    expect(
      read(`                 REQ.  FOUND\n${rows}`).map(([, type, n]) => [type, n]),
    ).to.deep.equal([
      ["eye-pad", 3],
      ["whistle", 2],
      ["safety-pin", 10],
      ["triangular-bandage", 1],
    ]);
  });
  it("asks which column counts where none is headed", () => {
    const { columnsUnclearAt, entries } = readCard(rows, vocabulary);
    expect(columnsUnclearAt).to.equal(1);
    expect(entries.every((e) => e.confidence < 0.9)).to.equal(true);
  });
  it("reads it as told", () => {
    const { guess, around } = columnsOfCard(`My kit\n\n${rows}\n\nthe end`, 3)!;
    expect(around).to.deep.equal(["My kit\n", "\nthe end"]);
    const told = mappedCard(guess.rows, ["text", "skip", "quantity"], false);
    expect(read(told).map(([, type, n]) => [type, n])).to.deep.equal([
      ["eye-pad", 3],
      ["whistle", 2],
      ["safety-pin", 10],
      ["triangular-bandage", 1],
    ]);
  });
});

describe("what corrections teach", () => {
  it("packs: 2 boxes corrected to 80 pieces hold 40 each", () => {
    expect(lessonOfPieces("2 boxes of plasters", 2, 80)).to.deep.equal({
      what: "pack",
      name: "plasters",
      pieces: 40,
    });
  });
  it("packs: nothing where the card states the content, or the number does not divide", () => {
    expect(lessonOfPieces("2 boxes of 20 plasters", 40, 80)).to.equal(null);
    expect(lessonOfPieces("2 boxes of plasters", 2, 81)).to.equal(null);
    expect(lessonOfPieces("2 rolls of tape", 2, 4)).to.equal(null);
  });
  it("packs are multiplied on the next card, and sure", () => {
    const habits = { ...NO_HABITS, packs: new Map([["plasters", 40]]) };
    expect(read("- 3 boxes of plasters\n- 2 eye pads", habits)).to.deep.equal([
      [1, "adhesive-strip", 120, null],
      [2, "eye-pad", 2, null],
    ]);
    expect(read("- 3 boxes of 10 plasters\n- 2 eye pads", habits)[0]![2]).to.equal(30);
  });
  it("units: 4 x 4 corrected to 40 x 40 mm is in centimetres", () => {
    expect(lessonOfSize("6 gauze pads 4 x 4", [40, 40])).to.deep.equal({
      what: "unit",
      unit: "cm",
    });
    expect(lessonOfSize("6 gauze pads 4 x 4", [102, 102])).to.deep.equal({
      what: "unit",
      unit: "in",
    });
    expect(lessonOfSize("6 gauze pads 4 x 4 cm", [102, 102])).to.equal(null);
    const inCm = { ...NO_HABITS, bareUnit: "cm" as const };
    expect(read("- 6 gauze pads 4 x 4\n- 2 eye pads", inCm)[0]![3]).to.deep.equal([40, 40]);
  });
  it("columns: a heading that was told once is known", () => {
    const heading = ["Zeug", "Soll", "Ist"];
    const card = `${heading.join(";")}\neye pads;4;3\nwhistles;2;1`;
    const columns = new Map([[headingKey(heading), ["text", "skip", "quantity"] as const]]);
    expect(read(card, { ...NO_HABITS, columns }).map((e) => e[2])).to.deep.equal([3, 1]);
  });
  it("a name is remembered without its count", () =>
    expect(nameOnCard("12 blue fish plasters (2 packs)")).to.equal("blue fish plasters"));
});

describe("confidence of an entry", () => {
  it("is by the model: 1 / (1 + e^-(base - costs))", () => {
    expect(confidenceOf([])).to.equal(Math.round(100 / (1 + Math.exp(-BASE))) / 100);
    const cost = COST["unknown-word"] + COST["second"];
    expect(confidenceOf(["unknown-word", "second"])).to.equal(
      Math.round(100 / (1 + Math.exp(cost - BASE))) / 100,
    );
  });
  it("never rises with a doubt more", () => {
    fc.assert(
      fc.property(fc.subarray([...CARD_DOUBTS]), fc.constantFrom(...CARD_DOUBTS), (some, more) => {
        expect(confidenceOf([...some, more])).to.be.at.most(confidenceOf(some));
      }),
    );
  });
  it("an entry without a doubt is sure, an open kind and a guessed column never are", () => {
    expect(confidenceOf([])).to.be.at.least(0.9);
    expect(confidenceOf(["kind-open"])).to.be.below(0.9);
    expect(confidenceOf(["column-guessed"])).to.be.below(0.9);
  });
});

describe("what the numbers of an item count", () => {
  const placed = (line: string, rules = NUMBER_RULES) =>
    JSON.stringify(placeNumbers(new Item(lex(line), new Set()), rules));
  for (const rule of NUMBER_RULES) {
    const [line, pieces] = rule.example;
    it(`${rule.name}: "${line}" is ${pieces}`, () => {
      expect(readQuantity(lex(line)).pieces).to.equal(pieces);
      const without = NUMBER_RULES.filter((r) => r !== rule);
      expect(placed(line, without), "read otherwise without its rule").to.not.equal(placed(line));
    });
  }
});

describe("numbers that are said", () => {
  const firstOf = (text: string) => {
    const [first] = lex(text);
    return first?.kind === "number" ? first.value : null;
  };
  for (const { name, example } of [...SPOKEN_RULES, ...AFTER_NUMBER])
    it(`${name}: "${example[0]}" is ${example[1] ?? "none"}`, () => {
      expect(firstOf(example[0])).to.equal(example[1]);
    });
  for (const rule of SPOKEN_RULES)
    it(`${rule.name}: no rule before it takes its example`, () => {
      expect(SPOKEN_RULES.find((r) => r.pattern.test(rule.example[0]))).to.equal(rule);
    });
  it("hundreds take what follows them, tens their ones", () => {
    expect(firstOf("two hundred and fifty pins")).to.equal(250);
    expect(firstOf("three hundred a pack")).to.equal(300);
  });
});

describe("totals that a card states", () => {
  const claim = (line: string, rules = CLAIM_RULES) =>
    claimOf(draftOf(cardRows([line], () => false)[0]!, vocabulary), true, false, rules);
  for (const rule of CLAIM_RULES) {
    const [line, total] = rule.example;
    it(`${rule.name}: "${line}" states ${total ?? "none"}`, () => {
      expect(claim(line)).to.equal(total);
      const without = CLAIM_RULES.filter((r) => r !== rule);
      expect(claim(line, without), "read otherwise without its rule").to.not.equal(total);
    });
  }
  it("the total of a column that counts", () => {
    const [, , , total] = cardRows(
      ["Item;Qty", "pads;4", "wipes;8", "tape;1", "Total;13"],
      () => true,
    );
    expect(claimOf(draftOf(total!, vocabulary), false, false)).to.equal(13);
  });
});

describe("what one pack holds, beside a column that counts packs", () => {
  for (const rule of PACK_SIZES) {
    const [text, size] = rule.example;
    it(`${rule.name}: "${text}" is ${size}`, () => {
      expect(innerOf(text)).to.equal(size);
      const without = PACK_SIZES.filter((r) => r !== rule);
      expect(innerOf(text, without), "read otherwise without its rule").to.equal(null);
    });
  }
  it("a twin pack holds two; a size is no content", () => {
    expect(innerOf("dressings, twin pack")).to.equal(2);
    expect(innerOf("tube of 15 g")).to.equal(null);
  });
});

describe("kinds told by their size", () => {
  for (const { name, example, named, is } of SIZE_RULES)
    it(`${name}: "${example[0]}"`, () => {
      const [, entry] = readCard(`4 eye pads\n2 ${example[0]}\n1 whistle`, vocabulary).entries;
      expect(entry!.itemType).to.equal(example[1]).and.to.equal(is);
      // Without its size the same name is what the words say.
      expect(kindBySize(named, example[0], null)).to.equal(named);
    });
});

describe("kinds told by their content", () => {
  for (const { example, named, from, is } of VOLUME_RULES)
    it(`${example[0]}`, () => {
      const [, entry] = readCard(`4 eye pads\n2 ${example[0]}\n1 whistle`, vocabulary).entries;
      expect(entry!.itemType).to.equal(example[1]).and.to.equal(is);
      const noun = named === null ? "alcohol" : "";
      expect(kindByVolume(named, noun, from), "at the bound").to.equal(is);
      expect(kindByVolume(named, noun, from - 1), "below it").to.equal(named);
      expect(kindByVolume(named, `${noun} pods`, from), "it says what it comes in").to.equal(named);
    });
});

describe("lines that list nothing", () => {
  for (const { name, example } of NOTE_RULES)
    it(`${name}: "${example.split("\n")[0]}"`, () => {
      const own = example.includes("\n");
      const card = own ? example : `8 plasters\n${example}\n4 eye pads\n1 whistle`;
      const types = readCard(card, vocabulary).entries.map((e) => e.itemType);
      expect(types).to.not.include(null);
      expect(types).to.have.length(own ? 4 : 3);
    });
  it("a name that begins as a note does is a thing", () => {
    const card = "8 plasters\nWarning triangle 1\n4 eye pads";
    expect(readCard(card, vocabulary).entries.map((e) => e.itemType)).to.include(
      "warning-triangle",
    );
  });
});

describe("no way of writing is sought for ever", () => {
  /** Far more than any takes, and far less than for ever. */
  const LONGEST_MS = 3000;
  const context: { work?: () => unknown } = {};
  vm.createContext(context);
  const ends = (work: () => unknown): boolean => {
    context.work = work;
    try {
      vm.runInContext("work()", context, { timeout: LONGEST_MS });
      return true;
    } catch {
      return false;
    }
  };
  /** An example with some of its words again and again, as far as a line is looked at, and then what ends no pattern. */
  function* hostile(example: string): Generator<string> {
    const words = example.split(" ");
    for (let from = 0; from < words.length; from++)
      for (let to = from + 1; to <= Math.min(words.length, from + 3); to++) {
        const again = `${words.slice(from, to).join(" ")} `;
        const before = words.slice(0, from).join(" ");
        const times = Math.floor((LONGEST_LINE - before.length) / again.length);
        yield `${before} ${again.repeat(times)}\u0001`;
        yield `${before} ${again.replace(/ $/, ", ").repeat(Math.floor(times / 1.5))}\u0001`;
      }
  }
  const LONGEST_LINE = 290;
  it("of what is put otherwise", () => {
    const stuck = PHRASES.filter(({ example, pattern }) =>
      [...hostile(example[0])].some((line) => !ends(() => line.replace(pattern, ""))),
    );
    expect(stuck.map((p) => p.name)).to.deep.equal([]);
  }).timeout(120_000);
  it("of what is left of packs", () => {
    const stuck = LEFT_PHRASES.filter(({ example, pattern }) =>
      [...hostile(example[0])].some((line) => !ends(() => line.replace(pattern, ""))),
    );
    expect(stuck.map((p) => p.name)).to.deep.equal([]);
  }).timeout(120_000);
  it("of what is parted", () => {
    const stuck = VARIANTS.filter(({ example, split }) =>
      [...hostile(example[0])].some((line) => !ends(() => split(line))),
    );
    expect(stuck.map((p) => p.name)).to.deep.equal([]);
  }).timeout(120_000);
  it("of what is counted sort by sort", () => {
    const knowsAll = {
      names: () => true,
      typeOf: () => "roller-bandage",
      isWhole: () => true,
    };
    const stuck = COUNTED.filter((example) =>
      [...hostile(example)].some((line) => !ends(() => countedSorts(line, knowsAll))),
    );
    expect(stuck).to.deep.equal([]);
  }).timeout(120_000);
  it("of packs and what each holds", () => {
    const stuck = PACK_CLAUSES.filter(({ example, pattern }) =>
      [...hostile(example), ...hostile(`wipes - ${example} - 5 boxes`)].some(
        (line) => !ends(() => [pattern.test(line), packsSaid(line.slice(0, 120), () => true)]),
      ),
    );
    expect(stuck.map((c) => c.name)).to.deep.equal([]);
  }).timeout(120_000);
  it("of what is said behind a name", () => {
    const stuck = REMARK_FORMS.filter(({ example, pattern }) =>
      [...hostile(example)].some((line) => !ends(() => pattern.test(line))),
    );
    expect(stuck.map((p) => p.name)).to.deep.equal([]);
  }).timeout(120_000);
  it("in a card of signs, blanks and fragments over and over", () => {
    for (const card of hostileCards(6_000)) {
      const isRead = ends(() => readCard(card, vocabulary));
      expect(isRead, card.slice(0, 40)).to.equal(true);
    }
  }).timeout(120_000);
});

describe("what says that a thing is not there", () => {
  it("is overlooked in no line by the look at how its words begin", () => {
    const said = fixtureLines().filter((line) => ABSENT.test(line));
    expect(said.length).to.be.greaterThan(100);
    for (const line of said) expect(saysGone(line), line).to.equal(true);
  });
});
