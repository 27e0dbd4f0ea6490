import { parentPort } from "node:worker_threads";
import { auditLine, type AuditTask } from "./auditLine.ts";

/** A thread of `audit FILES… --jsonl`: a file in, its line out. */
parentPort!.on("message", (task: AuditTask) => {
  parentPort!.postMessage({ at: task.at, ...auditLine(task) });
});
