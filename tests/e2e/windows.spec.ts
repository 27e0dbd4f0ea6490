import { expect, test, type Page } from "@playwright/test";
import { fromDemo } from "./support/demo.ts";

/** Of the small pouch: what makes it ready is worked out in each window. */
const brief = "/kit/demo-bleed-pouch/brief";
const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);

/** Two windows of one browser on the same page, the demo on the shelf. */
async function twoWindows(page: Page, at: string): Promise<Page> {
  await fromDemo(page, at);
  const other = await page.context().newPage();
  await other.goto(at);
  return other;
}

test("two windows type 200 letters each into one field: nothing is lost, one copy a window at most", async ({
  page,
}) => {
  const other = await twoWindows(page, brief);
  const title = (p: Page) => p.getByLabel("The outing or place");
  const before = await page.evaluate(() => document.title);
  expect(before).not.toBe("");
  await title(page).fill("");
  await expect(title(other)).toHaveValue("");
  await Promise.all([
    title(page).pressSequentially("a".repeat(200), { delay: 1 }),
    title(other).pressSequentially("b".repeat(200), { delay: 1 }),
  ]);
  await saved(page);
  await saved(other);
  await page.goto("/");
  await page.reload();
  const kits = page.getByRole("link", { name: /Sedgewick Slim Bleed Pouch/ });
  await expect(kits.first()).toBeVisible();
  expect(await kits.count()).toBeLessThanOrEqual(3);
});

test("what two windows change in different places is both in the record", async ({ page }) => {
  const other = await twoWindows(page, brief);
  await page.getByLabel("People", { exact: true }).fill("9");
  await other.getByLabel("Days", { exact: true }).fill("4");
  await saved(page);
  await saved(other);
  await page.reload();
  await expect(page.getByLabel("People", { exact: true })).toHaveValue("9");
  await expect(page.getByLabel("Days", { exact: true })).toHaveValue("4");
});

test("imported settings are offered on the shelf, not put in use, and undo brings the former back", async ({
  page,
}) => {
  await fromDemo(page, "/");
  const settings = {
    kind: "settings",
    id: "settings:own",
    version: 1,
    units: "us",
    locale: "en-US",
    currency: "USD",
    rates: {},
  };
  await page.getByLabel("File to import").setInputFiles({
    name: "other.widesieve.json",
    mimeType: "application/json",
    buffer: Buffer.from(
      JSON.stringify({ format: "wide-sieve.workspace", version: 1, records: [settings] }),
    ),
  });
  await expect(page.getByText(/not in use yet: the settings/)).toBeVisible();
  await page.goto("/settings");
  await expect(page.getByLabel("Currency of new audits")).not.toHaveValue("USD");
  await page.goto("/");
  await page.getByRole("button", { name: "Use the settings as kept here" }).click();
  await expect(page.getByText("Kept beside what is in use")).toHaveCount(0);
  await page.goto("/settings");
  await expect(page.getByLabel("Currency of new audits")).toHaveValue("USD");
});

test("a window that is closed in the middle of a word loses nothing of it", async ({ page }) => {
  const other = await twoWindows(page, brief);
  const title = (p: Page) => p.getByLabel("The outing or place");
  await title(other).fill("");
  await title(other).pressSequentially("orchard in rain", { delay: 5 });
  await other.close({ runBeforeUnload: true });
  await page.reload();
  await expect(title(page)).toHaveValue("orchard in rain");
});
