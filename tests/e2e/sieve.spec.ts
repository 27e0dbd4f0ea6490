import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { choose } from "./support/choose.ts";

async function sieve(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Look round a crew box" }).click();
  await expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
  await expect(grains(page).first()).toBeVisible();
}
const grains = (page: Page) => page.locator("svg[role=group] g[role=button]:visible");

test("a number opens to its reason and where it is changed; what if is tried, kept or discarded", async ({
  page,
}) => {
  await sieve(page);
  const reasons = page.getByTestId("reasons");
  await expect(reasons).toContainText("in name only: the catalogue gives it nothing for this job");
  await expect(reasons).toContainText("handy 0.5: 60 s at the bottom, asked within 15 s");
  const tally = page.getByTestId("tally-coverage");
  const before = await tally.innerText();
  await page.getByText("How these figures come about").click();
  // 44 needs of the list, every tier in the sum, to the same whole per cent as the tally.
  const sum = await page.getByTestId("sum").innerText();
  expect(sum).toMatch(/vital\s+4 needs, weight 20/);
  const exact = Number(/([\d.]+) %/.exec(sum)![1]);
  expect(Math.round(exact)).toBe(Number(/(\d+) %/.exec(before)![1]));

  await page.getByRole("button", { name: /two of windlass tourniquet were added/ }).click();
  const trial = page.getByTestId("trial");
  await expect(trial).toContainText("vital needs met 2 → 3");
  await expect(tally).toHaveText(before); // tried, not kept
  await choose(page, "What if another school", /^Lean/);
  await expect(trial).toContainText("Duplicates: Lean");
  await page.getByRole("button", { name: "Take the last back" }).click();
  await page.getByRole("button", { name: "Discard" }).click();
  await expect(trial).toBeHidden();
  await page.getByRole("button", { name: /two of windlass tourniquet were added/ }).click();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByText("3 of 4 vital needs met")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(tally).toHaveText(before);

  await reasons.getByRole("link", { name: "to the bench" }).first().click();
  await expect(page).toHaveURL(/\/bench#/);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Rubber vein strap");
});

test("the picture is filtered, zoomed, worked by keys and published", async ({ page }) => {
  await sieve(page);
  const all = await grains(page).count();
  expect(all).toBe(49);
  await page.getByRole("button", { name: "vital", exact: false }).first().click();
  await expect(grains(page)).toHaveCount(45);
  await page.getByRole("button", { name: "vital", exact: true }).click();
  await choose(page, "Held where", /^Fresh/i);
  await expect(grains(page)).toHaveCount(1);
  await choose(page, "Held where", "wherever they rest");
  await choose(page, "Category shown", /^Burns/);
  await expect(grains(page)).toHaveCount(2);
  await choose(page, "Category shown", "all categories");
  await grains(page).first().focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.locator("g[role=button][aria-pressed=true]:visible")).toHaveCount(1);

  for (const [name, starts] of [
    ["SVG", "<svg"],
    ["SVG, black and white", "<svg"],
    ["PNG", "PNG"],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name, exact: true }).click(),
    ]);
    const file = readFileSync(await download.path(), "utf8");
    expect(file.slice(0, 10), name).toContain(starts);
    if (starts === "<svg") {
      expect(file).not.toContain("var(--");
      expect(file).toContain('id="weave-here"');
    }
  }
});

test("the report is made as PDF in a worker, as HTML and Markdown", async ({ page }) => {
  await sieve(page);
  await page.goto("/kit/demo-crew-box/report");
  await expect(page.getByRole("heading", { name: "Held back" })).toBeVisible();
  for (const [name, starts] of [
    ["PDF", "%PDF-"],
    ["HTML, one file", "<!doctype html>"],
    ["Markdown", "# Tallowmere Crew Box"],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent("download", { timeout: 60_000 }),
      page.getByRole("button", { name, exact: true }).click(),
    ]);
    const file = readFileSync(await download.path(), "utf8");
    expect(file.startsWith(starts), name).toBe(true);
    expect(file.length).toBeGreaterThan(3000);
  }
});

test("what runs out goes into the diary, and its cost over five years is shown", async ({
  page,
}) => {
  await sieve(page);
  await page.goto("/kit/demo-crew-box/calendar");
  const due = page.getByTestId("due");
  await expect(due).toContainText("Burn gel sachets");
  await expect(due).toContainText("last day to order");
  await page.getByRole("button", { name: /look again/ }).click();
  await expect(due).not.toContainText("look again");
  await expect(page.getByTestId("upkeep")).toContainText(/Over five years €\d/);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: /Into the diary/ }).click(),
  ]);
  const text = readFileSync(await download.path(), "utf8");
  expect(text).toContain("BEGIN:VCALENDAR");
  expect(text.match(/BEGIN:VEVENT/g)!.length).toBe(await due.locator("li").count());
  // It opens where the next thing falls due; an empty month leads to the next one with something in it.
  await expect(page.getByText(/due this month\./)).not.toContainText("Nothing");
  await page.getByRole("button", { name: "The month before" }).click();
  await expect(page.getByText("Nothing is due this month.")).toBeVisible();
  const jump = page.getByRole("button", { name: /^To / });
  const month = (await jump.innerText()).replace(/^To /, "");
  await jump.click();
  await expect(page.getByRole("heading", { name: month })).toBeVisible();
  await expect(page.getByText(/due this month\./)).not.toContainText("Nothing");
  await page.getByRole("button", { name: "The month after" }).click();
});
