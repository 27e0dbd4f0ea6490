/** The contents cards of the demo, each of an invented maker. */

export const FAMILY_CARD = `HOLLOWBROOK Family & Car First Aid Set, 210-Piece
Super value! Weight only 520 g

Package includes:
- 70pcs Adhesive Bandage 72*19mm
- 30pcs Junior Bandage 38*10mm
- 10pcs Butterfly Strips 45 x 10 mm
- 40pcs Alcohol Prep Pads
- 20pcs Cotton Tip Swabs
- 4pcs Sterile Guaze Pad 5x5cm
- 2pcs PBT Bandage 6cm*4m
- 1pc Non-woven Triangular Bandage 96x96x136cm
- 1 roll Adhesive Tape 1.2cm*4.5m
- 1pc Emergency Blanket 160x210cm
- 1pc Rubber Tourniquet Strap 45*2.5cm
- 1pc CPR Face Shield
- 10pcs Safety Pins
- 1pc Plastic Tweezers
- 1pc Metal Scissors
- 4pcs Vinyl Gloves (2 pairs)
- 10pcs Wooden Tongue Depressor
- 1pc Button Compass
- 1pc Red Nylon Bag
`;

export const CREW_CARD = `TALLOWMERE CREW BOX
Contents card, 118 pieces

WOUNDS
Fabric plasters, 25 x 72 mm (40)
Sterile gauze pads, 10 x 10 cm (10)
Sterile gauze pads, 5 x 5 cm (8)
Non-adherent pads, 7.5 x 10 cm (2)
Conforming bandage, 7.5 cm x 4 m (2)
Wound closure strips, 6 x 75 mm (1 card of 5)
Microporous tape, 2.5 cm x 5 m (1)
Burn gel sachets, 3.5 g (6)
Antiseptic wipes, alcohol-free (10)
Saline ampoules, 20 ml (4)

BLEEDING
Tourniquet strap, rubber (1)
Emergency pressure bandage, 10 cm (1)
Abdominal pad, 12 x 23 cm (1)

TOOLS AND PROTECTION
Nitrile gloves, black, large, 2 pairs
EMT style shears, 18 cm (1)
Plastic tweezers (1)
Triangular bandage, 96 x 96 x 136 cm (2)
Elastic bandage, 7.5 cm x 4.5 m (1)
Foil blanket, 140 x 210 cm (1)
CPR face shield (1)
Instant cold pack (1)
Paracetamol 500 mg, blister of 8 (1)
Cetirizine 10 mg (4 tablets)
First aid leaflet (1)
Whistle (1)
`;

export const POUCH_CARD = `SEDGEWICK SLIM BLEED POUCH

ITEM ............................. QTY
WINDLASS TOURNIQUET .............. 1
COMPRESSED GAUZE, 11.4 CM X 3.7 M  1
EMERGENCY PRESSURE BANDAGE, 6 IN . 1
VENTED CHEST SEALS (2-PACK) ...... 1
NITRILE GLOVES, LARGE (PAIRS) .... 1
TRAUMA SHEARS, 18 CM ............. 1
CASUALTY CARD, WATERPROOF ........ 1
PERMANENT MARKER ................. 1
`;
