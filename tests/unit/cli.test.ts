import { pdfOf, pngHead } from "./pdfMaker.ts";
import { expect } from "chai";
import { spawnSync } from "node:child_process";
import { auditMany } from "../../src/cli/auditMany.ts";
import { runCli } from "../../src/cli/run.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** In this process: starting one for each call took most of the time of these tests. */
const run = async (args: string[], input = "") => {
  let out = "";
  let err = "";
  const code = await runCli(args, {
    stdin: () => input,
    out: (text) => (out += text),
    err: (text) => (err += text),
  });
  return { code, out, err };
};
const ROOT = new URL("../../", import.meta.url).pathname;
const AUDIT = "tests/fixtures/audits/worked-example.json";
const folder = mkdtempSync(join(tmpdir(), "wide-sieve-"));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

const bytes = (name: string, content: Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

/** The demo's crew box as an audit file. */
function crewBox() {
  const records = demoRecords();
  const crew = records.find((r) => r.id === "kit:demo-crew-box");
  const brief = records.find((r) => r.id === "brief:fennel-lane");
  if (crew?.kind !== "kit" || brief?.kind !== "brief") throw new Error("the demo has changed");
  return auditOf(crew, brief.brief, [], "2026-11-25", CATALOGUE);
}

describe("the command line", function () {
  this.timeout(30_000);
  it("reads a card from standard input, exit 0", async () => {
    const r = await run(["read-card", "-"], "- 2 x Triangular bandages\n- 5 gauze swabs");
    expect(r.code).to.equal(0);
    const { entries } = JSON.parse(r.out);
    expect(entries[0]).to.have.all.keys(
      "source",
      "itemType",
      "pieces",
      "sizeMm",
      "volumeMl",
      "strengthMg",
      "confidence",
      "alternatives",
    );
    expect(entries.map((e: { pieces: number }) => e.pieces)).to.deep.equal([2, 5]);
  });
  it("audits a file: the keys of the format, in the printed form", async () => {
    const r = await run(["audit", AUDIT, "--today", "2026-11-25"]);
    const result = JSON.parse(r.out);
    expect(result).to.have.all.keys(
      "coverage",
      "caught",
      "interval",
      "grade",
      "gradeInterval",
      "decidedBy",
      "categories",
      "needs",
      "quality",
      "value",
      "nextToInspect",
      "verdicts",
      "cautions",
    );
    expect(result.verdicts[0]).to.have.all.keys("line", "verdict", "because");
    expect(result.coverage).to.equal(0.453703704);
  });
  it("audits many files, a line each in their order, in threads the same as without; what is wrong is a line too", async () => {
    const bad = file("bad.json", '{"format":"wide-sieve.audit","version":1');
    const files = [AUDIT, bad, AUDIT];
    const r = await run(["audit", ...files, "--jsonl", "--today", "2026-11-25"]);
    expect(r.code).to.equal(0);
    expect(r.err).to.equal("2 of 3 audited\n");
    const lines = r.out
      .trim()
      .split("\n")
      .map((l) => JSON.parse(l));
    const alone = JSON.parse((await run(["audit", AUDIT, "--today", "2026-11-25"])).out);
    expect(lines[0]).to.deep.equal({ file: AUDIT, ...alone });
    expect(lines[1].file).to.equal(bad);
    expect(lines[1].problems[0].what).to.match(/not whole JSON/);
    const many = Array.from({ length: 9 }, (_, i) => files[i % 3]!);
    const printed: string[] = [];
    const done = await auditMany(many, { today: "2026-11-25" }, (l) => printed.push(l), 3);
    expect(done).to.equal(6);
    expect(printed).to.deep.equal(
      Array.from({ length: 9 }, (_, i) => r.out.trim().split("\n")[i % 3]),
    );
    expect((await run(["audit", bad, "--jsonl"])).code).to.equal(1);
    expect((await run(["audit", "--jsonl"])).code).to.equal(2);
  });
  it("makes an exercise with a trap and a plan to make; the plan that is handed back is marked", async () => {
    const audit = join(folder, "crew.json");
    writeFileSync(audit, JSON.stringify(crewBox()));
    const [ex, key, answers, bought, result] = [
      "ex.json",
      "key.json",
      "a.csv",
      "p.csv",
      "r.json",
    ].map((n) => join(folder, n)) as [string, string, string, string, string];
    const made = await run([
      "exercise",
      "make",
      audit,
      "--faults",
      "3",
      "--meshes",
      "here,enough",
      "--hardest",
      "1",
      "--trap",
      "--budget",
      "15",
      "--passphrase",
      "w",
      "--out",
      ex,
      "--key",
      key,
    ]);
    expect(made.code, made.err).to.equal(0);
    const k = JSON.parse(readFileSync(key, "utf8"));
    expect(k.faults.map((f: { line: string }) => f.line))
      .to.include("brief")
      .and.to.have.length(4);
    expect(k.plan.optimum).to.be.above(k.plan.before);
    writeFileSync(answers, "line,verdict,fault\nbrief,top-up,f-brief\n");
    writeFileSync(bought, `product,packs\n${k.plan.products[0].id},1\n`);
    await run(["exercise", "take", ex, "--answers", answers, "--plan", bought, "--out", result]);
    const marked = JSON.parse((await run(["exercise", "mark", key, result])).out);
    expect(marked.students[0].found).to.deep.equal(["fault-brief"]);
    expect(marked.students[0].plan).to.include.all.keys("cost", "coverage", "optimum", "share");
    writeFileSync(bought, "product,packs\nx,none\n");
    const wrong = await run([
      "exercise",
      "take",
      ex,
      "--answers",
      answers,
      "--plan",
      bought,
      "--out",
      result,
    ]);
    expect(wrong.code).to.equal(1);
    expect(wrong.err).to.match(/row 2: is no product with a whole number of packs/);
    const unknown = await run([
      "exercise",
      "make",
      audit,
      "--meshes",
      "hear",
      "--passphrase",
      "w",
      "--out",
      ex,
    ]);
    expect(unknown.code).to.equal(2);
  });
  it("plans, with prices of the user's own", async () => {
    const prices = file(
      "prices.csv",
      "title,itemType,price,pack,sizeMm\nTQ,windlass-tourniquet,20,1,\nPads,gauze-pad,4,10,100x100\nRoll,roller-bandage,1,1,75x4000\n",
    );
    const plan = JSON.parse(
      (await run(["plan", AUDIT, "--prices", prices, "--today", "2026-08-01"])).out,
    );
    expect(plan.status).to.equal("optimal");
    // The tourniquet and a roll: (5 + 3·0.648 + 3 + 1)/12 = 0.912 is Ready; pads would cost 4 instead of 1.
    expect(plan.totals.price).to.equal(21);
    expect(plan.result.grade).to.equal("Ready");
    const poor = JSON.parse(
      (await run(["plan", AUDIT, "--prices", prices, "--budget", "10", "--target", "ready"])).out,
    );
    expect(poor.why).to.deep.equal([{ code: "limit", limit: "budget", allowed: 10, needed: 21 }]);
    const best = JSON.parse((await run(["plan", AUDIT, "--prices", prices, "--budget", "5"])).out);
    expect(best.totals.price).to.equal(5);
  });
  it("keeps to wishes, and gives the frontier against budget and mass", async () => {
    const prices = file(
      "wishes.csv",
      "id,title,itemType,price,pack,sizeMm,massG\ntq,TQ,windlass-tourniquet,20,1,,80\nr,Ratchet,ratchet-tourniquet,25,1,,100\nroll,Roll,roller-bandage,1,1,75x4000,15\n",
    );
    const plan = JSON.parse(
      (
        await run([
          "plan",
          AUDIT,
          ...["--prices", prices, "--today", "2026-08-01", "--exclude", "tq", "--sources", "1"],
          "--frontier",
          "--changes",
        ])
      ).out,
    );
    // The roll is the only one of its kind, and so, without the other, is the ratchet.
    expect(plan.changes).to.deep.equal([
      { product: "r", only: true },
      { product: "roll", only: true },
    ]);
    expect(plan.totals.price).to.equal(26);
    const { budget, mass } = plan.frontier;
    expect(budget.length).to.be.at.least(10);
    expect(budget[0]).to.deep.include({ limit: 0, price: 0, enters: [] });
    // From 25 on the ratchet tourniquet is there: 5 of 12 points.
    const with_ = budget.find((p: { price: number }) => p.price >= 25);
    expect(with_.vital).to.equal(1);
    expect(budget.at(-1).coverage).to.be.closeTo(plan.result.coverage, 1e-6);
    for (const p of mass) expect(p.massG).to.be.at.most(p.limit + 1e-6);
  });
  it("writes a report and schemas", async () => {
    const out = join(folder, "r.md");
    expect(
      (await run(["report", AUDIT, "--to", "md", "--out", out, "--today", "2026-08-01"])).code,
    ).to.equal(0);
    expect(readFileSync(out, "utf8")).to.match(
      /^# Worked example\n\n\*\*Leave it on the shelf, for this brief/,
    );
    const pdf = join(folder, "r.pdf");
    expect(
      (await run(["report", AUDIT, "--to", "pdf", "--out", pdf, "--today", "2026-08-01"])).code,
    ).to.equal(0);
    expect(readFileSync(pdf).subarray(0, 5).toString()).to.equal("%PDF-");
    expect(JSON.parse((await run(["schema", "audit"])).out)).to.have.property("properties");
  });
  it("bad input: exit 1, nothing on standard output, and what is wrong where on standard error", async () => {
    for (const [args, said] of [
      [["audit", file("cut.json", '{"format": "wide-sieve.audit", "ver')], /cut short/],
      [["audit", file("other.json", '{"format": "something"}')], /format: is 'something'/],
      [["audit", join(folder, "absent.json")], /cannot be read/],
      [["read-card", file("empty.txt", "  \n")], /card: is empty/],
      [["read-card", file("binary.txt", "\u0000\u0001\u0002")], /not text/],
      // A decoder of native code ends its process where a picture was cut short.
      [
        ["read-card", bytes("cut.png", pngHead(100, 100))],
        /cut.png.*cannot be opened as a picture/,
      ],
      [["read-card", bytes("bomb.png", pngHead(60_000, 60_000))], /3600 million dots/],
      [["read-card", file("long.pdf", pdfOf(["2 eye pads"], 31))], /31 pages, and at most 30/],
      [
        ["read-card", file("torn.pdf", pdfOf(["2 eye pads"]).replace("[5 0 R]", "[3 0 R]"))],
        /torn.pdf.*cannot be read on page 1/,
      ],
      [
        ["plan", AUDIT, "--prices", file("bad.csv", "title,itemType,price\nA,gauze-pad,-1\n")],
        /row 2, price.amount/,
      ],
    ] as [string[], RegExp][]) {
      const r = await run(args);
      expect([r.code, r.out], args.join(" ")).to.deep.equal([1, ""]);
      expect(r.err).to.match(said);
    }
  });
  it("refuses a kit paid for in another currency than the prices", async () => {
    const audit = JSON.parse(readFileSync(join(ROOT, AUDIT), "utf8"));
    audit.kit.price = { amount: 10, currency: "CHF" };
    expect((await run(["plan", file("chf.json", JSON.stringify(audit))])).err).to.match(
      /is CHF, the price book is in EUR/,
    );
  });
  it("runs as a program of its own: what is printed and the exit code are the same", () => {
    const cli = ["--import", "tsx", "src/cli/main.ts"];
    const run = (args: string[], input: string) =>
      spawnSync(process.execPath, [...cli, ...args], {
        cwd: ROOT,
        encoding: "utf8",
        input,
        // Another loading of the same files would blur the coverage of this one.
        env: { ...process.env, NODE_V8_COVERAGE: "" },
      });
    const card = run(["read-card", "-"], "- 5 gauze swabs");
    expect(JSON.parse(card.stdout).entries[0].pieces).to.equal(5);
    expect([card.status, card.stderr]).to.deep.equal([0, ""]);
    expect(run(["nothing"], "").status).to.equal(2);
  });
  it("wrong words: exit 2 and the usage", async () => {
    for (const args of [
      [],
      ["frobnicate"],
      ["audit"],
      ["audit", AUDIT, "--what"],
      ["plan", AUDIT, "--budget", "x"],
      ["plan", AUDIT, "--target", "7"],
      ["plan", AUDIT, "--sources", "0"],
      ["plan", AUDIT, "--course", "wizard=3"],
      ["schema", "x"],
    ]) {
      const r = await run(args);
      expect([r.code, r.out], args.join(" ")).to.deep.equal([2, ""]);
      expect(r.err).to.match(/usage:/);
    }
  });
});
