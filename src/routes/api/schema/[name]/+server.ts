import { json, type RequestHandler } from "@sveltejs/kit";
import { jsonSchemaOf, SCHEMAS } from "$lib/core/formats/schemas.ts";
import { refuse } from "$lib/server/api.ts";

export const GET: RequestHandler = ({ params }) =>
  params["name"]! in SCHEMAS
    ? json(jsonSchemaOf(params["name"] as keyof typeof SCHEMAS))
    : refuse(
        404,
        `there is no schema '${params["name"]}'; there are ${Object.keys(SCHEMAS).join(", ")}`,
      );
