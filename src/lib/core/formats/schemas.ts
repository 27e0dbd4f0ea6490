import { z } from "zod";
import { auditSchema } from "./auditFile.ts";
import { listFileSchema } from "./listFile.ts";
import { workspaceSchema } from "./workspaceFile.ts";

/** The open formats with a JSON Schema of their own. */
export const SCHEMAS = {
  audit: auditSchema,
  list: listFileSchema,
  workspace: workspaceSchema,
} as const;

/** JSON Schema (2020-12) of a format, generated from what the program itself checks. */
export const jsonSchemaOf = (name: keyof typeof SCHEMAS) =>
  z.toJSONSchema(SCHEMAS[name], { io: "input", unrepresentable: "any" });
