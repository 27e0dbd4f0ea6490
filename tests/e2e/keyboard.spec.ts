import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fromDemo } from "./support/demo.ts";
import { expect, test, type Page } from "@playwright/test";
import { pasteCard } from "./support/card.ts";

/** What has the focus, as a screen reader names it. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const e = document.activeElement;
    if (!e || e === document.body) return "";
    const label =
      e.getAttribute("aria-label") ??
      (e.id ? document.querySelector(`label[for="${e.id}"]`)?.textContent : null) ??
      e.closest("label")?.textContent ??
      e.textContent;
    return (label ?? "").replace(/\s+/g, " ").trim();
  });

/** Tabs on until the thing with this name has the focus; it is never lost on the way. */
async function tabTo(page: Page, name: RegExp, most = 120): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < most; i++) {
    const now = await focused(page);
    if (name.test(now)) return;
    passed.push(now);
    await page.keyboard.press("Tab");
  }
  throw new Error(`${name} was not reached; passed ${passed.slice(0, 40).join(" | ")}`);
}

const CARD = [
  "Ratchet tourniquet (1)",
  "4 sterile gauze pads, 10 x 10 cm",
  "2 pairs of nitrile gloves",
  "10 adhesive plasters",
  "1 trauma shears",
].join("\n");

test("the whole job by keyboard alone: each step has the focus on something with a name", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  await tabTo(page, /A kit comes on the bench/);
  await page.keyboard.type("Keyed box");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/brief$/);
  await expect.poll(() => focused(page)).toMatch(/Brief/);

  await tabTo(page, /The outing or place/);
  await page.keyboard.type("By keys");
  await tabTo(page, /^People/);
  await page.keyboard.press("Control+a");
  await page.keyboard.type("3");
  await tabTo(page, /^walking/i, 200);
  await page.keyboard.press("Space");
  await page.keyboard.press("Alt+2");
  await expect.poll(() => focused(page)).toMatch(/Unpack/);
  await tabTo(page, /Contents card/);
  await page.locator(".cm-content").waitFor();
  await pasteCard(page, CARD);
  await expect(page.getByRole("heading", { name: "5 lines" })).toBeVisible();
  // Out of the card again: Tab is not caught in it.
  await page.keyboard.press("Tab");
  expect(await focused(page)).not.toMatch(/^Contents card/);

  await page.keyboard.press("Alt+3");
  await expect(page).toHaveURL(/\/bench$/);
  for (let i = 0; i < 5; i++) {
    await expect.poll(() => focused(page)).not.toBe("");
    await page.keyboard.press("Enter");
    await page.waitForTimeout(150);
  }
  await expect(page.getByRole("link", { name: /^Bench\s*done/ })).toBeVisible();

  await page.keyboard.press("Alt+4");
  await expect.poll(() => focused(page)).toMatch(/Not ready|Partial|Nearly|Ready/);
  // Coverage is said once it has come to rest.
  await page.keyboard.press("Alt+5");
  await expect(page.getByTestId("plan-result")).toBeVisible({ timeout: 60_000 });
  await tabTo(page, /Next: /, 250);
  await page.keyboard.press("Alt+6");
  await expect(page).toHaveURL(/\/report$/);
  await tabTo(page, /^Markdown/);
  const [file] = await Promise.all([page.waitForEvent("download"), page.keyboard.press("Enter")]);
  expect(file.suggestedFilename()).toMatch(/keyed-box.*\.md/);
});

test("from a pasted card of 25 lines to a first verdict in under a minute and twenty actions", async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem("wide-sieve.seen", "1"));
  await page.goto("/");
  let actions = 0;
  const act = async (what: Promise<unknown>) => {
    actions++;
    await what;
  };
  const card = Array.from({ length: 25 }, (_, i) => {
    const things = [
      "sterile gauze pads, 10 x 10 cm",
      "adhesive plasters",
      "pairs of nitrile gloves",
      "triangular bandages",
      "antiseptic wipes",
    ];
    return `${2 + (i % 7)} ${things[i % 5]}, row ${i + 1}`;
  }).join("\n");
  const begun = Date.now();
  await act(page.getByLabel("A kit comes on the bench").fill("Quick box"));
  await act(page.getByRole("button", { name: "New kit" }).click());
  await act(page.getByRole("link", { name: "Next: unpack" }).click());
  await act(pasteCard(page, card));
  await expect(page.getByRole("heading", { name: "25 lines" })).toBeVisible();
  await act(page.getByRole("button", { name: /^Count all as claimed/ }).click());
  await act(page.getByRole("link", { name: /^Sieve/ }).click());
  await expect(page.getByRole("heading", { name: /Not ready|Partial|Nearly|Ready/ })).toBeVisible();
  expect(actions).toBeLessThanOrEqual(20);
  expect(Date.now() - begun).toBeLessThan(60_000);
});

test("undo goes on after a reload, a history leads back, and what was removed has its undo beside it", async ({
  page,
}) => {
  await fromDemo(page, "/");
  await page.getByRole("button", { name: "Remove Tallowmere Crew Box from the shelf" }).click();
  await expect(page.getByRole("link", { name: "Tallowmere Crew Box" })).toHaveCount(0);
  const toast = page.getByRole("status").filter({ hasText: "off the shelf" });
  await expect(toast.getByRole("button", { name: "Undo" })).toBeVisible();
  // At once: what is not written yet is left for the next page.
  await page.reload();
  await expect(page.getByRole("button", { name: "Undo", exact: true }).first()).toBeEnabled();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("link", { name: "Tallowmere Crew Box" }).first()).toBeVisible();

  await page.keyboard.press("Control+k");
  await page.getByPlaceholder("Find a place, a kit or a command").fill("History");
  await page.keyboard.press("Enter");
  const steps = page.getByTestId("history").locator("li");
  await expect(steps.first()).toContainText("(taken back)");
  await steps.first().getByRole("button").click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("link", { name: "Tallowmere Crew Box" })).toHaveCount(0);
});

test("a list to choose from answers its very first key: a letter chooses, an arrow opens it", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-crew-box/brief");
  const carried = page.getByRole("combobox", { name: /^Carried/ });
  await expect(carried).toHaveAccessibleName(/in a vehicle/);
  await carried.focus();
  await page.keyboard.press("o");
  await expect(carried).toHaveAccessibleName(/on a/);
  await expect(carried).toBeFocused();

  const skill = page.getByRole("combobox", { name: /first aid trained/ });
  await skill.focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("option").first()).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("option")).toHaveCount(0);
  await expect(skill).toBeFocused();
});

test("what comes when it is first used says when it could not be fetched, and comes at the next press", async ({
  page,
}) => {
  const chunks = "build/client/_app/immutable/chunks";
  const list = readdirSync(chunks).find(
    (f) =>
      f.endsWith(".js") && readFileSync(join(chunks, f), "utf8").includes("--bits-select-anchor"),
  );
  await page.route(`**/${list}`, (route) => route.abort());
  await fromDemo(page, "/kit/demo-crew-box/brief");
  const carried = page.getByRole("combobox", { name: /^Carried/ });
  await carried.click();
  await expect(page.getByText("could not be fetched")).toBeVisible();
  await page.unroute(`**/${list}`);
  await carried.click();
  await expect(page.getByRole("option").first()).toBeVisible();
});
