import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

/** Items that were broken by hand, wherever there was room: what hangs below the words of one goes on with it. */
const reads = (name: string, lines: readonly string[], entries: readonly string[]) =>
  it(name, () => expect(entriesOf(lines.join("\n"))).to.deep.equal(entries));

describe("items that go on below, set in as far as their words", () => {
  reads(
    "behind small words, dashes and numbers",
    [
      "1. Finger tape, 2 rolls, one of",
      "   them half used",
      "2. Ice packs, six instant",
      "   ones in the cupboard",
      "3. Elastic bandages, 3 of 8 cm and",
      "   2 of 10 cm",
      "4. Triangular bandages -",
      "   four",
    ],
    [
      "1 medical-tape 2 null",
      "3 cold-pack 6 null",
      "5 elastic-bandage 3 [80]",
      "5 elastic-bandage 2 [100]",
      "7 triangular-bandage 4 null",
    ],
  );
  reads(
    "what it is like, and how many",
    [
      "(a) Triangular bandages, calico, non-sterile,",
      "    six;",
      "(b) Sterile gauze swabs, 7.5 x 7.5 cm, individually",
      "    wrapped - 20 no.",
      "(c) Disposable gloves, powder free,",
      "    one box of 100.",
    ],
    ["1 triangular-bandage 6 null", "3 gauze-pad 20 [75,75]", "5 disposable-gloves 50 null"],
  );
  reads(
    "a list set in below its heading stays one",
    [
      "- Bandages",
      "  crepe 3",
      "  triangular 2",
      "- Tape",
      "  paper 1",
      "- Gloves 4 pairs",
      "- Scissors 1",
    ],
    [
      "2 elastic-bandage 3 null",
      "3 triangular-bandage 2 null",
      "5 medical-tape 1 null",
      "6 disposable-gloves 4 null",
      "7 small-scissors 1 null",
    ],
  );
});
