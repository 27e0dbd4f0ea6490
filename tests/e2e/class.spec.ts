import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { choose } from "./support/choose.ts";

test("an instructor plants faults, a student finds one, the class is marked; a cut file is refused", async ({
  page,
}) => {
  await page.goto("/");
  await page.locator('a[href*="demo-crew-box"]').first().waitFor();
  await expect(page.getByTestId("save-state").first()).toContainText(/^\s*Saved/);
  await page.goto("/class");
  await choose(page, "From the kit", "Tallowmere Crew Box");
  await page.getByLabel("Faults").fill("5");
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
  await expect(page.getByText("1 of 25 decided")).toBeVisible();
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
