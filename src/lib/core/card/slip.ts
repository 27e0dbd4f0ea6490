/**
 * Whether a word is another with one slip of the hand: a letter left out, typed twice, or changed with its neighbour. Its first
 * letter is seldom wrong; without its last it is often another word ("remove", "strikes"), and short for it where it is not.
 */
export function isTypedFor(written: string, meant: string): boolean {
  const longer = written.length - meant.length;
  if (written[0] !== meant[0] || Math.abs(longer) > 1 || written === meant) return false;
  let at = 1;
  while (written[at] === meant[at] && at < meant.length) at++;
  if (longer === -1)
    return LETTER_LEFT.test(meant.slice(at + 1)) && written.slice(at) === meant.slice(at + 1);
  if (longer === 1)
    return written[at] === written[at - 1] && written.slice(at + 1) === meant.slice(at);
  return (
    written[at] === meant[at + 1] &&
    written[at + 1] === meant[at] &&
    written.slice(at + 2) === meant.slice(at + 2)
  );
}

/** What stands behind a letter that was left out: more than an s. */
const LETTER_LEFT = /[^s]/;
