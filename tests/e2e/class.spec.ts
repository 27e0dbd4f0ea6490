import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { choose } from "./support/choose.ts";
import { fromDemo } from "./support/demo.ts";

/** The class's page, with the demo's crew box to plant faults in. */
async function onClass(page: Page): Promise<void> {
  await fromDemo(page, "/class");
  await choose(page, "From the kit", "Tallowmere Crew Box");
}

test("an instructor plants faults, a student finds one, the class is marked; a cut file is refused", async ({
  page,
}) => {
  await onClass(page);
  await page.getByLabel("Faults", { exact: true }).fill("5");
  await page.getByLabel("passphrase that seals the key").fill("orchard ladder");
  await page.getByRole("button", { name: "Plant the faults" }).click();
  await expect(page.getByTestId("slips").locator("li")).toHaveCount(7);
  const save = async (name: string): Promise<string> => {
    const [file] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name }).click(),
    ]);
    return file.path();
  };
  const exercise = readFileSync(await save("Exercise to hand out"), "utf8");
  const keyText = readFileSync(await save("Key to keep"), "utf8");
  const key = JSON.parse(keyText) as { faults: { line: string }[] };
  const lines = (JSON.parse(exercise) as { audit: { kit: { lines: { id: string }[] } } }).audit.kit
    .lines;

  await page.goto("/exercise");
  await page
    .getByLabel("Exercise to open")
    .setInputFiles({ name: "e.json", mimeType: "application/json", buffer: Buffer.from(exercise) });
  await page.getByLabel("your number or name").fill("7");
  const at = lines.findIndex((l) => l.id === key.faults[0]!.line);
  for (let i = 0; i < at; i++) await page.getByRole("button", { name: "Next" }).click();
  await page.getByRole("button", { name: /^(?:Look|Feel|Try) \(1\)/ }).click();
  await expect(page.getByTestId("points").locator("li").first()).toContainText(":");
  await page.getByRole("radio", { name: "Replace" }).click();
  await choose(page, "What is wrong with it", "Past its date");
  await expect(page.getByText("1 of 26 decided")).toBeVisible();
  const result = readFileSync(await save("Hand back"), "utf8");

  await page.goto("/class");
  const give = (name: string, text: string) =>
    page
      .getByLabel("Key and results")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(text) });
  await give("key.json", keyText);
  await expect(page.getByText(/5 faults/)).toBeVisible();
  await give("seven.json", result);
  await expect(page.getByTestId("students").locator("tbody tr")).toContainText("1 of 5");
  await give("cut.json", result.slice(0, 80));
  await expect(page.getByText("is cut short or no result")).toBeVisible();
  await expect(page.getByTestId("students").locator("tbody tr")).toHaveCount(1);
});

test("a class that never was: who found what, did they learn, a sheet as PDF", async ({ page }) => {
  await page.goto("/class");
  await page.getByRole("button", { name: "Show a made-up class of 24" }).click();
  await expect(page.getByTestId("students").locator("tbody tr")).toHaveCount(24);
  await expect(page.getByTestId("runs")).toContainText("They learned.");
  await expect(page.getByTestId("by-mesh").locator("li").first()).toContainText("%");
  const [file] = await Promise.all([
    page.waitForEvent("download", { timeout: 60_000 }),
    page
      .getByRole("button", { name: /^Sheet of .*, PDF/ })
      .last()
      .click(),
  ]);
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");
});

test("a trap in the brief, a fault chosen by hand and a plan within a budget are marked", async ({
  page,
}) => {
  await fromDemo(page, "/class");
  await choose(page, "From the kit", "Tallowmere Crew Box");
  await page.getByLabel("Faults", { exact: true }).fill("3");
  await page.getByLabel("Decoys").fill("0");
  await page.getByText("the outing itself is a trap").click();
  await page.getByLabel("Budget of the students' plan").fill("20");
  await page.getByRole("button", { name: "Choose faults by hand" }).click();
  const first = page.getByTestId("by-hand").locator("li").first();
  const named = (await first.locator("span").first().innerText()).trim();
  await choose(page, `Fault of ${named}`, /It is not there/);
  await page.getByLabel("passphrase that seals the key").fill("orchard ladder");
  await page.getByRole("button", { name: "Plant the faults" }).click();
  await expect(page.getByTestId("slips").locator("li")).toHaveCount(4, { timeout: 60_000 });
  await expect(page.getByTestId("slips")).toContainText(`${named} (`);
  await expect(page.getByTestId("slips")).toContainText("Packed for less than this outing asks");
  const save = async (name: string): Promise<string> => {
    const [file] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name }).click(),
    ]);
    return readFileSync(await file.path(), "utf8");
  };
  const exercise = await save("Exercise to hand out");
  const key = await save("Key to keep");

  await page.goto("/exercise");
  await page
    .getByLabel("Exercise to open")
    .setInputFiles({ name: "e.json", mimeType: "application/json", buffer: Buffer.from(exercise) });
  await page.getByLabel("your number or name").fill("9");
  await page.getByLabel("your number or name").press("Tab");
  // By keys to the outing, the last item.
  for (let i = 0; i < 25; i++) await page.keyboard.press("n");
  await expect(page.getByRole("heading", { name: "The outing" })).toBeFocused();
  await page.getByRole("radio", { name: "It asks more than the kit was packed for" }).click();
  await page.getByLabel("seek a product by its name").fill("gloves");
  await page
    .getByRole("button", { name: /^One pack of .* more/ })
    .first()
    .click();
  await expect(page.getByTestId("plan-cost")).toContainText("of €20.00");
  const result = await save("Hand back");

  await page.goto("/class");
  const give = (name: string, text: string) =>
    page
      .getByLabel("Key and results")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(text) });
  await give("key.json", key);
  await expect(page.getByText(/4 faults/)).toBeVisible();
  await give("nine.json", result);
  const row = page.getByTestId("students").locator("tbody tr");
  await expect(row).toContainText("1 of 4");
  await expect(row).toContainText(/\d+ %/);
});

test("practising alone: a thing is named, comes again another day, and a round runs out", async ({
  page,
}) => {
  await page.goto("/drill");
  await page.getByRole("button", { name: "Show me one" }).click();
  await page.getByTestId("answers").getByRole("button", { name: "It is sound" }).click();
  await expect(page.getByTestId("told")).toContainText(/Right|No/);
  await expect(page.getByTestId("weeks").locator("tbody tr")).toHaveCount(1);
  await page.keyboard.press("n");
  await expect(page.getByTestId("answers")).toBeVisible();
  await expect(page.getByTestId("save-state").first()).toContainText(/^\s*Saved/);
  await page.reload();
  await expect(page.getByText(/1 of \d+ things seen so far/)).toBeVisible();

  await page.clock.install();
  await page.getByRole("radio", { name: "Read the date" }).click();
  await page.getByRole("button", { name: "Thirty seconds" }).click();
  await expect(page.getByTestId("left")).toContainText("s");
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("1");
    const next = page.getByRole("button", { name: /^Next/ });
    if (await next.isVisible()) await next.click();
  }
  await page.clock.fastForward(31_000);
  await expect(page.getByTestId("round-over")).toContainText("right of 4 answers");
});

test("with the real kit the file is the answer card, one student after another, against a clock", async ({
  page,
}) => {
  await onClass(page);
  await page.getByLabel("Faults", { exact: true }).fill("4");
  await page.getByText("with the real kit").click();
  await page.getByText("for practice").click();
  await page.getByLabel("Minutes given").fill("30");
  await page.getByLabel("passphrase that seals the key").fill("orchard ladder");
  await page.getByRole("button", { name: "Plant the faults" }).click();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Exercise to hand out" }).click(),
  ]);
  const exercise = readFileSync(await file.path());
  await page.goto("/exercise");
  await page
    .getByLabel("Exercise to open")
    .setInputFiles({ name: "e.json", mimeType: "application/json", buffer: exercise });
  await expect(page.getByText("Label 1: take it in your hand")).toBeVisible();
  await expect(page.getByTestId("points")).toHaveCount(0);
  await expect(page.getByTestId("left")).toHaveText("30 minutes left");
  const tally = page.getByTestId("practice");
  const before = await tally.textContent();
  await page.getByLabel("your number or name").fill("12");
  await page.getByRole("radio", { name: "Replace" }).click();
  await expect(tally).not.toHaveText(before!);
  const [card] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Next student" }).click(),
  ]);
  const result = JSON.parse(readFileSync(await card.path(), "utf8")) as {
    student: string;
    answers: { verdict: string }[];
  };
  expect(result.student).toBe("12");
  expect(result.answers[0]!.verdict).toBe("replace");
  await expect(page.getByLabel("your number or name")).toBeFocused();
  await expect(page.getByLabel("your number or name")).toHaveValue("");
  await expect(page.getByText("0 of 26 decided")).toBeVisible();
});
