import { SheetProblem, sheetText } from "../sheets/sheetText.ts";
import type { SheetSays } from "./protocol.ts";
import { serve } from "./serve.ts";

serve<ArrayBuffer, SheetSays>(async (bytes, say) => {
  try {
    say({ is: "text", text: await sheetText(new Uint8Array(bytes)) });
  } catch (error) {
    if (!(error instanceof SheetProblem)) throw error;
    say({ is: "problem", why: error.message });
  }
});
