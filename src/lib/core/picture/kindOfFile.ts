/** What a file is by its first bytes, whatever its name says. */

const ascii = (bytes: Uint8Array, from: number, to: number) =>
  String.fromCharCode(...bytes.subarray(from, to));

/** PNG, JPEG or WebP. */
export const isPicture = (head: Uint8Array): boolean =>
  (head[0] === 0x89 && ascii(head, 1, 4) === "PNG") ||
  (head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff) ||
  (ascii(head, 0, 4) === "RIFF" && ascii(head, 8, 12) === "WEBP");

export const isPdf = (head: Uint8Array): boolean => ascii(head, 0, 5) === "%PDF-";

/** A phone's own format, which few programs open. */
export const isHeic = (head: Uint8Array): boolean =>
  ascii(head, 4, 8) === "ftyp" && /^(?:hei[cxms]|hev[cx]|mif1|msf1)/.test(ascii(head, 8, 12));
