import loadHighs from "highs";
import { z } from "zod";
import { audit } from "../core/audit/audit.ts";
import { vocabularyOf } from "../core/card/vocabulary.ts";
import { cardResult, cardTextProblem } from "../core/card/cardText.ts";
import { readCard } from "../core/card/readCard.ts";
import { withQuantities } from "../core/chance/byChance.ts";
import { chanceSection } from "../report/chanceBlocks.ts";
import { kitToday } from "../core/events/kitOnDay.ts";
import { parseAudit } from "../core/formats/auditFile.ts";
import { frontiersResult, planResult } from "../core/formats/planResult.ts";
import { parsePriceBook } from "../core/formats/priceCsv.ts";
import { simulated } from "../core/formats/simulateResult.ts";
import type { AuditFile } from "../core/model/auditFile.ts";
import { SKILLS } from "../core/model/itemType.ts";
import { fail, problem, zodProblems, type Outcome, type Problem } from "../core/model/problem.ts";
import { highsSolver } from "../core/plan/highsSolver.ts";
import { plan } from "../core/plan/plan.ts";
import { QUESTIONS, type PlanQuestion } from "../core/plan/request.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import { NAMED_CATALOGUE } from "../data/namedCatalogue.ts";
import { INCIDENT_KINDS } from "../data/incidents.ts";
import { PRICE_BOOK } from "../data/priceBook.ts";
import { auditPrinted } from "../report/auditPrinted.ts";
import { kitReport } from "../report/kitReport.ts";
import { logBlocks } from "../report/logBlocks.ts";
import { makePdf } from "../report/nodePdf.ts";
import { toHtml } from "../report/toHtml.ts";
import { toMarkdown } from "../report/toMarkdown.ts";
import { pdfSurely } from "../report/pdfSurely.ts";
import { jsonAnswer, ofJson, refusal, type Answer } from "./answer.ts";

/** What the routes that compute answer to a body. They run in a thread (workThread.ts), never on the server's own. */

/** Lines of one kit over the network, and pairs of a line and a need: a thread is held for seconds by more. */
const MOST_LINES = 1000;
const MOST_LINES_BY_NEEDS = 100_000;
/** Outings over the network; the command line has no such bound. */
const MOST_TRIPS = 20_000;
const MOST_PERSON_DAYS = 1000;
const MOST_LINES_PLAYED = 300;

/** Loaded once a thread, when a plan is first asked for. */
let highs: ReturnType<typeof loadHighs> | null = null;

export const answers = {
  /** Text of a card in, entries out. */
  "read-card": (text: string): Answer => {
    const wrong = cardTextProblem(text);
    return wrong
      ? refusal(422, "this is not a card", [wrong])
      : jsonAnswer(cardResult(readCard(text, vocabularyOf(NAMED_CATALOGUE))));
  },

  /** An audit file in, its result out. */
  audit: (text: string, today: string): Answer =>
    ofJson(text, (body) => {
      const file = fileOf(body, "");
      if (!file.ok) return refusal(422, "this is not a right audit file", file.problems);
      return jsonAnswer(
        auditPrinted(audit(kitToday(file.value, today, CATALOGUE), today, CATALOGUE)),
      );
    }),

  /** `{ audit, to?: "pdf" | "html" | "md" }` in, the report out; the plan is asked for at /api/plan. */
  report: async (text: string, today: string): Promise<Answer> =>
    ofJson(text, async (body) => {
      const { audit: given, ...rest } = (body ?? {}) as Record<string, unknown>;
      const form = formSchema.safeParse(rest);
      if (!form.success) return refusal(422, "the form is not right", zodProblems(form.error));
      const file = fileOf(given, "audit.");
      if (!file.ok) return refusal(422, "this is not a right audit file", file.problems);
      const now = kitToday(file.value, today, CATALOGUE);
      const log = logBlocks(file.value, today, CATALOGUE);
      const a = audit(now, today, CATALOGUE);
      // An outing too large for one request is left out of it.
      const chance = isPlayable(now) ? chanceSection(a, today, CATALOGUE, INCIDENT_KINDS) : [];
      const blocks = kitReport(a, null, { log, chance }, today);
      const title = file.value.kit.name;
      switch (form.data.to) {
        case "md":
          return { status: 200, type: "text/markdown; charset=utf-8", body: toMarkdown(blocks) };
        case "html":
          return { status: 200, type: "text/html; charset=utf-8", body: toHtml(title, blocks) };
        case "pdf": {
          const pdf = new Uint8Array(await pdfSurely(title, blocks, makePdf));
          return { status: 200, type: "application/pdf", body: pdf };
        }
      }
    }),

  /** `{ audit, trips?, seed? }`, or an audit file alone, in; whether it will last, out. */
  simulate: (text: string, today: string): Answer =>
    ofJson(text, (body) => {
      const given = (body ?? {}) as Record<string, unknown>;
      const isFile = typeof given["format"] === "string";
      const { audit: asked, ...rest } = isFile ? { audit: given } : given;
      const options = outingsSchema.safeParse(rest);
      if (!options.success)
        return refusal(422, "the question is not right", zodProblems(options.error));
      const file = fileOf(asked, isFile ? "" : "audit.");
      if (!file.ok) return refusal(422, "this is not a right audit file", file.problems);
      if (!isPlayable(file.value))
        return refusal(422, "this outing is too long for one request", [
          {
            where: "brief",
            what: `at most ${MOST_PERSON_DAYS} person-days and ${MOST_LINES_PLAYED} lines; the command line takes more`,
          },
        ]);
      const played = simulated({
        file: kitToday(file.value, today, CATALOGUE),
        today,
        ...options.data,
        book: PRICE_BOOK,
        catalogue: CATALOGUE,
        kinds: INCIDENT_KINDS,
      });
      if (!played.ok) return refusal(422, "these outings cannot be played", played.problems);
      return jsonAnswer(played.value);
    }),

  /**
   * `{ audit, prices?, question?, target?, budget?, massG?, volumeMl?, keep?, exclude?, maxSources?,
   * courses?, timeLimitS?, frontier? }` in; the task of `plan` out, checked, so that what is wrong is
   * said before it waits.
   */
  "plan-check": (text: string, today: string): Answer =>
    ofJson(text, (body) => planTask(body, today)),

  /** The task that `plan-check` gave in, the plan out. */
  plan: async (text: string): Promise<Answer> => {
    const { request: question, withFrontier } = JSON.parse(text) as PlanTask;
    const request = { ...question, catalogue: CATALOGUE };
    highs ??= loadHighs();
    const solver = highsSolver(await highs);
    const result = planResult(plan(request, solver), request);
    return jsonAnswer(
      withFrontier ? { ...result, frontier: frontiersResult(request, solver) } : result,
    );
  },
} satisfies Record<string, (text: string, today: string) => Answer | Promise<Answer>>;

/** Whether an outing is of a size that a thread can be held for. */
const isPlayable = ({ brief, kit }: AuditFile): boolean =>
  kit.lines.length <= MOST_LINES_PLAYED && brief.people * brief.days <= MOST_PERSON_DAYS;

const formSchema = z.object({ to: z.enum(["pdf", "html", "md"]).default("pdf") });

const outingsSchema = z.object({
  trips: z.number().int().min(1).max(MOST_TRIPS).default(10_000),
  seed: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1)
    .default(1),
});

interface PlanTask {
  readonly request: PlanQuestion;
  /** Coverage against budget and mass as well. */
  readonly withFrontier: boolean;
}

const amount = z.number().min(0).max(1e9).nullable().optional();
const planSchema = z.object({
  question: z.enum(QUESTIONS).default("cheapest"),
  target: z.union([z.literal("ready"), z.number().gt(0).max(1)]).default("ready"),
  budget: amount,
  massG: amount,
  volumeMl: amount,
  keep: z.array(z.string()).max(10_000).default([]),
  exclude: z.array(z.string()).max(20_000).default([]),
  maxSources: z.number().int().min(1).max(1000).nullable().optional(),
  courses: z
    .array(z.object({ to: z.enum(SKILLS), price: z.number().min(0).max(1e9) }))
    .max(10)
    .default([]),
  timeLimitS: z.number().gt(0).max(50).optional(),
  frontier: z.boolean().default(false),
});

function planTask(body: unknown, today: string): Answer {
  const { audit, prices, ...rest } = (body ?? {}) as Record<string, unknown>;
  const options = planSchema.safeParse(rest);
  if (!options.success)
    return refusal(422, "the question is not right", zodProblems(options.error));
  const file = fileOf(audit, "audit.");
  if (!file.ok) return refusal(422, "this is not a right audit file", file.problems);
  const book =
    prices === undefined ? ({ ok: true, value: PRICE_BOOK } as const) : parsePriceBook(prices);
  if (!book.ok) return refusal(422, "the price book is not right", book.problems);
  const currency = file.value.kit.price?.currency;
  if (currency !== undefined && currency !== book.value.currency)
    return refusal(422, "the price book is in another currency", [
      {
        where: "audit.kit.price.currency",
        what: `is ${currency}, the price book is in ${book.value.currency}: convert it by your own rate first`,
      },
    ]);
  const { frontier, budget, massG, volumeMl, ...question } = options.data;
  const limits = file.value.brief.limits;
  const task: PlanTask = {
    request: {
      ...question,
      audit: kitToday(file.value, today, CATALOGUE),
      book: book.value,
      limits: {
        budget: budget ?? limits.budget ?? null,
        massG: massG ?? limits.massG ?? null,
        volumeMl: volumeMl ?? limits.volumeMl ?? null,
      },
      today,
    },
    withFrontier: frontier,
  };
  return jsonAnswer(task);
}

/** An audit file of a size that a thread can be held for. */
function fileOf(body: unknown, at: string): Outcome<AuditFile> {
  const file = parseAudit(body, CATALOGUE);
  if (!file.ok) {
    const placed = file.problems.map((p): Problem => ({ ...p, where: `${at}${p.where}` }));
    return fail(placed);
  }
  const { kit, list } = file.value;
  const lines = kit.lines.length;
  if (lines <= MOST_LINES && lines * list.needs.length <= MOST_LINES_BY_NEEDS)
    return { ok: true, value: withQuantities(file.value, CATALOGUE, INCIDENT_KINDS) };
  return fail([
    problem(`${at}kit.lines`, "too-many-for-a-request", {
      ...{ lines, needs: list.needs.length },
      ...{ mostLines: MOST_LINES, mostPairs: MOST_LINES_BY_NEEDS },
    }),
  ]);
}
