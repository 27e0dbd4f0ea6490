import ExcelJS from "exceljs";
import { expect, test, type Page } from "@playwright/test";
import { checkDigit } from "../../src/lib/core/count/gs1.ts";
import { choose } from "./support/choose.ts";
import { typeScan } from "./support/scan.ts";
import { pdfOf, pngHead } from "../unit/pdfMaker.ts";
import { pasteCard } from "./support/card.ts";

async function withKit(page: Page): Promise<void> {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await page.getByLabel("A kit comes on the bench").fill("Test kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByRole("link", { name: "Next: unpack" }).click();
}
const lines = (page: Page) => page.locator("li[id^=line-]");
const paste = pasteCard;

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
  const more = async (row: ReturnType<typeof lines>, what: RegExp) => {
    await row.getByRole("button", { name: /^More for/ }).click();
    await page.getByRole("menuitem", { name: what }).click();
  };
  await more(zonk, /item type of your own/);
  await page.getByLabel("Name", { exact: true }).fill("Zonk pad");
  await choose(page, "What job it does", "Dress a medium wound · Everyday wounds");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(zonk.getByRole("combobox")).toHaveValue("Zonk pad");
  await more(lines(page).filter({ hasText: "3 gauze pads" }), /^Merge/);
  await expect(lines(page)).toHaveCount(3);
  await expect(
    lines(page)
      .filter({ hasText: "2 gauze" })
      .or(lines(page).filter({ hasText: "gauze pads" }))
      .first()
      .getByLabel("Claimed"),
  ).toHaveValue("5");
  await more(lines(page).filter({ hasText: "1 whistle" }), /no item/);
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
    "Antiseptic wipe: 5 counted, to Nov 30, 2028",
  );
  await expect(lines(page)).toHaveCount(2);
  await take(`(01)${digits}${(checkDigit(digits) + 1) % 10}`);
  await expect(page.getByTestId("last-scan")).toContainText("check digit");
  await page.getByRole("button", { name: "Simulate a scan" }).click();
  await expect(lines(page)).toHaveCount(3);
  await typeScan(page, `01${gtin}17290100`);
  await expect(page.getByTestId("last-scan")).toContainText("to Jan 31, 2029");
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
  await expect(page.getByTestId("weigh-count")).toContainText(/17 pieces of 1(?:09\.9|1\d)/);
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
  await expect(page.getByRole("alert")).toContainText("cannot be opened as a picture");
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

test("a table whose heading does not tell is asked about, column by column", async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  const csv = "Bezeichnung,Platz,Xy\nSterile gauze pads 10 x 10 cm,A1,4\nWhistle,A2,1\n";
  await page
    .getByLabel("File to import")
    .setInputFiles({ name: "lager.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await expect(page.getByText("What are these columns?")).toBeVisible();
  await choose(page, "Column 1 is", "the item");
  await choose(page, "Column 3 is", "how many");
  await page.getByLabel("the first row is a heading").check();
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByRole("heading", { name: "2 lines" })).toBeVisible();
  await expect(lines(page).first().getByLabel("Claimed")).toHaveValue("4");
});

test("the outside is looked at in order; a thing too long for its compartment is said, and the place follows", async ({
  page,
}) => {
  await withKit(page);
  await paste(page, "- 1 trauma shears 18 cm\n- 2 triangular bandages\n");
  await page.getByText("The outside and its compartments").click();
  await page.getByRole("button", { name: "Opens with one hand, gloved: No" }).click();
  await page.getByRole("button", { name: "Add a compartment" }).click();
  await page.getByPlaceholder("front pocket").fill("Side sleeve");
  await choose(page, /^reached/, "open on top");
  for (const [at, cm] of [
    ["1", "10"],
    ["2", "8"],
    ["3", "3"],
  ])
    await page.getByLabel(`Inner side ${at} of Side sleeve, cm`).fill(cm!);
  await choose(page, lines(page).first().getByLabel("lies in"), "Side sleeve");
  await expect(
    page.getByText(/is rigid and 18 cm long; the longest way across is 13.2 cm/),
  ).toBeVisible();
  await page
    .getByRole("navigation", { name: "Stages" })
    .getByRole("link", { name: "Bench" })
    .click();
  await expect(page.getByLabel(/^Lies/)).toContainText("open on top");
});

test("a very long card is read when asked, and refused when it is no kit; a long kit is shown in parts", async ({
  page,
}) => {
  await withKit(page);
  await paste(
    page,
    Array.from({ length: 10_000 }, (_, i) => `- ${(i % 9) + 1} sterile gauze pads`).join("\n"),
  );
  await page.getByRole("button", { name: "Read it now" }).click();
  await expect(page.getByRole("alert")).toContainText(
    "was read into 10000 lines; a kit has at most 600",
  );
  await expect(page.getByRole("heading", { name: "0 lines" })).toBeVisible();
  await paste(page, Array.from({ length: 200 }, (_, i) => `- ${(i % 9) + 1} whistles`).join("\n"));
  await expect(page.getByRole("heading", { name: "200 lines" })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole("button", { name: /^Show 50 more of 50/ })).toBeVisible();
});

test("reading a very long card says how far it is, can be stopped, and goes on while another page is open", async ({
  page,
}) => {
  await withKit(page);
  const items = Array.from({ length: 40 }, (_, i) => `- ${i + 1} sterile gauze pads`);
  const notes = Array.from(
    { length: 7_000 },
    (_, i) =>
      `The floor of row ${i + 1} was swept by the caretaker, who asks that boots stay outside.`,
  );
  await paste(page, [...items, ...notes].join("\n"));
  const now = page.getByRole("button", { name: "Read it now" });
  await now.press("Enter");
  await expect(page.getByRole("progressbar", { name: "Reading the card" })).toBeVisible();
  // The page answers meanwhile, and the focus is on what stops it.
  await expect(page.getByRole("button", { name: "Stop" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("progressbar")).toBeHidden();
  await expect(page.getByRole("heading", { name: "0 lines" })).toBeVisible();
  await now.press("Enter");
  await expect(page.getByRole("progressbar", { name: "Reading the card" })).toBeVisible();
  await page.goBack();
  await page.goForward();
  await expect(page.getByRole("heading", { name: "40 lines" })).toBeVisible({ timeout: 60_000 });
});

/** A card drawn by the browser itself, as a photograph of it would look; JPEG where it is tilted. */
const drawn = (page: Page, text: string, tilt: number): Promise<number[]> =>
  page.evaluate(
    async ([text, tilt]) => {
      const lines = text.split("\n");
      const canvas = document.createElement("canvas");
      canvas.width = 1100;
      canvas.height = 120 + 48 * lines.length;
      const g = canvas.getContext("2d")!;
      g.fillStyle = "#f0ece2";
      g.fillRect(0, 0, canvas.width, canvas.height);
      g.rotate((tilt * Math.PI) / 180);
      g.fillStyle = "#222";
      g.font = "30px sans-serif";
      lines.forEach((line, i) => g.fillText(line, 60, 80 + 48 * i));
      const type = tilt === 0 ? "image/png" : "image/jpeg";
      const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, type, 0.6));
      return [...new Uint8Array(await blob!.arrayBuffer())];
    },
    [text, tilt] as const,
  );

test("a photographed card is read, its words tied to its lines, and reading can be stopped", async ({
  page,
}) => {
  await withKit(page);
  const text =
    "SHED BOX\nSterile gauze pads, 10 x 10 cm (5)\nTriangular bandages (2)\nNitrile gloves, 3 pairs\nMedical tape, 2.5 cm x 5 m (1)\n1 tourniquet";
  const picture = {
    name: "shed.jpg",
    mimeType: "image/jpeg",
    buffer: Buffer.from(await drawn(page, text, 1)),
  };
  const input = page.getByLabel("Picture or PDF of the card");
  await input.setInputFiles(picture);
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("progressbar")).toHaveCount(0);
  await expect(page.getByRole("heading", { name: "0 lines" })).toBeVisible();

  await input.setInputFiles(picture);
  await expect(page.getByRole("heading", { name: "5 lines" })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("img", { name: "The card shed.jpg" })).toBeVisible();
  // The line picked is framed on the picture: its words and no others.
  await page.getByRole("button", { name: "Triangular bandages", exact: true }).focus();
  await expect(page.locator("rect.picked")).toHaveCount(3);
  // The name that leaves the kind open is asked about, with how one tells the kinds in the hand.
  const which = page.getByRole("group", { name: /Which tourniquet is it/ });
  await expect(which).toContainText("a rod to twist");
  await which.getByRole("button", { name: /windlass/i }).click();
  await expect(which).toHaveCount(0);

  await input.setInputFiles({
    name: "locked.pdf",
    mimeType: "application/pdf",
    buffer: Buffer.from("%PDF-1.4\ncut short"),
  });
  await expect(page.getByText("locked.pdf is not a whole PDF")).toBeVisible();
  await expect(page.getByRole("heading", { name: "5 lines" })).toBeVisible();
});

test("a PDF card with text is read by its places; HEIC, a picture too large, a catalogue are refused with what to do", async ({
  page,
}) => {
  await withKit(page);
  const input = page.getByLabel("Picture or PDF of the card");
  await input.setInputFiles({
    name: "card.pdf",
    mimeType: "application/pdf",
    buffer: Buffer.from(pdfOf(["2 eye pads", "4 triangular bandages", "1 whistle"])),
  });
  await expect(page.getByRole("heading", { name: "3 lines" })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByLabel("Claimed")).toHaveCount(3);
  await input.setInputFiles({
    name: "phone.heic",
    mimeType: "image/heic",
    buffer: Buffer.from("\0\0\0\u0018ftypheic\0\0\0\0"),
  });
  await expect(
    page.getByText(/phone.heic is a HEIC picture.*save or send it as JPEG/),
  ).toBeVisible();
  // What would fill the memory is told by its head, and not opened.
  await input.setInputFiles({
    name: "bomb.png",
    mimeType: "image/png",
    buffer: Buffer.from(pngHead(60_000, 60_000)),
  });
  await expect(page.getByText(/bomb.png has 3600 million dots, and at most 120/)).toBeVisible();
  await input.setInputFiles({
    name: "catalogue.pdf",
    mimeType: "application/pdf",
    buffer: Buffer.from(pdfOf(["2 eye pads"], 31)),
  });
  await expect(page.getByText(/catalogue.pdf has 31 pages, and at most 30/)).toBeVisible();
  await expect(page.getByRole("heading", { name: "3 lines" })).toBeVisible();
});
