import { expect, test, type Page } from "@playwright/test";
import { faultless, noSideways } from "./support/axe.ts";
import { fromDemo } from "./support/demo.ts";
import { follow } from "./support/follow.ts";

async function demo(page: Page): Promise<void> {
  await fromDemo(page, "/");
}

test("what opens is free of faults too: palette, keys, history, lists, pickers, dialogs, messages", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await demo(page);
  await page.keyboard.press("Control+k");
  await expect(page.getByPlaceholder("Find a place, a kit or a command")).toBeVisible();
  await faultless(page, "palette", "[role=dialog]");
  await page.getByPlaceholder("Find a place, a kit or a command").fill("History");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog", { name: "History" })).toBeVisible();
  await faultless(page, "history", "[role=dialog]");
  await page.keyboard.press("Escape");
  // At once: the palette's field may still have the focus, where the frames are slow.
  await page.keyboard.press("Shift+?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await faultless(page, "keys", "[role=dialog]");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Remove Sedgewick Slim Bleed Pouch" }).click();
  await expect(page.getByText("off the shelf")).toBeVisible();
  await faultless(page, "a message with its undo");

  await follow(page, "/kit/demo-crew-box/brief");
  await page.getByLabel("Reference list").first().click();
  await expect(page.getByRole("option").first()).toBeVisible();
  await faultless(page, "an open list", "[role=listbox]");
  await page.keyboard.press("Escape");
  await page.getByLabel("People", { exact: true }).fill("none");
  await faultless(page, "a field with a mistake in it");

  await follow(page, "/kit/demo-crew-box/unpack");
  await page.getByRole("button", { name: "Edit the card" }).click();
  await page.locator(".cm-content").waitFor();
  await page.locator(".cm-content").press("Control+f");
  await faultless(page, "the card's editor, seeking", ".cm-editor");
  await page.keyboard.press("Escape");
  await page
    .getByRole("button", { name: /^More for / })
    .first()
    .click();
  await expect(page.getByRole("menu")).toBeVisible();
  await faultless(page, "a row's menu", "[role=menu]");
  await page.keyboard.press("Escape");

  await page.getByRole("button", { name: "vital needs met" }).click();
  await expect(page.getByText("A vital need that is not met in full")).toBeVisible();
  await faultless(page, "a term that explains itself");
  await page.keyboard.press("Escape");

  await follow(page, "/kit/demo-shed-box/log");
  for (const [button, name] of [
    [/What was taken\?/, "What was taken?"],
    [/Ready to go/, "Ready to go?"],
    [/Something else/, ""],
  ] as const) {
    await page.getByRole("button", { name: button }).click();
    await expect(page.getByRole("dialog")).toBeVisible();
    await faultless(page, `dialog ${name}`, "[role=dialog]");
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await follow(page, "/class");
  await page.getByRole("button", { name: "Show a made-up class of 24" }).click();
  await expect(page.getByTestId("students").locator("tbody tr")).toHaveCount(24);
  await faultless(page, "the class");
  await follow(page, "/drill");
  await page.getByRole("button", { name: "Show me one" }).click();
  await faultless(page, "a drill");
  await follow(page, "/kit/demo-shed-box/last");
  await expect(page.getByTestId("lasts")).toContainText("of 100");
  await faultless(page, "will it last");
});

test("a key pressed as soon as a field has closed is not lost, however slow the frames", async ({
  page,
}) => {
  await demo(page);
  await page.evaluate(() => {
    const frame = requestAnimationFrame.bind(window);
    window.requestAnimationFrame = (draw) =>
      setTimeout(() => frame(draw), 400) as unknown as number;
  });
  await page.keyboard.press("Control+k");
  await page.getByPlaceholder("Find a place, a kit or a command").fill("History");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog", { name: "History" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Shift+?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
});

test("a kit with nothing in it, 320 px wide, and colours that the reader forces", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await page.getByLabel("A kit comes on the bench").fill("Nothing yet");
  await page.getByRole("button", { name: "New kit" }).click();
  await page.waitForURL(/brief$/);
  const kit = new URL(page.url()).pathname.replace(/\/brief$/, "");
  for (const stage of ["unpack", "bench", "sieve", "plan", "log", "report", "calendar"]) {
    await follow(page, `${kit}/${stage}`);
    await faultless(page, `empty ${stage}`);
  }
  await page.setViewportSize({ width: 320, height: 640 });
  for (const stage of ["brief", "unpack", "bench", "sieve", "log", "last"]) {
    await follow(page, `${kit}/${stage}`);
    await noSideways(page, `320 px ${stage}`);
  }
  await page.emulateMedia({ forcedColors: "active" });
  await page.goto(`${kit}/unpack`);
  const current = page.getByRole("navigation", { name: "Stages" }).locator('[aria-current="page"]');
  await expect(current).toBeVisible();
  const marked = await current.evaluate((e) => {
    const s = getComputedStyle(e);
    return (
      s.borderBottomStyle !== "none" || s.outlineStyle !== "none" || s.textDecorationLine !== "none"
    );
  });
  expect(marked, "the stage one is on is marked without colour").toBe(true);
});
