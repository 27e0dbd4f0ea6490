import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { fromDemo } from "./support/demo.ts";

const SOLVE = { timeout: 60_000 };
// Several plans and a curve are solved in each; a loaded machine takes its time.
test.setTimeout(240_000);
const result = (page: Page) => page.getByTestId("plan-result");
const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);

/** The plan of the small pouch: it is solved in a third of the time that the crew box takes. */
async function openPlan(page: Page): Promise<void> {
  await fromDemo(page, "/kit/demo-bleed-pouch/plan");
  await expect(result(page)).toContainText("proven optimal", SOLVE);
}
const price = async (page: Page): Promise<number> =>
  Number((await result(page).locator("p").first().innerText()).replace(/[^\d.]/g, ""));

test("a plan says when a choice would change, keeps to a wish, and undo brings it back", async ({
  page,
}) => {
  await openPlan(page);
  const before = await price(page);
  const gloves = "Blue nitrile gloves, medium, 1 pair";
  await page.getByRole("button", { name: `Top up ${gloves}` }).click();
  await page.getByRole("button", { name: "When would this change?" }).click();
  // The five pairs at 1.40 are the next: 1.05 more than 0.35.
  await expect(page.getByTestId("without")).toContainText("1.40", SOLVE);
  await page.getByRole("button", { name: "Not this product" }).click();
  const next = page.getByRole("button", { name: /Top up Blue nitrile gloves, large, 5 pairs/ });
  await expect(next).toBeVisible(SOLVE);
  await expect(result(page)).toContainText("proven optimal", SOLVE);
  expect(await price(page)).toBeCloseTo(before + 1.05, 2);
  await expect(page.getByText(`Not ${gloves}`)).toBeVisible();
  // It is kept with the kit.
  await saved(page);
  await page.reload();
  await expect(result(page)).toContainText("proven optimal", SOLVE);
  expect(await price(page)).toBeCloseTo(before + 1.05, 2);
  await page.getByRole("button", { name: `Allow ${gloves} again` }).click();
  await expect(next).toHaveCount(0, SOLVE);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(page.getByText(`Not ${gloves}`)).toBeVisible();
});

test("the curve by keyboard sets the budget, names what comes in, and a weight limit leaves things at home", async ({
  page,
}) => {
  await openPlan(page);
  const slider = page.getByTestId("frontier-slider").getByRole("slider");
  await expect(page.getByText("A knee:")).toBeVisible(SOLVE);
  await slider.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(page.getByRole("radio", { name: "Best for what I have" })).toHaveAttribute(
    "aria-checked",
    "true",
  );
  await expect(result(page)).toContainText("proven optimal", SOLVE);
  const budget = Number(await page.getByLabel("Budget", { exact: true }).inputValue());
  expect(await price(page)).toBeLessThanOrEqual(budget + 0.001);
  await expect(page.getByTestId("frontier-here")).toContainText(/Comes in|Goes out|same plan/);
  // Dragging on the chart does the same.
  const grid = (await page.locator(".apexcharts-grid").first().boundingBox())!;
  await page.mouse.move(grid.x + grid.width * 0.9, grid.y + grid.height / 2);
  await page.mouse.down();
  await page.mouse.move(grid.x + grid.width * 0.97, grid.y + grid.height / 2);
  await page.mouse.up();
  await expect
    .poll(async () => Number(await page.getByLabel("Budget", { exact: true }).inputValue()))
    .toBeGreaterThan(budget);
  await page.getByLabel("Weight at most", { exact: true }).fill("300");
  await expect(result(page)).toContainText("proven optimal", SOLVE);
  await expect(page.getByRole("button", { name: /(?:Drop|Repack) / }).first()).toBeVisible();
  await page.getByRole("link", { name: "Will it last?" }).click();
  await expect(page.getByTestId("lasts")).toContainText("of 100");
});

test("supplier's prices change the plan and say what that does; the shopping list goes out as table and text", async ({
  page,
}) => {
  await openPlan(page);
  await page.getByRole("button", { name: "Ask the supplier for today's prices" }).click();
  await expect(page.getByTestId("market-effect")).toContainText(/The plan costs/, SOLVE);
  const list = page.getByRole("region", { name: "Shopping list" });
  const [csv] = await Promise.all([
    page.waitForEvent("download"),
    list.getByRole("button", { name: "CSV" }).click(),
  ]);
  const rows = readFileSync(await csv.path(), "utf8")
    .trim()
    .split("\r\n");
  expect(rows[0]).toBe(
    "source,product,packs,of,pieces,left over,price,currency,lead days,if out of stock",
  );
  expect(rows.length).toBeGreaterThan(5);
  const [xlsx] = await Promise.all([
    page.waitForEvent("download"),
    list.getByRole("button", { name: "XLSX" }).click(),
  ]);
  expect(
    readFileSync(await xlsx.path())
      .subarray(0, 2)
      .toString(),
  ).toBe("PK");
  await page.context().grantPermissions(["clipboard-read", "clipboard-write"]);
  await list.getByRole("button", { name: "Copy as text" }).click();
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toContain("Shopping list: Sedgewick Slim Bleed Pouch");
  // Beside the other ways: this kit, from nothing, and the others on the shelf.
  const beside = page.getByTestId("beside");
  await beside.getByRole("button", { name: "Work out" }).click();
  await expect(beside.getByRole("button", { name: "Again" })).toBeVisible({ timeout: 120_000 });
  await expect(beside.getByRole("row", { name: /built from an empty bag/ })).toContainText("€");
});

test("the price book is edited, remembers prices, and takes in a supplier's table", async ({
  page,
}) => {
  await fromDemo(page, "/prices");
  await page.getByLabel("Find").fill("ratchet");
  await page.getByRole("button", { name: /^Ratchet tourniquet/ }).click();
  await page.getByLabel("Price of a pack").fill("25.5");
  await expect(page.getByTestId("history")).toContainText("24.00");
  await saved(page);
  await page.reload();
  await page.getByLabel("Find").fill("ratchet");
  await expect(page.getByTestId("products")).toContainText("25.50");
  await page.getByLabel("A price list as CSV or XLSX").setInputFiles({
    name: "mill.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      "Art. no.;Description;Per pack;Net price\nR1;Ratchet tourniquet, plain;1;19,90\nX9;Mystery thing;1;2\n",
    ),
  });
  await page.getByRole("button", { name: "Add to the book" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "row 3" })).toContainText("Mystery thing");
  await page.getByRole("button", { name: "Not now" }).click();
  await page.getByLabel("A price list as CSV or XLSX").setInputFiles({
    name: "mill.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(
      "Art. no.;Description;Per pack;Net price\nR1;Ratchet tourniquet, plain;1;19,90\n",
    ),
  });
  await page.getByRole("button", { name: "Add to the book" }).click();
  await expect(page.getByTestId("products")).toContainText("Ratchet tourniquet, plain");
  await saved(page);
  // The plan buys the cheaper one.
  await page.goto("/kit/demo-crew-box/plan");
  await expect(page.getByRole("button", { name: /Replace Ratchet tourniquet, plain/ })).toBeVisible(
    SOLVE,
  );
});
