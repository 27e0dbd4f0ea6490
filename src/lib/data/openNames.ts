import type { OpenName } from "../core/catalogue/openName.ts";

/**
 * Names that leave the kind open. Of each the kinds that a kit may hold, the least first, with how one
 * tells it in the hand: what the reviewer looks and feels for, no more.
 */
export const OPEN_NAMES: readonly OpenName[] = [
  {
    id: "tourniquet",
    ask: "Which tourniquet is it?",
    words: ["tourniquet", "tq", "limb", "medical"],
    madeBy: true,
    kinds: [
      [
        "phlebotomy-strap",
        "thin rubber or a buckle strap under 3 cm wide: for drawing blood, stops no limb",
      ],
      [
        "stretch-wrap-tourniquet",
        "a long flat rubber band, wound round and tucked in; no rod, no buckle",
      ],
      ["elastic-loop-tourniquet", "an elastic loop or cord with a clip that grips it"],
      ["ratchet-tourniquet", "a wide strap with a toothed buckle that clicks tight"],
      ["windlass-tourniquet", "a strap about 4 cm wide with a rod to twist and a clip to lock it"],
    ],
  },
  {
    id: "gloves",
    ask: "Which gloves are they?",
    words: [
      "glove",
      "disposable",
      "examination",
      "exam",
      "medical",
      "single",
      "pair",
      "protective",
    ],
    kinds: [
      ["disposable-gloves", "cannot be told: nothing printed, wrapper gone"],
      ["vinyl-gloves", "loose and clear or milky, does not spring back, no snap"],
      ["latex-gloves", "cream coloured, very stretchy, smells of rubber; some people react to it"],
      ["nitrile-gloves", "mostly blue, purple or black; snaps back, no smell of rubber"],
    ],
  },
  {
    id: "chest-seal",
    ask: "Which chest seal is it?",
    words: ["chest", "seal", "chestseal"],
    madeBy: true,
    kinds: [
      ["plain-chest-seal", "a smooth sticky sheet, no valve or channels in it"],
      ["vented-chest-seal", "a valve, or channels that run from its middle to the edge"],
    ],
  },
  {
    id: "tweezers",
    ask: "Which tweezers are they?",
    words: ["tweezer", "pair", "forceps"],
    tells: ["fine", "pointed"],
    kinds: [
      ["tweezers-plastic", "plastic, or metal tips that slip past each other when pressed"],
      ["tweezers-fine", "metal, fine tips that meet and hold a hair"],
    ],
  },
  {
    id: "antiseptic",
    ask: "Which antiseptic is it?",
    words: ["antiseptic", "disinfectant"],
    kinds: [
      ["antiseptic-wipe", "a moist wipe in a paper or foil sachet"],
      ["antiseptic-cream", "a tube"],
      ["antiseptic-bottle", "a bottle or spray"],
      ["iodine-solution", "a bottle, brown, says iodine"],
    ],
  },
  {
    id: "dressing",
    ask: "Which dressing is it?",
    words: ["dressing", "sterile", "wound", "first", "aid"],
    kinds: [
      ["gauze-pad", "a flat gauze pad alone in its wrapper"],
      ["non-adherent-pad", "a pad with a shiny or coated side"],
      ["adhesive-large", "a pad with a sticky edge all round"],
      ["bandaged-dressing", "a pad sewn on a bandage, rolled up"],
      ["pressure-bandage", "a pad on an elastic bandage with a bar or clip to pull against"],
    ],
  },
  {
    id: "finger-dressing",
    ask: "Which finger dressing is it?",
    words: ["finger", "dressing"],
    kinds: [
      ["tubular-bandage", "a tube of gauze or rubber that is rolled over the finger"],
      ["adhesive-knuckle", "a plaster cut to sit round a fingertip or a knuckle"],
      ["bandaged-dressing", "a small pad sewn on a bandage, rolled up in a sealed wrapper"],
    ],
  },
  {
    id: "razor",
    ask: "Which razor is it?",
    words: ["razor"],
    kinds: [
      ["razor-comb", "a shaver with a handle: takes hair off, cuts nothing else"],
      ["scalpel", "a bare blade, in foil or paper"],
    ],
  },
  {
    id: "bandage",
    ask: "Which bandage is it?",
    words: ["bandage", "roll", "rolled"],
    kinds: [
      ["roller-bandage", "thin and loosely woven, stretches a little or not at all"],
      ["elastic-bandage", "thick and stretchy, springs back"],
      ["cohesive-wrap", "sticks to itself, not to skin"],
      ["triangular-bandage", "a folded cloth with three corners"],
    ],
  },
  {
    id: "foil-bag",
    ask: "Which foil bag is it?",
    words: ["foil", "bag"],
    kinds: [
      ["waste-bag", "as large as a sheet of paper: for waste, or to be sick in"],
      ["insulated-bag", "large enough to lie in: keeps a person warm"],
    ],
  },
  {
    id: "splint",
    ask: "Which splint is it?",
    words: ["splint"],
    kinds: [
      ["finger-splint", "as long as a finger"],
      ["rigid-splint", "stiff, keeps its shape"],
      ["mouldable-splint", "soft foam with metal inside, bends and stays"],
    ],
  },
];
