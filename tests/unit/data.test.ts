import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import {} from "../../src/lib/core/catalogue/catalogue.ts";
import { CATEGORIES } from "../../src/lib/core/model/functionRecord.ts";
import { itemTypeSchema, SENSITIVITIES } from "../../src/lib/core/model/itemType.ts";
import { searchTypes } from "../../src/lib/core/card/searchTypes.ts";
import { integrity } from "../../src/lib/core/formats/integrity.ts";
import { listSchema } from "../../src/lib/core/model/list.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { pointsFor } from "../../src/lib/core/inspect/points.ts";
import { parsePriceBook } from "../../src/lib/core/formats/priceCsv.ts";
import { parseWorkspace } from "../../src/lib/core/formats/workspaceFile.ts";
import { requiredQuantity } from "../../src/lib/core/reference/quantity.ts";
import { ACTIVITIES } from "../../src/lib/data/activities.ts";
import { CARD_WORDS } from "../../src/lib/data/cardVocabulary.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import readLines from "../../src/lib/data/demo/lines.json" with { type: "json" };
import { readDemo } from "../../src/lib/data/demo/read.ts";
import { FUNCTIONS } from "../../src/lib/data/functions.ts";
import { INSPECTION_POINTS, POINTS_BY_TYPE } from "../../src/lib/data/inspectionPoints.ts";
import { ITEM_TYPES } from "../../src/lib/data/itemTypes.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { briefCautions, CAUTIONS, cautionsFor } from "../../src/lib/words/cautions.ts";
import { hasThing } from "../../src/lib/words/things.ts";
import { CATEGORY_LABEL } from "../../src/lib/words/labels.ts";
import { broughtProducts } from "../../src/lib/core/plan/theirs.ts";
import { auditFile, TODAY } from "./build.ts";

const ids = (list: readonly { id: string }[]) => list.map((x) => x.id);

describe("the catalogue", () => {
  it("has each item type and function once, each type valid", () => {
    expect(new Set(ids(ITEM_TYPES)).size).to.equal(ITEM_TYPES.length);
    expect(new Set(ids(FUNCTIONS)).size).to.equal(FUNCTIONS.length);
    for (const t of ITEM_TYPES) expect(itemTypeSchema.safeParse(t).success, t.id).to.equal(true);
  });
  it("every credit is for a known function, in a known category with words", () => {
    for (const t of ITEM_TYPES)
      for (const c of t.functions)
        expect(CATALOGUE.functions.get(c.function), `${t.id} ${c.function}`).to.not.equal(
          undefined,
        );
    for (const f of FUNCTIONS) expect(CATEGORY_LABEL[f.category]).to.be.a("string");
    expect(CATEGORIES).to.have.length(16);
  });
  it("what is measured in metres or millilitres has a typical piece, and all has a mass", () => {
    for (const t of ITEM_TYPES) {
      if (t.measure === "metre" || t.measure === "millilitre")
        expect(t.typical, t.id).to.be.greaterThan(0);
      expect(t.massG, t.id).to.be.greaterThan(0);
      expect(t.dated ? t.shelfMonths : "undated", t.id).to.not.equal(null);
    }
  });
  it("every type has its inspection points, 2 to 9 of them, and every point is used", () => {
    for (const t of ITEM_TYPES) expect(pointsFor(t.id, CATALOGUE).length, t.id).to.be.within(2, 9);
    const used = new Set(Object.values(POINTS_BY_TYPE).flat());
    for (const p of used) expect(CATALOGUE.points.has(p), p).to.equal(true);
    for (const p of INSPECTION_POINTS) expect(used.has(p.id), p.id).to.equal(true);
    expect(Object.keys(POINTS_BY_TYPE).filter((id) => !CATALOGUE.types.get(id))).to.deep.equal([]);
  });
  it("an item type is its row, its words and its points: what is missing is said", () => {
    const missing = ITEM_TYPES.flatMap((t) => [
      ...(CARD_WORDS[t.id]?.length ? [] : [`names of ${t.id} on cards, in data/cardVocabulary.ts`]),
      ...(POINTS_BY_TYPE[t.id]?.length ? [] : [`points of ${t.id}, in data/inspectionPoints.ts`]),
    ]);
    expect(missing).to.deep.equal([]);
  });
  it("words and cautions name known types and functions", () => {
    for (const id of [...Object.keys(CARD_WORDS), ...CAUTIONS.flatMap((c) => c.itemTypes ?? [])])
      expect(CATALOGUE.types.get(id), id).to.not.equal(undefined);
    for (const id of CAUTIONS.flatMap((c) => c.functions ?? []))
      expect(CATALOGUE.functions.get(id), id).to.not.equal(undefined);
    for (const f of FUNCTIONS) expect(hasThing(f.id), f.id).to.equal(true);
  });
  it("every tablet, all that is for licensed use and all that clashes has its caution", () => {
    const brief = {
      ...auditFile([], []).brief,
      sensitivities: [...SENSITIVITIES],
    };
    for (const t of ITEM_TYPES) {
      const wanted =
        (t.medicine && t.measure === "dose") || t.clash.length > 0 || t.licensed === true;
      // What only washes or cools carries no caution of its own.
      const plain = ["hand-sanitiser", "petroleum-jelly", "sunscreen", "hand-towelette"];
      if (wanted && !plain.includes(t.id))
        expect(cautionsFor(t.id, brief), t.id).to.have.length.greaterThan(0);
    }
  });
  it("a caution tied to a brief stands only under such a brief", () => {
    const brief = auditFile([], []).brief;
    const ids = (b: typeof brief) => cautionsFor("ibuprofen", b).map((c) => c.id);
    expect(ids(brief)).to.deep.equal(["medicine", "planning-dose", "anti-inflammatory"]);
    expect(ids({ ...brief, sensitivities: ["nsaid"] })).to.deep.equal([
      "medicine",
      "planning-dose",
      "anti-inflammatory",
      "nsaid",
    ]);
    expect(briefCautions(brief)).to.deep.equal([]);
    expect(
      briefCautions({ ...brief, activities: ["snakes"], carry: "boat" }).map((c) => c.id),
    ).to.deep.equal(["snakes", "vehicle-heat"]);
  });
  it("is found by any name, in either spelling", () => {
    expect(searchTypes("hemostatic gau", NAMED_CATALOGUE)[0]!.id).to.equal("haemostatic-gauze");
    expect(ids(searchTypes("space blanket", NAMED_CATALOGUE))).to.include("foil-blanket");
  });
});

/** What owners bring of their own, that no book sells. */
const theirs = (needs: (typeof SHIPPED_LISTS)[number]["needs"]) =>
  broughtProducts(auditFile(needs, []), "EUR", CATALOGUE);

describe("the shipped lists", () => {
  const activities = ids(ACTIVITIES);
  for (const list of SHIPPED_LISTS) {
    describe(list.title, () => {
      it("is a right list of 15 to 60 needs, each with a reason, and says what it is not", () => {
        expect(listSchema.safeParse(list).success).to.equal(true);
        expect(integrity(auditFile(list.needs, []), CATALOGUE)).to.deep.equal([]);
        expect(list.needs.length).to.be.within(15, 60);
        for (const n of list.needs) expect(n.reason, n.id).to.match(/^[A-Z].{15,}\.$/);
        expect(list.isNot).to.match(/not/i);
      });
      it("asks for nothing that neither catalogue nor price book can give in full", () => {
        const everything = auditFile(
          list.needs.map((n) => ({ ...n, when: undefined })),
          [...PRICE_BOOK.products, ...theirs(list.needs)].map((p) => ({
            id: p.id,
            itemType: p.itemType,
            counted: 100_000,
            expires: "none",
            condition: "sound" as const,
            location: "outside" as const,
            ...(p.sizeMm ? { sizeMm: p.sizeMm } : {}),
            ...(p.volumeMl ? { volumeMl: p.volumeMl } : {}),
            ...(p.strengthMg ? { strengthMg: p.strengthMg } : {}),
          })),
        );
        const a = audit(everything, TODAY, CATALOGUE);
        a.needs.forEach((n, i) =>
          expect(n.met, a.context.needs[i]!.need.id).to.be.closeTo(1, 1e-9),
        );
      });
      it("has sensible sums from 1 person to 30, 2 hours to 14 days", () => {
        for (const n of list.needs) {
          const small = requiredQuantity(n, { people: 1, days: 1, hoursToCare: 2 });
          const large = requiredQuantity(n, { people: 30, days: 14, hoursToCare: 48 });
          expect(small, n.id).to.be.at.least(1);
          expect(large, n.id).to.be.at.least(small);
          expect(large, n.id).to.be.at.most(
            CATALOGUE.functions.get(n.function)!.unit === "millilitre" ? 5000 : 450,
          );
        }
      });
      it("conditions name activities that the brief offers", () => {
        const odd = new Set(
          list.needs
            .flatMap((n) => n.when?.activities ?? [])
            .filter((x) => !activities.includes(x)),
        );
        expect([...odd]).to.deep.equal([]);
      });
    });
  }
});

describe("the price book", () => {
  it("is right, of about 220 products, of known types, none for licensed use only", () => {
    expect(parsePriceBook(PRICE_BOOK).ok).to.equal(true);
    expect(PRICE_BOOK.products.length).to.be.within(180, 260);
    for (const p of PRICE_BOOK.products) {
      expect(CATALOGUE.types.get(p.itemType), p.id).to.not.equal(undefined);
      expect(CATALOGUE.types.get(p.itemType)!.licensed, p.id).to.not.equal(true);
    }
  });
});

describe("the demo", () => {
  it("has on file what the reader makes of its cards (else: npm run demo:lines)", () => {
    expect(JSON.parse(JSON.stringify(readDemo()))).to.deep.equal(readLines);
  });

  it("is a right workspace: four kits, one partly inspected, one in service", () => {
    const read = parseWorkspace(
      JSON.parse(
        JSON.stringify({ format: "wide-sieve.workspace", version: 1, records: demoRecords() }),
      ),
      CATALOGUE,
    );
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const records = demoRecords();
    const briefs = new Map(
      records.flatMap((r) => (r.kind === "brief" ? [[r.id, r.brief] as const] : [])),
    );
    const kits = records.filter((r) => r.kind === "kit");
    const gradeOf = (k: (typeof kits)[number]) =>
      audit(auditOf(k, briefs.get(k.briefId)!, [], TODAY, CATALOGUE), TODAY, CATALOGUE).grade;
    expect(kits.map(gradeOf)).to.deep.equal(["Not ready", "Not ready", "Partial", "Partial"]);
    const crew = kits[0]!.kit.lines;
    expect(crew.filter((l) => l.counted !== undefined)).to.have.length(14);
    expect(crew.filter((l) => l.counted === undefined)).to.have.length(11);
  });
});
