import { BLEEDING_POUCH } from "./bleedingPouch.ts";
import { GROUP_LEADER } from "./groupLeader.ts";
import { PERSONAL_DAY } from "./personalDay.ts";
import type { ShippedList } from "./shippedList.ts";

/** The reference lists that ship, in the order they are offered. */
export const SHIPPED_LISTS: readonly ShippedList[] = [PERSONAL_DAY, GROUP_LEADER, BLEEDING_POUCH];
export type { ShippedList };
