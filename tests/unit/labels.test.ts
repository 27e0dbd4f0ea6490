import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { typeLookup } from "../../src/lib/core/catalogue/catalogue.ts";
import { expect } from "chai";
import { labelsFor } from "../../src/lib/core/labels/labels.ts";
import { LABEL_SHEETS, spotOf } from "../../src/lib/core/labels/sheets.ts";
import { wearSince } from "../../src/lib/core/bag/looks.ts";
import type { Kit } from "../../src/lib/core/model/kit.ts";
import { contentsCard, contentsRows } from "../../src/lib/report/contentsCard.ts";
import { labelSheet, labelText } from "../../src/lib/report/labelSheet.ts";

const typeOf = typeLookup([], CATALOGUE);

const POCKETS = [{ id: "p1", name: "Lid pocket", place: "pocket" as const }];
const KIT: Kit = {
  name: "Box",
  claims: {},
  lines: [
    { id: "1", itemType: "gauze-pad", counted: 4, compartment: "p1", expires: "2028-02" },
    { id: "2", itemType: "paracetamol", counted: 8, labelled: false, strengthMg: 500 },
    { id: "3", itemType: "ibuprofen", counted: 6, failedPoints: ["med-name-strength"] },
    { id: "4", itemType: null, text: "loose pills", counted: 3, labelled: false },
    { id: "5", itemType: "eye-drops", claimed: 1, opened: "2026-09", expires: "2026-10-31" },
    { id: "6", itemType: "whistle", counted: 0, compartment: "p1" },
  ],
};

describe("labels", () => {
  it("are for pockets with something in them, unmarked medicines of known kind, opened things", () => {
    const labels = labelsFor(KIT, POCKETS, typeOf);
    expect(labels.map((l) => [l.kind, labelText(l, typeOf).head])).to.deep.equal([
      ["pocket", "Lid pocket"],
      ["medicine", "Paracetamol tablet 500 mg"],
      ["medicine", "Ibuprofen tablet"],
      ["opened", "Redness eye drops"],
    ]);
    expect(labelText(labels[0]!, typeOf).lines).to.deep.equal(["4 × Sterile gauze pad"]);
    expect(labelText(labels[2]!, typeOf).lines[0]).to.match(/^strength: _/);
    expect(labelText(labels[3]!, typeOf).lines).to.deep.equal([
      "opened Sept 2026",
      "good to 31 Oct 2026",
    ]);
  });
  it("lie where the sheet has them: the 5th of 21 in the second row, second column", () => {
    const sheet = LABEL_SHEETS.find((s) => s.id === "a4-21")!;
    expect(spotOf(sheet, 4, 0)).to.deep.equal({ page: 0, x: 7.25 + 66, y: 15.15 + 38.1 });
    // three gone from the first sheet; the 19th label begins the second
    expect(spotOf(sheet, 18, 3)).to.deep.equal({ page: 1, x: 7.25, y: 15.15 });
  });
  it("no label leaves its sheet", () => {
    const page = { A4: [210, 297], LETTER: [215.9, 279.4] } as const;
    for (const s of LABEL_SHEETS) {
      const last = spotOf(s, s.across * s.down - 1, 0);
      expect(last.page).to.equal(0);
      expect(last.x + s.width, s.id).to.be.at.most(page[s.page][0] + 0.1);
      expect(last.y + s.height, s.id).to.be.at.most(page[s.page][1] + 0.1);
    }
  });
  it("fill as many pages as they need, one turn of the page each", () => {
    const sheet = LABEL_SHEETS.find((s) => s.id === "a4-21")!;
    const many = Array.from({ length: 22 }, () => labelsFor(KIT, POCKETS, typeOf)[1]!);
    const content = labelSheet(many, sheet, 0, typeOf).content as { pageBreak?: string }[];
    expect(content.filter((c) => c.pageBreak === "before")).to.have.length(1);
    expect(content).to.have.length(22 + 2);
  });
});

describe("a contents card that is true", () => {
  it("lists what lies there with its date, and the next one", () => {
    const { rows, next } = contentsRows(KIT, POCKETS, typeOf);
    expect(rows.map((r) => [r.pieces, r.name, r.place, r.expires])).to.deep.equal([
      ["4", "Sterile gauze pad", "Lid pocket", "2028-02"],
      ["8", "Paracetamol tablet", "", ""],
      ["6", "Ibuprofen tablet", "", ""],
      ["3", "loose pills", "", ""],
      ["1*", "Redness eye drops", "", "2026-10-31"],
    ]);
    expect(next).to.equal("2026-10-31");
    expect(JSON.stringify(contentsCard(KIT, POCKETS, typeOf, "2026-09-30"))).to.include(
      "next date 31 Oct 2026",
    );
  });
  it("counts gloves in pairs, and says so", () => {
    const gloves = (counted: number) => ({ id: "g", itemType: "nitrile-gloves", counted });
    const lines = [gloves(50), { ...gloves(1), id: "h" }];
    expect(contentsRows({ ...KIT, lines }, [], typeOf).rows.map((r) => r.pieces)).to.deep.equal([
      "50 pairs",
      "1 pair",
    ]);
  });
  it("says so where nothing is dated", () => {
    expect(contentsRows({ ...KIT, lines: [KIT.lines[1]!] }, [], typeOf).next).to.equal(null);
  });
});

describe("the bag over time", () => {
  const look = (failed: string[], looked = ["zips-run", "marked", "closure-holds"]) => ({
    on: "2026-05-01",
    looked,
    failed,
  });
  it("says what is new and what was mended since the look before", () => {
    expect(wearSince(look(["marked"]), look(["zips-run"]))).to.deep.equal({
      worse: ["zips-run"],
      mended: ["marked"],
    });
    // what was not looked at before is not new
    expect(wearSince(look([], ["marked"]), look(["zips-run"])).worse).to.deep.equal([]);
    expect(wearSince(undefined, look(["zips-run"])).worse).to.deep.equal([]);
  });
});
