import type { ReferenceList } from "../../core/model/list.ts";

/** A list that ships: what it is for, what it is not, and its version. */
export type ShippedList = ReferenceList & {
  readonly for: string;
  readonly isNot: string;
  readonly version: number;
};
