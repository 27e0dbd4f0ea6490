import { problemText } from "../../src/lib/words/problems.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { cellNumber, defused, undefused } from "../../src/lib/core/formats/cells.ts";
import { listFile, parseListFile } from "../../src/lib/core/formats/listFile.ts";
import {
  COLUMN_HELP,
  csvRows,
  LIST_COLUMNS,
  listCsv,
  listFromRows,
  listRows,
} from "../../src/lib/core/formats/listTable.ts";
import type { ReferenceList } from "../../src/lib/core/model/list.ts";
import { ITEM_TYPES } from "../../src/lib/data/itemTypes.ts";
import { FUNCTIONS } from "../../src/lib/data/functions.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { ownType } from "./build.ts";

const NAME = { id: "mine", title: "Mine" };
const read = (csv: string) => {
  const rows = csvRows(csv);
  if (!rows.ok) return rows;
  return listFromRows(rows.value, NAME, (id) => CATALOGUE.types.has(id), CATALOGUE);
};
const problemsOf = (csv: string): string[] => {
  const got = read(csv);
  return got.ok ? [] : got.problems.map((p) => `${p.where}: ${problemText(p)}`);
};

describe("a reference list as a table", () => {
  it("gives every shipped list back as it was", () => {
    for (const list of SHIPPED_LISTS) {
      const got = read(listCsv(list));
      if (!got.ok) throw new Error(JSON.stringify(got.problems));
      const { id: _, version: __, ...want } = list;
      expect(got.value, list.id).to.deep.equal({ ...want, id: "mine" });
    }
  });
  it("reads what someone types: names for ids, commas for points, own order of columns, blank rows", () => {
    const got = read(
      "Tier;Function;Base;Min size mm;Accept;Reason\r\n\r\nCORE;Dress a medium wound;2,5;75x100;sanitary-pad 0,4 improvised; Because.\r\nvital;gloves;2;;;\r\n",
    );
    if (!got.ok) throw new Error(JSON.stringify(got.problems));
    expect(got.value).to.deep.equal({
      id: "mine",
      title: "Mine",
      needs: [
        {
          id: "medium-wound-pad",
          function: "medium-wound-pad",
          tier: "core",
          quantity: { base: 2.5 },
          spec: { minSizeMm: [75, 100] },
          accept: [{ itemType: "sanitary-pad", credit: 0.4, improvised: true }],
          reason: "Because.",
        },
        { id: "gloves", function: "gloves", tier: "vital", quantity: { base: 2 } },
      ],
    });
  });
  it("says what is wrong by row and column, all of it, and takes nothing in", () => {
    const csv =
      "id,function,tier,base,at least,at most,accept\n" +
      "a,gloves,vital,two,,,\n" +
      "b,pixie dust,core,1,,,\n" +
      "c,tape,crucial,1,,,\n" +
      "d,tape,core,1,5,2,\n" +
      "e,tape,core,1,,,unicorn 0.5\n" +
      "e,tape,core,-1,,,\n";
    const problems = problemsOf(csv);
    expect(problems[0]).to.equal("row 2, base: 'two' is not a number");
    expect(problems[1]).to.equal("row 3, function: 'pixie dust' is none of the 101 jobs");
    expect(problems[2]).to.match(/^row 4, tier: /);
    expect(problems[3]).to.equal("row 5, at least: 5 is above 'at most' 2");
    expect(problems[4]).to.equal("row 6, accept: 'unicorn' is not an item type");
    expect(problems[5]).to.match(/^row 7, quantity.base: /);
  });
  it("refuses a doubled id, a missing and an unknown heading, an empty table, an open quote", () => {
    expect(problemsOf("id,function,tier\na,tape,core\na,gloves,core\n")[0]).to.equal(
      "row 3, id: 'a' stands twice",
    );
    expect(problemsOf("function,base\ntape,1\n")[0]).to.match(/lacks the heading 'tier'/);
    expect(problemsOf("function,tier,colour\ntape,core,red\n")[0]).to.match(/'colour' is not/);
    expect(problemsOf("function,tier\n")[0]).to.match(/no need/);
    expect(problemsOf('function,tier\n"tape,core\n')[0]).to.match(/never closed/);
  });
  it("says in a line what each column holds", () => {
    expect(Object.keys(COLUMN_HELP)).to.deep.equal([...LIST_COLUMNS]);
  });

  const number = fc.integer({ min: 0, max: 4000 }).map((n) => n / 4);
  const text = fc
    .string({ minLength: 1, maxLength: 40 })
    .map((s) => s.trim())
    .filter(Boolean);
  const need = fc.record(
    {
      function: fc.constantFrom(...FUNCTIONS.map((f) => f.id)),
      tier: fc.constantFrom("vital" as const, "core" as const, "useful" as const),
      quantity: fc.record(
        { base: number, perPersonDay: number, redressEveryH: number.filter((n) => n > 0) },
        { requiredKeys: [] },
      ),
      access: fc.constantFrom("seconds" as const, "minute" as const, "any" as const),
      accept: fc.uniqueArray(
        fc.record(
          {
            itemType: fc.constantFrom(...ITEM_TYPES.map((t) => t.id)),
            credit: fc.integer({ min: 0, max: 20 }).map((n) => n / 20),
            yield: number.filter((n) => n > 0),
            improvised: fc.constant(true),
          },
          { requiredKeys: ["itemType", "credit"] },
        ),
        { selector: (a) => a.itemType, minLength: 1, maxLength: 4 },
      ),
      reason: text,
    },
    { requiredKeys: ["function", "tier", "quantity"] },
  );
  it("gives any list back, whatever its texts hold", () => {
    fc.assert(
      fc.property(fc.array(need, { minLength: 1, maxLength: 6 }), text, (needs, title) => {
        const list = {
          id: "mine",
          title,
          needs: needs.map((n, i) => ({ ...n, id: `n${i}` })),
        } as ReferenceList;
        const got = read(listCsv(list));
        if (!got.ok) throw new Error(JSON.stringify(got.problems));
        expect(got.value).to.deep.equal(list);
      }),
      { numRuns: 200 },
    );
  });
  it("no cell of it runs in a spreadsheet, and none is changed on the way back", () => {
    fc.assert(
      fc.property(fc.string(), (s) => {
        expect(defused(s)).to.not.match(/^[=+\-@\t\r]/);
        expect(undefused(defused(s))).to.equal(s);
      }),
    );
  });
  it("reads numbers with point or comma and nothing else", () => {
    expect(["2", "2.5", "2,5", " 7 ", "-1", "1e-7"].map(cellNumber)).to.deep.equal([
      2, 2.5, 2.5, 7, -1, 1e-7,
    ]);
    expect(["", "two", "1 2", "0x10", "Infinity", "NaN"].map(cellNumber)).to.deep.equal(
      Array(6).fill(null),
    );
  });
});

describe("a reference list as JSON", () => {
  const own = ownType("my-wrap", "My wrap", { functions: [{ function: "tape", credit: 1 }] });
  const list: ReferenceList = {
    id: "x",
    title: "X",
    needs: [
      {
        id: "t",
        function: "tape",
        tier: "core",
        quantity: { base: 1 },
        accept: [{ itemType: "my-wrap", credit: 1 }],
      },
    ],
  };
  it("carries the own item types its stand-ins name, and comes back the same", () => {
    const file = listFile(list, [own, { ...own, id: "not-named" }]);
    expect(file.itemTypes).to.deep.equal([own]);
    expect(parseListFile(JSON.parse(JSON.stringify(file)), CATALOGUE)).to.deep.equal({
      ok: true,
      value: file,
    });
  });
  it("refuses a stand-in of an unknown type, a newer version, another format", () => {
    const bad = (json: unknown) => {
      const got = parseListFile(json, CATALOGUE);
      return got.ok ? [] : got.problems.map((p) => `${p.where} ${problemText(p)}`);
    };
    expect(bad(listFile(list, []))[0]).to.match(/'my-wrap' is not an item type/);
    expect(bad({ ...listFile(list, [own]), version: 2 })[0]).to.match(/newer Wide Sieve/);
    expect(bad({ ...listFile(list, [own]), format: "other" })[0]).to.match(/^format /);
    expect(bad(null)).to.have.length.greaterThan(0);
  });
  it("has the columns of the table in the rows it gives to a spreadsheet", () => {
    expect(listRows(list)[1]).to.deep.equal([...LIST_COLUMNS]);
  });
});
