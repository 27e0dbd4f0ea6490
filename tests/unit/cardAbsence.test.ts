import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

/** What is said to be missing, wanted or elsewhere lists nothing; what is said of things that are there takes none of them away. */

const ABOVE = "20 plasters\n6 antiseptic wipes\n2 crepe bandages";
const BELOW = "3 safety pins";
const OTHERS = [
  ...["1 adhesive-strip 20 null", "2 antiseptic-wipe 6 null", "3 elastic-bandage 2 null"],
  "5 safety-pin 3 null",
];
const among = (line: string) => entriesOf(`${ABOVE}\n${line}\n${BELOW}`);

/** X stands for the thing. */
const ABSENT = [
  ..."No X|X - none|X: none|X – missing|X (missing)|Missing: X|X not there|X: 0|X x 0|0 x X|X (0)".split(
    "|",
  ),
  ..."X – nil|X - out of stock|X: on order|X – to be ordered|Ordered: X|To order: X|Need: X|We need X|Buy: X".split(
    "|",
  ),
  ..."Shopping list: X|Still to get: X|Required: X|Recommended: X|Not included: X|X not included|Not supplied: X".split(
    "|",
  ),
  ..."X sold separately|X kept in the office|**Not in the kit:** X|Not in here: X|not: X|X gone|X used up|X all used".split(
    "|",
  ),
  ..."X finished|X out|X: out|X thrown out|Threw out X|Binned: X|X removed|X taken out|Used: X|Lent to Sam: X".split(
    "|",
  ),
  ..."X ............ in the house|X ............ with Ann|X are with Sam, who needs them|The X is kept by Ann|X borrowed by Jo|Sam has the X|Jo took the X|There are no X|We don't have X|couldn't find the X|X: n/a|X n.a.".split(
    "|",
  ),
  ..."Consider adding X|You may want to add X|Suggested extras: X|Short: X|Not yet here: X|Coming: X|X: delete".split(
    "|",
  ),
  ..."Ordered and not yet here: X|Wish list: X|~~X~~|✗ X|X?? none|X - NO|zero X|fehlt: X|kein X|À racheter : X".split(
    "|",
  ),
];
const REMARKS = [
  ..."(the blue ones, not the horses')|, not opened|(unopened, no date)|- no expiry date|without clips|, never used".split(
    "|",
  ),
  ..."(not sterile)|– not the small ones|, missing their box|(box missing)|, one without wrapper|- not for children".split(
    "|",
  ),
  ..."(2 more on order)|, order more|(reorder)|– need more|– should be 6|(min 6)|, 2 missing from 6|, out of date 2025".split(
    "|",
  ),
  ..."expired|- EXPIRED, replace|(exp. soon)|, no longer sterile|, none opened|in the lid, not the pocket|(not 6 as listed)".split(
    "|",
  ),
  ..."– see note 2|– kept in lid|, new ones|- checked, ok|, all in date|bought in May|from the old kit|, non-latex|no latex".split(
    "|",
  ),
  ..."(without latex)|, for adults only|, use first|(seal broken)|– damaged packaging|- grubby but ok|, to check|or so".split(
    "|",
  ),
];

describe("what is not there", () => {
  for (const form of ABSENT)
    it(`“${form}” lists nothing`, () => {
      for (const name of ["whistles", "eye pads"]) {
        const line = form.replace(
          "X",
          form.startsWith("X") ? name[0]!.toUpperCase() + name.slice(1) : name,
        );
        expect(among(line), line).to.eql(OTHERS);
      }
    });
});

describe("what is said of things that are there", () => {
  for (const remark of REMARKS)
    it(`“${remark}” leaves all of them`, () => {
      for (const [name, type] of [
        ["whistles", "whistle"],
        ["foil blankets", "foil-blanket"],
      ]) {
        const line = `4 ${name!}${/^[,]/.test(remark) ? "" : " "}${remark}`;
        const read = among(line);
        expect(read, line).to.include(`4 ${type!} 4 null`).and.include.members(OTHERS);
        expect(read.length, line).to.equal(OTHERS.length + 1);
      }
    });
});

describe("what holds many beside what is missing", () => {
  it("“(not in the standard)” heads what is there besides", () => {
    const card =
      "3 eye pads\n\nAlso in the box (not in the standard):\n- whistle\n- 2 foil blankets";
    expect(entriesOf(card)).to.eql([
      "1 eye-pad 3 null",
      "4 whistle 1 null",
      "5 foil-blanket 2 null",
    ]);
  });
  it("“Not included: whistle” ends with its line, “Not included:” with its list", () => {
    expect(entriesOf("3 eye pads\nNot included: whistle\n2 foil blankets")).to.eql([
      "1 eye-pad 3 null",
      "3 foil-blanket 2 null",
    ]);
    expect(entriesOf("3 eye pads\nNot included:\nwhistle\n2 foil blankets")).to.eql([
      "1 eye-pad 3 null",
    ]);
  });
  it("an order lists what was ordered, if it has no other count", () => {
    const card =
      "Item,Pack size,Packs ordered,Unit price\nPlasters,100,2,6.35\nEye pads,1,4,0.55\nWhistle,1,3,1.20";
    expect(entriesOf(card)).to.eql([
      "2 adhesive-strip 200 null",
      "3 eye-pad 4 null",
      "4 whistle 3 null",
    ]);
  });
});
