/**
 * What people abroad write behind a thing and its count: how many are left, went, are missing or out of date, that there is none, or that
 * all is well. `#` stands for a number. Each is read only where it is all that is said between two signs.
 */

/** What a remark says, in the words that the reader knows. */
export const REMARKS_ABROAD = {
  left: [
    // German
    "noch #(?: (?:da|übrig|vorhanden|drin))?",
    "nur noch #",
    "davon noch #",
    "(?:es )?(?:sind )?(?:noch )?# (?:sind )?(?:noch )?(?:da|übrig|verblieben|vorhanden)",
    "jetzt(?: nur)?(?: noch)? #",
    "(?:bleiben|verbleiben|rest|restbestand|bestand|verbleib):? #",
    // French
    "(?:il )?(?:n['’])?(?:en )?reste(?:nt)? (?:plus que |encore )?#",
    "(?:encore|plus que) #",
    "# restant(?:e?s)?",
    "maintenant #",
    // Spanish
    "(?:solo |sólo )?(?:quedan?|restan?) (?:solo |sólo )?#",
    "# (?:restantes?|quedan)",
    "(?:ahora|aún|todavía) (?:hay )?#",
    // Italian
    "(?:ne )?(?:restano|rimangono|rimast[iea]|resta|rimane|rimasto) (?:solo )?#",
    "# (?:rimast[iea]|rimasto|rimanenti)",
    "(?:ora|adesso) (?:solo )?#",
    "solo #",
    // Dutch
    "(?:nu )?(?:er (?:is|zijn) )?nog(?: maar)? #(?: (?:over|aanwezig))?",
    "# over",
    "nu #",
    // Norwegian, Danish, Swedish
    "(?:bare |kun |bara |nå |nu )*# (?:igjen|igen|tilbage|kvar|gjenstår)",
    "(?:nå|nu)(?: bare| kun| bara)? #",
    "gjenstår #",
    // Portuguese
    "(?:só )?(?:restam?|sobram?|ficam?) (?:só )?#",
    "(?:agora|só) #",
    // Polish
    "(?:zostało|zostały|pozostało) #",
  ],
  used: [
    "# (?:davon )?(?:wurden? )?(?:verbraucht|benutzt|verwendet|gebraucht|entnommen|weg|raus)",
    "(?:verbraucht|benutzt|entnommen|verwendet):? #",
    "# (?:de )?(?:utilisée?s?|prise?s?|consommée?s?|en moins|partie?s?)",
    "(?:utilisée?s?|prise?s?|consommée?s?):? #",
    "# (?:usad[oa]s?|gastad[oa]s?|utilizad[oa]s?|consumid[oa]s?)",
    "(?:usad[oa]s?|gastad[oa]s?|utilizad[oa]s?):? #",
    "# (?:usat[ieoa]|consumat[ieoa]|utilizzat[ieoa]|adoperat[ieoa])",
    "(?:usat[ieoa]|consumat[ieoa]|utilizzat[ieoa]):? #",
    "# (?:gebruikt|verbruikt|op|weg|eruit)",
    "(?:gebruikt|verbruikt):? #",
    "# (?:brukt|borte|brugt|væk|använda?|borta|tatt ut)",
    "(?:brukt|brugt|använda?):? #",
    "# (?:gast[oa]s?)",
    "(?:zużyt[eoa]|zużyto):? #|# (?:zużyt[eoya]+|zużytych)",
  ],
  missing: [
    "# (?:fehlen|fehlt|fehlend)",
    "(?:es )?(?:fehlt|fehlen) #",
    "# (?:manquante?s?|de manque)",
    "(?:il )?(?:en )?manque(?:nt)? #",
    "(?:faltan?|faltam?|faltando) #",
    "# (?:faltan|faltam|faltantes|em falta)",
    "manca(?:no)? #",
    "# (?:mancanti|mancano)",
    "# (?:ontbreken|ontbreekt|te weinig)",
    "# (?:mangler|saknas|mangles)",
    "(?:brakuje|brak) #",
  ],
  expired: [
    "(?:davon )?# (?:davon )?(?:ist |sind )?(?:abgelaufen|verfallen)",
    "# mit ablauf(?:datum)? [\\d./-]+",
    "(?:dont )?# (?:sont )?périmée?s?",
    "(?:de (?:ellas|ellos|las cuales|los cuales) )?# (?:caducad[oa]s?|vencid[oa]s?)",
    "(?:di cui )?# (?:scadut[ieoa]|in scadenza)",
    "(?:waarvan )?# (?:verlopen|over datum|over de datum)",
    "(?:herav |hvorav )?# (?:utgåtte?|utløpte?|udløbne?|utgångna?|gått ut)",
    "(?:dos quais |das quais )?# (?:fora de (?:prazo|validade)|caducad[oa]s|vencid[oa]s)",
    "# (?:po terminie|przeterminowan[eay]+)",
  ],
  none: [
    "fehlt|fehlen|keine(?:r|s)?(?: mehr)?(?: da)?|leer|nicht (?:da|vorhanden)|aufgebraucht|alle(?:s)? weg|alle|nichts(?: mehr)?(?: da)?|ausgegangen",
    "manque(?:nt)?|manquante?s?|aucune?|vides?|épuisée?s?|il n['’]y en a (?:plus|pas)|plus(?: rien| aucune?)?|rien",
    "faltan?|no hay|no quedan?|ningun[oa]|vací[oa]s?|agotad[oa]s?|sin existencias|ya no hay|nada",
    "manca(?:no)?|esaurit[ieoa]|nessun[oa]?|vuot[ioae]|finit[ieoa]|non (?:c['’]è|ci sono|ce n['’]è|ce ne sono|presente|presenti)(?: più)?|niente",
    "ontbreekt|ontbreken|geen(?: meer)?|leeg|niet aanwezig|is op|zijn op|op|niks(?: meer)?|niets(?: meer)?",
    "mangler|tomt?|ingen(?: igjen)?|brukt opp|opbrugt|saknas|slut|finnes ikke(?: lenger)?|finns inte",
    "faltam?|não (?:há|tem)|nenhum|nenhuma|vazi[oa]s?|em falta|esgotad[oa]s?",
    "brak|nie ma|pust[eya]",
  ],
  there: [
    "in ordnung|i\\.\\s?o\\.|vollständig|neu|ungeöffnet|geprüft|vorhanden|original(?:verpackt)?|unbenutzt|gut|voll",
    "complète?s?|neufs?|neuves?|non ouverte?s?|jamais ouverte?s?|(?:en )?bon état|vérifiée?s?|r\\.?a\\.?s\\.?|fermée?s?|pleine?s?|présente?s?",
    "complet[oa]s?|nuev[oa]s?|sin abrir|bien|revisad[oa]s?|(?:en )?buen estado|cerrad[oa]s?|precintad[oa]s?",
    "complet[ioae]|nuov[ioae]|sigillat[ieoa]|integr[ieoa]|controllat[ieoa]|chius[ieoa]|a posto|presenti?|non apert[ieoa]|mai apert[ieoa]",
    "compleet|nieuw|ongeopend|in orde|aanwezig|gesloten|goed|vol|gecontroleerd",
    "komplett|ny[ee]?|uåpnet|uåbnet|oöppnad|i orden|hel(?:t|e)?|full(?:t|e)?|kontrollert|kontrolleret",
    "nov[oa]s?|a? ?repor|fechad[oa]s?|verificad[oa]s?|selad[oa]s?|em bom estado",
    "nowe?|zamknięte|kompletne",
  ],
} as const;

/**
 * Beginnings of words by which a remark with a number is told, whatever else it says in a few words: "se usaron 5", "2 im Sommer
 * benutzt". None begins an English word that stands beside a count.
 */
export const REMARK_STEMS = {
  used: "verbrauch benutz verwend entnomm genommen rausgenommen gebruik verbruik eruit utilisé consomm enlev gastad gastar gastó usad usar usó usat utilizad utilizat consumat tolt toglie prelevat brukt brugt forbrukt använd uttag retirad",
  left: "übrig verblieb verbleib bleib restant restent restano restan restam quedan quedab queda rimas riman rimang avanz sobra igjen tilbage gjenst",
  expired: "abgelauf verfall périm caduc vencid scadut verlopen utgått utløp udløb utgång",
  /** The thing is there, whatever is said of some. */
  there:
    "offen geöffnet angebroch verbog beschädig nachbestell nachkauf nachgekauf nachfüll ouvert entamé abîmé rachet abiert repon comprar pedir apert danneggi rovinat reintegr ordina ricompra geopend bijbestel beschadig åpnet åbnet ødelagt etterfyll bestill abert",
} as const;
