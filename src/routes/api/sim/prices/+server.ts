import { json, type RequestHandler } from "@sveltejs/kit";
import { isDay } from "$lib/core/base/dates.ts";
import { PRICE_BOOK } from "$lib/data/priceBook.ts";
import { refuse, serverToday } from "$lib/server/api.ts";
import { simulatedPrices } from "$lib/server/simulatedPrices.ts";

/** `?day=2026-11-26&seed=1`: a supplier's price list on that day; products by the starter book's ids. */
export const GET: RequestHandler = ({ url }) => {
  const day = url.searchParams.get("day") ?? serverToday();
  const seed = Number(url.searchParams.get("seed") ?? 1);
  if (!isDay(day) || !Number.isInteger(seed))
    return refuse(422, "the day of the price list is not right", [
      { where: "query", what: "day is YYYY-MM-DD, seed a whole number" },
    ]);
  return json(simulatedPrices(PRICE_BOOK, day, seed), { headers: { "cache-control": "no-store" } });
};
