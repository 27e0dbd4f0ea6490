import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { againstList } from "../../src/lib/core/chance/againstList.ts";
import { quantitiesByChance, withQuantities } from "../../src/lib/core/chance/byChance.ts";
import { played } from "../../src/lib/core/chance/played.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { HouseRules } from "../../src/lib/core/model/houseRules.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { INCIDENT_KINDS } from "../../src/lib/data/incidents.ts";
import { chanceBlocks } from "../../src/lib/report/chanceBlocks.ts";
import { kitReport } from "../../src/lib/report/kitReport.ts";
import { askedText } from "../../src/lib/words/needs.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

/** Two people, three days: cuts at a mean of two an outing, each asking for a pad and a cut with shears. */
const outing = (houseRules: HouseRules, tier: "core" | "vital" = "core", byList = 1): AuditFile => {
  const file = auditFile(
    [
      need("pad", "medium-wound-pad", { tier, quantity: { base: byList } }),
      need("shears", "cut-clothing", { quantity: { base: 3 } }),
      need("sling", "sling", { quantity: { base: 2 } }),
    ],
    [good("own", "gauze-pad", 2), good("s", "trauma-shears", 1)],
    { houseRules, brief: { people: 2, days: 3 } },
  );
  const { people, days } = file.brief;
  const per1000 = 2000 / (people * days);
  return {
    ...file,
    incidents: {
      helpersLeave: false,
      kinds: [
        {
          ...{ id: "cut", category: "everyday-wounds", per1000, spread: 0 },
          asks: [
            { function: "medium-wound-pad", units: [[1, 1]] },
            { function: "cut-clothing", units: [[1, 1]] },
          ],
        },
      ],
    },
  };
};
const settled = (file: AuditFile) => withQuantities(file, CATALOGUE, INCIDENT_KINDS);
const required = (file: AuditFile) =>
  Object.fromEntries(
    audit(settled(file), TODAY, CATALOGUE).context.needs.map((n) => [n.need.id, n.required]),
  );

describe("the house rule quantities: by the list or by chance", () => {
  it("Poisson with mean 2: 4, 5 and 6 suffice in 90, 95 and 99 of 100; of a tool one", () => {
    // P(N ≤ 3) = 0.857, P(N ≤ 4) = 0.947, P(N ≤ 5) = 0.983, P(N ≤ 6) = 0.9955.
    const { enough } = quantitiesByChance(outing({}), CATALOGUE, INCIDENT_KINDS);
    expect(enough["pad"]).to.deep.equal({ "90": 4, "95": 5, "99": 6 });
    expect(enough["shears"]).to.deep.equal({ "90": 1, "95": 1, "99": 1 });
  });
  it("that is what is asked for; a need that no incident asks of stays with the list", () => {
    expect(required(outing({}))).to.deep.equal({ pad: 1, shears: 3, sling: 2 });
    const chance = { quantities: "chance" as const };
    expect(required(outing(chance))).to.deep.equal({ pad: 5, shears: 1, sling: 2 });
    expect(required(outing({ ...chance, chanceAt: 0.9 }))["pad"]).to.equal(4);
    expect(required(outing({ ...chance, chanceAt: 0.99 }))["pad"]).to.equal(6);
  });
  it("chance adds to a vital need and takes nothing from it", () => {
    const chance = { quantities: "chance" as const };
    expect(required(outing(chance, "vital", 9))["pad"]).to.equal(9);
    expect(required(outing(chance, "core", 9))["pad"]).to.equal(5);
    expect(required(outing(chance, "vital", 1))["pad"]).to.equal(5);
  });
  it("two pads of five: the need passes Enough at two fifths, and the reason says by which rule", () => {
    const a = audit(settled(outing({ quantities: "chance" })), TODAY, CATALOGUE);
    expect(a.needs[0]!.values[2]).to.be.closeTo(0.4, 1e-9);
    expect(askedText(a.context.needs[0]!, a.context)).to.match(
      /^5, which suffices in 95 of 100 outings; by the list/,
    );
  });
  it("what lies in the kit does not enter", () => {
    const file = outing({});
    const empty = { ...file, kit: { ...file.kit, lines: [] } };
    expect(quantitiesByChance(empty, CATALOGUE, INCIDENT_KINDS)).to.deep.equal(
      quantitiesByChance(file, CATALOGUE, INCIDENT_KINDS),
    );
  });
  it("figures that were kept hold while brief, list and assumptions do", () => {
    const file = settled(outing({ quantities: "chance" }));
    const enough = { pad: { "90": 7, "95": 8, "99": 9 } };
    const kept = { ...file, byChance: { ...file.byChance!, enough } };
    expect(required(kept)["pad"]).to.equal(8);
    const more = { ...kept, brief: { ...kept.brief, people: kept.brief.people * 2 } };
    // Four cuts an outing: P(N ≤ 8) = 0.979, P(N ≤ 7) = 0.949.
    expect(required(more)["pad"]).to.equal(8);
    const fewer = { ...kept, brief: { ...kept.brief, days: 1 } };
    // Two thirds of a cut: P(N ≤ 2) = 0.970.
    expect(required(fewer)["pad"]).to.equal(2);
    // One cut in fifty outings: none suffices in 95 of 100, so the list's own nine stay.
    const seldom = settled(outing({ quantities: "chance" }, "core", 9));
    seldom.incidents!.kinds[0]!.per1000 /= 100;
    expect(required(seldom)["pad"]).to.equal(9);
  });
  it("under the list nothing is drawn and nothing changes", () => {
    const file = outing({});
    expect(settled(file)).to.equal(file);
  });
});

describe("the list beside chance", () => {
  const rows = (byList: number, tier: "core" | "vital") => {
    const file = outing({}, tier, byList);
    const done = played(file, TODAY, { trips: 20_000, seed: 1 }, CATALOGUE, INCIDENT_KINDS);
    if (!done.ok) throw new Error("not played");
    const a = audit(file, TODAY, CATALOGUE);
    return { a, run: done.value.run, rows: againstList(a, done.value.run) };
  };
  it("five suffice: four are too little, ten are twice what it takes and pass, eleven do not", () => {
    const says = (n: number, tier: "core" | "vital" = "core") => rows(n, tier).rows[0]!.says;
    expect(says(4)).to.equal("too-little");
    expect(says(10)).to.equal(null);
    expect(says(11)).to.equal("more-than-it-takes");
    expect(says(11, "vital")).to.equal("rare");
    expect(says(5, "vital")).to.equal(null);
  });
  it("the report has the chance, the caution and what the list asks too little of", () => {
    const { a, run } = rows(4, "core");
    const blocks = kitReport(a, null, { chance: chanceBlocks(a, run, [], undefined) }, TODAY);
    const text = JSON.stringify(blocks);
    expect(text).to.include("Will it last?").and.to.include("A planning aid from assumptions");
    expect(text).to.match(/asks too little of: .*\(4 asked, 5 suffice\)/);
    // Two pads: P(N ≤ 2) = 0.677.
    expect(text).to.match(/nothing that was asked for was missing in 6[678]\.?\d? of 100/);
  });
});
