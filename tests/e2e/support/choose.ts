import type { Locator, Page } from "@playwright/test";

/** Opens a list to choose from and takes the option with this name. */
export async function choose(
  page: Page,
  label: string | RegExp | Locator,
  option: string | RegExp,
): Promise<void> {
  const trigger =
    typeof label === "string" || label instanceof RegExp ? page.getByLabel(label).first() : label;
  await trigger.click();
  await page.getByRole("option", { name: option }).first().click();
}
