import { readFileSync } from "node:fs";
import { runCli } from "./run.ts";

process.exitCode = await runCli(process.argv.slice(2), {
  stdin: () => readFileSync(0, "utf8"),
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
});
