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

/** Nothing is wider than the window; a stage of a kit scrolls in itself, and leaves its foot where it is. */
export async function noSideways(page: Page, what: string): Promise<void> {
  const over = await page.evaluate(() => {
    const { scrollWidth, scrollHeight } = document.documentElement;
    return { wide: scrollWidth - window.innerWidth, high: scrollHeight - window.innerHeight };
  });
  expect(over.wide, what).toBeLessThanOrEqual(0);
  if (new URL(page.url()).pathname.startsWith("/kit/"))
    expect(over.high, what).toBeLessThanOrEqual(0);
}
