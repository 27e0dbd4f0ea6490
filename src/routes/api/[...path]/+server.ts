import type { RequestHandler } from "@sveltejs/kit";
import { refuse } from "$lib/server/api.ts";

/** Any other address under /api, in the one error form. */
export const fallback: RequestHandler = ({ params }) =>
  refuse(404, `there is no route /api/${params["path"] ?? ""}`);
