import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { readdirSync, readFileSync } from "node:fs";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import { auditResult } from "../../src/lib/core/formats/auditResult.ts";
import { MESHES } from "../../src/lib/core/model/mesh.ts";
import { TODAY } from "./build.ts";

const FOLDER = new URL("../fixtures/audits/", import.meta.url);
const read = (name: string): unknown => JSON.parse(readFileSync(new URL(name, FOLDER), "utf8"));

function run(name: string) {
  const parsed = parseAudit(read(name), CATALOGUE);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return auditResult(audit(parsed.value, TODAY, CATALOGUE));
}

/** Every number of the expectation within `tolerance`, everything else equal. */
function agrees(actual: unknown, expected: unknown, tolerance: number, at: string): void {
  if (typeof expected === "number") {
    expect(actual, at).to.be.a("number").closeTo(expected, tolerance);
  } else if (Array.isArray(expected)) {
    expect(actual, at).to.be.an("array").with.length(expected.length);
    expected.forEach((e, i) => agrees((actual as unknown[])[i], e, tolerance, `${at}[${i}]`));
  } else if (typeof expected === "object" && expected !== null) {
    for (const [k, e] of Object.entries(expected))
      agrees((actual as Record<string, unknown>)[k], e, tolerance, `${at}.${k}`);
  } else expect(actual, at).to.equal(expected);
}

describe("audits with their right results", () => {
  for (const file of readdirSync(FOLDER).filter((f) => f.endsWith(".expected.json"))) {
    const name = file.replace(".expected.json", ".json");
    it(`${name} comes out as worked out apart`, () => agrees(run(name), read(file), 1e-6, name));
  }

  it("the worked example of the method, to 1e-9", () => {
    const r = run("worked-example.json");
    const two = { gate: "vital", need: "A", value: 0, asked: 0.5 };
    // B: (6 + 4·4/9)/12 = 70/108; coverage (0 + 3·70/108 + 3 + 0.5)/12
    const b = 70 / 108;
    agrees(
      r,
      {
        coverage: (3 * b + 3.5) / 12,
        caught: {
          here: 0,
          real: 5 / 12,
          enough: (3 * (1 - b)) / 12,
          sound: 0.5 / 12,
          fresh: 0,
          handy: 0,
          usable: 0,
        },
        grade: "Not ready",
        decidedBy: two,
        needs: [
          { id: "A", required: 1, values: [1, 0, 0, 0, 0, 0, 0], restsOn: "real", from: [] },
          {
            id: "B",
            required: 12,
            values: [1, 1, b, b, b, b, b],
            restsOn: "enough",
            from: [
              { line: "2", units: 6 },
              { line: "3", units: 4 },
            ],
          },
          {
            id: "C",
            required: 1,
            values: [1, 1, 1, 1, 1, 1, 1],
            restsOn: "pan",
            from: [{ line: "4", units: 1 }],
          },
          {
            id: "D",
            required: 4,
            values: [1, 1, 1, 0.5, 0.5, 0.5, 0.5],
            restsOn: "pan",
            from: [{ line: "5", units: 4 }],
          },
        ],
      },
      1e-9,
      "worked",
    );
  });

  it("coverage and what the meshes hold back add up to 1, overall and by category", () => {
    for (const file of readdirSync(FOLDER).filter((f) => !f.includes("expected"))) {
      const r = run(file);
      const sum = (s: { coverage: number | null; caught: Record<string, number> | null }) =>
        s.coverage! + MESHES.reduce((t, m) => t + s.caught![m]!, 0);
      expect(sum(r), file).to.be.closeTo(1, 5e-9);
      for (const c of r.categories) expect(sum(c), `${file} ${c.id}`).to.be.closeTo(1, 5e-9);
    }
  });
});
