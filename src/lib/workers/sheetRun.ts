import { WorkerClient } from "./client.ts";
import type { SheetSays } from "./protocol.ts";

/** A spreadsheet that takes longer is not waited for. */
const LONGEST_MS = 20_000;

type Read =
  | { readonly ok: true; readonly text: string }
  | { readonly ok: false; readonly why: string };

/** The text of a spreadsheet, read away from the page. */
export function readSheet(bytes: ArrayBuffer): Promise<Read> {
  return new Promise((done) => {
    const finish = (read: Read) => {
      clearTimeout(timer);
      client.stop();
      done(read);
    };
    const client = new WorkerClient<ArrayBuffer, SheetSays>(
      () => new Worker(new URL("./sheet.worker.ts", import.meta.url), { type: "module" }),
      (said) => {
        if (said.is === "text") finish({ ok: true, text: said.text });
        else if (said.is === "problem") finish({ ok: false, why: said.why });
        else finish({ ok: false, why: `cannot be read as XLSX: ${said.why}` });
      },
    );
    const timer = setTimeout(
      () =>
        finish({
          ok: false,
          why: `took more than ${LONGEST_MS / 1000} s to read: save it as CSV and take that in`,
        }),
      LONGEST_MS,
    );
    client.newRun();
    client.ask(bytes);
  });
}
