import type { RequestHandler } from "@sveltejs/kit";
import { answered, refuse } from "$lib/server/api.ts";

export const POST = answered("audit");
export const fallback: RequestHandler = () => refuse(405, "POST an audit file");
