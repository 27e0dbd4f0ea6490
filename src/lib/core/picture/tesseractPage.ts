import type { SeenPage } from "./seen.ts";

/** The part of a recogniser's answer that is used: blocks, paragraphs, lines, words with boxes. */
export interface Recognised {
  readonly blocks:
    | readonly {
        readonly paragraphs: readonly {
          readonly lines: readonly {
            readonly words: readonly {
              readonly text: string;
              /** 0–100. */
              readonly confidence: number;
              readonly bbox: { x0: number; y0: number; x1: number; y1: number };
            }[];
          }[];
        }[];
      }[]
    | null;
}

/** Marks that a recogniser sees in rules, dirt and edges, and that say nothing. */
const NO_WORD = /^[|_~—–\-=.,:;'`‘’“«»°*\\/()[\]{}<>]+$/;
/** Dot leaders: dots, or the round letters that dots are taken for, of which it is never sure. */
const isLeader = (text: string, confidence: number): boolean =>
  /^\.{2,}/.test(text) || (confidence < LEADER_BELOW && /^[covieunslat.,]{2,}$/i.test(text));
const LEADER_BELOW = 0.2;

/** Stands before a thing in a list. */
const BULLET = /^[-–•*+]$/;
const isText = ({ text, confidence }: { readonly text: string; readonly confidence: number }) =>
  text.trim() !== "" && !NO_WORD.test(text.trim()) && !isLeader(text.trim(), confidence / 100);

/** The words of a recognised picture; rules of tables and dirt are left out. */
export const seenPage = (
  { blocks }: Recognised,
  size: { readonly width: number; readonly height: number },
): SeenPage => ({
  ...size,
  words: (blocks ?? [])
    .flatMap((b) => b.paragraphs.flatMap((p) => p.lines))
    .flatMap((l) =>
      l.words.filter((w, i) => (i === 0 && BULLET.test(w.text.trim()) ? true : isText(w))),
    )
    .map((w) => ({ text: w.text.trim(), confidence: w.confidence / 100, box: { ...w.bbox } })),
});
