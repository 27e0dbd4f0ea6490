/** Words that stand beside numbers and name no thing: what things come in, and how they are counted. */

export const PACK =
  /^(?:packs?|pac|pks?|pkts?|pkgs?|packages?|bxs?|rls?|btls?|packets?|boxe?s?|cards?|blisters?|strips?|bags?|tubes?|bottles?|tins?|tubs?|pots?|cartons?|sets?|sleeves?|bundles?|wallets?|pouch(?:es)?|sachets?|rolls?|sheets?|shts?|ampoules?|vials?|foils?|envelopes?|envs?|refills?|containers?|jars?|cans?|bunch(?:es)?|cases?|cs|twinpacks?|multipacks?|trays?|dispensers?)$/i;
export const PACK_ONLY =
  /^(?:packs?|pac|pks?|pk|pkt|pkg|package|packet|bx|rl|btl|box|card|blister|strip|bag|carton|set|sleeve|bundle|wallet|tin|tub|tube|bottle|envelope|env|sheet|sht|case|cs|tray|roll|foil|pouch|sachet|st)$/i;
export const COUNT_WORD =
  /^(?:pcs?|pces?|pieces?|stk|stück|ea|each|units?|count|ct|off|nos?|items?|x|qty|quantity|tablets?|tabs?|caps?|capsules?|caplets?|doses?|singles?|of|parts?)$/i;
export const HOLDS_SEVERAL =
  /^(?:packs?|pac|pks?|pkts?|pkgs?|packages?|bxs?|packets?|box(?:es)?|cards?|blisters?|strips?|cartons?|sets?|sleeves?|wallets?|envelopes?|envs?)$/i;
/** What may stand between a number and its pack: "two little bottles". */
export const PACK_SIZE =
  /^(?:little|small|large|big|full|new|unopened|sealed|individual|plastic|spare|whole|twin|double)$/i;
export const PAIR = /^(?:pairs?|prs?|par|paar|paires?|pares|paia)$/i;
export const NOT_A_COUNT_AFTER =
  /^(?:spf|lsf|fps|indice|factor|size|model|type|ref|rev|class|level|ffp|category|cat|part|code|item|lot|page|version|grade|step|section|module|stage|room|bay|gate|desk|plot|flat|floor|house|deck|berth|cabin|dia|diameter|up to|until|from)$/i;
export const QUANTITY_WORD =
  /^(?:qty|quantity|count|amount|number|pcs|pieces|contains|quan|anzahl)$/i;

const BOOKKEEPING: ReadonlySet<string> = new Set(
  "pc pcs pce pces stk stück pkg pkgs pkt pkts bx bxs rl rls btl btls ea each qty quantity pair pairs pr prs x of off per unit units piece pieces pk pks ct no approx the is are there there's theres we i have got has um uh er erm okay ok oh so well now next here's that's some one ones".split(
    " ",
  ),
);
/** What counts and packs are written with, and no name: "pcs", "of", "qty". */
export const isBookkeeping = (w: string): boolean => BOOKKEEPING.has(w.toLowerCase());
