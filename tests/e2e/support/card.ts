import type { Page } from "@playwright/test";

/** Pastes a text into the card's editor, once it is there. */
export async function pasteCard(page: Page, text: string): Promise<void> {
  const editor = page.locator(".cm-content");
  await editor.waitFor();
  await editor.press("Control+a");
  await editor.evaluate((element, value) => {
    (element as HTMLElement).focus();
    const clipboardData = new DataTransfer();
    clipboardData.setData("text/plain", value);
    element.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData, bubbles: true, cancelable: true }),
    );
  }, text);
}
