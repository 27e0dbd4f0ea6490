import { expect, test, type Page } from "@playwright/test";
import { pasteCard } from "./support/card.ts";

// Here the service worker is what is tested.
test.use({ serviceWorkers: "allow" });

/** The first load, until the service worker has taken in all it needs and is in charge. */
async function firstLoad(page: Page): Promise<void> {
  await page.goto("/");
  await expect(page.getByRole("button", { name: "New kit" })).toBeVisible();
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((done) =>
        navigator.serviceWorker.addEventListener("controllerchange", done, { once: true }),
      );
  });
}

const CARD =
  "6 sterile gauze pads 10 x 10 cm\n2 triangular bandages\n1 emergency pressure bandage 15 cm\n2 pairs nitrile gloves\n1 foil blanket";

test("the whole job is done without a network after one load, from brief to report, and again after a reload", async ({
  page,
  context,
}) => {
  test.setTimeout(180_000);
  await firstLoad(page);
  await expect(page.locator('link[rel="manifest"]')).toHaveCount(1);
  await context.setOffline(true);

  await page.getByLabel("A kit comes on the bench").fill("Shed box");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByLabel("The outing or place").fill("The shed without network");
  await page.getByRole("link", { name: "Next: unpack" }).click();
  await pasteCard(page, CARD);
  await expect(page.getByRole("heading", { name: "5 lines" })).toBeVisible();
  await page.getByRole("link", { name: "Next: the bench" }).click();
  for (let i = 0; i < 5; i++) await page.getByRole("button", { name: "All sound" }).first().click();
  await expect(page.getByRole("link", { name: /^Bench\s*done/ })).toBeVisible();
  await page.getByRole("link", { name: /^Sieve/ }).click();
  await page.getByRole("link", { name: "Next: plan" }).click();
  await expect(page.getByTestId("plan-result")).toBeVisible({ timeout: 60_000 });
  await page.getByRole("link", { name: "Next: report" }).click();
  const pdf = async () => {
    const [download] = await Promise.all([
      page.waitForEvent("download", { timeout: 60_000 }),
      page.getByRole("button", { name: "PDF" }).first().click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/\.pdf$/);
  };
  await pdf();

  // After a reload, and at another address that was never opened: as if the network were there.
  await page.reload();
  await expect(page.getByRole("heading", { level: 1 }).first()).toBeVisible();
  await pdf();
  for (const path of ["/", "/lists", "/prices", "/compare", "/words", "/settings"]) {
    await page.goto(path);
    await expect(page.getByRole("heading", { level: 1 }).first()).toBeVisible();
  }
  await page.goto("/");
  await expect(page.getByRole("link", { name: "Shed box", exact: true })).toBeVisible();
});

test("a picture is read without a network once the reader was used", async ({ page, context }) => {
  test.setTimeout(180_000);
  await firstLoad(page);
  await page.getByLabel("A kit comes on the bench").fill("Shed box");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.getByRole("link", { name: "Next: unpack" }).click();
  const picture = async (text: string) => ({
    name: "card.png",
    mimeType: "image/png",
    buffer: Buffer.from(
      await page.evaluate(async (line) => {
        const canvas = document.createElement("canvas");
        canvas.width = 900;
        canvas.height = 300;
        const g = canvas.getContext("2d")!;
        g.fillStyle = "#fff";
        g.fillRect(0, 0, 900, 300);
        g.fillStyle = "#222";
        g.font = "40px sans-serif";
        line.split("\n").forEach((l, i) => g.fillText(l, 40, 90 + 70 * i));
        const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done));
        return [...new Uint8Array(await blob!.arrayBuffer())];
      }, text),
    ),
  });
  const input = page.getByLabel("Picture or PDF of the card");
  await input.setInputFiles(await picture("2 eye pads\n1 whistle"));
  await expect(page.getByRole("heading", { name: "2 lines" })).toBeVisible({ timeout: 60_000 });
  await context.setOffline(true);
  await input.setInputFiles(await picture("3 safety pins\n1 foil blanket"));
  await expect(page.getByRole("heading", { name: "4 lines" })).toBeVisible({ timeout: 60_000 });
});
