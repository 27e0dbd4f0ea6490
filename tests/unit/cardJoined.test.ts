import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

describe("two things that are joined on a line, each with its count", () => {
  const both = ["1 eye-pad 4 null", "1 cold-pack 7 null"];
  for (const line of [
    "Eye pads 4 with cold packs 7",
    "Eye pads (4) c/w cold packs (7)",
    "4 eye pads w/ 7 cold packs",
    "Lid: eye pads 4 together with cold packs 7",
    "Eye pads: 4 incl. cold packs: 7",
    "- four eye pads - seven cold packs",
    "Eye pads - 4 - cold packs - 7",
    "Eye pads 4. Cold packs 7",
    "Eye pads x 4 | cold packs x 7 (checked)",
  ])
    it(line, () => expect(entriesOf(line)).to.deep.equal(both));
});

describe("what comes with a thing is no other one", () => {
  for (const [line, one] of [
    ["Crepe bandages 3 with 6 clips", "1 elastic-bandage 3 null"],
    ["A tin with twelve plasters", "1 adhesive-strip 12 null"],
    ["2 tourniquets - one windlass, one ratchet", null],
  ] as const)
    it(line, () => {
      const types = entriesOf(line).map((e) => e.split(" ")[1]);
      if (one) expect(entriesOf(line)).to.deep.equal([one]);
      else expect(types).to.deep.equal(["windlass-tourniquet", "ratchet-tourniquet"]);
    });
  it("a title of two parts lists nothing", () =>
    expect(
      entriesOf(
        "RESCUE TENDER 1   -   FIRST AID STOWAGE   (n/s locker 4)\n10 plasters\n4 eye pads",
      ),
    ).to.deep.equal(["2 adhesive-strip 10 null", "3 eye-pad 4 null"]));
});
