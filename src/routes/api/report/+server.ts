import { CATALOGUE } from "$lib/data/catalogue.ts";
import { type RequestHandler } from "@sveltejs/kit";
import { z } from "zod";
import { audit } from "$lib/core/audit/audit.ts";
import { kitToday } from "$lib/core/events/kitOnDay.ts";
import { parseAudit } from "$lib/core/formats/auditFile.ts";
import { zodProblems } from "$lib/core/model/problem.ts";
import { logBlocks } from "$lib/report/logBlocks.ts";
import { kitReport } from "$lib/report/kitReport.ts";
import { toHtml } from "$lib/report/toHtml.ts";
import { toMarkdown } from "$lib/report/toMarkdown.ts";
import { toPdf } from "$lib/report/toPdf.ts";
import { refuse, serverToday, withJson } from "$lib/server/api.ts";
import { makePdf } from "$lib/report/nodePdf.ts";

const formSchema = z.object({ to: z.enum(["pdf", "html", "md"]).default("pdf") });
/** A report of more lines is not read by anyone, and would hold the server. */
const MOST_LINES = 1000;

/** `{ audit, to?: "pdf" | "html" | "md" }` in, the report out; the plan is asked for at /api/plan. */
export const POST: RequestHandler = ({ request }) =>
  withJson(request, async (body) => {
    const { audit: given, ...rest } = (body ?? {}) as Record<string, unknown>;
    const form = formSchema.safeParse(rest);
    if (!form.success) return refuse(422, "the form is not right", zodProblems(form.error));
    const file = parseAudit(given, CATALOGUE);
    if (!file.ok)
      return refuse(
        422,
        "this is not a right audit file",
        file.problems.map((p) => ({ ...p, where: `audit.${p.where}` })),
      );
    if (file.value.kit.lines.length > MOST_LINES)
      return refuse(422, "this kit is too long for one request", [
        { where: "audit.kit.lines", what: `at most ${MOST_LINES} lines` },
      ]);
    const today = serverToday();
    const now = kitToday(file.value, today, CATALOGUE);
    const log = logBlocks(file.value, today, CATALOGUE);
    const blocks = kitReport(audit(now, today, CATALOGUE), null, { log }, today);
    const title = file.value.kit.name;
    switch (form.data.to) {
      case "md":
        return new Response(toMarkdown(blocks), {
          headers: { "content-type": "text/markdown; charset=utf-8" },
        });
      case "html":
        return new Response(toHtml(title, blocks), {
          headers: { "content-type": "text/html; charset=utf-8" },
        });
      case "pdf":
        return new Response(new Uint8Array(await makePdf(toPdf(title, blocks))), {
          headers: { "content-type": "application/pdf" },
        });
    }
  });
export const fallback: RequestHandler = () => refuse(405, "POST an audit and a form");
