/** Units as tables from abroad write them. */
export const inOurWords = (amount: string): string =>
  amount
    .replace(/(?<=\d\s*)(?:paar|par|paires?|pares|paia)\b/iu, "pairs")
    .replace(/(\d+)\s*(?:dz|doz(?:en)?)\b\.?/iu, (_, n) => `${12 * Number(n)} pcs`)
    .replace(/(?<=\d\s*)(?:stück|pz|pi[eè]ces?|uds?|piezas?|st)\b(?!\/)\.?/iu, "pcs");
