/**
 * Seeded hostile inputs over every importer, every command and every route that takes a body: nothing may
 * throw unheard, hang, or be taken in wrongly (an audit taken in must give numbers).
 * `npm run hostile [-- COUNT [SEED [SECONDS]]]` wants a build for the routes; it prints what it found. What
 * takes longer than SECONDS hangs; the tests give more than the bench, since a busy machine is no fault.
 */
import { spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createCanvas } from "@napi-rs/canvas";
import { randomFrom } from "../bench/planCases.ts";
import { pagesOfPdf, pixelsOfFile } from "../src/cli/readPicture.ts";
import { runCli } from "../src/cli/run.ts";
import { audit } from "../src/lib/core/audit/audit.ts";
import { readCard } from "../src/lib/core/card/readCard.ts";
import { cardTextProblem } from "../src/lib/core/card/cardText.ts";
import { vocabularyOf } from "../src/lib/core/card/vocabulary.ts";
import { readExercise } from "../src/lib/core/exercise/write.ts";
import { parseAudit } from "../src/lib/core/formats/auditFile.ts";
import { parseEvents } from "../src/lib/core/formats/eventTable.ts";
import { readImport } from "../src/lib/core/formats/importFile.ts";
import { parseIncidents } from "../src/lib/core/formats/incidentTable.ts";
import { csvRows, listFromRows } from "../src/lib/core/formats/listTable.ts";
import { parsePriceBook, parsePriceCsv, priceCsv } from "../src/lib/core/formats/priceCsv.ts";
import { PictureProblem } from "../src/lib/core/picture/opening.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../src/lib/data/namedCatalogue.ts";
import { PRICE_BOOK } from "../src/lib/data/priceBook.ts";
import { pdfOf, pngHead } from "../tests/unit/pdfMaker.ts";
import { SheetProblem, sheetText } from "../src/lib/sheets/sheetText.ts";

const [COUNT = 10_000, SEED = 1, HANG_S = 2] = process.argv.slice(2).map(Number);
const TODAY = "2026-11-26";
const PORT = 4193;

const random = randomFrom(SEED);
const int = (n: number) => Math.floor(random() * n);
const pick = <T>(list: readonly T[]): T => list[int(list.length)]!;

const nested = (depth: number): unknown => JSON.parse("[".repeat(depth) + "]".repeat(depth));
const VALUES: readonly (() => unknown)[] = [
  () => null,
  () => -1,
  () => 1e308,
  () => 0.1 + 0.2,
  () => "constructor",
  () => "__proto__",
  () => "\u202e\u0000\u001b[31m<script>alert(1)</script>",
  () => '=HYPERLINK("http://x.invalid")',
  () => "9".repeat(400),
  () => "é".repeat(5000),
  () => [],
  () => ({}),
  () => ({ toString: 1 }),
  () => nested(3000),
  () => Array.from({ length: 2000 }, () => 1),
  () => "2026-02-30",
  () => true,
];

/** A file of ours with a few of its parts put wrong. */
function spoiled(json: unknown): unknown {
  const copy = structuredClone(json);
  for (let i = 0; i <= int(3); i++) {
    let at = copy as Record<string, unknown>;
    for (let depth = 0; depth < 12; depth++) {
      const keys = Object.keys(at);
      if (keys.length === 0) break;
      const key = pick(keys);
      const next = at[key];
      if (typeof next === "object" && next !== null && random() < 0.8) {
        at = next as Record<string, unknown>;
        continue;
      }
      const way = random();
      if (way < 0.2) delete at[key];
      else if (way < 0.3) at[pick(["constructor", "toString", "x"])] = pick(VALUES)();
      else at[key] = pick(VALUES)();
      break;
    }
  }
  return copy;
}

/** A text with bytes lost, doubled or put in. */
function torn(text: string): string {
  const way = int(6);
  const at = int(text.length + 1);
  if (way === 0) return text.slice(0, at);
  if (way === 1) return text.slice(at);
  if (way === 2)
    return text.slice(0, at) + pick(['"', "\u0000", "\r", ",,,,", ";", "\u202e"]) + text.slice(at);
  if (way === 3) return text.replaceAll(",", pick([";", "\t", ", ,"]));
  if (way === 4)
    return text.replace(/\d+/g, (n) =>
      random() < 0.2 ? pick(["-1", "1e9", "0x10", "1,234", "NaN", "½"]) : n,
    );
  return text + text.slice(0, at).repeat(1 + int(3));
}

/** Bytes cut short or a few of them changed. */
function tornBytes(bytes: Uint8Array): Uint8Array {
  const copy = bytes.slice(0, random() < 0.5 ? bytes.length : int(bytes.length));
  for (let i = 0; i < int(4); i++) if (copy.length > 0) copy[int(copy.length)] = int(256);
  return copy;
}

const read = (path: string) => readFileSync(path, "utf8");
const AUDIT = JSON.parse(read("tests/fixtures/audits/05-tiered-dates.json")) as unknown;
const EXAMPLE = JSON.parse(read("tests/fixtures/audits/worked-example.json")) as unknown;
const WORKSPACE = JSON.parse(read("tests/fixtures/workspace-v1.json")) as unknown;
const CARD = read("tests/fixtures/kept-aside-1/brackenmirrow-ditch-bag.txt");
const PICTURE = createCanvas(60, 20).toBuffer("image/png");
const PRICES = priceCsv(PRICE_BOOK);
const EVENTS = "id,kind,on,line,pieces\ne1,used,2026-10-01,a,2\ne2,counted,2026-10-02,a,3\n";
const isType = (id: string) => CATALOGUE.types.has(id);
const WORDS = vocabularyOf(NAMED_CATALOGUE);

const folder = mkdtempSync(join(tmpdir(), "hostile-"));
/** Where a file cannot be opened, that is said and no fault. */
const opened = (work: Promise<unknown>): Promise<unknown> =>
  work.catch((error: unknown) => {
    if (!(error instanceof PictureProblem)) throw error;
  });

/** What is tried: a name, and a run that gives what it did; a throw is a fault. */
type Trial = readonly [name: string, run: () => unknown];
const importers: readonly (() => Trial)[] = [
  () => {
    const file = spoiled(pick([AUDIT, EXAMPLE]));
    return [
      "audit",
      () => {
        const parsed = parseAudit(file, CATALOGUE);
        if (!parsed.ok) return;
        const { coverage } = audit(parsed.value, TODAY, CATALOGUE);
        if (coverage !== null && !(coverage >= 0 && coverage <= 1 + 1e-9))
          throw new Error(`taken in, and coverage is ${coverage}`);
      },
    ];
  },
  () => {
    const text = torn(JSON.stringify(pick([AUDIT, WORKSPACE])));
    return ["import", () => readImport(text, () => "k", CATALOGUE)];
  },
  () => {
    const text = JSON.stringify(spoiled(WORKSPACE));
    return ["workspace", () => readImport(text, () => "k", CATALOGUE)];
  },
  () => {
    const text = torn(PRICES);
    return ["prices.csv", () => parsePriceCsv(text, isType)];
  },
  () => {
    const book = spoiled(PRICE_BOOK);
    return ["prices.json", () => parsePriceBook(book)];
  },
  () => {
    const text = torn(EVENTS);
    return ["events.csv", () => parseEvents(text)];
  },
  () => {
    const text = torn("id,label,category,low,middle,high\nx,X,c,1,2,3\n");
    return ["incidents.csv", () => parseIncidents(text)];
  },
  () => {
    const text = torn("id,function,tier,base\nn,sling,vital,1\n");
    return [
      "list.csv",
      () => {
        const rows = csvRows(text);
        if (rows.ok) listFromRows(rows.value, { id: "x", title: "x" }, isType, CATALOGUE);
      },
    ];
  },
  () => {
    const text = torn(CARD);
    return ["card", () => cardTextProblem(text) ?? readCard(text, WORDS)];
  },
  () => {
    const file = spoiled({ format: "wide-sieve.exercise", version: 1, audit: EXAMPLE, seal: {} });
    return ["exercise", () => readExercise(file)];
  },
  () => {
    // A PNG whose head says anything, or torn.
    const path = join(folder, "in.png");
    const bytes = Buffer.from(
      random() < 0.5 ? pngHead(int(2) * 2 ** 31 + int(9000), int(200_000)) : tornBytes(PICTURE),
    );
    return ["picture", () => (writeFileSync(path, bytes), opened(pixelsOfFile(path)))];
  },
  () => {
    const path = join(folder, "in.pdf");
    const text = torn(pdfOf(["2 eye pads", "4 wipes"], pick([1, 3, 31])));
    return [
      "pdf",
      () => {
        writeFileSync(path, text, "latin1");
        return opened(pagesOfPdf(path, () => Promise.reject(new PictureProblem("holds no text"))));
      },
    ];
  },
  () => {
    const bytes = Uint8Array.from({ length: int(400) }, () => int(256));
    return [
      "sheet",
      () =>
        sheetText(bytes).catch((error: unknown) => {
          if (!(error instanceof SheetProblem)) throw error;
        }),
    ];
  },
];

const COMMANDS: readonly (readonly string[])[] = [
  ["audit", "IN"],
  ["audit", "IN", "--on", "2026-01-01"],
  ["plan", "IN", "--budget", "3", "--time", "1"],
  ["log", "IN"],
  ["simulate", "IN", "--trips", "50"],
  ["read-card", "IN"],
  ["report", "IN", "--to", "md", "--out", "OUT"],
  ["convert", "IN", "OUT.csv"],
  ["plan", "IN", "--prices", "IN"],
  ["audit", "IN", "--today", "x"],
  ["plan", "IN", "--best=no"],
];
const commands = (): Trial => {
  const path = join(folder, pick(["in.json", "in.csv", "in.txt"]));
  const text = random() < 0.5 ? torn(JSON.stringify(EXAMPLE)) : JSON.stringify(spoiled(EXAMPLE));
  const argv = pick(COMMANDS).map((a) =>
    a === "IN" ? path : a.startsWith("OUT") ? join(folder, `out${a.slice(3)}`) : a,
  );
  return [
    argv[0]!,
    async () => {
      writeFileSync(path, text);
      let said = "";
      const code = await runCli(argv, { stdin: () => "", out: () => {}, err: (t) => (said += t) });
      if (code !== 0 && said === "") throw new Error("ended without a word");
      if (/\n\s+at /.test(said)) throw new Error("shows a stack");
    },
  ];
};

/**
 * Asks a route on a connection of its own: one kept open is closed by the server while a trial before it
 * holds this loop up for longer than five seconds, and a POST on it fails without having been sent.
 */
const asked = (route: string, init: RequestInit = {}): Promise<Response> =>
  fetch(`http://127.0.0.1:${PORT}/api/${route}`, { ...init, headers: { connection: "close" } });

const ROUTES = ["audit", "plan", "report", "simulate", "read-card"] as const;
const routes = (): Trial => {
  const route = pick(ROUTES);
  const file = random() < 0.5 ? torn(JSON.stringify(EXAMPLE)) : spoiled(EXAMPLE);
  const body =
    typeof file === "string"
      ? file
      : JSON.stringify(route === "audit" ? file : { audit: file, timeLimitS: 1, trips: 20 });
  return [
    `/api/${route}`,
    async () => {
      const answer = await asked(route, { method: "POST", body });
      const text = await answer.text();
      if (answer.status >= 500 && answer.status !== 503)
        throw new Error(`answers ${answer.status}`);
      if (answer.status >= 400 && !text.includes('"problems"'))
        throw new Error("has another error form");
    },
  ];
};

const faults = new Map<string, number>();
const tried = new Map<string, number>();
async function trial([name, run]: Trial): Promise<void> {
  tried.set(name, (tried.get(name) ?? 0) + 1);
  const fault = (what: string) => {
    const key = `${name}: ${what}`;
    faults.set(key, (faults.get(key) ?? 0) + 1);
    if (process.env["SHOW"]) console.log(key);
  };
  if (process.env["SHOW"] === "all") console.log(name);
  const started = performance.now();
  try {
    await run();
  } catch (error) {
    const { message, cause } = error as Error;
    const why = cause instanceof Error ? ` (${cause.message})` : "";
    fault(`${message}${why}`.split("\n")[0]!.slice(0, 160));
  }
  const tookS = (performance.now() - started) / 1000;
  if (tookS > HANG_S) fault(`took ${Math.round(tookS)} s`);
}

async function served(): Promise<ChildProcess | null> {
  if (!existsSync("build/index.js")) return null;
  const server = spawn("node", ["scripts/serve.mjs"], {
    env: { ...process.env, PORT: String(PORT) },
    stdio: "ignore",
  });
  for (let i = 0; i < 50; i++) {
    try {
      await asked("health");
      return server;
    } catch {
      await new Promise((done) => setTimeout(done, 200));
    }
  }
  server.kill();
  return null;
}

const server = await served();
// What a first use loads is no input's fault.
await import("pdfjs-dist/legacy/build/pdf.mjs");
for (let i = 0; i < COUNT; i++) {
  const way = random();
  await trial(way < 0.7 ? pick(importers)() : way < 0.85 || !server ? commands() : routes());
}
server?.kill();
console.log(Object.fromEntries([...tried].sort()));
for (const [what, times] of faults) console.log(`${times} × ${what}`);
const total = [...faults.values()].reduce((a, b) => a + b, 0);
console.log(
  `${COUNT} hostile inputs, ${total} faults${server ? "" : " (no build: the routes were not tried)"}`,
);
process.exitCode = total > 0 ? 1 : 0;
