import { expect } from "chai";
import { remarksAbroad } from "../../src/lib/core/card/remarksAbroad.ts";
import { entriesOf } from "./cardReading.ts";

describe("remarks in other languages", () => {
  for (const [line, said] of [
    ["Pflaster: 40, noch 34 da", "Pflaster: 40 (34 left)"],
    ["Pansements x40 - 6 utilisés, reste 34", "Pansements x40 (34 left)"],
    ["40 Tiritas; usadas 6, quedan 34", "40 Tiritas (34 left)"],
    ["Cerotti (40) – restano 34 pz", "Cerotti (40) (34 left)"],
    ["Pleisters - 40 (nog 34 over)", "Pleisters - 40 (34 left)"],
    ["Plaster: 40, 34 igjen", "Plaster: 40 (34 left)"],
    ["Pensos rápidos: 40, restam 34", "Pensos rápidos: 40 (34 left)"],
    ["Pflaster: 40, 6 verbraucht", "Pflaster: 40 (6 used)"],
    ["Cerotti: 40, mancano due", "Cerotti: 40 (2 missing)"],
    ["Tiritas: 40, 2 caducadas", "Tiritas: 40 (2 expired)"],
    ["Pflaster: 40, in Ordnung", "Pflaster: 40"],
    ["Gaasjes 10x10 cm: op", "Gaasjes 10x10 cm: none"],
    ["Cerotti: usati 6, restano 34", "Cerotti: 34"],
    ["Kompressen: 10, 2 im Sommer benutzt", "Kompressen: 10 (2 used)"],
    ["Gasas: 20 (se usaron 5)", "Gasas: 20 (5 used)"],
    ["Spille da balia: 20, da reintegrare", "Spille da balia: 20"],
    ["Rettungsdecken: 4, eine davon beschädigt", "Rettungsdecken: 4"],
  ] as const)
    it(line, () => expect(remarksAbroad(line)).to.equal(said));

  it("are read: 40 of which 6 went are 34, of which 2 are out of date 40", () => {
    const card = [
      "Mullbinden 6 cm: 40, 6 verbraucht",
      "Dreiecktücher: 4 (davon 2 abgelaufen)",
      "Rettungsdecken: fehlen",
      "Sicherheitsnadeln: 12 - vollständig",
    ].join("\n");
    expect(entriesOf(card)).to.deep.equal([
      "1 roller-bandage 34 [60]",
      "2 triangular-bandage 4 null",
      "4 safety-pin 12 null",
    ]);
  });

  it("in the cells of a table, but not where they head it", () => {
    const heading = "Artikel | Vorhanden | Fehlt";
    expect(remarksAbroad(heading)).to.equal(heading);
    expect(remarksAbroad("Pflaster | 40 | 5 verbraucht")).to.equal("Pflaster | 40 | 5 used");
    expect(remarksAbroad("Scheren | 1 | fehlt")).to.equal("Scheren | 1 | missing");
  });

  it("say nothing without what they are said of", () => {
    for (const line of [
      "noch 3",
      "fehlt",
      "Schere, Pinzette",
      "Plasters: 20, tweezers",
      "1 pen, 10 incident reports",
    ])
      expect(remarksAbroad(line)).to.equal(line);
  });
});
