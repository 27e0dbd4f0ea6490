import type { Problem } from "../core/model/problem.ts";
import { problemText } from "./problems.ts";
import { day } from "./display.ts";

export const scanRefused = (p: Problem): string => `Not taken: ${p.where} ${problemText(p)}.`;
export const scanOfAnother = (knownAs: string, onTheBench: string): string =>
  `Not taken: this code is known as ${knownAs}, and the item on the bench is ${onTheBench}.`;
export function scannedText(expires: string | undefined, lot: string | undefined): string {
  const found = [expires && `good to ${day(expires)}`, lot && `lot ${lot}`].filter(Boolean);
  return `Scanned: ${found.join(", ") || "no date or lot in it"}.`;
}
export const tooManyOnCard = (p: Problem): string =>
  `The ${p.where} ${problemText(p)}. The lines are as they were.`;
