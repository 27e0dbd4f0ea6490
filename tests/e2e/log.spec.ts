import { expect, test, type Page } from "@playwright/test";
import { readFileSync, writeFileSync } from "node:fs";
import { fromDemo } from "./support/demo.ts";

/** A kit in service: taken, put back, checked, merged. */

async function openLog(page: Page, path = "/kit/demo-shed-box/log"): Promise<void> {
  await fromDemo(page, path);
}
const happened = (page: Page) => page.getByTestId("events").locator("li");

test("three things taken on a phone take six taps, and the kit says what it can do no more", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openLog(page);
  let taps = 0;
  const tap = async (name: RegExp) => {
    taps++;
    await page.getByRole("button", { name }).first().click();
  };
  await tap(/^What was taken/);
  await tap(/^Eye wash bottles/);
  await tap(/^Plasters/);
  await tap(/^Antiseptic wipes/);
  await tap(/^Done, 3 pieces/);
  expect(taps).toBeLessThanOrEqual(6);
  await expect(happened(page).first()).toContainText("1 × Eye wash bottles");
  await expect(happened(page).first()).toContainText("for eyes");
  await expect(page.getByTestId("lost")).toContainText("Flush an eye");
  await expect(page.getByTestId("deficits")).toContainText("1 × Eye wash bottles");

  // Nothing is lost over a reload, and what was written in error is taken back, not wiped.
  await page.reload();
  await expect(happened(page).first()).toContainText("Eye wash");
  await page
    .getByRole("button", { name: /^Take back: Used .*Eye wash/ })
    .first()
    .click();
  await expect(happened(page).first()).not.toContainText("Eye wash");
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(happened(page).first()).toContainText("Eye wash");
});

test("what is missing is put back with its date and lot; the bench writes what it counts into the log", async ({
  page,
}) => {
  await openLog(page);
  await expect(page.getByRole("region", { name: /^Readiness/ })).toContainText(
    /Ready on \d+ of \d+ days/,
  );
  const gloves = page.getByTestId("deficits").locator("li", { hasText: "Nitrile gloves" });
  await gloves.getByRole("button", { name: /^Put back/ }).click();
  await gloves.getByLabel(/^good to/).fill("0631");
  await gloves.getByLabel("lot").fill("N9");
  await gloves.getByRole("button", { name: "It is in" }).click();
  await expect(gloves).toHaveCount(0);
  await expect(happened(page).first()).toContainText(
    "Put back 3 × Nitrile gloves, large, pairs, lot N9, good to",
  );
  await expect(page.getByTestId("tally-grade")).toHaveText("Ready");

  await page.goto("/kit/demo-shed-box/bench#y20");
  await page.getByRole("heading", { level: 1 }).waitFor();
  await page.keyboard.press("c");
  await page.keyboard.type("1");
  await page.keyboard.press("Escape");
  await page.goto("/kit/demo-shed-box/log");
  await expect(happened(page).filter({ hasText: "Counted 1 × Eye pads" })).toHaveCount(1);
  await expect(
    page.getByTestId("deficits").locator("li", { hasText: "1 × Eye pads" }),
  ).toContainText("missing at the count");
});

test("before it goes, the fewest checks; a hot van brings things up again; a seal makes it one check", async ({
  page,
}) => {
  await openLog(page);
  await page.locator("h1").click();
  await page.keyboard.press("n");
  await page.getByRole("button", { name: "in a parked vehicle", exact: true }).click();
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByTestId("carried")).toContainText("Antiseptic wipes");
  await page.locator("h1").click();
  await page.keyboard.press("r");
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Guaranteed now");
  const checks = page.getByTestId("go-checks").locator("li");
  const before = await checks.count();
  expect(before).toBeGreaterThan(0);
  await checks.first().getByRole("button", { name: "There and sound" }).click();
  await expect(checks).toHaveCount(before - 1);
  await expect(page.getByTestId("slip")).toContainText("Looked at:");
});

test("two logs of one kit come together, each event once; the log of another kit is refused", async ({
  page,
}) => {
  await openLog(page);
  const [out] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Kit with its log" }).click(),
  ]);
  const file = JSON.parse(readFileSync(await out.path(), "utf8")) as {
    events: unknown[];
    kit: { lines: { id: string }[] };
  };
  const mine = file.events.length;
  file.events.push({
    id: "phone-1",
    on: "2026-11-20",
    kind: "used",
    what: "burns",
    by: "Ola",
    changes: [{ line: "y16", pieces: 1 }],
  });
  const theirs = test.info().outputPath("theirs.audit.json");
  writeFileSync(theirs, JSON.stringify(file));
  await page.getByLabel("Log to take in").setInputFiles(theirs);
  await expect(
    page.getByText(`1 event came in; ${mine} were here already, none twice`),
  ).toBeVisible();
  await expect(happened(page).filter({ hasText: "Ola" }).first()).toContainText("Tulle dressings");

  for (const l of file.kit.lines) l.id = `other-${l.id}`;
  file.events = [];
  writeFileSync(theirs, JSON.stringify(file));
  await page.getByLabel("Log to take in").setInputFiles(theirs);
  await expect(page.getByText("it is the log of another one")).toBeVisible();
});

test("all kits on one screen; a recall fails a lot in each that holds it", async ({ page }) => {
  await openLog(page, "/service");
  await expect(page.getByTestId("service").locator("tbody tr").first()).toContainText(
    "Fennel Lane Shed Box",
  );
  await page.getByLabel("What is recalled").fill("eye pad");
  await page.getByRole("option", { name: "Eye pad" }).first().click();
  await page.getByRole("button", { name: /^Recall it in \d kit/ }).click();
  await page.goto("/kit/demo-shed-box/log");
  await expect(happened(page).first()).toContainText("Recalled Sterile eye pad");
  await expect(page.getByTestId("deficits")).toContainText("Eye pads");
});

test("a plan that was carried out is in the kit and in its log, with what was paid", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-bleed-pouch/plan");
  await expect(page.getByTestId("plan-result")).toBeVisible({ timeout: 60_000 });
  await page.getByRole("button", { name: "Bought and packed" }).click();
  await page.getByLabel("Paid in all").fill("70");
  await page.getByRole("button", { name: "It is in the kit" }).click();
  await expect(page.getByText(/came in\. Read their dates/)).toBeVisible();
  await page.getByRole("link", { name: /^Log/ }).click();
  await expect(page.getByTestId("events").locator("li").first()).toContainText(
    /Plan carried out|€70/,
  );
  await expect(page.getByTestId("cost")).toContainText("€70.00");
  await page.keyboard.press("Control+z");
  await expect(page.getByTestId("cost")).toHaveCount(0);
});
