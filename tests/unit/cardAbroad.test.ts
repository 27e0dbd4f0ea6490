import { expect } from "chai";
import { inEnglish, keyOf } from "../../src/lib/core/card/abroad.ts";
import { linesFromCard } from "../../src/lib/core/card/toLines.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { knowsAny, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const tongues = {
  abroad: vocabulary.abroad,
  knows: (words: string) => knowsAny(words, vocabulary),
};
const english = (line: string) => inEnglish({ text: line, amongForeign: false }, tongues);
const read = (text: string) =>
  readCard(text, vocabulary).entries.map((e) => [e.itemType, e.pieces, e.sizeMm]);

describe("names in other languages", () => {
  it("a name is read by the English one, whatever its accents, capitals and plural", () => {
    expect(english("2 Dreiecktücher")).to.equal("2 triangular bandage");
    expect(english("COMPRESSES STERILES 10x10")).to.equal("sterile gauze pads 10x10");
    expect(english("Vendas elásticas 5 cm: 2")).to.equal("elastic bandage 5 cm: 2");
  });
  it("the longer name wins: a 'venda' alone leaves the kind open", () => {
    expect(english("1 venda triangular")).to.equal("1 triangular bandage");
    expect(english("1 venda")).to.equal("1 bandage");
  });
  it("small words between those of a name may be there or not", () => {
    expect(english("guantes de nitrilo")).to.equal("nitrile gloves");
    expect(english("guante nitrilo")).to.equal("nitrile gloves");
  });
  it("what it is counted in goes with it, and stays where nothing else is abroad", () => {
    expect(english("Gants nitrile M bte 100")).to.equal("nitrile gloves M box 100");
    expect(english("plasters, rol of 5")).to.equal("plasters, rol of 5");
  });
  it("a line that says it in English too stays as it is", () => {
    const line = "Rettungsdecke / rescue blanket – 8";
    expect(english(line)).to.equal(line);
  });
  it("a card in one other language is read like one in English", () => {
    expect(
      read("8 Pflaster\n2 Verbandtücher 60 x 80 cm\n1 Schere 19 cm\n4 Fixierbinden 6 cm x 4 m"),
    ).to.deep.equal([
      ["adhesive-strip", 8, null],
      ["burn-sheet", 2, [600, 800]],
      ["small-scissors", 1, [190]],
      ["roller-bandage", 4, [60, 4000]],
    ]);
  });

  it("in Polish, Swedish and Portuguese too, with what they are counted in", () => {
    expect(read("Plastry z opatrunkiem – 20 szt.\nRękawiczki nitrylowe – 4 pary")).to.deep.equal([
      ["adhesive-strip", 20, null],
      ["nitrile-gloves", 4, null],
    ]);
    expect(read("Första förband: 2 st\nElastisk binda 8 cm: 1 st")).to.deep.equal([
      ["bandaged-dressing", 2, null],
      ["elastic-bandage", 1, [80]],
    ]);
    expect(read("2 ligaduras elásticas 10 cm\n4 pares de luvas de nitrilo")).to.deep.equal([
      ["elastic-bandage", 2, [100]],
      ["nitrile-gloves", 4, null],
    ]);
  });
  it("what is read in English stands with the card's own words, its accents with them", () => {
    const card =
      "Náplasti s polštářkem – 20 ks\nWhistle 1\nPos;Bezeichnung;Ist\n1;Dreieckstücher;2\n2;Kälte-Sofortkompresse, groß;1";
    const { lines } = linesFromCard(readCard(card, vocabulary), NAMED_CATALOGUE);
    expect(lines.map((l) => l.text)).to.deep.equal([
      "Náplasti s polštářkem – 20 ks",
      "Whistle 1",
      "Dreieckstücher",
      "Kälte-Sofortkompresse, groß",
    ]);
  });
  it("a table with its headings in one of them", () =>
    expect(
      read("Nazwa;Ilość;Termin ważności\nGaza jałowa 5 x 5 cm;5;2029-03\nNożyczki;1;"),
    ).to.deep.equal([
      ["gauze-pad", 5, [50, 50]],
      ["small-scissors", 1, null],
    ]));

  it("every English name that stands for others is one that the reader knows", () => {
    const names = NAMED_CATALOGUE.wordsAbroad.flatMap((t) => Object.keys(t.names));
    const unknown = names.filter(
      (name) => read(`whistle, 4 pcs\n${name}, 3 pcs\ncompass, 1 pc`).length !== 3,
    );
    expect(unknown).to.deep.equal([]);
  });
  it("no name abroad stands for two things", () => {
    const stands = new Map<string, string>();
    const two = NAMED_CATALOGUE.wordsAbroad
      .flatMap((t) => [...Object.entries(t.names), ...Object.entries(t.counted)])
      .flatMap(([english, abroad]) =>
        abroad.filter((words) => {
          const before = stands.get(keyOf(words));
          stands.set(keyOf(words), english);
          return before !== undefined && before !== english;
        }),
      );
    expect(two).to.deep.equal([]);
  });
});

describe("sizes without a unit", () => {
  it("what is made in these centimetres and in no such inches is one, and no count of packs", () => {
    expect(read("Gauze swab 20x20\nBurn dressing 10x40, 2\nBurn dressing 10x20")).to.deep.equal([
      ["gauze-pad", 1, [200, 200]],
      ["burn-gel-dressing", 2, [100, 400]],
      ["burn-gel-dressing", 1, [100, 200]],
    ]);
  });
  it("plasters come in packs: twenty of twenty", () => {
    expect(read("Plasters 20x20\nPlasters 20")).to.deep.equal([
      ["adhesive-strip", 400, null],
      ["adhesive-strip", 20, null],
    ]);
  });
});

/** Plasters (P) among other lines of a card in that language: how many each way of writing says there are. */
const LANGUAGES: Readonly<
  Record<
    string,
    { p: string; around: readonly string[]; f: readonly (readonly [string, number])[] }
  >
> = {
  French: {
    p: "Pansements adhésifs",
    around: ["2 couvertures de survie", "1 sifflet", "Triangulaires : 3"],
    f: [
      ["20 P", 20],
      ["P : 20", 20],
      ["P x 20", 20],
      ["P (20)", 20],
      ["vingt P", 20],
      ["une dizaine de P", 10],
      ["une vingtaine de P", 20],
      ["environ 20 P", 20],
      ["2 boîtes de 20 P", 40],
      ["P : 2 boîtes de 20", 40],
      ["P, boîte de 20", 20],
      ["P - 1 boîte de 20", 20],
      ["P 3 sachets de 5", 15],
      ["P : 3 paquets de 5", 15],
      ["P, boîte de 20 (reste 12)", 12],
      ["P : il reste 12", 12],
      ["P : 12 restants", 12],
      ["P, il en reste 12", 12],
      ["P : manquant", 0],
      ["P : à commander", 0],
      ["P : vide", 0],
      ["P : aucun", 0],
      ["P : néant", 0],
      ["pas de P", 0],
      ["P : 20 pcs", 20],
      ["P : 20 pièces", 20],
      ["P : 20 unités", 20],
      ["lot de 20 P", 20],
      ["une boîte de 20 P", 20],
      ["deux boîtes de 20 P", 40],
    ],
  },
  German: {
    p: "Pflaster",
    around: ["2 Rettungsdecken", "1 Pfeife", "Dreiecktücher: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["P (20)", 20],
      ["zwanzig P", 20],
      ["ca. 20 P", 20],
      ["etwa 20 P", 20],
      ["ungefähr 20 P", 20],
      ["20 Stück P", 20],
      ["20 Stk. P", 20],
      ["P 20 St.", 20],
      ["2 Packungen P à 20", 40],
      ["2 Schachteln à 20 P", 40],
      ["P: 2 Schachteln mit 20", 40],
      ["P, 20er-Packung", 20],
      ["P, Schachtel mit 20", 20],
      ["P, noch 12", 12],
      ["P (noch 12 da)", 12],
      ["P: 12 übrig", 12],
      ["P: fehlt", 0],
      ["P: fehlen", 0],
      ["P: leer", 0],
      ["P: keine", 0],
      ["keine P", 0],
      ["P: nachbestellen", 0],
      ["P: aufgebraucht", 0],
      ["P: nicht vorhanden", 0],
      ["zwölf P", 12],
      ["ein Dutzend P", 12],
      ["eine Packung P (20 Stück)", 20],
    ],
  },
  Spanish: {
    p: "Tiritas",
    around: ["2 mantas térmicas", "1 silbato", "Vendas triangulares: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["P (20)", 20],
      ["veinte P", 20],

      ["20 uds P", 20],
      ["P 20 uds.", 20],
      ["P: 20 unidades", 20],
      ["2 cajas de 20 P", 40],
      ["P: 2 cajas de 20", 40],
      ["P, caja de 20", 20],
      ["P: 3 sobres de 5", 15],
      ["3 sobres de 5 P", 15],
      ["P, caja de 20 (quedan 12)", 12],
      ["P: quedan 12", 12],
      ["P, quedan 12", 12],
      ["P: faltan", 0],
      ["P: no hay", 0],
      ["P: ninguna", 0],
      ["no hay P", 0],
      ["P: pedir", 0],
      ["P: agotadas", 0],
      ["una docena de P", 12],
      ["una caja de 20 P", 20],
      ["P: vacío", 0],
      ["doce P", 12],
    ],
  },
  Italian: {
    p: "Cerotti",
    around: ["2 coperte isotermiche", "1 fischietto", "Bende triangolari: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["venti P", 20],
      ["circa 20 P", 20],
      ["P 20 pz", 20],
      ["P: 20 pezzi", 20],
      ["2 scatole da 20 P", 40],
      ["P: 2 scatole da 20", 40],
      ["P, scatola da 20", 20],
      ["P: 3 bustine da 5", 15],
      ["P: ne restano 12", 12],
      ["P, ne rimangono 12", 12],
      ["P: rimasti 12", 12],
      ["P: mancano", 0],
      ["P: finiti", 0],
      ["P: nessuno", 0],
      ["P: da ordinare", 0],
      ["P: esauriti", 0],
      ["una dozzina di P", 12],
      ["una scatola di P (20)", 20],
      ["P: vuoto", 0],
      ["dodici P", 12],
    ],
  },
  Dutch: {
    p: "Pleisters",
    around: ["2 reddingsdekens", "1 fluitje", "Driekante doeken: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["twintig P", 20],
      ["ongeveer 20 P", 20],
      ["ca. 20 P", 20],
      ["20 stuks P", 20],
      ["P 20 st.", 20],
      ["2 doosjes van 20 P", 40],
      ["P: 2 doosjes van 20", 40],
      ["P, doos van 20", 20],
      ["P: 3 zakjes van 5", 15],
      ["P: nog 12", 12],
      ["P: 12 over", 12],
      ["P, nog 12 over", 12],
      ["P: ontbreekt", 0],
      ["P: geen", 0],
      ["geen P", 0],
      ["P: bestellen", 0],
      ["P: leeg", 0],
      ["een dozijn P", 12],
      ["twaalf P", 12],
    ],
  },
  Portuguese: {
    p: "Pensos rápidos",
    around: ["2 mantas térmicas", "1 apito", "Ligaduras triangulares: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["vinte P", 20],
      ["cerca de 20 P", 20],
      ["P 20 un.", 20],
      ["P: 20 unidades", 20],
      ["2 caixas de 20 P", 40],
      ["P: 2 caixas de 20", 40],
      ["P, caixa de 20", 20],
      ["P: restam 12", 12],
      ["P: sobram 12", 12],
      ["P: falta", 0],
      ["P: não há", 0],
      ["P: esgotado", 0],
      ["P: a comprar", 0],
      ["uma dúzia de P", 12],
      ["doze P", 12],
    ],
  },
  Swedish: {
    p: "Plåster",
    around: ["2 räddningsfiltar", "1 visselpipa", "Trekantsdukar: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P x 20", 20],
      ["20 st P", 20],
      ["P 20 st", 20],
      ["tjugo P", 20],
      ["ca 20 P", 20],
      ["2 askar à 20 P", 40],
      ["P: 2 askar à 20", 40],
      ["P, ask med 20", 20],
      ["P: 12 kvar", 12],
      ["P, 12 kvar", 12],
      ["P: saknas", 0],
      ["P: slut", 0],
      ["P: inga", 0],
      ["inga P", 0],
      ["P: beställ", 0],
      ["ett dussin P", 12],
      ["tolv P", 12],
    ],
  },
  Norwegian: {
    p: "Plaster",
    around: ["2 redningstepper", "1 fløyte", "Trekanttørklær: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["20 stk P", 20],
      ["P 20 stk.", 20],
      ["ca. 20 P", 20],
      ["2 esker à 20 P", 40],
      ["P: 2 esker à 20", 40],
      ["P, eske med 20", 20],
      ["P: 12 igjen", 12],
      ["P: mangler", 0],
      ["P: tomt", 0],
      ["P: ingen", 0],
      ["P: bestilles", 0],
      ["tolv P", 12],
    ],
  },
  Polish: {
    p: "Plastry",
    around: ["2 koce ratunkowe", "1 gwizdek", "Chusty trójkątne: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P 20 szt.", 20],
      ["P – 20 sztuk", 20],
      ["ok. 20 P", 20],
      ["2 opakowania po 20 P", 40],
      ["P: 2 opakowania po 20", 40],
      ["P, opakowanie 20 szt.", 20],
      ["P: zostało 12", 12],
      ["P: brak", 0],
      ["P: do kupienia", 0],
      ["brak P", 0],
      ["dwanaście P", 12],
    ],
  },
  Czech: {
    p: "Náplasti",
    around: ["2 izotermické fólie", "1 píšťalka", "Trojcípé šátky: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P 20 ks", 20],
      ["P – 20 kusů", 20],
      ["asi 20 P", 20],
      ["2 krabičky po 20 P", 40],
      ["P: 2 krabičky po 20", 40],
      ["P, balení 20 ks", 20],
      ["P: zbývá 12", 12],
      ["P: chybí", 0],
      ["P: došly", 0],
      ["dvanáct P", 12],
    ],
  },
  Finnish: {
    p: "Laastarit",
    around: ["2 avaruuspeitettä", "1 pilli", "Kolmioliinat: 3"],
    f: [
      ["20 P", 20],
      ["P: 20", 20],
      ["P 20 kpl", 20],
      ["noin 20 P", 20],
      ["P: 2 rasiaa à 20", 40],
      ["P: 12 jäljellä", 12],
      ["P: puuttuu", 0],
      ["P: loppu", 0],
      ["P: ei ole", 0],
    ],
  },
};

describe("counts in other languages", () => {
  for (const [language, { p, around, f }] of Object.entries(LANGUAGES))
    it(language, () => {
      for (const [form, pieces] of f) {
        const name = form.startsWith("P") || language === "German" ? p : p.toLowerCase();
        const line = form.replace(/\bP\b/, name);
        const card = [around[0], around[2], line, around[1]].join("\n");
        const entries = readCard(card, vocabulary).entries.filter((e) => e.source === 3);
        const said = entries.map((e) => [/adhesive/.test(e.itemType ?? ""), e.pieces]);
        expect(said, line).to.deep.equal(pieces === 0 ? [] : [[true, pieces]]);
      }
    });
});
