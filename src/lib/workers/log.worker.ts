import { audit } from "../core/audit/audit.ts";
import { kitToday } from "../core/events/kitOnDay.ts";
import { readinessOf } from "../core/log/readiness.ts";
import { readyToGo } from "../core/log/readyToGo.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import type { LogAsk, LogSays } from "./protocol.ts";
import { serve } from "./serve.ts";

serve<LogAsk, LogSays>(({ file, today }, say) =>
  say({
    is: "log",
    readiness: readinessOf(file, today, CATALOGUE),
    go: readyToGo(audit(kitToday(file, today, CATALOGUE), today, CATALOGUE)),
  }),
);
