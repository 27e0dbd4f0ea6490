import { withoutAccents } from "./words.ts";

/** Headings over numbers in other languages: how many there are, and how many there should be, were, or are to come. */

/** A count, which says neither: "Qté réelle", "Cantidad mínima". */
const COUNT =
  /^(?:qte|quantites?|nombre|nb|nbre|menge|anzahl|stuck|stk|bestand|cantidad|cant|numero|stock|existencias|quantita|nr|aantal|voorraad|quantidade|qtde?|antal|antall|st|beholdning|maara|kpl|ilosc|szt|stan|pocet|ks)$/;
/** Of what is there: German, French, Spanish, Italian, Dutch, Portuguese, Swedish and its neighbours, Finnish, Polish, Czech. */
const HELD = new RegExp(
  `^(?:${[
    "ist|istbestand|vorhanden|vorgefunden|tatsachlich|gezahlt|aktuell",
    "reel(?:le)?s?|presente?s?|constatee?s?|restante?s?|trouvee?s?|actuel(?:le)?s?|comptee?s?|inventoriee?s?",
    "real|reales|existentes?|hay|actual|encontrad[oa]s?|disponibles?|contad[oa]s?",
    "presenti|effettiv[oaei]|trovat[oaei]|giacenza|attuale|rilevat[oaei]",
    "aanwezig|werkelijk|geteld|gevonden|huidig",
    "existente|atual|disponivel|encontrad[oa]|contad[oa]",
    "finns|faktiskt?|raknat|saldo|findes|optalt|finnes|opptalt|nuværende",
    "laskettu|nykyinen|jest|rzeczywist[aey]|obecn[aey]|skutecn[aye]|aktualni",
  ].join("|")})$`,
);
/** Of what should be there, was, or is to come. */
const MEANT = new RegExp(
  `^(?:${[
    "soll|sollbestand|mindest(?:ens|bestand|menge)?|min|minimum|max|maximum|norm|vorgeschrieben|benotigt|erforderlich|geplant|vorgabe|bestellt|notig",
    "prevue?s?|requise?s?|theoriques?|attendue?s?|minimale?s?|mini|reglementaires?|initiale?s?|obligatoires?|dotation|demandee?s?|commandee?s?|voulue?s?",
    "minim[oa]s?|requerid[oa]s?|deb(?:e|en|eria|ido)|previst[oa]s?|exigid[oa]s?|necesari[oa]s?|teoric[oa]s?|pedid[oa]s?|ideal",
    "previst[ei]|richiest[oaei]|necessari[oaei]|dovut[oaei]|obbligatori[oae]?|ordinat[oaei]",
    "gewenst|vereist|verplicht|minimaal|benodigd|nodig|voorgeschreven|besteld",
    "devid[oa]|necessari[oa]s?",
    "borvarde|skall?|ska|bor|bør|krav|minst|mindst|bestallt|bestilt",
    "vaaditaan|tarvitaan|vahintaan|tavoite|wymagan[aeoy]|powinno|pozadovan[oaey]",
  ].join("|")})$`,
);

const wordsIn = (heading: string): string[] =>
  withoutAccents(heading.toLowerCase())
    .split(/[^a-zßæø]+/)
    .filter((w) => w !== "");
/** Whether a heading is one such word, with a word for a count beside it or not. */
function says(heading: string, words: RegExp): boolean {
  const all = wordsIn(heading);
  const told = all.filter((w) => !COUNT.test(w));
  return all.length <= MOST_WORDS && told.length === 1 && words.test(told[0]!);
}
/** "Quantité réelle": more words say more. */
const MOST_WORDS = 3;

export const saysHeldAbroad = (heading: string): boolean => says(heading, HELD);
export const saysMeantAbroad = (heading: string): boolean => says(heading, MEANT);
