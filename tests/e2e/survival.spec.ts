import { chromium, expect, test, type Browser, type Page } from "@playwright/test";
import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fromDemo } from "./support/demo.ts";
import { CHROMIUM } from "./support/browser.ts";

const HOME = "http://localhost:4181";
/** Of the small pouch: what it takes to be ready is worked out at every edit. */
const BRIEF = "/kit/demo-bleed-pouch/brief";
const saved = (page: Page) =>
  expect(page.getByTestId("save-state").first()).toContainText(/^\s*Saved/);
const people = (page: Page) => page.getByLabel("People", { exact: true });

/** The demo is on the shelf, stored, and the brief is open. */
async function onBrief(page: Page): Promise<void> {
  await fromDemo(page, BRIEF);
}

/** A browser of its own with a profile that stays, so that it can be killed like a real one. */
async function browserOn(profile: string): Promise<{ process: ChildProcess; browser: Browser }> {
  const child = spawn(
    CHROMIUM,
    [
      ...["--no-sandbox", "--disable-gpu", "--no-first-run"],
      ...["--remote-debugging-port=0", `--user-data-dir=${profile}`, "about:blank"],
    ],
    { stdio: ["ignore", "ignore", "pipe"], detached: true },
  );
  const at = await new Promise<string>((resolve, reject) => {
    let heard = "";
    const timer = setTimeout(() => reject(new Error(`no browser: ${heard}`)), 20_000);
    child.stderr!.on("data", (text: Buffer) => {
      heard += text.toString();
      const found = /DevTools listening on (ws:\S+)/.exec(heard);
      if (!found) return;
      clearTimeout(timer);
      resolve(found[1]!);
    });
  });
  return { process: child, browser: await chromium.connectOverCDP(at) };
}

/** Kills, and edits before each: few in every run, `KILLS=28 EDITS=36` makes a thousand edits of it. */
const KILLS = Number(process.env["KILLS"] ?? 3);
const EDITS = Number(process.env["EDITS"] ?? 12);
/** From right after the last edit to when all of it must be stored. */
const pauseOf = (kill: number): number => [0, 60, 400][kill] ?? (kill * 137) % 900;

/** What is edited: words cost the same however many there were, more people cost longer plans. */
const place = (page: Page) => page.getByLabel("The outing or place");
const editOn = async (page: Page): Promise<number> =>
  Number(/\d+/.exec(await place(page).inputValue())?.[0] ?? 0);

test("a browser that is killed at any moment loses at most the last second", async () => {
  test.setTimeout(KILLS * 60_000);
  const profile = mkdtempSync(join(tmpdir(), "wide-sieve-kill-"));
  let sure = 0;
  try {
    for (let kill = 0; kill < KILLS; kill++) {
      const { process: child, browser } = await browserOn(profile);
      const page = await browser.contexts()[0]!.newPage();
      await page.goto(HOME + BRIEF);
      await place(page).waitFor();
      await saved(page);
      // What was on screen a second before the kill is there again.
      expect(await editOn(page)).toBeGreaterThanOrEqual(sure);
      const made: { at: number; value: number }[] = [];
      for (let i = 1; i <= EDITS; i++) {
        const value = sure + i + 20;
        await place(page).fill(`Edit ${value}`);
        made.push({ at: Date.now(), value });
        await page.waitForTimeout(120);
      }
      await page.waitForTimeout(pauseOf(kill));
      const killed = Date.now();
      process.kill(-child.pid!, "SIGKILL");
      sure = made.filter((m) => m.at < killed - 1000).at(-1)?.value ?? sure;
      await browser.close().catch(() => undefined);
      await new Promise((r) => setTimeout(r, 500));
    }
    expect(sure).toBeGreaterThan(20);
  } finally {
    rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 300 });
  }
});

test("storage that is deleted under an open page is filled again with all that is on screen", async ({
  page,
}) => {
  await onBrief(page);
  await people(page).fill("7");
  await saved(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const asked = indexedDB.deleteDatabase("wide-sieve");
        asked.onsuccess = asked.onerror = asked.onblocked = () => resolve();
      }),
  );
  await page.getByLabel("Days", { exact: true }).fill("5");
  await saved(page);
  await page.reload();
  await expect(people(page)).toHaveValue("7");
  await expect(page.getByLabel("Days", { exact: true })).toHaveValue("5");
  await page.goto("/");
  await expect(
    page.getByRole("link", { name: "Sedgewick Slim Bleed Pouch" }).first(),
  ).toBeVisible();
});

test("three windows change three things of one record, and each sees all of them", async ({
  page,
}) => {
  await onBrief(page);
  const [two, three] = [await page.context().newPage(), await page.context().newPage()];
  await two.goto(BRIEF);
  await three.goto(BRIEF);
  await Promise.all([
    people(page).fill("11"),
    two.getByLabel("Days", { exact: true }).fill("6"),
    three.getByLabel("The outing or place").fill("Three at once"),
  ]);
  for (const p of [page, two, three]) {
    await saved(p);
    await expect(people(p)).toHaveValue("11");
    await expect(p.getByLabel("Days", { exact: true })).toHaveValue("6");
    await expect(p.getByLabel("The outing or place")).toHaveValue("Three at once");
  }
});

test("a clock that was set back loses no event: what lies ahead of it is said", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-shed-box/log");
  const events = page.getByTestId("events").locator("li");
  await expect(events.first()).toBeVisible();
  const all = await events.count();
  const set = await page.context().newPage();
  await set.clock.setFixedTime(new Date("2026-06-15T10:00:00"));
  await set.goto("/kit/demo-shed-box/log");
  await expect(set.getByText(/future|has not come yet|lies ahead/).first()).toBeVisible();
  await expect(set.getByTestId("events").locator("li")).toHaveCount(all);
});
