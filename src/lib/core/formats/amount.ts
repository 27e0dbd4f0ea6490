/**
 * A number as price lists write it: `3.35`, `3,35`, `1,234.50`, `1.234,50`, `1 234,50`, with a currency
 * before or after. null: it is none, or may be meant two ways: `1,234` is a thousand to one and a coin to
 * another.
 */
export function amountOf(text: string): number | null {
  const plain = text
    .trim()
    .replace(/^(?:[A-Z]{3}|[€$£¥])\s*|\s*(?:[A-Z]{3}|[€$£¥])$/g, "")
    .replace(/(?<=\d)[\u00a0\u202f '’](?=\d{3}(?!\d))/g, "");
  if (/^-?\d+(?:\.\d+)?$/.test(plain)) return Number(plain);
  if (/^-?\d+,\d+$/.test(plain))
    return /,\d{3}$/.test(plain) ? null : Number(plain.replace(",", "."));
  if (/^-?\d{1,3}(?:,\d{3})+\.\d+$/.test(plain)) return Number(plain.replaceAll(",", ""));
  if (/^-?\d{1,3}(?:\.\d{3})+,\d+$/.test(plain))
    return Number(plain.replaceAll(".", "").replace(",", "."));
  return null;
}
