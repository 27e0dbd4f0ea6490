import { z } from "zod";

/**
 * A strict object whose fields are made when it is first asked: the model has some fifty schemas of many
 * fields, and a first page that reads no record yet need not wait for them (a fifth of its script's time).
 */
export const strictObject = <S extends z.core.$ZodLooseShape>(
  fields: () => S,
): z.ZodObject<S, z.core.$strict> =>
  new z.ZodObject({
    type: "object",
    get shape() {
      const shape = fields();
      Object.defineProperty(this, "shape", { value: shape });
      return shape;
    },
    catchall: z.never(),
  }) as z.ZodObject<S, z.core.$strict>;
