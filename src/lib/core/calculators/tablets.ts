import { sumOf, type Calculation, type SumBrief } from "./calculation.ts";

export interface TabletsInput {
  /** Share of the party expected to need them on a day, 0–1. */
  readonly share: number;
  /** Doses a day, at most what the label allows. */
  readonly perDay: number;
  /** The most that the label allows a day. */
  readonly labelMost: number;
}

/**
 * Doses for the share expected to need them: people × days × share × doses a day, never above the
 * label's maximum.
 */
export function tablets(input: TabletsInput, brief: SumBrief): Calculation {
  const perDay = Math.min(input.perDay, input.labelMost);
  return sumOf(
    {
      kind: "tablets",
      function: "pain-relief",
      quantity: { perPersonDay: input.share * perDay },
      steps: [
        { code: "person-days", value: brief.people * brief.days },
        { code: "doses-a-day", value: perDay },
        { code: "doses", value: brief.people * brief.days * input.share * perDay },
      ],
      assumed: [
        { code: "share", value: input.share },
        { code: "label-most", value: input.labelMost },
      ],
    },
    brief,
  );
}
