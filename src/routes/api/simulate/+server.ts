import { json, type RequestHandler } from "@sveltejs/kit";
import { z } from "zod";
import { kitToday } from "$lib/core/events/kitOnDay.ts";
import { parseAudit } from "$lib/core/formats/auditFile.ts";
import { simulated } from "$lib/core/formats/simulateResult.ts";
import { zodProblems } from "$lib/core/model/problem.ts";
import { CATALOGUE } from "$lib/data/catalogue.ts";
import { INCIDENT_KINDS } from "$lib/data/incidents.ts";
import { PRICE_BOOK } from "$lib/data/priceBook.ts";
import { refuse, serverToday, withJson } from "$lib/server/api.ts";

/** More outings, days or lines than this would hold the server; the command line has no such bound. */
const MOST_TRIPS = 20_000;
const MOST_PERSON_DAYS = 1000;
const MOST_LINES = 300;

const optionsSchema = z.object({
  trips: z.number().int().min(1).max(MOST_TRIPS).default(10_000),
  seed: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1)
    .default(1),
});

/** `{ audit, trips?, seed? }`, or an audit file alone, in; whether it will last, out. */
export const POST: RequestHandler = ({ request }) =>
  withJson(request, (body) => {
    const given = (body ?? {}) as Record<string, unknown>;
    const isFile = typeof given["format"] === "string";
    const { audit, ...rest } = isFile ? { audit: given } : given;
    const options = optionsSchema.safeParse(rest);
    if (!options.success)
      return refuse(422, "the question is not right", zodProblems(options.error));
    const file = parseAudit(audit, CATALOGUE);
    if (!file.ok) return refuse(422, "this is not a right audit file", file.problems);
    const { brief, kit } = file.value;
    if (kit.lines.length > MOST_LINES || brief.people * brief.days > MOST_PERSON_DAYS)
      return refuse(422, "this outing is too long for one request", [
        {
          where: "brief",
          what: `at most ${MOST_PERSON_DAYS} person-days and ${MOST_LINES} lines; the command line takes more`,
        },
      ]);
    const today = serverToday();
    const played = simulated({
      file: kitToday(file.value, today, CATALOGUE),
      today,
      ...options.data,
      book: PRICE_BOOK,
      catalogue: CATALOGUE,
      kinds: INCIDENT_KINDS,
    });
    if (!played.ok) return refuse(422, "these outings cannot be played", played.problems);
    return json(played.value);
  });
export const fallback: RequestHandler = () => refuse(405, "POST an audit file");
