import type { RequestHandler } from "@sveltejs/kit";
import { answeredIn, refuse } from "$lib/server/api.ts";

export const POST = answeredIn("plan-check", "plan");
export const fallback: RequestHandler = () => refuse(405, "POST an audit file and a question");
