import { BITE_WRAP } from "./biteWrap.ts";
import { BLEEDING_POUCH } from "./bleedingPouch.ts";
import { CLUB_TOUCHLINE } from "./clubTouchline.ts";
import { GROUP_LEADER } from "./groupLeader.ts";
import { HOUSEHOLD } from "./household.ts";
import { PERSONAL_DAY } from "./personalDay.ts";
import { REMOTE_PARTY } from "./remoteParty.ts";
import { SCHOOL_OUTING } from "./schoolOuting.ts";
import type { ShippedList } from "./shippedList.ts";
import { VEHICLE_LOCKER } from "./vehicleLocker.ts";
import { WORKSHOP_CREW } from "./workshopCrew.ts";

/** The reference lists that ship, in the order they are offered. */
export const SHIPPED_LISTS: readonly ShippedList[] = [
  PERSONAL_DAY,
  GROUP_LEADER,
  REMOTE_PARTY,
  BLEEDING_POUCH,
  VEHICLE_LOCKER,
  WORKSHOP_CREW,
  BITE_WRAP,
  CLUB_TOUCHLINE,
  HOUSEHOLD,
  SCHOOL_OUTING,
];
export type { ShippedList };
