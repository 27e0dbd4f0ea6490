import { expect, type Page } from "@playwright/test";

/** The demo is on the shelf and stored; then the page at `path`. */
export async function fromDemo(page: Page, path: string): Promise<void> {
  await page.goto("/");
  await page.locator('a[href*="demo-crew-box"]').first().waitFor();
  await expect(page.getByTestId("save-state").first()).toContainText(/^\s*Saved/);
  await page.goto(path);
}
