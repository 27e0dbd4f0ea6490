import { closeSync, openSync, readSync, statSync, writeFileSync } from "node:fs";
import { LARGEST_FILE_MB, MB } from "../lib/core/formats/importFile.ts";
import type { Outcome, Problem } from "../lib/core/model/problem.ts";
import { told, type Told } from "../lib/words/problems.ts";

/** The command was called wrongly. */
export class Usage extends Error {}
/** A file or value that was given is not right. */
export class BadInput extends Error {
  constructor(readonly problems: readonly (Problem | Told)[]) {
    super("bad input");
  }
}

/** Bytes of a file that are read; one that does not end, like a device, is given up there. */
const MOST_BYTES = LARGEST_FILE_MB * MB;

function bytesOf(path: string, most: number): Buffer {
  let file: number;
  try {
    if (statSync(path).isDirectory())
      throw new BadInput([{ where: path, what: "is a folder: name a file" }]);
    file = openSync(path, "r");
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput([{ where: path, what: `cannot be read: ${reasonOf(error)}` }]);
  }
  try {
    const chunks: Buffer[] = [];
    let size = 0;
    while (size < most) {
      const chunk = Buffer.alloc(Math.min(MB, most - size));
      const read = readSync(file, chunk, 0, chunk.length, null);
      if (read === 0) break;
      chunks.push(chunk.subarray(0, read));
      size += read;
    }
    return Buffer.concat(chunks);
  } catch (error) {
    throw new BadInput([{ where: path, what: `cannot be read: ${reasonOf(error)}` }]);
  } finally {
    closeSync(file);
  }
}

/** All of a file. */
export function fileBytes(path: string): Buffer {
  const bytes = bytesOf(path, MOST_BYTES + 1);
  if (bytes.length > MOST_BYTES)
    throw new BadInput([
      { where: path, what: `is over ${LARGEST_FILE_MB} MB: no file of ours is so large` },
    ]);
  return bytes;
}
export const fileText = (path: string): string => fileBytes(path).toString("utf8");

/** JSON of a text that came from `path`. */
export function jsonOf(path: string, text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch (error) {
    throw new BadInput([
      {
        where: path,
        what: `is not whole JSON (${(error as Error).message}): the file may be cut short`,
      },
    ]);
  }
}

/** What was read of a file; what is wrong names the file. */
export function inFile<T>(path: string, outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new BadInput(
    outcome.problems
      .map(told)
      .map((p) => ({ where: `${path}${p.where ? `, ${p.where}` : ""}`, what: p.what })),
  );
}

/** The first bytes of a file, which tell its kind; null: it cannot be read. */
export function headOf(path: string): Uint8Array | null {
  try {
    return bytesOf(path, 16);
  } catch {
    return null;
  }
}

/** Writes a file, or says why it cannot be. */
export function written(path: string, data: string | Uint8Array): void {
  try {
    writeFileSync(path, data);
  } catch (error) {
    throw new BadInput([{ where: path, what: `cannot be written: ${reasonOf(error)}` }]);
  }
}

const REASONS: Readonly<Record<string, string>> = {
  ENOENT: "there is no such file or folder",
  EACCES: "you may not open it",
  EISDIR: "it is a folder",
  ENOTDIR: "a part of the path is no folder",
  EROFS: "nothing may be written there",
  ENOSPC: "the disk is full",
};
const reasonOf = (error: unknown): string => {
  const { code, message } = error as NodeJS.ErrnoException;
  return REASONS[code ?? ""] ?? message.split("\n")[0]!;
};

/** What the command line reads and writes besides files. */
export interface Io {
  readonly stdin: () => string;
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}
