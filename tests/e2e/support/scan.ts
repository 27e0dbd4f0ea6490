import type { Page } from "@playwright/test";

/** A scanner that types: its keys are pressed faster than by any hand, though a busy page may hear of them late. */
export const typeScan = (page: Page, code: string): Promise<void> =>
  page.evaluate((text) => {
    const keys = [...text, "Enter"].map(
      (key) => new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true }),
    );
    for (const key of keys) (document.activeElement ?? document.body).dispatchEvent(key);
  }, code);
