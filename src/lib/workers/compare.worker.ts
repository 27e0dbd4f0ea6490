import { compareKits, compareSchools } from "../core/compare/compareKits.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import type { CompareAsk, CompareSays } from "./protocol.ts";
import { serve } from "./serve.ts";

serve<CompareAsk, CompareSays>(({ contenders, judge, today, book, schools }, say) =>
  say({
    is: "compared",
    rows: compareKits(contenders, judge, today, book, CATALOGUE),
    schools: schools ? compareSchools(contenders, judge, today, CATALOGUE) : null,
  }),
);
