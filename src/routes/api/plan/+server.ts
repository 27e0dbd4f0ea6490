import { CATALOGUE } from "$lib/data/catalogue.ts";
import { json, type RequestHandler } from "@sveltejs/kit";
import { z } from "zod";
import { SKILLS } from "$lib/core/model/itemType.ts";
import { kitToday } from "$lib/core/events/kitOnDay.ts";
import { parseAudit } from "$lib/core/formats/auditFile.ts";
import { QUESTIONS } from "$lib/core/plan/request.ts";
import { zodProblems } from "$lib/core/model/problem.ts";
import { parsePriceBook } from "$lib/core/formats/priceCsv.ts";
import { PRICE_BOOK } from "$lib/data/priceBook.ts";
import { refuse, serverToday, withJson } from "$lib/server/api.ts";
import { planOffThread } from "$lib/server/planPool.ts";

const amount = z.number().min(0).max(1e9).nullable().optional();
const optionsSchema = z.object({
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

/** `{ audit, prices?, question?, target?, budget?, massG?, volumeMl?, keep?, exclude?, maxSources?,
 * courses?, timeLimitS?, frontier? }` in, the plan out. */
export const POST: RequestHandler = ({ request }) =>
  withJson(request, async (body) => {
    const { audit, prices, ...rest } = (body ?? {}) as Record<string, unknown>;
    const options = optionsSchema.safeParse(rest);
    if (!options.success)
      return refuse(422, "the question is not right", zodProblems(options.error));
    const file = parseAudit(audit, CATALOGUE);
    if (!file.ok)
      return refuse(
        422,
        "this is not a right audit file",
        file.problems.map((p) => ({ ...p, where: `audit.${p.where}` })),
      );
    const book =
      prices === undefined ? ({ ok: true, value: PRICE_BOOK } as const) : parsePriceBook(prices);
    if (!book.ok) return refuse(422, "the price book is not right", book.problems);
    const currency = file.value.kit.price?.currency;
    if (currency !== undefined && currency !== book.value.currency)
      return refuse(422, "the price book is in another currency", [
        {
          where: "audit.kit.price.currency",
          what: `is ${currency}, the price book is in ${book.value.currency}: convert it by your own rate first`,
        },
      ]);
    const o = options.data;
    const limits = file.value.brief.limits;
    const planned = {
      audit: kitToday(file.value, serverToday(), CATALOGUE),
      book: book.value,
      question: o.question,
      target: o.target,
      limits: {
        budget: o.budget ?? limits.budget ?? null,
        massG: o.massG ?? limits.massG ?? null,
        volumeMl: o.volumeMl ?? limits.volumeMl ?? null,
      },
      keep: o.keep,
      exclude: o.exclude,
      maxSources: o.maxSources ?? null,
      courses: o.courses,
      timeLimitS: o.timeLimitS,
      today: serverToday(),
    };
    const answer = await planOffThread({ request: planned, withFrontier: o.frontier });
    if (answer.ok) return json(answer.result);
    const status = answer.why === "failed" ? 500 : 503;
    return refuse(status, answer.message);
  });
export const fallback: RequestHandler = () => refuse(405, "POST an audit file and a question");
