/**
 * Money is added up in whole minor units (cents, yen, fils), so that sums are exact. How many digits a
 * currency has after the point is ISO 4217's, as the platform's own tables give it.
 */

const digits = new Map<string, number>();

/** Part of a minor unit that is float noise and not money: a thousandth of a thousandth. */
const NOISE = 1e-6;

/** Digits after the point: 2 for the euro, 0 for the yen, 3 for a dinar. */
function minorDigits(currency: string): number {
  let known = digits.get(currency);
  if (known === undefined) {
    const format = new Intl.NumberFormat("en", { style: "currency", currency });
    known = format.resolvedOptions().maximumFractionDigits ?? 2;
    digits.set(currency, known);
  }
  return known;
}

export const toMinor = (amount: number, currency: string): number =>
  Math.round(amount * 10 ** minorDigits(currency));
export const fromMinor = (units: number, currency: string): number =>
  units / 10 ** minorDigits(currency);
/** To the nearest amount that can be paid. */
export const roundMoney = (amount: number, currency: string): number =>
  fromMinor(toMinor(amount, currency), currency);
/** To the next amount that can be paid, so that what costs `amount` is within it. */
export const roundMoneyUp = (amount: number, currency: string): number =>
  fromMinor(Math.ceil(amount * 10 ** minorDigits(currency) - NOISE), currency);
