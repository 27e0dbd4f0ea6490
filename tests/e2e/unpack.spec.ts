import ExcelJS from "exceljs";
import { expect, test, type Page } from "@playwright/test";
import { checkDigit } from "../../src/lib/core/formats/gs1.ts";

async function withKit(page: Page): Promise<void> {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await page.getByLabel("A kit comes on the bench").fill("Test kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByRole("link", { name: "Next: unpack" }).click();
}
const lines = (page: Page) => page.locator("li[id^=line-]");
const paste = (page: Page, text: string) =>
  page.getByLabel("Contents card, as printed or dictated").fill(text);

test("a saved shop page and a spreadsheet are read like a pasted card", async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  const html = `<html><head><script>alert(1)</script></head><body><nav>Home</nav><h1>Box, 30 pieces</h1><ul><li>2 triangular bandages</li><li>10 antiseptic wipes</li></ul><table><tr><th>Item</th><th>Qty</th></tr><tr><td>Whistle</td><td>1</td></tr><tr><td>Safety pins</td><td>6</td></tr></table></body></html>`;
  await page
    .getByLabel("File to import")
    .setInputFiles({ name: "shop.html", mimeType: "text/html", buffer: Buffer.from(html) });
  await expect(page.getByRole("heading", { name: "4 lines" })).toBeVisible();

  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet("Kit");
  sheet.addRow(["Description", "Size", "Qty"]);
  sheet.addRow(["Sterile gauze pads", "10 x 10 cm", 4]);
  sheet.addRow(["Conforming bandage", "7.5 cm x 4 m", { formula: "1+1", result: 2 }]);
  sheet.addRow(["Foil blanket", "", 1]);
  sheet.mergeCells("A4:B4");
  await page.goto("/");
  await page.getByLabel("File to import").setInputFiles({
    name: "stock.xlsx",
    mimeType: "application/octet-stream",
    buffer: Buffer.from(await book.xlsx.writeBuffer()),
  });
  await expect(page.getByRole("heading", { name: "3 lines" })).toBeVisible();
  await expect(lines(page).nth(1).getByLabel("Claimed")).toHaveValue("2");
  await page.goto("/");
  await page.getByLabel("File to import").setInputFiles({
    name: "cut.xlsx",
    mimeType: "application/octet-stream",
    buffer: Buffer.from("PK\u0003\u0004 cut"),
  });
  await expect(page.getByRole("alert")).toContainText("not a whole XLSX");
});

test("a correction is learned, lines are split, merged and taken out, and an own type is made", async ({
  page,
}) => {
  await withKit(page);
  await paste(page, "- 4 zonk pads\n- 2 gauze pads\n- 3 gauze pads\n- 1 whistle\n");
  await expect(lines(page)).toHaveCount(4);
  const zonk = lines(page).filter({ hasText: "zonk pads" });
  await zonk.getByRole("button", { name: /^Make an item type of your own/ }).click();
  await page.getByLabel("Name", { exact: true }).fill("Zonk pad");
  await page
    .getByLabel("What job it does")
    .selectOption({ label: "Dress a medium wound · Everyday wounds" });
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(zonk.getByRole("combobox")).toHaveValue("Zonk pad");
  await page
    .getByRole("button", { name: /^Merge/ })
    .first()
    .click();
  await expect(lines(page)).toHaveCount(3);
  await expect(
    lines(page)
      .filter({ hasText: "2 gauze" })
      .or(lines(page).filter({ hasText: "gauze pads" }))
      .first()
      .getByLabel("Claimed"),
  ).toHaveValue("5");
  await page.getByRole("button", { name: "whistle is no item: remove the line" }).click();
  await expect(lines(page)).toHaveCount(2);
  await page.keyboard.press("Control+z");
  await expect(lines(page)).toHaveCount(3);
  // The next card that says zonk is read right.
  await page.goto("/");
  await page.getByLabel("A kit comes on the bench").fill("Second kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByRole("link", { name: "Next: unpack" }).click();
  await paste(page, "- 7 zonk pads\n- 1 whistle\n");
  await expect(lines(page).filter({ hasText: "zonk" }).getByRole("combobox")).toHaveValue(
    "Zonk pad",
  );
});

test("a scanned code is named once, then known; a misread one is refused", async ({ page }) => {
  await withKit(page);
  await page.getByText("Scanner", { exact: true }).click();
  const digits = "0290000000017";
  const gtin = digits + checkDigit(digits);
  const take = async (code: string) => {
    await page.getByLabel("Code as printed").fill(code);
    await page.getByRole("button", { name: "Take it" }).click();
  };
  await take(`(01)${gtin}(17)280500(10)L7(30)5`);
  await expect(page.getByTestId("last-scan")).toContainText("not seen before");
  await lines(page).getByRole("combobox").click();
  await lines(page).getByRole("combobox").fill("antiseptic wipe");
  await page.getByRole("option", { name: "Antiseptic wipe", exact: true }).click();
  await take(`(01)${gtin}(17)281100(30)5`);
  await expect(page.getByTestId("last-scan")).toContainText(
    "Antiseptic wipe: 5 counted, to 2028-11-30",
  );
  await expect(lines(page)).toHaveCount(2);
  await take(`(01)${digits}${(checkDigit(digits) + 1) % 10}`);
  await expect(page.getByTestId("last-scan")).toContainText("check digit");
  await page.getByRole("button", { name: "Simulate a scan" }).click();
  await expect(lines(page)).toHaveCount(3);
  // A keyboard scanner types far faster than a hand.
  await page.keyboard.type(`01${gtin}17290100`, { delay: 0 });
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("last-scan")).toContainText("to 2029-01-31");
});

test("counting by weight on the simulated scale: it settles, counts, refuses, and overload is no weight", async ({
  page,
}) => {
  await withKit(page);
  await paste(page, "- 20 cold packs\n- 1 whistle\n");
  await lines(page).first().getByLabel("Claimed").focus();
  await page.getByText("Scale and weigh-count").click();
  await page.getByRole("button", { name: "Simulated scale" }).click();
  const load = page.getByLabel("Lies on the simulated scale");
  await load.fill("1100");
  await expect(page.getByText("● steady")).toBeVisible();
  await page.getByRole("button", { name: "They weigh this" }).click();
  await load.fill("1870");
  await expect(page.getByText("○ settling")).toBeVisible();
  await expect(page.getByText("● steady")).toBeVisible();
  await page.getByRole("button", { name: "All weigh this" }).click();
  await expect(page.getByTestId("weigh-count")).toContainText(/17 pieces of 11\d/);
  await page.getByRole("button", { name: "Take 17" }).click();
  await expect(lines(page).first().getByLabel("Counted")).toHaveValue("17");
  await load.fill("9000");
  await expect(page.getByTestId("scale")).toHaveText("too heavy");
});

test("a photo is a note: resized, kept with the kit, exported, removed by undo", async ({
  page,
}) => {
  await withKit(page);
  await page.getByText("Photos", { exact: false }).first().click();
  const png = await page.screenshot();
  await page
    .getByLabel("Photo to add")
    .setInputFiles({ name: "bag.png", mimeType: "image/png", buffer: png });
  await expect(page.getByAltText("Photo bag.png")).toBeVisible();
  await expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
  await page.reload();
  await expect(page.getByAltText("Photo bag.png")).toBeVisible();
  await page
    .getByLabel("Photo to add")
    .setInputFiles({ name: "no.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByRole("alert")).toContainText("not a picture");
});

test("a card of 10,000 lines, one of a single long line, one of prices, one in another script", async ({
  page,
}) => {
  await withKit(page);
  await paste(page, "€ 3.50\n€ 12.00\n");
  await expect(page.getByRole("heading", { name: "0 lines" })).toBeVisible();
  await paste(page, "消毒綿 10枚\n");
  await expect(page.getByRole("heading", { name: /^\d lines?/ })).toBeVisible();
  await paste(page, "2 gauze pads\n" + "x".repeat(100_000));
  await expect(page.getByText("was not read: it has 100000 characters")).toBeVisible();
});
