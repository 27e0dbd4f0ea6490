import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { choose } from "./support/choose.ts";
import { fromDemo } from "./support/demo.ts";

async function demo(page: Page, path: string): Promise<void> {
  await fromDemo(page, path);
}

test("kits side by side: sorted, worked out to ready, explained, by school, exported", async ({
  page,
}) => {
  test.setTimeout(150_000);
  await demo(page, "/compare");
  const table = page.getByTestId("comparison");
  await expect(table.locator("tbody tr")).toHaveCount(4);
  const first = () => table.locator("tbody tr").first();
  await page.getByRole("button", { name: "weight" }).click();
  await expect(first()).toContainText("Sedgewick");
  await page.getByRole("button", { name: "weight" }).click();
  await expect(first()).not.toContainText("Sedgewick");

  // Why one is ahead, by category; what the difference costs.
  await expect(page.getByTestId("difference")).toContainText(/points (more|less) than/);
  await expect(page.getByTestId("difference")).toContainText("costs");

  await page.getByRole("button", { name: "Try each school on each kit" }).click();
  await expect(page.getByTestId("by-school").locator("tbody tr")).toHaveCount(19);

  await page.getByRole("button", { name: "What each costs to make ready" }).click();
  await expect(page.getByTestId("winners")).toContainText("Built from an empty bag", {
    timeout: 120_000,
  });
  await expect(page.getByTestId("winners")).toContainText("Cheapest once made ready");
  await expect(page.getByTestId("winners")).toContainText("Lightest once made ready");

  for (const [name, starts] of [
    ["CSV", "kit,grade,coverage %"],
    ["Markdown", "# Kits side by side"],
    ["XLSX", "PK"],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name, exact: true }).click(),
    ]);
    expect(readFileSync(await download.path(), "utf8").startsWith(starts), name).toBe(true);
  }
});

test("kits that go out together are judged as one: who carries what, twice, and what nobody has", async ({
  page,
}) => {
  await demo(page, "/compare");
  await expect(page.getByTestId("comparison").locator("tbody tr")).toHaveCount(4);
  await page.getByRole("button", { name: /judge as a set/ }).click();
  await expect(page.getByTestId("set-grade")).toBeVisible();
  await choose(page, "Judged by the brief, list and rules of", "Tallowmere Crew Box, Group leader");
  await page.getByLabel("Who carries Sedgewick Slim Bleed Pouch").fill("the foreman");
  await expect(page.getByTestId("carries")).toContainText("the foreman");
  await expect(page.getByTestId("nobody").locator("li").first()).toBeVisible();
  const carries = page.getByTestId("carries").locator("li", { hasText: "Stop limb bleeding" });
  await expect(carries).toContainText("100 %");
  // Two of the pouch: the tourniquet is there twice.
  await page.getByLabel("How many of Sedgewick Slim Bleed Pouch").fill("2");
  await expect(page.getByTestId("twice")).toContainText("Stop limb bleeding");
  await page.getByRole("button", { name: "Take out: Sedgewick Slim Bleed Pouch" }).click();
  await expect(carries).toContainText("0 %");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(carries).toContainText("100 %");
});
