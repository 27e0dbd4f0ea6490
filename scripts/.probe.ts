import { readCard } from "/work/main/src/lib/core/card/readCard.ts";
import { vocabularyOf } from "/work/main/src/lib/core/card/vocabulary.ts";
import { CATALOGUE } from "/work/main/src/lib/data/catalogue.ts";
import { readFileSync } from "node:fs";
const v = vocabularyOf(CATALOGUE);
const text = readFileSync(0,"utf8");
for (const e of readCard(text,v).entries) console.log(e.source, e.itemType, e.pieces, JSON.stringify(e.sizeMm), e.confidence.toFixed(2), "|", e.text);
