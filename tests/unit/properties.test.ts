import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import ExcelJS from "exceljs";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { calendarOf } from "../../src/lib/core/calendar/calendar.ts";
import { upkeep, YEARS } from "../../src/lib/core/calendar/upkeep.ts";
import { compareKits, whyAhead, type Judge } from "../../src/lib/core/compare/compareKits.ts";
import { judgeSet } from "../../src/lib/core/compare/kitSet.ts";
import { isDay } from "../../src/lib/core/base/dates.ts";
import { listFromRows } from "../../src/lib/core/formats/listTable.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { readDates } from "../../src/lib/core/inspect/dateText.ts";
import { LABEL_SHEETS, spotOf } from "../../src/lib/core/labels/sheets.ts";
import { applyTrial } from "../../src/lib/core/whatIf/trial.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { wedge } from "../../src/lib/devices/scanner.ts";
import { listXlsx } from "../../src/lib/ui/listSheet.ts";
import { auditFile, TODAY } from "./build.ts";

/** Kits out of a few kinds, as they come: counted or not, dated or not, in some condition. */
const TYPES = [
  "gauze-pad",
  "roller-bandage",
  "nitrile-gloves",
  "windlass-tourniquet",
  "antiseptic-wipe",
  "trauma-shears",
  "paracetamol",
] as const;
const anyLine = fc.record(
  {
    itemType: fc.constantFrom(...TYPES),
    counted: fc.integer({ min: 0, max: 12 }),
    condition: fc.constantFrom("sound" as const, "worn" as const, "failed" as const),
    expires: fc.constantFrom("none", "2026-03", "2027-06", "2029-01-15"),
    location: fc.constantFrom("outside" as const, "bottom" as const),
  },
  { requiredKeys: ["itemType", "counted"] },
);
const anyKit = fc
  .array(anyLine, { maxLength: 6 })
  .map((lines) => lines.map((l, i): Line => ({ ...l, id: `l${i}` })));
const list = SHIPPED_LISTS.find((l) => l.id === "group-leader")!;
const brief = {
  ...auditFile([], []).brief,
  people: 4,
  activities: ["saws", "walking"],
  start: "2026-12-01",
};
const JUDGE: Judge = { brief, list, houseRules: {} };
const fileOf = (lines: readonly Line[]) => ({ ...auditFile([], lines), brief, list });

describe("whatever is in the kits", () => {
  it("a set of one kit is that kit", () => {
    fc.assert(
      fc.property(anyKit, (lines) => {
        const one = judgeSet(
          [{ id: "k", file: fileOf(lines), count: 1 }],
          JUDGE,
          TODAY,
          "one",
          CATALOGUE,
        );
        const alone = audit(fileOf(lines), TODAY, CATALOGUE);
        expect(one.audit.coverage).to.equal(alone.coverage);
        expect(one.needs.map((n) => n.value)).to.deep.equal(alone.needs.map((n) => n.met));
      }),
      { numRuns: 60 },
    );
  });
  it("kits that go out together never cover less than the best of them alone", () => {
    fc.assert(
      fc.property(anyKit, anyKit, (x, y) => {
        const files = [fileOf(x), fileOf(y)];
        const set = judgeSet(
          files.map((file, i) => ({ id: `k${i}`, file, count: 1 })),
          JUDGE,
          TODAY,
          "two",
          CATALOGUE,
        );
        for (const file of files)
          expect(set.audit.coverage!).to.be.at.least(
            audit(file, TODAY, CATALOGUE).coverage! - 1e-9,
          );
        // and no piece serves twice: what each gives adds up to no more than is asked
        set.needs.forEach((n, i) =>
          expect(n.from.reduce((s, f) => s + f.units, 0)).to.be.at.most(
            set.audit.context.needs[i]!.required + 1e-9,
          ),
        );
      }),
      { numRuns: 60 },
    );
  });
  it("why one is ahead adds up to the difference, either way round", () => {
    fc.assert(
      fc.property(anyKit, anyKit, (x, y) => {
        const [a, b] = compareKits(
          [
            { id: "a", file: fileOf(x) },
            { id: "b", file: fileOf(y) },
          ],
          JUDGE,
          TODAY,
          PRICE_BOOK,
          CATALOGUE,
        );
        const sum = (why: readonly { points: number }[]) => why.reduce((s, c) => s + c.points, 0);
        expect(sum(whyAhead(a!, b!))).to.be.closeTo(a!.coverage! - b!.coverage!, 1e-9);
        expect(sum(whyAhead(b!, a!))).to.be.closeTo(b!.coverage! - a!.coverage!, 1e-9);
      }),
      { numRuns: 60 },
    );
  });
  it("trying a line as sound, in date, within reach or with more pieces never lowers coverage", () => {
    fc.assert(
      fc.property(anyKit, (lines) => {
        const file = fileOf(lines);
        const before = audit(file, TODAY, CATALOGUE).coverage!;
        for (const l of lines)
          for (const trial of [
            { kind: "sound" as const, line: l.id },
            { kind: "fresh" as const, line: l.id },
            { kind: "within-reach" as const, line: l.id },
            { kind: "more" as const, line: l.id, pieces: 2 },
          ])
            expect(audit(applyTrial(file, trial), TODAY, CATALOGUE).coverage!).to.be.at.least(
              before - 1e-9,
            );
      }),
      { numRuns: 40 },
    );
  });
  it("the calendar has each uid once, only days that exist, in order", () => {
    fc.assert(
      fc.property(anyKit, (lines) => {
        const due = calendarOf(fileOf(lines), "k", PRICE_BOOK, TODAY, CATALOGUE);
        expect(new Set(due.map((d) => d.uid)).size).to.equal(due.length);
        for (const d of due) expect(isDay(d.day), d.day).to.equal(true);
        expect(due.map((d) => d.day)).to.deep.equal(due.map((d) => d.day).sort());
        for (const d of due)
          if (d.kind === "order-by")
            expect(
              due.find((x) => x.kind === "last-good" && x.line === d.line)!.day >= d.day,
            ).to.equal(true);
      }),
      { numRuns: 60 },
    );
  });
  it("upkeep adds up by year and by type, looks five years ahead, and grows with the pieces", () => {
    fc.assert(
      fc.property(anyKit, (lines) => {
        const cost = upkeep(fileOf(lines), PRICE_BOOK, TODAY, CATALOGUE);
        expect(cost.years).to.have.length(YEARS + 1);
        expect(cost.years.reduce((s, y) => s + y.price, 0)).to.be.closeTo(cost.total, 0.05);
        for (const y of cost.years)
          expect(y.byType.reduce((s, t) => s + t.price, 0)).to.be.closeTo(y.price, 0.05);
        const more = upkeep(
          fileOf(lines.map((l) => ({ ...l, counted: (l.counted ?? 0) + 3 }))),
          PRICE_BOOK,
          TODAY,
          CATALOGUE,
        );
        expect(more.total).to.be.at.least(cost.total - 0.05);
      }),
      { numRuns: 60 },
    );
  });
});

describe("several dates typed for one line", () => {
  it("come back as they were typed, with the rest taking what is left", () => {
    const month = fc
      .tuple(fc.integer({ min: 2026, max: 2035 }), fc.integer({ min: 1, max: 12 }))
      .map(([y, m]) => `${y}-${String(m).padStart(2, "0")}`);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), month), { minLength: 2, maxLength: 4 }),
        fc.boolean(),
        (parts, withRest) => {
          const total = parts.reduce((s, [n]) => s + n, 0);
          const text = parts
            .map(([n, m], i) => `${withRest && i === parts.length - 1 ? "rest" : n} ${m}`)
            .join(", ");
          expect(readDates(text, total)).to.deep.equal({
            ok: true,
            parts: parts.map(([pieces, expires]) => ({ pieces, expires })),
          });
          expect(readDates(text, total + 1).ok).to.equal(withRest);
        },
      ),
    );
  });
});

describe("labels on a sheet", () => {
  it("never lie over each other, whatever is gone from the first sheet", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LABEL_SHEETS),
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 0, max: 150 }),
        fc.integer({ min: 0, max: 150 }),
        (sheet, used, i, j) => {
          fc.pre(i !== j);
          const [a, b] = [spotOf(sheet, i, used), spotOf(sheet, j, used)];
          const apart =
            a.page !== b.page ||
            Math.abs(a.x - b.x) >= sheet.width - 1e-9 ||
            Math.abs(a.y - b.y) >= sheet.height - 1e-9;
          expect(apart).to.equal(true);
        },
      ),
    );
  });
});

describe("a list as a spreadsheet file", () => {
  it("comes back from XLSX as it was, with a sheet that explains the columns", async () => {
    for (const shipped of SHIPPED_LISTS) {
      const book = new ExcelJS.Workbook();
      await book.xlsx.load((await listXlsx(shipped)) as ArrayBuffer);
      const rows: string[][] = [];
      book.getWorksheet("Needs")!.eachRow((row) => {
        const cells: string[] = [];
        row.eachCell({ includeEmpty: true }, (c) => cells.push(c.text));
        rows.push(cells);
      });
      const read = listFromRows(
        rows,
        { id: shipped.id, title: "" },
        (id) => CATALOGUE.types.has(id),
        CATALOGUE,
      );
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const { version: _, ...want } = shipped;
      expect(read.value, shipped.id).to.deep.equal(want);
      expect(book.getWorksheet("Columns")!.rowCount).to.be.greaterThan(20);
    }
  }).timeout(20_000);
});

describe("a scanner that types", () => {
  const at = (keys: string, gap: number) => {
    const scans: string[] = [];
    let now = 0;
    const w = wedge((t) => scans.push(t));
    const taken = [...keys, "Enter"].map((key) => {
      now += gap;
      return w.key({ key, ctrlKey: false, timeStamp: now });
    });
    return { scans, taken: taken.at(-1), w };
  };
  it("is told from a hand by its speed", () => {
    expect(at("0195012345678903", 5)).to.deep.include({ scans: ["0195012345678903"], taken: true });
    expect(at("0195012345678903", 80)).to.deep.include({ scans: [], taken: false });
    expect(at("0527", 5)).to.deep.include({ scans: [], taken: false }); // too short to be a code
  });
  it("forgets what a field has made sense of", () => {
    const scans: string[] = [];
    let now = 0;
    const w = wedge((t) => scans.push(t));
    const press = (key: string) => w.key({ key, ctrlKey: false, timeStamp: (now += 5) });
    for (const key of "05/2029") press(key);
    w.clear();
    expect(press("Enter")).to.equal(false);
    expect(scans).to.deep.equal([]);
  });
});
