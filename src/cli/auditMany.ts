import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { auditLine, type AuditTask } from "./auditLine.ts";

/** Fewer files than this are done before a thread has started. */
const WORTH_A_THREAD = 16;

/** A thread does not come with the loader of this one: it takes the same. */
const THREAD = `import(${JSON.stringify(import.meta.resolve("tsx/esm/api"))})
  .then(({ register }) => {
    register();
    return import(${JSON.stringify(new URL("./auditThread.ts", import.meta.url).href)});
  });`;

/**
 * Audits many files, on all cores where they are many, and gives each as a line of JSON in the order of the
 * files. What cannot be read is a line with its problems; the rest goes on.
 * @returns how many were audited
 */
export async function auditMany(
  files: readonly string[],
  when: Pick<AuditTask, "today" | "on">,
  out: (line: string) => void,
  threads = Math.min(availableParallelism(), Math.ceil(files.length / WORTH_A_THREAD)),
): Promise<number> {
  const tasks = files.map((file, at): AuditTask => ({ at, file, ...when }));
  let done = 0;
  if (threads < 2) {
    for (const task of tasks) {
      const { line, ok } = auditLine(task);
      if (ok) done++;
      out(line);
    }
    return done;
  }
  const lines: (string | undefined)[] = [];
  let printed = 0;
  let next = 0;
  const workOff = (): Promise<void> =>
    new Promise((resolve, reject) => {
      const worker = new Worker(THREAD, { eval: true });
      const give = () => {
        const task = tasks[next++];
        if (task) worker.postMessage(task);
        else void worker.terminate().then(() => resolve());
      };
      worker.on("error", reject);
      worker.on("message", ({ at, line, ok }: { at: number; line: string; ok: boolean }) => {
        if (ok) done++;
        lines[at] = line;
        // In the order of the files, each as soon as those before it are there.
        while (lines[printed] !== undefined) {
          out(lines[printed]!);
          lines[printed++] = "";
        }
        give();
      });
      give();
    });
  await Promise.all(Array.from({ length: threads }, workOff));
  return done;
}
