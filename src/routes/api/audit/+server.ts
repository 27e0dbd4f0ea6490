import { CATALOGUE } from "$lib/data/catalogue.ts";
import { json, type RequestHandler } from "@sveltejs/kit";
import { audit } from "$lib/core/audit/audit.ts";
import { kitToday } from "$lib/core/events/kitOnDay.ts";
import { parseAudit } from "$lib/core/formats/auditFile.ts";
import { auditPrinted } from "$lib/report/auditPrinted.ts";
import { refuse, serverToday, withJson } from "$lib/server/api.ts";

/** Lines of one audit over the network: with all unchecked, each line is tried alone. */
const MOST_LINES = 1000;

/** An audit file in, its result out. */
export const POST: RequestHandler = ({ request }) =>
  withJson(request, (body) => {
    const file = parseAudit(body, CATALOGUE);
    if (!file.ok) return refuse(422, "this is not a right audit file", file.problems);
    if (file.value.kit.lines.length > MOST_LINES)
      return refuse(422, "this kit is too long for one request", [
        {
          where: "kit.lines",
          what: `has ${file.value.kit.lines.length} lines; at most ${MOST_LINES}`,
        },
      ]);
    const today = serverToday();
    return json(auditPrinted(audit(kitToday(file.value, today, CATALOGUE), today, CATALOGUE)));
  });
export const fallback: RequestHandler = () => refuse(405, "POST an audit file");
