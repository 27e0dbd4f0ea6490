import { vocabularyOf } from "../lib/core/card/vocabulary.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../lib/data/namedCatalogue.ts";
import { extname } from "node:path";
import loadHighs from "highs";
import { audit } from "../lib/core/audit/audit.ts";
import { defined } from "../lib/core/base/defined.ts";
import { CARRIES, type Brief } from "../lib/core/model/brief.ts";
import { SHIPPED_LISTS, type ShippedList } from "../lib/data/lists/index.ts";
import { catalogueResult, listResult } from "./printList.ts";
import { readCard } from "../lib/core/card/readCard.ts";
import { cardResult, cardTextProblem } from "../lib/core/card/cardText.ts";
import { chanceSection } from "../lib/report/chanceBlocks.ts";
import { kitToday } from "../lib/core/events/kitOnDay.ts";
import { simulated } from "../lib/core/formats/simulateResult.ts";
import { INCIDENT_KINDS } from "../lib/data/incidents.ts";
import { auditedOn, auditFileOf } from "./auditLine.ts";
import { auditMany } from "./auditMany.ts";
import { BadInput, fileText, headOf, inFile, jsonOf, Usage, written, type Io } from "./io.ts";
import { convert } from "./convert.ts";
import { runExercise } from "./exercise.ts";
import { logResult } from "../lib/core/formats/logResult.ts";
import { mergeLogs } from "../lib/core/log/merge.ts";
import { logProblemText } from "../lib/words/logProblems.ts";
import { isHeic, isPdf, isPicture } from "../lib/core/picture/kindOfFile.ts";
import { PictureProblem } from "../lib/core/picture/opening.ts";
import { boxAround, wordsOfEntry } from "../lib/core/picture/wordsOfEntry.ts";
import { SENSITIVITIES, SKILLS } from "../lib/core/model/itemType.ts";
import { isDay } from "../lib/core/base/dates.ts";
import type { AuditFile } from "../lib/core/model/auditFile.ts";
import { parsePriceBook, parsePriceCsv } from "../lib/core/formats/priceCsv.ts";
import { jsonSchemaOf, SCHEMAS } from "../lib/core/formats/schemas.ts";
import { reviewData } from "../lib/report/reviewData.ts";
import { emptyBag } from "../lib/core/compare/emptyBag.ts";
import { actionsOf, unmetAfter } from "../lib/core/plan/actions.ts";
import { highsSolver } from "../lib/core/plan/highsSolver.ts";
import { keptToBag } from "../lib/core/plan/fitBag.ts";
import { plan } from "../lib/core/plan/plan.ts";
import type { Course, PlanRequest } from "../lib/core/plan/request.ts";
import { changesResult, frontiersResult, planResult } from "../lib/core/formats/planResult.ts";
import type { PriceBook } from "../lib/core/model/priceBook.ts";
import { PRICE_BOOK } from "../lib/data/priceBook.ts";
import { told } from "../lib/words/problems.ts";
import { logBlocks } from "../lib/report/logBlocks.ts";
import { kitReport } from "../lib/report/kitReport.ts";
import { toHtml } from "../lib/report/toHtml.ts";
import { toMarkdown } from "../lib/report/toMarkdown.ts";
import { pdfSurely } from "../lib/report/pdfSurely.ts";
import { makePdf } from "../lib/report/nodePdf.ts";

const USAGE = `usage: npm run --silent cli -- COMMAND
  read-card FILE|-                       entries of a contents card: text, PNG, JPEG, WebP or PDF
  audit FILE [--today DAY] [--on DAY]    the audit of an audit file; --on: as the kit was that day
  audit FILE… --jsonl                    of many files, a line each, on all cores
  log FILE [--today DAY]                 readiness by day, what is to be put back
  log FILE --merge OTHER --out PATH      the events of both, as one audit file
  simulate FILE [--trips N] [--seed N]   will it last? so many outings played
  exercise make AUDIT --faults N [--decoys N] [--seed N] --passphrase W --out EX [--key KEY]
                [--meshes here,real,…] [--hardest 1|2|3] [--trap] [--budget N]
                [--with-kit] [--practice] [--minutes N]
  exercise take EX --answers CSV --out RESULT [--student ID] [--plan CSV]
  exercise mark KEY|EX RESULT… [--passphrase W]
  plan FILE [--budget N] [--mass G] [--volume ML] [--target ready|0.85]
            [--best|--lightest|--own] [--prices FILE] [--today DAY] [--frontier] [--changes]
            [--exclude ID,ID] [--keep LINE,LINE] [--sources N]
            [--course trained=PRICE] [--time SECONDS] [--fit]
  report FILE --to pdf|html|md --out PATH [--today DAY]
  convert IN OUT                         contents, list or price book: JSON, CSV, XLSX either way
  list ID [--people N] [--days N] [--hours H] [--activities ID,ID] [--carry HOW]
          [--sensitivities ID,ID]        a shipped list with the quantities it asks for
  catalogue                              functions, item types, inspection points, cautions
  schema audit|list|workspace`;

/**
 * Runs one command: JSON on `out`, messages on `err`.
 * @returns the exit code: 0 done, 1 bad input, 2 wrong usage; a fault of the program's own throws
 */
export async function runCli(argv: readonly string[], io: Io): Promise<0 | 1 | 2> {
  try {
    await command(argv, io);
    return 0;
  } catch (error) {
    if (error instanceof Usage) {
      io.err(`${error.message === "" ? "" : `${error.message}\n`}${USAGE}\n`);
      return 2;
    }
    if (!(error instanceof BadInput)) throw error;
    for (const p of error.problems.map(told))
      io.err(`${oneLine(`${p.where || "the file"}: ${p.what}`)}\n`);
    return 1;
  }
}

/** Names in a file are anybody's: none may break a line or steer a terminal. */

const oneLine = (text: string): string => text.replace(/[\u0000-\u001f\u007f-\u009f]+/g, " ");

async function command(argv: readonly string[], io: Io): Promise<void> {
  const [name, ...rest] = argv;
  const { positional, flags } = parseArguments(rest);
  const today = flags.get("today") ?? new Date().toISOString().slice(0, 10);
  if (!isDay(today)) throw new Usage(`--today '${today}' is not a day`);
  const print = (value: unknown) => io.out(JSON.stringify(value, null, 1) + "\n");
  switch (name) {
    case "read-card": {
      print(await readCardResult(only(positional), io));
      return;
    }
    case "audit":
      if (flags.has("jsonl")) {
        await runAuditMany(positional, flags, today, io);
        return;
      }
      print(auditedOn(readAudit(only(positional), io), today, dayOn(flags)));
      return;
    case "log":
      print(runLog(readAudit(only(positional), io), flags, today, io));
      return;
    case "list":
      print(listResult(shippedList(only(positional)), briefOf(flags)));
      return;
    case "catalogue":
      if (positional.length > 0) throw new Usage("catalogue takes no file");
      print(catalogueResult());
      return;
    case "plan":
      print(
        await runPlan(
          kitToday(readAudit(only(positional), io), today, CATALOGUE),
          flags,
          today,
          io,
        ),
      );
      return;
    case "simulate":
      print(runSimulate(kitToday(readAudit(only(positional), io), today, CATALOGUE), flags, today));
      return;
    case "exercise":
      print(await runExercise(positional, flags, today, io));
      return;
    case "report":
      await runReport(readAudit(only(positional), io), flags, today, io);
      return;
    case "convert": {
      if (positional.length !== 2) throw new Usage("convert takes IN and OUT");
      await convert(positional[0]!, positional[1]!);
      io.err(`wrote ${positional[1]}\n`);
      return;
    }
    case "schema": {
      const schema = only(positional);
      if (!Object.hasOwn(SCHEMAS, schema))
        throw new Usage(`no schema '${schema}'; there are ${Object.keys(SCHEMAS).join(", ")}`);
      print(jsonSchemaOf(schema as keyof typeof SCHEMAS));
      return;
    }
    default:
      throw new Usage(name === undefined ? "" : `no command '${name}'`);
  }
}

/** The report of an audit, with its cheapest plan, as a file. */
async function runReport(
  whole: AuditFile,
  flags: ReadonlyMap<string, string>,
  today: string,
  io: Io,
): Promise<void> {
  const file = kitToday(whole, today, CATALOGUE);
  const out = flags.get("out");
  const to = flags.get("to") ?? "";
  if (!["pdf", "html", "md"].includes(to) || out === undefined)
    throw new Usage("report takes --to pdf, html or md, and --out PATH");
  const book = PRICE_BOOK;
  const request = requestOf(file, new Map(), today, book);
  const solver = highsSolver(await loadHighs());
  const outcome = plan(request, solver);
  const planned =
    outcome.status === "infeasible"
      ? null
      : {
          actions: actionsOf(outcome, request),
          price: outcome.choice.price,
          currency: book.currency,
          gradeAfter: outcome.choice.after.grade ?? "",
          coverageAfter: outcome.choice.after.coverage ?? 0,
          proven: outcome.status === "optimal",
          unmet: unmetAfter(outcome),
        };
  const own = plan({ ...request, audit: emptyBag(file) }, solver);
  const extras = {
    log: logBlocks(whole, today, CATALOGUE),
    buildOwn:
      own.status === "infeasible"
        ? null
        : { price: own.choice.price, massG: own.choice.load.massG },
  };
  const a = audit(file, today, CATALOGUE);
  const blocks = kitReport(
    a,
    planned,
    { ...extras, chance: chanceSection(a, today, CATALOGUE, INCIDENT_KINDS) },
    today,
  );
  written(
    out,
    to === "pdf"
      ? await pdfSurely(file.kit.name, blocks, makePdf)
      : to === "html"
        ? toHtml(file.kit.name, blocks, reviewData(a, planned, extras, today))
        : toMarkdown(blocks),
  );
  io.err(`wrote ${out}\n`);
}

/** The day of `--on`; undefined: none was given. */
function dayOn(flags: ReadonlyMap<string, string>): string | undefined {
  const on = flags.get("on");
  if (on !== undefined && !isDay(on)) throw new Usage(`--on '${on}' is not a day`);
  return on;
}

/** Many audits, a line each. */
async function runAuditMany(
  files: readonly string[],
  flags: ReadonlyMap<string, string>,
  today: string,
  io: Io,
): Promise<void> {
  if (files.length === 0) throw new Usage("audit --jsonl takes one file or more");
  const on = dayOn(flags);
  const when = { today, ...(on === undefined ? {} : { on }) };
  const done = await auditMany(files, when, (line) => io.out(`${line}\n`));
  io.err(`${done} of ${files.length} audited\n`);
  if (done === 0)
    throw new BadInput([{ where: "audit", what: "none of the files is a right audit" }]);
}

/** Outings of the command line where nobody says how many. */
const USUAL_TRIPS = 100_000;
const MOST_TRIPS = 10_000_000;

/** Whether the kit will last: so many outings played. */
function runSimulate(file: AuditFile, flags: ReadonlyMap<string, string>, today: string) {
  const whole = (name: string, usual: number, most: number): number => {
    const text = flags.get(name);
    if (text === undefined) return usual;
    const n = Number(text);
    if (!Number.isInteger(n) || n < 1 || n > most)
      throw new Usage(`--${name} '${text}' is not a whole number from 1 to ${most}`);
    return n;
  };
  const trips = whole("trips", USUAL_TRIPS, MOST_TRIPS);
  const seed = whole("seed", 1, 2 ** 31 - 1);
  const played = simulated({
    file,
    today,
    trips,
    seed,
    book: PRICE_BOOK,
    catalogue: CATALOGUE,
    kinds: INCIDENT_KINDS,
  });
  if (!played.ok) throw new BadInput(played.problems);
  return played.value;
}

/** A kit's log worked out; or with `--merge`, the two files of one kit written as one. */
function runLog(file: AuditFile, flags: ReadonlyMap<string, string>, today: string, io: Io) {
  const other = flags.get("merge");
  if (other === undefined) return logResult(file, today, PRICE_BOOK, CATALOGUE, logProblemText);
  const out = flags.get("out");
  if (out === undefined) throw new Usage("log --merge takes --out PATH");
  const merged = mergeLogs(file, readAudit(other, io));
  if (!merged)
    throw new BadInput([
      { where: other, what: "has no line of this kit: it is the log of another one" },
    ]);
  written(out, JSON.stringify(merged.file, null, 1));
  io.err(`wrote ${out}\n`);
  return {
    events: merged.file.events?.length ?? 0,
    problems: merged.problems.map((p) => ({ ...p, what: logProblemText(p) })),
  };
}

/** The entries of a card; of a picture or PDF each with the box of its words. */
async function readCardResult(file: string, io: Io): Promise<unknown> {
  const picture = await pictureOf(file);
  const text = picture?.text ?? readText(file, io);
  const wrong = cardTextProblem(text);
  if (wrong) throw new BadInput([wrong]);
  const reading = readCard(text, vocabularyOf(NAMED_CATALOGUE));
  const result = cardResult(reading);
  if (!picture) return result;
  const entries = result.entries.map((e, i) => ({
    ...e,
    box: boxAround(wordsOfEntry(reading.entries[i]!, picture.words)),
  }));
  return { ...result, entries };
}

/** A card's text out of a picture or PDF, with the places of its words; null: the file is neither. */
async function pictureOf(file: string) {
  if (file === "-") return null;
  const head = headOf(file);
  if (!head) return null;
  if (isHeic(head))
    throw new BadInput([{ where: file, what: "is a HEIC picture: save or send it as JPEG" }]);
  if (!isPicture(head) && !isPdf(head)) return null;
  const { readPictureFile } = await import("./readPicture.ts");
  try {
    return await readPictureFile(file);
  } catch (error) {
    if (!(error instanceof PictureProblem)) throw error;
    throw new BadInput([{ where: file, what: error.message }]);
  }
}

function shippedList(id: string): ShippedList {
  const list = SHIPPED_LISTS.find((l) => l.id === id);
  if (!list)
    throw new Usage(`no list '${id}'; there are ${SHIPPED_LISTS.map((l) => l.id).join(", ")}`);
  return list;
}

/** A brief from flags; what is not given is as in a new brief. */
function briefOf(flags: ReadonlyMap<string, string>): Partial<Brief> {
  const hours = flags.get("hours");
  if (hours !== undefined && !(hours.trim() !== "" && Number(hours) >= 0))
    throw new Usage(`--hours '${hours}' is not a number from 0`);
  const oneOf = <T extends string>(name: string, all: readonly T[], given: string): T => {
    const found = all.find((x) => x === given);
    if (found === undefined) throw new Usage(`--${name} '${given}' is none of ${all.join(", ")}`);
    return found;
  };
  const carry = flags.get("carry");
  return defined({
    people: wholeFrom1(flags, "people") ?? undefined,
    days: wholeFrom1(flags, "days") ?? undefined,
    hoursToCare: hours === undefined ? undefined : Number(hours),
    activities: flags.has("activities") ? listOf(flags, "activities") : undefined,
    carry: carry === undefined ? undefined : oneOf("carry", CARRIES, carry),
    sensitivities: flags.has("sensitivities")
      ? listOf(flags, "sensitivities").map((s) => oneOf("sensitivities", SENSITIVITIES, s))
      : undefined,
  });
}

async function runPlan(file: AuditFile, flags: ReadonlyMap<string, string>, today: string, io: Io) {
  const prices = flags.get("prices");
  const book = prices === undefined ? PRICE_BOOK : readPrices(prices, io);
  const request = requestOf(file, flags, today, book);
  const currency = file.kit.price?.currency;
  if (currency !== undefined && currency !== book.currency)
    throw new BadInput([
      {
        where: "kit.price.currency",
        what: `is ${currency}, the price book is in ${book.currency}: one audit has one currency; convert the price book by your own rate`,
      },
    ]);
  const solver = highsSolver(await loadHighs());
  const outcome = plan(request, solver);
  return {
    ...planResult(outcome, request),
    ...(flags.has("changes") ? { changes: changesResult(outcome, request, solver) } : {}),
    ...(flags.has("frontier") ? { frontier: frontiersResult(request, solver) } : {}),
  };
}

function requestOf(
  file: AuditFile,
  flags: ReadonlyMap<string, string>,
  today: string,
  book: PriceBook,
): PlanRequest {
  const amount = (name: string, otherwise: number | undefined): number | null => {
    const given = flags.get(name);
    if (given === undefined) return otherwise ?? null;
    const n = Number(given);
    if (given.trim() === "" || !Number.isFinite(n) || n < 0)
      throw new Usage(`--${name} '${given}' is not a number from 0`);
    return n;
  };
  const target = flags.get("target") ?? "ready";
  const share = Number(target);
  if (target !== "ready" && !(share > 0 && share <= 1))
    throw new Usage(`--target '${target}' is neither 'ready' nor a coverage between 0 and 1`);
  const named = (["best", "lightest", "own"] as const).filter((q) => flags.has(q));
  if (named.length > 1) throw new Usage(`--${named.join(" and --")} are two questions: ask one`);
  const question =
    named[0] ?? (flags.has("budget") && !flags.has("target") ? ("best" as const) : "cheapest");
  const request: PlanRequest = {
    audit: file,
    catalogue: CATALOGUE,
    book,
    question,
    target: target === "ready" ? "ready" : share,
    limits: {
      budget: amount("budget", file.brief.limits.budget),
      massG: amount("mass", file.brief.limits.massG),
      volumeMl: amount("volume", file.brief.limits.volumeMl),
    },
    keep: listOf(flags, "keep"),
    exclude: listOf(flags, "exclude"),
    maxSources: wholeFrom1(flags, "sources"),
    courses: listOf(flags, "course").map(courseOf),
    timeLimitS: amount("time", undefined) ?? undefined,
    today,
  };
  return flags.has("fit") ? keptToBag(request) : request;
}

const listOf = (flags: ReadonlyMap<string, string>, name: string): string[] =>
  (flags.get(name) ?? "")
    .split(",")
    .map((x) => x.trim())
    .filter(Boolean);

function wholeFrom1(flags: ReadonlyMap<string, string>, name: string): number | null {
  const given = flags.get(name);
  if (given === undefined) return null;
  const n = Number(given);
  if (!Number.isInteger(n) || n < 1)
    throw new Usage(`--${name} '${given}' is not a whole number from 1`);
  return n;
}

function courseOf(text: string): Course {
  const [to, price] = text.split("=");
  const skill = SKILLS.find((s) => s === to);
  if (!skill || !(Number(price) >= 0))
    throw new Usage(`--course '${text}' is not like trained=80; levels: ${SKILLS.join(", ")}`);
  return { to: skill, price: Number(price) };
}

const VALUE_FLAGS = new Set(
  "today on merge trips minutes seed meshes hardest plan faults decoys passphrase key answers student budget mass volume target prices to out exclude keep sources course time people days hours activities carry sensitivities".split(
    " ",
  ),
);
const PLAIN_FLAGS = new Set([
  "best",
  "lightest",
  "own",
  "frontier",
  "fit",
  "changes",
  "trap",
  "with-kit",
  "practice",
  "jsonl",
]);

function parseArguments(args: readonly string[]) {
  const positional: string[] = [];
  const flags = new Map<string, string>();
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (!arg.startsWith("--")) {
      positional.push(arg);
      continue;
    }
    const [name, inline] = arg.slice(2).split("=", 2) as [string, string | undefined];
    if (PLAIN_FLAGS.has(name)) {
      if (inline !== undefined) throw new Usage(`--${name} takes no value; leave it out to say no`);
      flags.set(name, "");
    } else if (VALUE_FLAGS.has(name)) {
      const value = inline ?? args[++i];
      if (value === undefined) throw new Usage(`--${name} wants a value`);
      flags.set(name, value);
    } else throw new Usage(`no option '--${name}'`);
  }
  return { positional, flags };
}

function only(positional: readonly string[]): string {
  if (positional.length !== 1) throw new Usage(`one file is wanted, ${positional.length} given`);
  return positional[0]!;
}

function readText(path: string, io: Io): string {
  return path === "-" ? io.stdin() : fileText(path);
}

const readJson = (path: string, io: Io): unknown => jsonOf(path, readText(path, io));

const readAudit = (path: string, io: Io): AuditFile => auditFileOf(path, readJson(path, io));
const readPrices = (path: string, io: Io): PriceBook =>
  inFile(
    path,
    extname(path).toLowerCase() === ".csv"
      ? parsePriceCsv(readText(path, io), (id) => CATALOGUE.types.has(id))
      : parsePriceBook(readJson(path, io)),
  );
