import type { Gs1 } from "../core/count/gs1.ts";
import type { Line } from "../core/model/kit.ts";
import type { Problem } from "../core/model/problem.ts";
import { problemText } from "./problems.ts";
import { day, number } from "./display.ts";

export const scanRefused = (p: Problem): string => `Not taken: ${p.where} ${problemText(p)}.`;
export const scanOfAnother = (knownAs: string, onTheBench: string): string =>
  `Not taken: this code is known as ${knownAs}, and the item on the bench is ${onTheBench}.`;
export function scannedText(expires: string | undefined, lot: string | undefined): string {
  const found = [expires && `good to ${day(expires)}`, lot && `lot ${lot}`].filter(Boolean);
  return `Scanned: ${found.join(", ") || "no date or lot in it"}.`;
}
/** What a code counted; `name` is what its line is called. */
export function scanTaken(line: Line, name: string, { expires, lot }: Gs1): string {
  if (!line.itemType)
    return "A code not seen before: say what it is on the right, and it is known from now on.";
  return `${name}: ${number(line.counted ?? 0)} counted${expires ? `, to ${day(expires)}` : ""}${lot ? `, lot ${lot}` : ""}.`;
}
export const tooManyOnCard = (p: Problem): string =>
  `The ${p.where} ${problemText(p)}. The lines are as they were.`;
