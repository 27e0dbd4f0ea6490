import { expect, type Page } from "@playwright/test";

/** To another page as a link leads there: the program, and what looks at its pages, stay. */
export async function follow(page: Page, at: string): Promise<void> {
  await page.evaluate((href) => {
    const link = document.body.appendChild(document.createElement("a"));
    link.href = href;
    link.click();
    link.remove();
  }, at);
  await page.waitForURL((url) => url.pathname === at);
  await expect(page.locator("h1").first()).toBeVisible();
}
