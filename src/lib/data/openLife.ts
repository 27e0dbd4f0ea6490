/**
 * Months that a tube or bottle may be used once it is open, as commonly printed beside the open-jar
 * sign; what is printed on the thing itself wins. 0: single use, what is left is thrown away.
 */
// prettier-ignore
export const OPEN_MONTHS: Readonly<Record<string, number>> = {
  "saline-ampoule": 0,           // sterile for one use
  eyewash: 0,                    // sterile for one use
  "eye-drops": 1,                // four weeks, as eye drops with preservative
  "antiseptic-bottle": 6,
  "hydrogen-peroxide": 3,        // loses its oxygen
  "antibiotic-ointment": 3,      // tubes; sachets are for one use
  "hydrocortisone-cream": 3,
  "hand-sanitiser": 12,
  "petroleum-jelly": 12,
  sunscreen: 12,
  "lip-balm": 12,
  "liquid-skin": 6,
  "oral-gel": 6,
  "glucose-gel": 0,
  "burn-gel-sachet": 0,
};
