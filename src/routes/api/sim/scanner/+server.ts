import { json, type RequestHandler } from "@sveltejs/kit";
import { checkDigit, writeGs1 } from "$lib/core/count/gs1.ts";
import { refuse } from "$lib/server/api.ts";

/**
 * What a scanner would type for some invented wrappers: `{ scans: [text] }`. As real ones do, it
 * reads a code twice now and then, and misreads a digit (the check digit tells).
 * `?seed=1&n=5`
 */
export const GET: RequestHandler = ({ url }) => {
  const seed = Number(url.searchParams.get("seed") ?? "1");
  const n = Number(url.searchParams.get("n") ?? "5");
  if (!Number.isInteger(seed) || !Number.isInteger(n) || n < 1 || n > 200)
    return refuse(422, "the simulated scanner wants whole numbers", [
      { where: "query", what: "seed whole, n from 1 to 200" },
    ]);
  const scans: string[] = [];
  for (let i = 0; scans.length < n; i++) {
    const item = (seed * 7 + i * 13) % 40;
    const digits = `0290000${String(item).padStart(6, "0")}`;
    const gtin = `${digits}${checkDigit(digits)}`;
    const month = String(1 + ((seed + i * 5) % 12)).padStart(2, "0");
    const scan = writeGs1(
      {
        gtin,
        expires: `202${7 + (i % 3)}-${month}-28`,
        lot: `LOT${item}`,
        ...(i % 3 === 0 ? { count: 5 } : {}),
      },
      "fnc1",
    );
    // Every seventh has a digit misread, every fifth comes twice.
    scans.push(
      i % 7 === 6 ? scan.replace(/\d(?=\d{8})/, (d) => String((Number(d) + 1) % 10)) : scan,
    );
    if (i % 5 === 4 && scans.length < n) scans.push(scan);
  }
  return json({ scans });
};
