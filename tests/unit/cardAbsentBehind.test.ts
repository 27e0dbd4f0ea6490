import { expect } from "chai";
import { ABSENT_BEHIND, saysGone } from "../../src/lib/core/card/absence.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** What is said behind a name that has no count: nothing of it may be taken for a thing that is surely there. */

const words = vocabularyOf(NAMED_CATALOGUE);
const sureOf = (line: string): string[] =>
  readCard(["Box", "2 whistles", line, "3 cold packs", "1 torch"].join("\n"), words)
    .entries.filter((e) => e.source === 3 && e.confidence >= 0.9)
    .map((e) => `${e.itemType} ${e.pieces}`);

const WAYS = ["N P", "N: P", "N - P", "N, P", "N (P)", "N ........ P", "N\tP", "- N – P"];
/** As people say that a thing is not in the kit. */
const SAID = [
  ...["not in here", "not in this box", "isn't here", "not there", "not present", "absent"],
  ...["can't find", "couldn't find it", "nowhere to be found", "none left", "all gone", "gone"],
  ...["ran out", "used up", "finished", "out of stock", "on loan", "lent out", "borrowed"],
  ...["being washed", "in the wash", "away for repair", "thrown away", "binned", "removed"],
  ...["to be ordered", "on order", "to buy", "needed", "must buy", "missing", "lost", "stolen"],
  ...["not included", "sold separately", "not yet", "coming next week", "expired, binned"],
  ...["don't have", "haven't got any", "never had one", "no longer in here", "should be here"],
  ...["nobody has seen it", "I took it home", "someone took it", "still missing", "gone again"],
  ...["where is it?", "not replaced", "fell out", "left behind", "forgotten", "on back order"],
];

describe("what is said behind a name", () => {
  for (const { name, example } of ABSENT_BEHIND)
    it(name, () => expect(saysGone(example)).to.equal(true));
  for (const said of SAID)
    it(`is not surely there: ${said}`, () => {
      for (const way of WAYS)
        for (const name of ["eye pads", "scissors", "foil blanket"]) {
          const line = way.replace("N", name).replace("P", said);
          expect(sureOf(line), line).to.deep.equal([]);
        }
    });

  const THERE = [
    ["scissors ........ pen tray", "small-scissors 1"],
    ["scissors ........ lid pocket", "small-scissors 1"],
    ["foil blanket: in the lid", "foil-blanket 1"],
    ["eye pads, new", "eye-pad 1"],
  ];
  for (const [line, reading] of THERE)
    it(`is there: ${line!}`, () => expect(sureOf(line!)).to.deep.equal([reading]));
});
