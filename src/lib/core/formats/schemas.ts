import { z } from "zod";
import { auditSchema } from "../model/auditFile.ts";
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
  z.toJSONSchema(SCHEMAS[name], {
    io: "input",
    unrepresentable: "any",
    // Keys that are not named are taken and kept (model/kept.ts).
    override: ({ jsonSchema }) => {
      if (jsonSchema.additionalProperties === false) delete jsonSchema.additionalProperties;
    },
  });
