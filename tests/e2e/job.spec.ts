import { expect, test, type Page } from "@playwright/test";
import { readFileSync, writeFileSync } from "node:fs";
import { pasteCard } from "./support/card.ts";

const CARD = `TARNLOW DAY POUCH, 38 pieces
Sterile gauze pads, 10 x 10 cm (4)
Fabric plasters, 25 x 72 mm (20)
Conforming bandage, 7.5 cm x 4 m (1)
Rubber tourniquet strap (1)
Antiseptic wipes (6)
2 pairs of nitrile gloves
Foil blanket (1)
Small scissors (1)
`;

/** An empty browser: the demo counts as seen, the shelf is empty. */
async function emptyStart(page: Page): Promise<void> {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await expect(page.getByRole("button", { name: "Bring three invented kits" })).toBeVisible();
}
const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
const stage = (page: Page, name: string) =>
  page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name }).click();

async function exported(page: Page, button: string): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: button }).first().click(),
  ]);
  return readFileSync(await download.path(), "utf8");
}
const importText = (page: Page, name: string, text: string | Buffer) =>
  page
    .getByLabel("File to import")
    .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(text) });

test("the whole job, from an empty start to a finished plan; it survives reload, export, wipe and import", async ({
  page,
}) => {
  const errors: string[] = [];
  page.on("pageerror", (e) => errors.push(e.message));
  await emptyStart(page);

  // Brief
  await page.getByLabel("A kit comes on the bench").fill("Tarnlow Day Pouch");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByLabel("The outing or place").fill("Sunday walk");
  await page.getByLabel("People", { exact: true }).fill("3");
  await page.getByLabel("Hours to care").fill("2");
  await page.getByRole("button", { name: "walking", exact: true }).click();
  await page.getByLabel("Price paid").fill("18");
  await expect(page.getByText(/It asks for \d+ of its \d+ needs/)).toBeVisible();
  await page.getByRole("button", { name: /Tiered/ }).click();

  // Unpack
  await page.getByRole("link", { name: "Next: unpack" }).click();
  await pasteCard(page, CARD);
  await expect(page.getByRole("heading", { name: "8 lines" })).toBeVisible();
  await expect(page.getByText("38 pieces claimed, the lines add up to 36")).toBeVisible();
  const gauze = page.locator("li", { hasText: "Sterile gauze pads" }).first();
  await page.getByRole("button", { name: "Show what was read" }).click();
  await page
    .locator("li[id^=line-]", { hasText: "Sterile gauze pads" })
    .getByLabel("Counted")
    .fill("3");
  await expect(gauze).toBeVisible();

  // Bench, by keyboard alone
  await stage(page, "Bench");
  await expect(page.getByRole("heading", { name: "Sterile gauze pad", level: 1 })).toBeVisible();
  await page.keyboard.press("e");
  await page.keyboard.type("05/2029");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Enter"); // all sound, next
  await expect(
    page.getByRole("heading", { name: "Adhesive strip plaster", level: 1 }),
  ).toBeVisible();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Rubber vein strap", level: 1 })).toBeVisible();
  await page.keyboard.press("d"); // not purpose-made
  await expect(
    page.getByText("the rules propose “Drop”, as it failed its inspection"),
  ).toBeVisible();
  await page.keyboard.press("x");
  const drop = page.getByRole("button", { name: /^Drop/, pressed: true });
  await expect(drop).toBeVisible();
  await page.keyboard.press("u");
  await expect(drop).toHaveCount(0);
  await page.keyboard.press("l");
  await expect(page.getByLabel(/^Lies/)).toContainText("outside");

  // Sieve
  await stage(page, "Sieve");
  await expect(page.getByRole("heading", { name: "Not ready" })).toBeVisible();
  await page
    .getByRole("button", { name: /^Dress a medium wound/ })
    .first()
    .click();
  await expect(page.getByRole("heading", { name: "Dress a medium wound" })).toBeVisible();
  const coverage = await page.getByTestId("tally-coverage").innerText();

  // Plan
  await stage(page, "Plan");
  await expect(page.getByTestId("plan-result")).toContainText("proven optimal", {
    timeout: 60_000,
  });
  await expect(page.getByTestId("plan-result")).toContainText("Ready");
  await expect(page.getByRole("heading", { name: /^Shopping list/ })).toBeVisible();
  await page.locator("button[aria-expanded]:not([aria-haspopup])").first().click();
  await expect(page.getByText(/Left out, the plan would lose/)).toBeVisible();
  expect(await exported(page, "CSV")).toMatch(/^source,product,packs,/);
  await page.getByRole("radio", { name: "Best for what I have" }).click();
  await page.getByLabel("Budget", { exact: true }).fill("5");
  await expect(page.getByTestId("plan-result")).toContainText("proven optimal", {
    timeout: 60_000,
  });
  const best = Number(
    (await page.getByTestId("plan-result").locator("p").first().innerText())
      .replace(/[^\d.]/g, " ")
      .trim()
      .split(" ")[0],
  );
  expect(best).toBeLessThanOrEqual(5);

  // Report
  await stage(page, "Report");
  await expect(page.getByRole("heading", { name: "Tarnlow Day Pouch" })).toBeVisible();
  expect(await exported(page, "Markdown")).toMatch(/^# Tarnlow Day Pouch/);

  // Reload: everything is there
  await saved(page);
  await page.reload();
  await stage(page, "Sieve");
  await expect(page.getByTestId("tally-coverage")).toHaveText(coverage);

  // Export, wipe, import: the same, byte for byte
  await page.goto("/");
  const before = await exported(page, "Export everything");
  await page.getByRole("button", { name: "Remove everything from this browser" }).click();
  await page.getByRole("button", { name: "Remove everything", exact: true }).click();
  await expect(page.getByRole("button", { name: "Bring three invented kits" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("button", { name: "Bring three invented kits" })).toBeVisible();
  await importText(page, "workspace.widesieve.json", before);
  await expect(page.getByRole("link", { name: "Tarnlow Day Pouch" })).toBeVisible();
  expect(await exported(page, "Export everything")).toBe(before);
  expect(errors).toEqual([]);
});

test("closing the browser loses nothing", async ({ browser }) => {
  const context = await browser.newContext();
  const page = await context.newPage();
  await emptyStart(page);
  await page.getByLabel("A kit comes on the bench").fill("Kept kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await saved(page);
  await page.close();
  const again = await context.newPage();
  await again.goto("/");
  await expect(again.getByRole("link", { name: "Kept kit" })).toBeVisible();
  await context.close();
});

test("two windows do not overwrite each other", async ({ context }) => {
  const one = await context.newPage();
  await emptyStart(one);
  await one.getByLabel("A kit comes on the bench").fill("Shared kit");
  await one.getByRole("button", { name: "New kit" }).click();
  await one.getByLabel("The outing or place").fill("first");
  await saved(one);
  const two = await context.newPage();
  await two.goto(one.url());
  await expect(two.getByLabel("The outing or place")).toHaveValue("first");
  await two.getByLabel("The outing or place").fill("second");
  await saved(two);
  await expect(one.getByLabel("The outing or place")).toHaveValue("second");
  await one.getByLabel("The outing or place").fill("third");
  await expect(two.getByLabel("The outing or place")).toHaveValue("third");
});

test("bad files are refused in words, and nothing here changes", async ({ page }) => {
  await emptyStart(page);
  await page.getByLabel("A kit comes on the bench").fill("Mine");
  await page.getByRole("button", { name: "New kit" }).click();
  await saved(page);
  await page.goto("/");
  const before = await exported(page, "Export everything");
  const refused = async (name: string, text: string | Buffer, said: RegExp) => {
    await importText(page, name, text);
    await expect(page.getByRole("alert")).toContainText(said);
    await page.getByRole("button", { name: "Close this message" }).click();
  };
  await refused(
    "cut.json",
    before.slice(0, before.length / 2),
    /cut short.*nothing here has changed/,
  );
  await refused("other.json", '{"format":"recipe"}', /is 'recipe'/);
  await refused(
    "newer.json",
    '{"format":"wide-sieve.workspace","version":7,"records":[]}',
    /newer Wide Sieve/,
  );
  await refused(
    "picture.txt",
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2, 3]),
    /cannot be opened as a picture/,
  );
  await refused("empty.txt", "  ", /is empty/);
  await refused(
    "prices.csv",
    "id,title,itemType,pack,price,currency\n1,A,no-such,1,2,EUR\n",
    /row 2, itemType/,
  );
  const huge = test.info().outputPath("huge.json");
  writeFileSync(huge, Buffer.alloc(51 * 1024 * 1024, 32));
  await page.getByLabel("File to import").setInputFiles(huge);
  await expect(page.getByRole("alert")).toContainText(/files up to 50 MB/);
  expect(await exported(page, "Export everything")).toBe(before);
});

test("an unreadable stored record is set aside and exportable, the rest works", async ({
  page,
}) => {
  await emptyStart(page);
  await page.getByLabel("A kit comes on the bench").fill("Good kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await saved(page);
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open("wide-sieve");
        open.onsuccess = () => {
          const put = open.result
            .transaction("records", "readwrite")
            .objectStore("records")
            .put({ rev: 3, record: { kind: "kit", id: "kit:broken", version: 2 } }, "kit:broken");
          put.onsuccess = () => {
            open.result.close();
            done();
          };
          put.onerror = () => fail(new Error("put"));
        };
      }),
  );
  await page.goto("/");
  await expect(page.getByText("lie aside, untouched")).toBeVisible();
  await expect(page.getByRole("link", { name: "Good kit" })).toBeVisible();
  expect(JSON.parse(await exported(page, "Export what lies aside"))[0].raw.record.id).toBe(
    "kit:broken",
  );
});

test("wrong answers in the brief are refused at the field, a list with nothing to ask says so", async ({
  page,
}) => {
  await emptyStart(page);
  await page.getByLabel("A kit comes on the bench").fill("Kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByLabel("People", { exact: true }).fill("0");
  await expect(page.getByText("People must be at least 1")).toBeVisible();
  await page.getByLabel("People", { exact: true }).fill("abc");
  await expect(page.getByText("People is not a number")).toBeVisible();
  await page.getByLabel("People", { exact: true }).fill("2.5");
  await expect(page.getByText("People must be a whole number")).toBeVisible();
  await page.getByLabel("People", { exact: true }).fill("4");
  await expect(page.getByText("People must be a whole number")).toHaveCount(0);
});
