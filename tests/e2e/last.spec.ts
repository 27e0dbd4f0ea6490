import { expect, test } from "@playwright/test";
import { fromDemo } from "./support/demo.ts";

test("will it last: chances, one more of what, an assumption changed and taken back", async ({
  page,
}) => {
  await fromDemo(page, "/kit/demo-crew-box/last");
  const lasts = page.getByTestId("lasts");
  await expect(lasts).toContainText("of 100");
  const before = await lasts.innerText();
  await expect(page.getByTestId("one-more").locator("tbody tr").first()).toContainText("+");
  await expect(page.getByTestId("enough")).toContainText("rare: the list decides");
  await expect(page.getByText("no statistics").first()).toBeVisible();
  // Ten times the stings: the chance falls; as shipped again, it is what it was.
  await page.getByLabel(/^Insect sting, per/).fill("600");
  await expect(lasts).not.toHaveText(before);
  await page.getByRole("button", { name: "As shipped" }).click();
  await expect(lasts).toHaveText(before);
  await expect(page.getByRole("region", { name: "What it hangs on" }).getByRole("img")).toBeVisible(
    { timeout: 60_000 },
  );
});

test("the route plays outings by their seed, and says what is too long", async ({ request }) => {
  const audit = {
    format: "wide-sieve.audit",
    version: 1,
    brief: {
      title: "t",
      people: 8,
      days: 5,
      hoursToCare: 1,
      start: "2027-01-10",
      activities: [],
      carry: "pack",
      skill: "trained",
      sensitivities: [],
      limits: {},
    },
    list: {
      id: "l",
      title: "l",
      needs: [{ id: "n", function: "small-wound-cover", tier: "core", quantity: { base: 1 } }],
    },
    kit: {
      name: "k",
      claims: {},
      lines: [
        { id: "p", itemType: "adhesive-strip", counted: 2, condition: "sound", expires: "none" },
      ],
    },
  };
  const ask = async (seed: number) =>
    (await request.post("/api/simulate", { data: { audit, trips: 2000, seed } })).json();
  expect(await ask(1)).toEqual(await ask(1));
  expect((await ask(1)).lasts).not.toEqual((await ask(2)).lasts);
  const long = await request.post("/api/simulate", {
    data: { audit: { ...audit, brief: { ...audit.brief, days: 365 } } },
  });
  expect(long.status()).toBe(422);
});
