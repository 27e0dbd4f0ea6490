import { expect, test, type Page } from "@playwright/test";
import { faultless, noSideways } from "./support/axe.ts";
import { fromDemo } from "./support/demo.ts";
import { follow } from "./support/follow.ts";

/** Where the plan is looked at: the crew box's is long, the pouch's is found in a third of the time. */
const PLANNED = { light: "demo-crew-box", dark: "demo-bleed-pouch" } as const;
const stage = (s: string) => `/kit/demo-crew-box/${s}`;

/** The pages beside a kit's own, with a list and a set made for the look. */
async function shelfPages(page: Page): Promise<string[]> {
  await page.goto("/lists");
  await page.getByRole("button", { name: "Copy to edit: Personal day kit" }).click();
  await page.waitForURL(/\/lists\/.+/);
  await expect(page.getByLabel("Title")).toHaveValue(/our own/);
  const ownList = new URL(page.url()).pathname;
  await page.goto("/compare");
  await expect(page.getByTestId("comparison").locator("tbody tr")).toHaveCount(4);
  await page.getByRole("button", { name: /judge as a set/ }).click();
  await expect(page.getByTestId("set-grade")).toBeVisible();
  await expect(page.getByTestId("save-state").first()).toContainText(/^Saved/);
  const ownSet = new URL(page.url()).pathname;
  return ["/", "/compare", ownSet, "/lists", ownList, "/settings", "/prices"];
}

async function looksRight(page: Page, at: string, name: string): Promise<void> {
  await follow(page, at);
  if (at.endsWith("plan"))
    await expect(page.getByTestId("plan-result")).toBeVisible({ timeout: 60_000 });
  await faultless(page, name);
  await noSideways(page, name);
}

test("a first visit finds a start and the demo, once, and never over a user's own data", async ({
  page,
}) => {
  await page.goto("/");
  await expect(page.getByRole("button", { name: "Audit my own kit" })).toBeVisible();
  await page.getByRole("link", { name: "Look round a crew box" }).click();
  await expect(page).toHaveURL(/kit\/demo-crew-box\/sieve/);
  await expect(page.getByRole("heading", { name: "Not ready" })).toBeVisible();
  await page.goto("/");
  await expect(
    page.getByRole("link", { name: "Hollowbrook Family Set, 210 pieces" }),
  ).toBeVisible();
  await expect(page.getByRole("link", { name: "Sedgewick Slim Bleed Pouch" })).toBeVisible();
  await page.getByRole("button", { name: "Remove Tallowmere Crew Box from the shelf" }).click();
  await page.reload();
  await expect(page.getByRole("link", { name: "Tallowmere Crew Box" })).toHaveCount(0);
});

for (const [theme, width] of [
  ["light", 1280],
  ["dark", 390],
] as const)
  for (const [part, places] of [
    ["the shelf's pages", shelfPages],
    [
      "the first stages",
      [...["brief", "unpack", "bench", "sieve"].map(stage), `/kit/${PLANNED[theme]}/plan`],
    ],
    ["the other stages", ["log", "report", "labels", "second", "calendar"].map(stage)],
  ] as const)
    test(`${part} are free of accessibility faults, ${theme}, ${width} px, and nothing scrolls sideways`, async ({
      page,
    }) => {
      test.setTimeout(240_000);
      await page.addInitScript((t) => localStorage.setItem("wide-sieve.theme", t), theme);
      await page.setViewportSize({ width, height: 800 });
      await fromDemo(page, "/");
      const paths = typeof places === "function" ? await places(page) : places;
      for (const at of paths) await looksRight(page, at, `${at} ${theme} ${width}`);
    });

test("the command palette finds a place by name", async ({ page }) => {
  await fromDemo(page, "/");
  await page.keyboard.press("Control+k");
  await page.getByPlaceholder("Find a place, a kit or a command").fill("bleed pouch");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/demo-bleed-pouch\/sieve/);
  await page.keyboard.press("Alt+3");
  await expect(page).toHaveURL(/demo-bleed-pouch\/bench/);
});

test("nothing is fetched from anywhere else, and the worker runs under the policy", async ({
  page,
}) => {
  const elsewhere: string[] = [];
  const complaints: string[] = [];
  page.on("request", (r) => {
    if (
      !r.url().startsWith("http://localhost:4181") &&
      !r.url().startsWith("data:") &&
      !r.url().startsWith("blob:")
    )
      elsewhere.push(r.url());
  });
  page.on("console", (m) => {
    if (m.type() === "error") complaints.push(m.text());
  });
  await page.goto("/");
  await page.getByRole("link", { name: "Look round a crew box" }).click();
  await expect(page.getByTestId("tally-cost")).toContainText(/€38\.00 \+\s*€\d+/, {
    timeout: 60_000,
  });
  expect(elsewhere).toEqual([]);
  expect(complaints).toEqual([]);
});
