import type { ColumnRole } from "./columnRole.ts";
import { withoutAccents } from "./words.ts";

/**
 * Headings of tables in German, French, Spanish, Italian, Dutch, Portuguese, Swedish and its neighbours, Finnish, Polish and Czech.
 */

/**
 * What such a heading heads, by its letters alone: "Q.tà" is `qta`, "Art.-Nr." `artnr`. Headings over numbers that say how many there
 * are or should be stand further down, as more than one word makes them up.
 */
const HEADINGS: Readonly<Record<Exclude<ColumnRole, "packs" | "loose" | "there">, string>> = {
  text:
    "artikel artikelbezeichnung artikelname bezeichnung benennung inhalt material gegenstand produkt beschreibung " +
    "article designation contenu materiel produit libelle objet denomination intitule descriptif " +
    "articulo descripcion contenido producto concepto elemento denominacion nombredelarticulo " +
    "articolo voce descrizione contenuto materiale prodotto oggetto denominazione presidio nome nomearticolo " +
    "omschrijving inhoud materiaal product benaming naam artikelomschrijving " +
    "artigo descricao conteudo produto designacao " +
    "benamning innehall vara beskrivning artikkel innhold varenavn vare betegnelse indhold varetekst " +
    "tuote nimike sisalto tarvike nazwa artykuł zawartosc opis wyrob asortyment nazwaartykułu popis nazev obsah polozka",
  quantity:
    "num numero q existencias incassetta nellacassetta enelbotiquin enbotiquin enlacaja danslatrousse enstock emstock ilager palager imkasten imkoffer inkoffer indoos nakaixa wapteczce stanfaktyczny " +
    "st stan stanobecny aktualnystan antalnu antalidag huidigaantal aantalnu " +
    "anzahl menge stuck stk stckz stuckzahl anz mge bestand stck anzstk " +
    "qte quantite quantites nb nbre quant nbr nombredepieces nbpieces " +
    "cantidad cant unidades uds cdad ctd numerodeunidades numunidades " +
    "conf confezioni scatole pacchi boites paquets cajas paquetes packungen schachteln doosjes qta quantita npezzi nrpezzi numeropezzi pezzi pz nopezzi ndipezzi " +
    "aantal hoeveelheid stuks aant aantalstuks voorraad " +
    "quantidade qtd qtde unidadesexistentes " +
    "antal mangd kvantitet antalst antall kpl maara lukumaara iloscszt ilosc szt sztuk iloscsztuk sztuki liczba pocet ks kusu pocetks mnozstvi",
  size:
    "große grosse groesse maß maße masse mass abmessung abmessungen format taille dimension dimensions dim mesure tailleformat " +
    "tamano medida medidas talla dimensiones misura misure taglia dimensioni formato tagliamisura misurataglia " +
    "maat afmeting afmetingen formaat grootte tamanho dimensao dimensoes " +
    "storlek matt størrelse storrelse mal koko rozmiar wymiar wymiary velikost rozmer",
  unit:
    "ve einheit me verpackungseinheit vpe unite conditionnement unidad unita confezione udm um eenheid verpakking unidade embalagem enhet enhed " +
    "yksikko jednostka jm jednotka mj balenie opakowanie",
  note:
    "bemerkung bemerkungen anmerkung anmerkungen notiz notizen hinweis hinweise kommentar zustand remarque remarques observation observations commentaire commentaires etat " +
    "observaciones notas comentarios estado osservazioni annotazioni stato opmerking opmerkingen notitie notities bijzonderheden staat " +
    "observacoes anmarkning anmarkningar anteckning notering bemærkning merknad huomautus huom huomio uwagi uwaga notatki poznamka poznamky",
  skip:
    // Numbers of the lines.
    "no lfdnr lfd position posnr zeile nro rang ligne fila linea riga volgnr regel linha rad lp poz porc " +
    // What there should be.
    "soll prevu requis debido gewenst previsto exigido borvarde skal wymagane pozadovano norma iloscwymagana skavara vaadittu powinnobyc debehaber " +
    // Codes, lots, days.
    "artikelnr artikelnummer bestellnr bestnr bestellnummer pzn artnr sachnummer ref reference codearticle referencia codigo cod codice codart codicearticolo rif bestelnr kod nrkat indeks katalognr varenr kode symbol " +
    "lot nrlot charge chargennummer chargennr chb chargenbez los losnummer ndelot nlot numerodelot lote nlote lotto nlotto lotton lotnr partij parti batchnr seria nrserii partia sarze eranumero " +
    "ablauf ablaufdatum verfall verfallsdatum verfalldatum haltbar haltbarbis haltbarkeit mhd verwendbarbis gultigbis peremption datelimite datedeperemption autiliseravant utiliseravant dlu validite dateexp datedexpiration " +
    "caducidad vence cad fcaducidad fechacaducidad fechadecaducidad vencimiento scadenza scad datascadenza datadiscadenza scade vervaldatum houdbaartot tht verloopt verloopdatum tenminstehoudbaar tenminstehoudbaartot " +
    "validade val datadevalidade prazo utgangsdatum bastfore utgar hallbartill giltigtill udløb udløbsdato utløp utløpsdato holdbartil vanhenee viimeinenkayttopaiva datawaznosci terminwaznosci waznedo waznosc termin expirace datumexpirace " +
    // Places, prices, checks.
    "ort fach lagerort platz standort lagerplatz schublade emplacement lieu poche rangement endroit tiroir ubicacion lugar bolsillo sitio estante cajon posizione luogo tasca ubicazione scomparto cassetto plaats locatie vak waar plek lade localizacao bolso prateleira gaveta plats ficka hylla placering plassering paikka miejsce lokalizacja kieszen połka misto " +
    "preis eur einzelpreis gesamt gesamtpreis stuckpreis prix pu prixunitaire montant precio importe punit preciounit coste prezzo costo prezzounit prezzounitario prijs bedrag stukprijs preco precounit pris kr kostnad belopp apris hinta cena wartosc zł cenajedn kč " +
    "gepruft kontrolle kontrolliert io verifie controle vu revisado comprobado visto controllato verifica gecontroleerd akkoord gezien verificado conferido kontrollerad sign tarkastettu sprawdzono kontrola",
};
const ROLE_OF = new Map(
  Object.entries(HEADINGS).flatMap(([role, words]) =>
    words.split(" ").map((word) => [word, role as ColumnRole] as const),
  ),
);
const lettersOf = (heading: string): string =>
  withoutAccents(heading.toLowerCase()).replace(/[^\p{L}]+/gu, "");
/** Longer ones are sentences. */
const LONGEST_HEADING = 60;
/** "N.º lote", "Nr serii", "Lotto n.": the number of what else the heading says. */
const NUMBER_OF =
  /^n(?:[.°]|\.?º|o\.?|r\.?|ro\.?|[uú]m\.?|umero)\s+(?:d[ei']\s*)?|\s+n(?:[.°]|\.?º|o\.?|r\.?)$/i;
/** What a heading says in another language, or before a stroke or in brackets in two: "Artikel / Article", "Menge (Stk.)". null: nothing known. */
export function roleAbroad(heading: string): ColumnRole | null {
  if (heading.length > LONGEST_HEADING) return null;
  const before = heading.trim().replace(/\s*[/(].*$/, "");
  const ways = [heading, before, before.replace(NUMBER_OF, "")];
  return ways.map((way) => ROLE_OF.get(lettersOf(way))).find((role) => role !== undefined) ?? null;
}

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
