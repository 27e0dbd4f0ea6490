import { emptyKitRecord, type KitRecord } from "../core/records/kitRecord.ts";
import { PERSONAL_DAY } from "../data/lists/personalDay.ts";

export { emptyBriefRecord as newBrief } from "../core/records/briefRecord.ts";

/** An empty kit under a brief, against the shortest of the shipped lists. */
export const newKit = (key: string, name: string, briefId: string): KitRecord =>
  emptyKitRecord(key, name, briefId, PERSONAL_DAY);
