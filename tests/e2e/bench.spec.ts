import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { checkDigit } from "../../src/lib/core/count/gs1.ts";
import { pasteCard } from "./support/card.ts";
import { typeScan } from "./support/scan.ts";
import { VERDICT_KEY, VERDICT_LABEL } from "../../src/lib/words/verdicts.ts";
import { fromDemo } from "./support/demo.ts";

const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
/** An empty shelf, a kit with this card read, on the bench. */
async function bench(page: Page, card: string): Promise<void> {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await page.getByLabel("A kit comes on the bench").fill("Bench kit");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByRole("link", { name: "Next: unpack" }).click();
  await pasteCard(page, card);
  await expect(page.getByRole("button", { name: "Show what was read" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page
    .getByRole("navigation", { name: "Stages" })
    .getByRole("link", { name: "Bench" })
    .click();
  await expect(page.getByText(/^Item 1 of/)).toBeVisible();
}
const item = (page: Page) => page.getByRole("heading", { level: 1 });

test("a letter pressed while the page is still being put together does what it does later", async ({
  page,
}) => {
  await fromDemo(page, "/lists");
  // Pressed as soon as the frame stands: the item and its fields come after it.
  await page.addInitScript(() => {
    new MutationObserver((_, self) => {
      if (!document.getElementById("stage")) return;
      self.disconnect();
      document.body.dataset["whole"] = `${document.getElementById("bench-name") !== null}`;
      document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "c", bubbles: true }));
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto("/kit/demo-shed-box/bench#y20");
  await expect(page.locator("#bench-count")).toBeFocused();
  await expect(page.locator("body")).toHaveAttribute("data-whole", "false");
  await page.keyboard.type("1");
  await expect(page.locator("#bench-count")).toHaveValue("1");
  await expect(item(page)).toHaveText("Sterile eye pad");
});

test("a name that leaves the kind open is asked about with the thing in the hand, before it is sound", async ({
  page,
}) => {
  await bench(page, "1 x tourniquet\n3 safety pins\n1 whistle");
  await expect(item(page)).toHaveText("tourniquet");
  await page.keyboard.press("Enter");
  const which = page.getByRole("group", { name: /Which tourniquet is it/ });
  await expect(which.getByRole("button").first()).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await expect(which.getByRole("button", { name: /Stretch-wrap/ })).toBeFocused();
  // None of these: it can be anything else, and Escape asks again.
  for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("combobox", { name: /^What .*tourniquet is$/ })).toBeFocused();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await expect(item(page)).toBeFocused();
  await page.keyboard.press("i");
  await page.keyboard.press("5");
  await expect(item(page)).toHaveText("Windlass tourniquet");
  await expect(item(page)).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(item(page)).toHaveText("Safety pin");

  // What was read wrong is put right here too.
  await page.keyboard.press("j");
  await page.keyboard.press("i");
  await expect(page.getByRole("combobox", { name: /^What .*whistle is$/ })).toBeFocused();
  await page.keyboard.type("pealess whistle?");
  await page.keyboard.press("Escape");
  await expect(item(page)).toHaveText("Whistle");
  await expect(item(page)).toBeFocused();
  await page.keyboard.press("i");
  await page.keyboard.type("eye pad");
  await expect(page.getByRole("option", { name: "Sterile eye pad" })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(item(page)).toHaveText("Sterile eye pad");
});

test("a crew box of 25 lines is inspected by keyboard alone in under 5 keys a line", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-crew-box/bench");
  let keys = 0;
  const press = async (key: string) => {
    keys++;
    await page.keyboard.press(key);
  };
  const start = await page.getByText(/^Item 1 of/).innerText();
  const lines = Number(/of (\d+)/.exec(start)![1]);
  expect(lines).toBe(25);
  for (let i = 1; i <= lines; i++) {
    await expect(page.getByText(new RegExp(`^Item ${i} of 25`))).toBeVisible();
    const dated = await page.getByText("should carry one").isVisible();
    if (dated) {
      // as on a number pad, then Enter
      for (const digit of "0529") await press(digit);
      await press("Enter");
    }
    // One in eight has something wrong with it: the first point fails, the rest is sound.
    if (i % 8 === 0) await press("d");
    await press("Enter");
    if (i % 8 === 0 && (await page.getByText(new RegExp(`^Item ${i} of 25`)).isVisible()))
      await press("j");
  }
  expect(keys / lines).toBeLessThan(5);
  const stages = page.getByRole("navigation", { name: "Stages" });
  await expect(stages.getByRole("link", { name: /Bench/ })).toContainText("done");
  await expect(stages.getByRole("link", { name: /Unpack/ })).toContainText("done");
});

test("each answer is kept at once; dates are asked back, split, and shortened by opening", async ({
  page,
}) => {
  await bench(
    page,
    "6 sterile gauze pads 10 x 10 cm\n1 tube antibiotic ointment 15 g\n2 conforming bandages 7.5 cm x 4 m\n1 trauma shears\n",
  );
  await expect(item(page)).toHaveText("Sterile gauze pad");
  // Half an inspection survives a reload.
  await page.keyboard.press("f");
  await page.keyboard.press("f");
  await expect(page.getByText("2 of 5 · none failed so far")).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText("2 of 5 · none failed so far")).toBeVisible();

  // 11/12 can be two months: asked back, one click settles it.
  await page.keyboard.press("e");
  await page.keyboard.type("11/12");
  await expect(page.getByRole("alert")).toContainText("two ways");
  await page.getByRole("button", { name: "Nov 2012" }).click();
  await expect(page.locator("#bench-date")).toHaveValue("2012-11");
  // Three good to one date, the rest to another: two lines.
  await page.keyboard.press("e");
  await page.keyboard.type("3 05/2027, rest 10/2026");
  await expect(
    page.getByText("3 good to May 2027, 3 good to Oct 2026: Enter parts the line"),
  ).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Item 1 of 5")).toBeVisible();
  await expect(page.locator("#bench-date")).toHaveValue("2027-05");
  await page.keyboard.press("j");
  await expect(page.locator("#bench-date")).toHaveValue("2026-10");
  await expect(page.locator("#bench-count")).toHaveValue("3");

  // An opened tube: three months, whatever is printed.
  await page.keyboard.press("j");
  await expect(item(page)).toHaveText("Antibiotic ointment");
  for (const k of "0529") await page.keyboard.press(k);
  await page.keyboard.press("Enter");
  await page.getByText("Lot, opened, part used").click();
  await page.getByLabel("opened", { exact: true }).fill("2026-09");
  await page.keyboard.press("Enter");
  await expect(page.locator("#bench-date")).toHaveValue("2026-12-31");

  // Half a roll: one of the two is parted off with what is left.
  await page.locator("body").press("j");
  await expect(item(page)).toHaveText("Conforming gauze roll");
  await page.getByText("Lot, opened, part used").click();
  await page.getByLabel("Left in one of them").fill("1.5");
  await page.getByRole("button", { name: "Part it off" }).click();
  await expect(page.getByText(/of 6/).first()).toBeVisible();
  await page.locator("body").press("j");
  await expect(page.locator("#bench-size")).toHaveValue("7.5 × 150 cm");

  // The stopwatch: best of two, one-handed.
  await page.locator("body").press("j");
  await expect(item(page)).toHaveText("Trauma shears");
  await page.getByRole("button", { name: "one-handed" }).click();
  await page.locator("h1").click();
  for (let i = 0; i < 2; i++) {
    await page.keyboard.press(" ");
    await page.waitForTimeout(300);
    await page.keyboard.press(" ");
  }
  await expect(page.getByTestId("drill")).toContainText(
    /best 0\.\d s of 2\s+tries[\s\S]*one-handed/,
  );
  await expect(page.getByText(/in hand 0\.\d s/)).toBeVisible();

  // A verdict against the rules, with its reason; both are kept.
  await page.keyboard.press("q");
  await page.keyboard.press("b");
  await page.keyboard.type("new last week");
  await page.keyboard.press("Escape");
  await expect(page.getByLabel("because")).toHaveValue("new last week");
  await page.keyboard.press("o");
  await expect(page.getByRole("button", { name: "by place" })).toBeVisible();
});

test("a scanned code gives the item in hand its date and lot, and never lands in a field", async ({
  page,
}) => {
  await bench(page, "4 gauze pads\n1 whistle\n");
  const body = "0123456789012";
  const code = `(01)${body}${checkDigit(body)}(17)290531(10)A7`;
  await typeScan(page, code);
  await expect(page.getByText("Scanned: good to May 31, 2029, lot A7.")).toBeVisible();
  await expect(page.locator("#bench-date")).toHaveValue("2029-05-31");
  await expect(page.getByLabel("lot", { exact: true })).toHaveValue("A7");
  await expect(page.getByText("Item 1 of 2")).toBeVisible();
});

test("labels and a contents card are printed; a look at the bag is recorded and compared", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-crew-box/labels");
  await expect(page.getByTestId("labels")).toContainText("Lid pocket");
  await expect(page.getByTestId("labels")).toContainText("Paracetamol tablet 500 mg");
  for (const name of ["Labels as PDF", "Contents card as PDF"]) {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name }).click(),
    ]);
    const pdf = readFileSync(await download.path());
    expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
    expect(pdf.length).toBeGreaterThan(5000);
  }
  await page.getByLabel("what you found").fill("left zip stiff");
  await page.getByRole("button", { name: "Record this look" }).click();
  await expect(page.getByTestId("looks")).toContainText("left zip stiff");
});

test("a second pair of eyes sees nothing of the first, then differences are settled", async ({
  page,
}) => {
  await bench(page, "4 gauze pads\n1 whistle\n");
  await page.getByLabel("looked at by").fill("Ada");
  await page.locator("h1").click();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: "Second opinion" }).click();
  await page.getByLabel("Who looks").fill("Ben");
  await page.getByRole("button", { name: "Hand the kit over, unseen" }).click();
  await expect(page.getByText("Item 1 of 2")).toBeVisible();
  await expect(page.locator("#bench-count")).toHaveValue("");
  await page.keyboard.press("c");
  await page.keyboard.type("3");
  await page.keyboard.press("Escape");
  await page.keyboard.press("d"); // the seal is not whole: fatal
  await page.keyboard.press("Enter");
  await page.keyboard.press("j");
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: "Second opinion" }).click();
  const differences = page.getByTestId("differences");
  await expect(differences.locator("li")).toHaveCount(2);
  await expect(differences).toContainText("how many");
  await expect(page.getByTestId("agreement")).toContainText("Enough");
  await differences.getByRole("button", { name: "Ben: 3" }).click();
  await expect(page.getByTestId("settled")).toContainText(
    "how many: as Ben saw it; decided by Ben",
  );
  await expect(differences.locator("li")).toHaveCount(1);
  await differences.getByRole("button", { name: /Ada: sound/ }).click();
  await expect(differences).toContainText("You differ in nothing");
});

test("every verdict has a key of its own, and the same key takes it back", async ({ page }) => {
  await bench(page, "Whistle (1)\nScissors (1)");
  for (const [verdict, key] of Object.entries(VERDICT_KEY)) {
    const label = VERDICT_LABEL[verdict as keyof typeof VERDICT_LABEL];
    const button = page.getByRole("button", {
      name: new RegExp(`^${label}\\s*${key.toUpperCase()}$`),
    });
    await page.keyboard.press(key);
    await expect(button, `${key}: ${label}`).toHaveAttribute("aria-pressed", "true");
    await page.keyboard.press(key);
    await expect(button).toHaveAttribute("aria-pressed", "false");
  }
});
