import { isPlainWord } from "./vocabulary.ts";
import { foldedWords } from "./words.ts";

/**
 * Size tells look-alikes apart where the words do not. An ordered table; the first rule that a named kind
 * and its printed size fit tells the kind.
 */

interface Sized {
  /** Words that name the thing. */
  readonly noun: string;
  readonly width: number;
  readonly length: number;
  /** Two measures or more are printed. */
  readonly isArea: boolean;
}
interface SizeRule {
  readonly name: string;
  /** A line, and the kind it is. */
  readonly example: readonly [line: string, itemType: string];
  /** What the words name; null: nothing. */
  readonly named: string | null;
  readonly fits: (s: Sized) => boolean;
  readonly is: string;
}

/** A pad as long as this is a bulky one; squares of gauze end at 20 cm. */
const BULKY_PAD_MM = 210;
/** Nothing that is laid on is as long. */
const ROLL_FROM_MM = 1000;
/** No bandage that is wound on is wider; the short side of a cloth with three corners is 80 cm and more. */
const WIDEST_ROLL_MM = 200;
/** Half an inch. */
const NARROWEST_ROLL_MM = 12;
/** No shaped plaster is as long; what is, and wider than a tape, is cut to length. */
const CUT_FROM_MM = 300;
const WIDER_THAN_TAPE_MM = 30;
/** The widest tape that is called plaster is 2 in, sold as 5 cm. */
const WIDEST_TAPE_MM = 50;
/** A vein strap is at most so wide and long; a tourniquet is wider. */
const STRAP_MM = { width: 30, length: 500 } as const;
/** A strip to wind round a finger: no shaped one is as long. */
const FINGER_STRIP_MM = { width: 25, length: 100 } as const;
/** Plasters from these on cover a graze, up to those below a spot. */
const LARGE_PLASTER_MM = { width: 38, length: 60, below: 500 } as const;
const SMALL_PLASTER_MM = { width: 12, length: 45 } as const;
/** Heavy compression bandages begin at this width. */
const HEAVY_FROM_MM = 100;

/** The widest and the longest plaster that is no large one: 1 x 3 in, 2.5 x 7.5 cm. */
const PLASTER_MM = { width: 26, length: 80 };
const isOnly = (noun: string, word: string): boolean =>
  foldedWords(noun)
    .filter((w) => !isPlainWord(w))
    .join() === word;
const isPad = (noun: string): boolean => /^pads?$/i.test(noun.trim());

export const SIZE_RULES: readonly SizeRule[] = [
  {
    name: "too short and narrow for anything but a vein strap",
    example: ["Tourniquet, 2.5 x 40 cm", "phlebotomy-strap"],
    named: null,
    fits: ({ noun, width, length, isArea }) =>
      /^tourniquets?$/i.test(noun.trim()) &&
      isArea &&
      width <= STRAP_MM.width &&
      length <= STRAP_MM.length,
    is: "phlebotomy-strap",
  },
  {
    name: "a pad as long as a hand",
    example: ["Pads, 5 x 9 in", "abd-pad"],
    named: null,
    fits: ({ noun, length, isArea }) => isPad(noun) && isArea && length >= BULKY_PAD_MM,
    is: "abd-pad",
  },
  {
    name: "a pad",
    example: ["Pads, 10 x 10 cm", "gauze-pad"],
    named: null,
    fits: ({ noun, isArea }) => isPad(noun) && isArea,
    is: "gauze-pad",
  },
  {
    name: "a bandage no larger than a plaster is one, as Americans call it",
    example: ["Bandages, 1 x 3 in", "adhesive-strip"],
    named: null,
    fits: ({ noun, width, length, isArea }) =>
      isOnly(noun, "bandage") && isArea && width <= PLASTER_MM.width && length <= PLASTER_MM.length,
    is: "adhesive-strip",
  },
  {
    name: "a bandage that is wound on: of those the plain one",
    example: ["Bandages, 5 cm x 4 m", "roller-bandage"],
    named: null,
    fits: ({ noun, length, isArea }) =>
      isOnly(noun, "bandage") && (!isArea || length >= ROLL_FROM_MM),
    is: "roller-bandage",
  },
  {
    name: "what has a length and a width is a dressing, not a squeeze of gel",
    example: ["Burn gel, 10 x 10 cm", "burn-gel-dressing"],
    named: "burn-gel-sachet",
    fits: ({ isArea }) => isArea,
    is: "burn-gel-dressing",
  },
  {
    name: "gauze metres long",
    example: ["Sterile gauze pad, 7.5 cm x 4 m", "roller-bandage"],
    named: "gauze-pad",
    fits: ({ length, isArea }) => isArea && length >= ROLL_FROM_MM,
    is: "roller-bandage",
  },
  {
    name: "a cloth metres long is wound on, not folded to three corners",
    example: ["Calico bandage, 5 cm x 5 m", "roller-bandage"],
    named: "triangular-bandage",
    fits: ({ width, length, isArea }) =>
      isArea && width <= WIDEST_ROLL_MM && length >= ROLL_FROM_MM,
    is: "roller-bandage",
  },
  {
    name: "a plaster metres long with 'elastic' on it is a strapping bandage",
    example: ["Elastic plaster, 6 cm x 2.5 m", "elastic-bandage"],
    named: "adhesive-strip",
    fits: ({ noun, length }) => length >= ROLL_FROM_MM && /elastic/i.test(noun),
    is: "elastic-bandage",
  },
  {
    name: "a plaster that is cut to length",
    example: ["Fabric plaster, 6 cm x 1 m", "plaster-strip"],
    named: "adhesive-strip",
    fits: ({ width, length }) => length >= CUT_FROM_MM && width >= WIDER_THAN_TAPE_MM,
    is: "plaster-strip",
  },
  {
    name: "a plaster on a roll that is wider than any tape",
    example: ["Plasters, roll, 6 cm x 1 m", "plaster-strip"],
    named: "medical-tape",
    fits: ({ noun, width, length }) =>
      /\bplasters?\b/i.test(noun) && length >= CUT_FROM_MM && width > WIDEST_TAPE_MM,
    is: "plaster-strip",
  },
  {
    name: "plaster by its width alone is on a roll",
    example: ["Adhesive plaster 3 inch", "medical-tape"],
    named: "adhesive-strip",
    fits: ({ noun, isArea, width }) =>
      !isArea &&
      width >= NARROWEST_ROLL_MM &&
      /^\W*(?:adhesive|sticking)\s+plaster\W*$/i.test(noun),
    is: "medical-tape",
  },
  {
    name: "a dressing by the metre",
    example: ["Wound quick dressing, 6 cm x 1 m", "plaster-strip"],
    named: "bandaged-dressing",
    // Of one on a bandage the bandage is as long.
    fits: ({ noun, width, length }) =>
      /\b(?:quick|adhesive|fabric|elastic)\b/i.test(noun) &&
      length >= ROLL_FROM_MM / 2 &&
      width >= WIDER_THAN_TAPE_MM &&
      width < HEAVY_FROM_MM,
    is: "plaster-strip",
  },
  {
    name: "a plaster metres long and narrow is a tape on its spool",
    example: ["Adhesive plaster, 2.5 cm x 5 m", "medical-tape"],
    named: "adhesive-strip",
    fits: ({ width, length }) => length >= ROLL_FROM_MM && width < WIDER_THAN_TAPE_MM,
    is: "medical-tape",
  },
  {
    name: "a strip to wind round a finger",
    example: ["Fingertip plasters, 2 x 12 cm", "adhesive-strip"],
    named: "adhesive-knuckle",
    fits: ({ width, length, isArea }) =>
      isArea && width <= FINGER_STRIP_MM.width && length >= FINGER_STRIP_MM.length,
    is: "adhesive-strip",
  },
  {
    name: "a plaster that covers a graze",
    example: ["Fabric plasters, 50 x 72 mm", "adhesive-large"],
    named: "adhesive-strip",
    fits: ({ width, length, isArea }) =>
      isArea &&
      width >= LARGE_PLASTER_MM.width &&
      length >= LARGE_PLASTER_MM.length &&
      length < LARGE_PLASTER_MM.below,
    is: "adhesive-large",
  },
  {
    name: "a plaster for a spot",
    example: ["Fabric plasters, 10 x 38 mm", "adhesive-junior"],
    named: "adhesive-strip",
    fits: ({ width, length, isArea }) =>
      isArea && width <= SMALL_PLASTER_MM.width && length <= SMALL_PLASTER_MM.length,
    is: "adhesive-junior",
  },
  {
    name: "compression, and not for a sprain",
    example: ["Compression bandage, 10 cm", "heavy-compression-bandage"],
    named: "elastic-bandage",
    fits: ({ noun, width }) =>
      /compression/i.test(noun) &&
      !/elastic|crepe|crêpe|support|sprain/i.test(noun) &&
      width >= HEAVY_FROM_MM,
    is: "heavy-compression-bandage",
  },
  {
    name: "heavy, and wide",
    example: ["Heavy crepe bandage, 15 cm", "heavy-compression-bandage"],
    named: "elastic-bandage",
    fits: ({ noun, width }) => /heavy/i.test(noun) && width >= HEAVY_FROM_MM,
    is: "heavy-compression-bandage",
  },
];

interface VolumeRule {
  /** A line, and the kind it is. */
  readonly example: readonly [line: string, itemType: string];
  /** What the words name; null: nothing. */
  readonly named: string | null;
  /** The only words, where they name nothing. */
  readonly only?: RegExp;
  /** From this content on, in ml. */
  readonly from: number;
  /** Unless the words say what it comes in. */
  readonly unless: RegExp;
  readonly is: string;
}
/** A pad or a wipe holds a millilitre or two, what is broken open at most 60; what holds more is a bottle. */
const A_BOTTLE_ML = 10;
const AMPOULE_BELOW_ML = 100;
const SEVERAL = /\b(?:pods?|ampoules?|vials?|sachets?|wipes?|pads?|swabs?)\b/i;
export const VOLUME_RULES: readonly VolumeRule[] = [
  {
    example: ["Povidone iodine 100 ml", "iodine-solution"],
    named: "iodine-pad",
    from: A_BOTTLE_ML,
    unless: SEVERAL,
    is: "iodine-solution",
  },
  {
    example: ["Saline, bottle, 250 ml", "saline-spray"],
    named: "saline-ampoule",
    from: AMPOULE_BELOW_ML,
    unless: SEVERAL,
    is: "saline-spray",
  },
  {
    example: ["Isopropyl alcohol 70 %, 500 ml", "alcohol-bottle"],
    named: "alcohol-pad",
    from: A_BOTTLE_ML,
    unless: SEVERAL,
    is: "alcohol-bottle",
  },
  {
    example: ["Alcohol 70 %, 250 ml", "alcohol-bottle"],
    named: null,
    only: /^\W*(?:(?:ethyl|ethanol|isopropanol|isopropyl|denatured|medical|pure)\s+)*(?:alcohol|ethanol|isopropanol)\W*$/i,
    from: A_BOTTLE_ML,
    unless: SEVERAL,
    is: "alcohol-bottle",
  },
];

/** Dressings that stick are laid on one by one; so many without a size are plasters. */
const PLASTERS_FROM = 10;
const ADHESIVE_DRESSINGS = /\badhesive (?:(?:sterile|wound) )?dressings\b/i;
/** The kind that a name, without a size, and how many there are tell together; null: none is named. */
export const kindByCount = (
  named: string | null,
  noun: string,
  pieces: number,
  size: readonly number[] | null,
): string | null =>
  named === "adhesive-large" &&
  size === null &&
  pieces >= PLASTERS_FROM &&
  ADHESIVE_DRESSINGS.test(noun)
    ? "adhesive-strip"
    : named;

const IS_DRESSING = /\bdr(?:e?s{1,2}(?:i?n?g|n)|sn?g)s?\b/i;
const IS_GAUZE = /gauz|gze|swab|pad\b|compress|kompres|adher|stick|burn|eye|film|gel/i;
const BY_LETTER =
  /\b(?:small|sml|medium|med|large|lge?|lrg|x?[sml]|(?:no|nr|n[°º]|size)\.?\s?\d{1,2})\b/i;
/**
 * A sterile dressing that is called small, medium or large, or goes by its number, has its bandage; gauze goes by its measures.
 * @param said the words of its line
 */
export const kindByLetter = (
  named: string | null,
  said: string,
  size: readonly number[] | null,
): string | null =>
  named === "gauze-pad" &&
  size === null &&
  IS_DRESSING.test(said) &&
  !IS_GAUZE.test(said) &&
  BY_LETTER.test(said)
    ? "bandaged-dressing"
    : named;

/** The kind that a name and its printed content in ml tell together; null: none is named. */
export const kindByVolume = (
  named: string | null,
  noun: string,
  volumeMl: number | null,
): string | null =>
  VOLUME_RULES.find(
    (r) =>
      r.named === named &&
      r.only?.test(noun) !== false &&
      volumeMl !== null &&
      volumeMl >= r.from &&
      !r.unless.test(noun),
  )?.is ?? named;

/**
 * The kind that a name and a size tell together.
 * @param named item type that the words name; null: none
 * @param size printed sizes in mm, ascending; null: none
 */
export function kindBySize(
  named: string | null,
  noun: string,
  size: readonly number[] | null,
): string | null {
  if (size === null) return named;
  const sized = { noun, width: size[0]!, length: size.at(-1)!, isArea: size.length > 1 };
  return SIZE_RULES.find((r) => r.named === named && r.fits(sized))?.is ?? named;
}
