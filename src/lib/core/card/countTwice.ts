import { quick } from "./quick.ts";

/** "4 Dreiecktücher / 4 triangular bandages": the same in two languages, counted in each. */

const UNIT =
  "(?:pairs?|prs?|paar|paires?|pares|paia|par|rolls?|rollen|rouleaux|rollos|pcs|pieces|stk\\.?|stück|st\\.?|pièces?|pz\\.?|uds?\\.?)";
const TWICE = quick(
  new RegExp(
    `^(?<counted>(?<count>\\d{1,4})\\s*(?:[x×]\\s*)?(?:${UNIT}\\s+(?:(?:of|de|di)\\s+|d['’]\\s*)?)?)(?<one>\\p{L}.*?)\\s+[/|]\\s+(?<again>\\d{1,4})\\s*(?:[x×]\\s*)?(?:${UNIT}\\s+(?:(?:of|de|di)\\s+|d['’]\\s*)?)?(?<other>\\p{L}[^/|]*)$`,
    "iu",
  ),
);

/**
 * Such a line once, by the name that is known; itself where both sides name things of two kinds.
 * @param typeOf the type that a text names; null: none
 */
export function countedOnce(text: string, typeOf: (text: string) => string | null): string {
  const found = TWICE.exec(text.trim())?.groups;
  if (!found || found["count"] !== found["again"]) return text;
  const [one, other] = [typeOf(found["one"]!), typeOf(found["other"]!)];
  if (one !== null && other !== null && one !== other) return text;
  return `${found["counted"]!}${one === null && other !== null ? found["other"]! : found["one"]!}`;
}
