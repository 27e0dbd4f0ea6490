import { expect, type Page } from "@playwright/test";

/** The page at `path` on a first visit, once the demo that comes with it is stored. */
export async function fromDemo(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.getByTestId("save-state").first()).toContainText(/^\s*Saved/);
}
