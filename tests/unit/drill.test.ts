import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { lastGoodDay } from "../../src/lib/core/base/dates.ts";
import { Random } from "../../src/lib/core/chance/random.ts";
import { drillCards, drillQuestion } from "../../src/lib/core/drill/cards.ts";
import {
  dateQuestion,
  estimateQuestion,
  findQuestion,
  paddingQuestion,
} from "../../src/lib/core/drill/rounds.ts";
import {
  answered,
  NEW_A_DAY,
  nextCard,
  nextDue,
  weeksOf,
} from "../../src/lib/core/drill/schedule.ts";
import { FAULT_KINDS } from "../../src/lib/core/exercise/faultKinds.ts";
import { MESHES } from "../../src/lib/core/model/mesh.ts";
import { readRecord } from "../../src/lib/core/records/records.ts";
import {
  emptyDrillRecord,
  type DrillAnswer,
  type Scheduled,
} from "../../src/lib/core/records/drillRecord.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import {
  dateAsked,
  estimateAsked,
  findAsked,
  paddingAsked,
} from "../../src/lib/words/drillTexts.ts";
import { FAULT_HOW, FAULT_LABEL, SIGHT_WORDS } from "../../src/lib/words/exerciseTexts.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

const cards = drillCards(TODAY, CATALOGUE);
const at = (day: number, hour = 9) => new Date(Date.UTC(2027, 0, day, hour));

describe("drill cards", () => {
  it("are fault kind × inspection point, over all seven meshes, each on things that may have it", () => {
    expect(new Set(cards.map((c) => c.mesh))).to.deep.equal(new Set(MESHES));
    expect(cards.length).to.be.greaterThan(30);
    expect(new Set(cards.map((c) => c.id)).size).to.equal(cards.length);
    expect(cards.some((c) => c.id === "f-opened/seal-intact")).to.equal(true);
    for (const c of cards) expect(c.types.length).to.be.greaterThan(0);
    for (const k of FAULT_KINDS) {
      expect(FAULT_LABEL[k.id], k.id).to.be.a("string");
      expect(FAULT_HOW[k.id], k.id).to.be.a("string");
    }
  });

  it("show the fault, or the thing as sound in one of three; the same seed shows the same", () => {
    let sound = 0;
    let drawn = 0;
    const random = new Random();
    for (const [i, card] of cards.entries())
      for (let n = 0; n < 20; n++) {
        const seed = [i + 1, n] as const;
        const q = drillQuestion(card, random.begin(...seed), TODAY, SIGHT_WORDS, CATALOGUE);
        const again = drillQuestion(card, random.begin(...seed), TODAY, SIGHT_WORDS, CATALOGUE);
        expect(q).to.deep.equal(again);
        expect(["", card.kind]).to.include(q.right);
        if (q.right === "") {
          sound++;
          expect(q.sight.counted).to.equal(q.claimed);
        }
        drawn++;
      }
    // A third, within five standard errors.
    const se = Math.sqrt(((1 / 3) * (2 / 3)) / drawn);
    expect(sound / drawn).to.be.closeTo(1 / 3, 5 * se);
  });
});

describe("when a card comes again", () => {
  const good1 = answered(undefined, true, 5, at(1));

  it("wrong comes sooner than slow, slow sooner than right, and each right answer puts it off further", () => {
    const due = (right: boolean, s: number) => answered(undefined, right, s, at(1)).due;
    expect(due(false, 5) < due(true, 30)).to.equal(true);
    expect(due(true, 30) < due(true, 5)).to.equal(true);
    let card = good1;
    let gap = 0;
    for (let i = 0; i < 5; i++) {
      const now = new Date(card.due);
      card = answered(card, true, 5, now);
      const next = Date.parse(card.due) - now.getTime();
      expect(next).to.be.greaterThan(gap);
      gap = next;
    }
    expect(gap).to.be.greaterThan(20 * 86_400_000);
    // Forgotten: it comes again within the day.
    const forgotten = answered(card, false, 5, new Date(card.due));
    expect(Date.parse(forgotten.due) - Date.parse(card.due)).to.be.below(86_400_000);
    expect(forgotten.lapses).to.equal(1);
  });

  it("the same answers give the same days: nothing is left to chance", () => {
    expect(answered(undefined, true, 5, at(1))).to.deep.equal(good1);
  });

  it("what is due comes first, the longest overdue before; else new ones where one errs most", () => {
    const [a, b] = cards as [(typeof cards)[0], (typeof cards)[0]];
    const due = (on: Date): Scheduled => ({ ...good1, due: on.toISOString() });
    expect(nextCard(cards, { [a.id]: due(at(3)), [b.id]: due(at(2)) }, [], at(4))!.id).to.equal(
      b.id,
    );
    expect(nextCard(cards, { [a.id]: due(at(3)), [b.id]: due(at(9)) }, [], at(4))!.id).to.equal(
      a.id,
    );
    const answer = (mesh: DrillAnswer["mesh"], right: boolean): DrillAnswer => ({
      ...{ at: at(1).toISOString(), card: "x", mesh, right, seconds: 4 },
    });
    const answers = MESHES.flatMap((m) => [answer(m, m !== "handy"), answer(m, m !== "handy")]);
    expect(nextCard(cards, {}, answers, at(4))!.mesh).to.equal("handy");
  });

  it("so many new ones a day and no more; tomorrow there are others", () => {
    let scheduled: Record<string, Scheduled> = {};
    const answers: DrillAnswer[] = [];
    let shown = 0;
    for (let i = 0; i < 40; i++) {
      const card = nextCard(cards, scheduled, answers, at(1));
      if (!card) break;
      shown++;
      scheduled = { ...scheduled, [card.id]: { ...good1, due: at(20).toISOString() } };
      answers.push({
        at: at(1).toISOString(),
        card: card.id,
        mesh: card.mesh,
        right: true,
        seconds: 3,
      });
    }
    expect(shown).to.equal(NEW_A_DAY);
    expect(nextCard(cards, scheduled, answers, at(2))).to.not.equal(null);
    expect(nextDue(scheduled)).to.equal(at(20).toISOString());
    expect(nextDue({})).to.equal(null);
  });

  it("weeks begin on Monday and count by mesh", () => {
    const of = (day: number, right: boolean): DrillAnswer => ({
      ...{ at: at(day).toISOString(), card: "x", mesh: "fresh", right, seconds: 3 },
    });
    // 3 January 2027 is a Sunday, the 4th a Monday.
    expect(weeksOf([of(3, true), of(4, true), of(10, false)])).to.deep.equal([
      { from: "2026-12-28", meshes: { fresh: { right: 1, of: 1 } } },
      { from: "2027-01-04", meshes: { fresh: { right: 1, of: 2 } } },
    ]);
  });

  it("its record goes out and comes back", () => {
    const record = {
      ...emptyDrillRecord(),
      cards: { [cards[0]!.id]: good1 },
      answers: [
        {
          at: at(1).toISOString(),
          card: cards[0]!.id,
          mesh: "here" as const,
          right: true,
          seconds: 3,
        },
      ],
    };
    const read = readRecord(JSON.parse(JSON.stringify(record)));
    expect(read.ok && read.value[0]).to.deep.equal(record);
  });
});

describe("rounds of thirty seconds", () => {
  const seeds = fc.integer({ min: 1, max: 1_000_000 });
  const random = (seed: number) => new Random().begin(seed, 0);

  it("a date is good on the last day or not, as the sieve reads it", () => {
    const both = new Set<string>();
    fc.assert(
      fc.property(seeds, (seed) => {
        const q = dateQuestion(TODAY, random(seed));
        both.add(q.right);
        const iso = /(\d{4})-(\d{2})(-\d{2})?$/.exec(q.printed);
        if (iso) expect(q.right).to.equal(lastGoodDay(iso[0]) >= q.lastDay ? "yes" : "no");
        expect(dateAsked(q).right).to.deep.equal([q.right]);
      }),
    );
    expect(both).to.deep.equal(new Set(["yes", "no"]));
  });

  it("padding is the small plasters and wipes of the card, among four different numbers", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const q = paddingQuestion(random(seed), CATALOGUE);
        const sum = q.lines.reduce(
          (s, l) => s + (CATALOGUE.types.get(l.itemType)!.padding ? l.pieces : 0),
          0,
        );
        expect(q.right).to.equal(sum);
        expect(new Set(q.options).size).to.equal(4);
        expect(q.options).to.include(sum);
        expect(paddingAsked(q).seen).to.have.length(6);
      }),
    );
  });

  it("an estimate is one of four, and the sum is shown by its steps", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const q = estimateQuestion(random(seed));
        expect(q.right).to.equal(q.sum.amount);
        expect(new Set(q.options).size).to.equal(4);
        expect(q.options).to.include(q.right);
        const asked = estimateAsked(q);
        expect(asked.seen.length).to.be.greaterThan(0);
        expect(asked.why).to.not.equal("");
        // What is seen does not give the answer away.
        for (const s of asked.seen) expect(s).to.not.include(asked.why.split(", ").at(-1)!);
      }),
    );
  });

  it("finds a line that does the job among lines that do not", () => {
    const file = auditFile(
      [
        need("p", "medium-wound-pad", { quantity: { base: 1 } }),
        need("w", "signal", { quantity: { base: 1 } }),
      ],
      [
        good("pads", "gauze-pad", 2),
        good("whistle", "whistle", 1),
        good("foil", "foil-blanket", 1),
        good("tape", "marker", 1),
      ],
    );
    const a = audit(file, TODAY, CATALOGUE);
    fc.assert(
      fc.property(seeds, (seed) => {
        const q = findQuestion(a, random(seed))!;
        expect(q.options).to.have.length(4);
        expect(q.options.filter((o) => q.right.includes(o))).to.have.length(1);
        expect(q.right).to.deep.equal(q.function === "signal" ? ["whistle"] : ["pads"]);
        expect(
          findAsked(
            q,
            (l) => l,
            () => "there",
          ).options.map((o) => o.id),
        ).to.deep.equal(q.options);
      }),
    );
    const small = audit(
      { ...file, kit: { ...file.kit, lines: file.kit.lines.slice(0, 2) } },
      TODAY,
      CATALOGUE,
    );
    expect(findQuestion(small, random(1))).to.equal(null);
  });
});
