import { chromium, type Page } from "@playwright/test";
import { spawn } from "node:child_process";
import { CHROMIUM } from "../tests/e2e/support/browser.ts";

/** Writes docs/screenshots from the demo: one current picture of each main view. */
const PORT = "4182";
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  env: { ...process.env, PORT },
  stdio: "ignore",
});
const base = `http://localhost:${PORT}`;
for (let i = 0; i < 50; i++) {
  if (
    await fetch(`${base}/api/health`).then(
      (r) => r.ok,
      () => false,
    )
  )
    break;
  await new Promise((r) => setTimeout(r, 200));
}
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
});
const shoot = async (
  name: string,
  path: string,
  size = { width: 1280, height: 800 },
  theme: "light" | "dark" = "light",
  waitFor?: string,
  then?: (page: Page) => Promise<void>,
) => {
  const page = await browser.newPage({
    viewport: size,
    colorScheme: theme,
    locale: "en-GB",
    serviceWorkers: "block",
  });
  await page.goto(base);
  await page.locator('li a[href*="demo-crew-box"]').first().waitFor();
  await page.goto(base + path);
  if (waitFor) await page.getByTestId(waitFor).waitFor({ timeout: 60_000 });
  await page.locator("h1").first().waitFor();
  // A page's parts come one after another, its figures after them.
  await page.waitForTimeout(2000);
  if (then) await then(page);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
};
const kit = "/kit/demo-crew-box";
await shoot("shelf", "/");
for (const stage of ["brief", "unpack", "bench", "sieve"]) await shoot(stage, `${kit}/${stage}`);
await shoot("plan", `${kit}/plan`, undefined, "light", "plan-result", async (page) => {
  await page.getByText("A knee:").waitFor({ timeout: 60_000 });
});
await shoot("prices", "/prices", undefined, "light", "products");
await shoot("calendar", `${kit}/calendar`);
await shoot("report", `${kit}/report`, undefined, "light", undefined, async (page) => {
  await page.getByText("plan and chance are still being worked out").waitFor({ state: "hidden" });
});
await shoot("list", "/lists", undefined, "light", undefined, async (page) => {
  await page.getByRole("button", { name: "Copy to edit: Group leader" }).click();
  await page
    .getByRole("option", { name: /Hold a dressing on/ })
    .first()
    .click();
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(300);
});
await shoot("compare", "/compare", undefined, "light", undefined, async (page) => {
  await page.getByLabel("Judged as").click();
  await page.getByRole("option").nth(1).click();
  await page.getByRole("button", { name: "What each costs" }).click();
  await page.getByText("Built from an empty bag").waitFor({ timeout: 120_000 });
});
await shoot("labels", `${kit}/labels`);
await shoot("log", "/kit/demo-shed-box/log", undefined, "light", "events");
await shoot("service", "/service", undefined, "light", "service");
await shoot("last", `${kit}/last`, undefined, "light", "one-more");
await shoot("class", "/class", undefined, "light", undefined, async (page) => {
  await page.getByRole("button", { name: "Show a made-up class of 24" }).click();
  await page.getByTestId("students").waitFor();
  await page.getByRole("region", { name: "The class" }).evaluate((e) => e.scrollIntoView());
  await page.waitForTimeout(300);
});
await shoot("drill", "/drill", undefined, "light", undefined, async (page) => {
  await page.getByRole("button", { name: "Show me one" }).click();
  await page.getByTestId("answers").waitFor();
});
await shoot("sieve-dark", `${kit}/sieve`, undefined, "dark");
await shoot("bench-phone", `${kit}/bench`, { width: 390, height: 844 });
await browser.close();
server.kill();
