import axe from "axe-core";
import { expect, type Page } from "@playwright/test";

/** WCAG 2.2 AA, as far as a machine can look; what passes is not described, which takes longer than looking. */
const OPTIONS: axe.RunOptions = {
  runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"],
  resultTypes: ["violations"],
};

/**
 * No accessibility faults on the page, or in the part of it that has just opened. The rules are brought to each
 * document once: compiling them takes longer than running them.
 * @param within selector of that part; the page below it is looked at where it is the page
 */
export async function faultless(page: Page, what: string, within?: string): Promise<void> {
  if (!(await page.evaluate(() => "axe" in window))) {
    await page.evaluate(axe.source);
    // Rows off the screen are laid out for the look: else they lie upon each other.
    await page.addStyleTag({ content: ".row { content-visibility: visible !important }" });
  }
  const faults = await page.evaluate(
    async ([options, selector]) => {
      const { axe } = window as unknown as { axe: typeof import("axe-core") };
      const { violations } = await axe.run(selector ?? document, options);
      return violations.map(
        (v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 140)).join(" | ")}`,
      );
    },
    [OPTIONS, within] as const,
  );
  expect(faults, what).toEqual([]);
}

/**
 * Nothing is wider than the window, no control ends beyond its edge; a stage of a kit scrolls in itself, and
 * leaves its foot where it is.
 */
export async function noSideways(page: Page, what: string): Promise<void> {
  const over = await page.evaluate(() => {
    const { scrollWidth, scrollHeight } = document.documentElement;
    const scrolls = (e: Element | null): boolean =>
      e !== null &&
      ((e.id !== "stage" && /auto|scroll/.test(getComputedStyle(e).overflowX)) ||
        scrolls(e.parentElement));
    const beyond = [...document.querySelectorAll("button, input, select, textarea, a")]
      .filter((e) => e.getBoundingClientRect().right > window.innerWidth + 1 && !scrolls(e))
      .map((e) => e.outerHTML.slice(0, 140));
    const wide = scrollWidth - window.innerWidth;
    return { wide, high: scrollHeight - window.innerHeight, beyond };
  });
  expect(over.wide, what).toBeLessThanOrEqual(0);
  expect(over.beyond, what).toEqual([]);
  if (new URL(page.url()).pathname.startsWith("/kit/"))
    expect(over.high, what).toBeLessThanOrEqual(0);
}
