import ExcelJS from "exceljs";
import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { choose } from "./support/choose.ts";
import { fromDemo } from "./support/demo.ts";
import { follow } from "./support/follow.ts";

async function demo(page: Page, path: string): Promise<void> {
  await fromDemo(page, path);
}
const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
const take = (page: Page, name: string, body: Buffer | string) =>
  page
    .getByLabel("List to import")
    .setInputFiles({ name, mimeType: "application/octet-stream", buffer: Buffer.from(body) });
async function downloaded(page: Page, button: string): Promise<Buffer> {
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: button }).click(),
  ]);
  return readFileSync(await download.path());
}
const coverage = async (page: Page) =>
  Number(/(\d+) %/.exec(await page.getByTestId("tally-coverage").innerText())![1]);

test("the brief says before each answer what it changes, and then it does", async ({ page }) => {
  await demo(page, "/kit/demo-crew-box/brief");
  // 8 people for 3 days: one more day asks half a plaster a person more.
  await expect(page.getByTestId("otherwise")).toContainText("4 days:");
  await expect(page.getByTestId("otherwise")).toContainText("+4 plasters");
  const plasters = page.locator("li", { hasText: "Cover a small cut" }).first();
  await expect(plasters).toContainText("16");
  await page.getByLabel("Days", { exact: true }).fill("4");
  await expect(plasters).toContainText("20");
  await page.getByLabel("Days", { exact: true }).fill("3");

  // A school's effect is what the tally shows once it is followed.
  const lean = page.getByRole("button", { name: /^Lean/ });
  await expect(plasters).toContainText("16");
  // It is worked out in slices: what is said is what stands still.
  let said = "";
  await expect(async () => {
    said = await lean.innerText();
    expect(said).toMatch(/\+\d/);
    await page.waitForTimeout(500);
    expect(await lean.innerText()).toBe(said);
  }).toPass();
  const before = await coverage(page);
  await lean.click();
  await expect(page.getByRole("button", { name: /^Lean/, pressed: true })).toContainText(
    "followed now",
  );
  expect(await coverage(page)).toBeGreaterThanOrEqual(before);
  await expect(page.getByRole("button", { name: /^Self-contained/ })).toContainText(
    said.match(/\+([\d.]+) points/)![1]!,
  );

  // What is carried elsewhere now counts: four blankets more where two are asked.
  await page.getByLabel("Add a thing carried elsewhere").fill("windlass");
  await page.getByRole("option", { name: "Windlass tourniquet" }).click();
  await expect(page.getByLabel("Pieces of Windlass tourniquet elsewhere")).toHaveValue("1");
  await page.getByLabel("Seconds until Windlass tourniquet is here").fill("10");
  await page.keyboard.press("Tab");
  await expect(page.getByTestId("tally-grade")).toHaveText("Not ready");
  await expect(page.getByText("3 of 4 vital needs met")).toBeVisible();

  // Every combination of schools, and a threshold of one's own.
  await page.getByText("Where the schools differ on this kit").click();
  await page.getByRole("button", { name: "Try every combination" }).click();
  await expect(page.getByTestId("school-range")).toContainText("all 768 combinations", {
    timeout: 30_000,
  });
  await page.getByText("Grades and pass marks").click();
  await page.getByLabel("Ready from a coverage of").fill("60");
  await expect(page.getByText("Ready should ask at least as much as Nearly")).toBeVisible();
  await page.getByLabel("Ready from a coverage of").fill("");
  await expect(page.getByText("Ready should ask at least as much as Nearly")).toBeHidden();

  // A preset fills the sentence and the list; a shared brief can be made one's own.
  await page.getByRole("button", { name: "Give this kit a brief of its own" }).click();
  await choose(page, "Start from", /snake/i);
  await expect(page.getByLabel("Reference list")).toContainText(/bite/i);
  await expect(page.getByLabel("Cautions for this brief")).toContainText("Snake country");
  await page.goto("/");
  await expect(page.locator("li", { hasText: "Hollowbrook" })).toContainText("Group leader");
});

test("a list is copied, edited by keys, worked out, tried on a kit, and the kit offered the newer one", async ({
  page,
}) => {
  await demo(page, "/lists");
  await page.getByRole("button", { name: "Copy to edit: Bleeding-control pouch" }).click();
  await expect(page.getByLabel("Title")).toHaveValue("Bleeding-control pouch, our own");
  await expect(page.getByTestId("list-effect")).toContainText("Sedgewick");

  // The pouch is judged by it …
  const listUrl = page.url();
  await page.goto("/kit/demo-bleed-pouch/brief");
  await choose(page, "Reference list", /our own/);
  await expect(page.getByLabel("Reference list")).toContainText("our own");
  await saved(page);

  // … then the list goes on: a need moved, one taken out, one made vital, one added and worked out.
  await page.goto(listUrl);
  const box = page.getByRole("listbox", { name: "Needs of the list" });
  await box.focus();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Alt+ArrowUp");
  await expect(box.getByRole("option").first()).toContainText("Pack a deep wound");
  await page.keyboard.press("End");
  await box.getByRole("option", { name: /Seal a chest wound/ }).click();
  await page.getByRole("radio", { name: "vital", exact: true }).click();
  await box.focus();
  await box.getByRole("option", { name: /Bag soiled waste/ }).click();
  await box.focus();
  await page.keyboard.press("Delete");
  await page.getByRole("button", { name: "Add a need" }).click();
  await choose(page, "What it must do", /immobili/i);
  await page.getByText("Work it out: Bandage to wrap a limb").click();
  // 188 cm, foot and all: 23.3 turns of 38.7 cm: 9.03 m, three bandages
  await expect(page.getByTestId("sum")).toContainText("9.03 m of bandage a limb");
  await page.getByRole("button", { name: "Use it as the quantity" }).click();
  await expect(page.getByTestId("need-quantity")).toContainText("3: under this brief 3");
  await expect(page.getByLabel("Why, in one plain sentence")).toHaveValue(/Worked out: 116.6 cm/);
  await expect(page.getByText("version 2")).toBeVisible();
  await page.getByText("Changed since opened").click();
  await expect(page.getByText("1 added, 1 dropped, 1 stricter").first()).toBeVisible();

  // The kit keeps the list as it was until its owner takes the newer one.
  await page.goto("/kit/demo-bleed-pouch/brief");
  await expect(page.getByTestId("newer-list")).toContainText("added");
  await expect(page.getByText(/of its 18 needs/)).toBeVisible();
  await page.getByRole("button", { name: "Judge by the newer list" }).click();
  await expect(page.getByTestId("newer-list")).toBeHidden();
  await expect(page.locator("li", { hasText: "Pressure immobilisation bandage" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("newer-list")).toBeVisible();
});

test("two lists are compared and combined; lists go out and come back as JSON, CSV and XLSX", async ({
  page,
}) => {
  await demo(page, "/lists");
  await choose(page, "This list", "Group leader");
  await choose(page, "and this one", "Small workshop crew");
  await expect(page.getByTestId("list-difference")).toContainText("added");
  await page.getByRole("radio", { name: "Combine" }).click();
  await expect(page.getByTestId("combined")).toContainText("stricter by the second");
  await page.getByRole("button", { name: /Keep the combined list/ }).click();
  await expect(page.getByLabel("Title")).toHaveValue("Group leader + Small workshop crew");

  await page.goto("/lists");
  const json = await downloaded(page, "Export Venomous-bite wrap kit as JSON");
  await take(page, "bite.json", json);
  await expect(page.getByText("Imported from bite.json: a reference list.")).toBeVisible();

  await page.goto("/lists");
  const csv = (await downloaded(page, "Export Household as CSV")).toString("utf8");
  const wrong = csv.replace("burn-dressing,vital", "burn-dressing,deadly");
  expect(wrong).not.toBe(csv);
  await take(page, "wrong.csv", wrong);
  await expect(page.getByRole("alert")).toContainText("wrong.csv was not imported");
  await page.getByText(/row \d+, tier/).waitFor();
  await take(page, "home.csv", csv);
  await expect(page.getByLabel("Title")).toHaveValue("Household");

  await page.goto("/lists");
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(
    (await downloaded(page, "Export Club touchline as XLSX")) as unknown as ArrayBuffer,
  );
  const sheet = book.getWorksheet("Needs")!;
  let row = 0;
  sheet.eachRow((r, i) => {
    if (r.getCell(1).text === "cold") row = i;
  });
  sheet.getRow(row).getCell(4).value = 7;
  expect(book.worksheets.map((s) => s.name)).toEqual([
    "Needs",
    "Columns",
    "Functions",
    "Item types",
  ]);
  await take(page, "club.xlsx", Buffer.from(await book.xlsx.writeBuffer()));
  await expect(page.getByLabel("Title")).toHaveValue("Club touchline");
  await page
    .getByRole("listbox", { name: "Needs of the list" })
    .getByRole("option", { name: /Cool a sprain/ })
    .click();
  await expect(page.getByTestId("need-quantity")).toContainText(
    "7 for up to 30 people + 1 for each 16 people beyond",
  );
});

test("units, dates and money are shown as the user chose, and stored as before", async ({
  page,
}) => {
  await demo(page, "/settings");
  await page.getByRole("radio", { name: /US customary/ }).click();
  await expect(page.getByText("A gauze pad is 3 × 3.9 in, a roll 3 in × 4.9 yd")).toBeVisible();
  await choose(page, "Dates and numbers", /2027.*Mai|Mai|German|31\.05/);
  await expect(page.getByText("The last day of May is 31. Mai 2027")).toBeVisible();
  await follow(page, "/kit/demo-crew-box/brief");
  // 188 cm are 74.02 in; 410 g are 14.46 oz
  await expect(page.getByLabel("Tallest")).toHaveValue("74,02");
  await expect(page.getByLabel("Empty bag weighs")).toHaveValue("14,46");
  await page.getByLabel("Tallest").fill("72");
  await follow(page, "/settings");
  await page.getByRole("radio", { name: /^Metric/ }).click();
  await follow(page, "/kit/demo-crew-box/brief");
  await expect(page.getByLabel("Tallest")).toHaveValue("182,88");

  // A kit priced in another currency waits for the user's own rate, then everything is in it.
  await follow(page, "/settings");
  await page.getByLabel("Currency of new audits").fill("GBP");
  await follow(page, "/");
  await page.getByLabel("A kit comes on the bench").fill("Bought abroad");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByLabel("Price paid").fill("20");
  await page.waitForURL(/brief$/);
  await follow(page, new URL(page.url()).pathname.replace("/brief", "/plan"));
  await expect(page.getByText("This audit is in GBP, the price book is in EUR")).toBeVisible();
  await follow(page, "/settings");
  await page.getByLabel("Another currency").fill("EUR");
  await page.getByRole("button", { name: "Add a rate" }).click();
  await page.getByLabel("Worth of one EUR in GBP").fill("0,5");
  await expect(page.getByText("are 50,00")).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId("plan-result")).toContainText("£", { timeout: 60_000 });
});
