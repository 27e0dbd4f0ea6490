import { segmentsOf } from "/work/main/src/lib/core/card/segments.ts";
import { cardRows } from "/work/main/src/lib/core/card/layout.ts";
import { vocabularyOf } from "/work/main/src/lib/core/card/vocabulary.ts";
import { CATALOGUE } from "/work/main/src/lib/data/catalogue.ts";
const v = vocabularyOf(CATALOGUE);
for (const t of ["chalk – no, that is not first aid","Ear drops – not ours, crew cabin","WARNING TRIANGLE ×1, HI-VIS ×2","vendas / bandages 5 cm x 4 m", "then plasters, a box, make that thirty five I think"]) { console.log(t); for (const s of segmentsOf(t,v)) console.log("   ",s.text,"|",s.match.type,s.match.weight,s.absent,s.corrects, s.reading.pieces, "|", s.reading.noun);}
