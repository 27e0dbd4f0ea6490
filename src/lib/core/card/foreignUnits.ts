/** Units as tables from abroad write them. */
export const inOurWords = (amount: string): string =>
  amount
    .replace(/(?<=\d\s*)(?:paar|par|paires?|pares|paia)\b/i, "pairs")
    .replace(/(\d+)\s*(?:dz|doz(?:en)?)\b\.?/i, (_, n) => `${12 * Number(n)} pcs`)
    .replace(/(?<=\d\s*)(?:stück|pz|pi[eè]ces?|uds?|piezas?|st)\b(?!\/)\.?/i, "pcs");
