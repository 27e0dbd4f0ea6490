import { expect, test } from "@playwright/test";

/** The program's files wait until they are let through. */
async function heldBack(page: import("@playwright/test").Page) {
  let letThrough = () => {};
  const gate = new Promise<void>((resolve) => (letThrough = resolve));
  await page.route("**/_app/immutable/**/*.js", async (route) => {
    await gate;
    await route.continue();
  });
  return () => letThrough();
}

test("where to begin can be read before the program is there, and what is pressed then is done", async ({
  page,
}) => {
  const letThrough = await heldBack(page);
  await page.goto("/", { waitUntil: "commit" });
  await expect(page.getByRole("heading", { name: "What is on the bench today?" })).toBeVisible();
  await expect(page.getByText("Laying out the bench")).toBeHidden();
  const own = page.getByRole("button", { name: "Audit my own kit" });
  const before = await own.boundingBox();
  await own.click();
  letThrough();
  await expect(page.getByRole("textbox", { name: "A kit comes on the bench" })).toBeFocused();
  await expect(own).toHaveCount(1);
  // Nothing moved under the hand.
  expect((await own.boundingBox())!.y).toBeCloseTo(before!.y, 0);
});

test("the focus stays where it was when the program comes", async ({ page }) => {
  const letThrough = await heldBack(page);
  await page.goto("/", { waitUntil: "commit" });
  const file = page.getByRole("button", { name: "Drop or choose a card" });
  await file.focus();
  letThrough();
  await expect(page.getByRole("textbox", { name: "A kit comes on the bench" })).toBeVisible();
  await expect(file).toBeFocused();
});

test("who has kits of their own, or comes to another page, reads that the bench is laid out", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("textbox", { name: "A kit comes on the bench" }).fill("Van");
  await page.getByRole("button", { name: "New kit" }).click();
  await expect(page.getByRole("heading", { name: "Brief", exact: true })).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("link", { name: "Van" })).toBeVisible();
  const letThrough = await heldBack(page);
  for (const path of ["/", "/settings"]) {
    await page.goto(path, { waitUntil: "commit" });
    await expect(page.getByText("Laying out the bench")).toBeVisible();
    await expect(page.getByRole("heading", { name: "What is on the bench today?" })).toBeHidden();
  }
  letThrough();
  await expect(page.getByRole("heading", { name: "Settings", exact: true })).toBeVisible();
});
