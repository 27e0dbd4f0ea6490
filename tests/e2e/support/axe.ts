import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** WCAG 2.2 AA, as far as a machine can look. */
const TAGS = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"];

/**
 * No accessibility faults on the page, or in the part of it that has just opened.
 * @param within selector of that part; the page below it is looked at where it is the page
 */
export async function faultless(page: Page, what: string, within?: string): Promise<void> {
  // Rows off the screen are laid out for the look: else they lie upon each other.
  await page.addStyleTag({ content: ".row { content-visibility: visible !important }" });
  const axe = new AxeBuilder({ page })
    // What passes is not described: that takes longer than finding what does not.
    .options({ resultTypes: ["violations"] })
    .withTags(TAGS)
    // There are no frames, for which the other way opens a page of its own each time.
    .setLegacyMode(true);
  if (within !== undefined) axe.include(within);
  const found = await axe.analyze();
  const faults = found.violations.map(
    (v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(" | ")}`,
  );
  expect(faults, what).toEqual([]);
}

/** Nothing is wider than the window. */
export const noSideways = async (page: Page, what: string): Promise<void> =>
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    what,
  ).toBeLessThanOrEqual(0);
