import type { RequestHandler } from "@sveltejs/kit";
import { answered, refuse } from "$lib/server/api.ts";

export const POST = answered("read-card");
export const fallback: RequestHandler = () => refuse(405, "POST the text of a card");
