import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { lineLoad } from "../../src/lib/core/bag/load.ts";
import { PACKING_FACTOR } from "../../src/lib/core/bag/fit.ts";
import type { Compartment } from "../../src/lib/core/model/container.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { placesOf } from "../../src/lib/core/plan/places.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

/** A compartment of so many usable millilitres: 100 × 100 mm, as deep as that takes. */
const room = (id: string, place: Compartment["place"], usableMl: number): Compartment => ({
  ...{ id, name: id, place },
  innerMm: [100, 100, usableMl / PACKING_FACTOR / 10],
});
const bulk = (line: Line) => lineLoad(line, CATALOGUE.types.get(line.itemType!)!).volumeMl;
const laid = (needs: Need[], lines: Line[], compartments: Compartment[]) => {
  const file = auditFile(needs, lines);
  const kit = { ...file.kit, container: { compartments } };
  return placesOf(audit({ ...file, kit }, TODAY, CATALOGUE))!;
};
const NEEDS = [
  need("t", "limb-tourniquet", { tier: "vital", access: "seconds", quantity: { base: 1 } }),
  need("p", "medium-wound-pad", { tier: "core", access: "minute", quantity: { base: 4 } }),
  need("s", "small-wound-cover", { tier: "useful", quantity: { base: 4 } }),
];
const TQ = good("tq", "windlass-tourniquet", 1);
const PADS = good("pads", "gauze-pad", 4);
const STRIPS = good("strips", "adhesive-strip", 10, { latexFree: true });

describe("where it all goes", () => {
  const where = (p: ReturnType<typeof laid>) =>
    Object.fromEntries(p.places.map((x) => [x.line, x.compartment]));

  it("what is wanted in seconds lies where the hand is first, what nobody hurries for in the slowest", () => {
    const plenty = [room("deep", "bottom", 2000), room("front", "outside", 2000)];
    expect(where(laid(NEEDS, [STRIPS, PADS, TQ], plenty))).to.deep.equal({
      tq: "front",
      pads: "front",
      strips: "deep",
    });
  });

  it("with room for one only the vital comes first, and what is late for its need is said", () => {
    const narrow = [room("front", "outside", bulk(TQ) + 1), room("deep", "bottom", 2000)];
    const p = laid(NEEDS, [PADS, TQ], narrow);
    expect(where(p)).to.deep.equal({ tq: "front", pads: "deep" });
    // At the bottom it takes 60 s: in time for a minute.
    expect(p.places.find((x) => x.line === "pads")!.lateFor).to.equal(null);
    const none = laid(NEEDS, [TQ], [room("deep", "bottom", 2000)]);
    expect(none.places[0]!.lateFor).to.equal(15);
  });

  it("of two wanted as fast, with room for one, the core comes before the useful", () => {
    const both = [
      need("s", "small-wound-cover", { tier: "useful", access: "seconds" }),
      need("p", "medium-wound-pad", { tier: "core", access: "seconds" }),
    ];
    // Of equals the bulkiest would come first.
    const many = good("strips", "adhesive-strip", 400, { latexFree: true });
    expect(bulk(many)).to.be.greaterThan(bulk(PADS));
    const narrow = [room("front", "outside", bulk(many)), room("deep", "bottom", 20_000)];
    expect(where(laid(both, [many, PADS], narrow))).to.deep.equal({
      pads: "front",
      strips: "deep",
    });
  });

  it("what lies where it is just fast enough stays there: at the bottom, wanted in a minute", () => {
    const two = [room("front", "outside", 2000), room("deep", "bottom", 2000)];
    const pads = { ...PADS, compartment: "deep" };
    expect(where(laid(NEEDS, [pads], two))).to.deep.equal({ pads: "deep" });
  });

  it("what lies well stays; what lies too deep moves", () => {
    const two = [room("front", "outside", 2000), room("pocket", "pocket", 2000)];
    const strips = { ...STRIPS, compartment: "front" };
    const tq = { ...TQ, compartment: "pocket" };
    const p = laid(NEEDS, [strips, tq], two);
    expect(p.places.map((x) => [x.line, x.now, x.compartment])).to.deep.equal([
      ["tq", "pocket", "front"],
      ["strips", "front", "front"],
    ]);
  });

  it("a thing too long for every compartment, one that must not be folded, one without room: each with why", () => {
    const splint = good("splint", "rigid-splint", 1, { sizeMm: [900] });
    const small = [room("front", "outside", bulk(TQ) + 1)];
    expect(laid(NEEDS, [splint], small).left).to.deep.equal([{ line: "splint", why: "too-long" }]);
    const unfolded = [...CATALOGUE.types.values()].find((t) => t.unfolded)!;
    const flat = good("flat", unfolded.id, 1, { sizeMm: [400, 400] });
    expect(laid(NEEDS, [flat], small).left).to.deep.equal([{ line: "flat", why: "folded" }]);
    expect(laid(NEEDS, [TQ, PADS], small).left).to.deep.equal([{ line: "pads", why: "no-room" }]);
  });

  it("where not all can go in, one bottle does not keep the small things out", () => {
    const water = good("water", "foil-blanket", 40);
    const strips = ["a", "b", "c"].map((id) => good(id, "adhesive-strip", 2, { latexFree: true }));
    const needs = [need("s", "small-wound-cover", { quantity: { base: 4 } })];
    const all = strips.reduce((s, l) => s + bulk(l), 0);
    const tight = laid(needs, [water, ...strips], [room("r", "pocket", bulk(water) + all / 2)]);
    expect(tight.places.map((p) => p.line)).to.deep.equal(["a", "b", "c"]);
    expect(tight.left).to.deep.equal([{ line: "water", why: "no-room" }]);
    expect(tight.bulkMl).to.be.closeTo(bulk(water) + all, 1e-6);
    const wide = laid(needs, [water, ...strips], [room("r", "pocket", bulk(water) + all + 1)]);
    expect(wide.left).to.deep.equal([]);
  });

  it("of a bag that is not measured nothing is said", () => {
    const file = auditFile(NEEDS, [TQ]);
    expect(placesOf(audit(file, TODAY, CATALOGUE))).to.equal(null);
    const half = [room("a", "outside", 100), { id: "b", name: "b", place: "pocket" as const }];
    const kit = { ...file.kit, container: { compartments: half } };
    expect(placesOf(audit({ ...file, kit }, TODAY, CATALOGUE))).to.equal(null);
  });

  it("every line once, no compartment fuller than its room, and nothing left that has room somewhere", () => {
    const types = [
      "gauze-pad",
      "adhesive-strip",
      "windlass-tourniquet",
      "roller-bandage",
      "foil-blanket",
    ];
    const anyLines = fc.array(fc.record({ t: fc.nat(4), n: fc.integer({ min: 1, max: 12 }) }), {
      maxLength: 14,
    });
    const anyRooms = fc.array(
      fc.record({
        place: fc.constantFrom(
          "outside" as const,
          "open-top" as const,
          "pocket" as const,
          "bottom" as const,
        ),
        ml: fc.integer({ min: 5, max: 600 }),
      }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(anyLines, anyRooms, (some, rooms) => {
        const lines = some.map(({ t, n }, i) => good(`L${i}`, types[t]!, n, { latexFree: true }));
        const compartments = rooms.map((r, i) => room(`c${i}`, r.place, r.ml));
        const p = laid(NEEDS, lines, compartments);
        expect([...p.places, ...p.left].map((x) => x.line).sort()).to.deep.equal(
          lines.map((l) => l.id).sort(),
        );
        const free = rooms.map((r, i) => {
          const own = p.places.filter((x) => x.compartment === `c${i}`);
          return r.ml - own.reduce((s, x) => s + bulk(lines.find((l) => l.id === x.line)!), 0);
        });
        for (const f of free) expect(f).to.be.at.least(-0.01);
        for (const { line, why } of p.left)
          if (why === "no-room")
            for (const f of free)
              expect(f).to.be.below(bulk(lines.find((l) => l.id === line)!) + 0.01);
      }),
      { numRuns: 200 },
    );
  });
});
