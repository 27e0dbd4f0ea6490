import type { ItemType } from "../model/itemType.ts";

/** What a kit was carried through; `dry` spoils nothing. */
export const CONDITIONS_CARRIED = ["dry", "wet", "dust", "salt", "frost", "heat", "cabin"] as const;
export type CarriedThrough = (typeof CONDITIONS_CARRIED)[number];

/** As another program or a person may have written it: "above 30 °C", "vehicle cabin", "below 0". */
export function conditionNamed(text: string): CarriedThrough | null {
  const t = text.toLowerCase();
  if (/cabin|vehicle|car|van/.test(t)) return "cabin";
  if (/above|hot|heat|over 30/.test(t)) return "heat";
  if (/below|frost|freez|ice/.test(t)) return "frost";
  return CONDITIONS_CARRIED.find((c) => t.includes(c)) ?? null;
}

/**
 * Whether a thing must be looked at again after that. What dries, glues or heals suffers from heat, as in
 * a parked cabin; what is liquid, or runs on a battery, from frost; a sterile wrap or glue from wet;
 * a tool's joint from dust and salt.
 */
export function spoils(through: CarriedThrough, type: ItemType): boolean {
  switch (through) {
    case "dry":
      return false;
    case "heat":
    case "cabin":
      return type.medicine || type.check === "by-touch" || type.check === "elastic";
    case "frost":
      return (
        type.measure === "millilitre" || type.doseMl !== undefined || type.check === "batteries"
      );
    case "wet":
      return type.sterile || type.check === "elastic";
    case "dust":
    case "salt":
      return type.use === "tool";
  }
}
