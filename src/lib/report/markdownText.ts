/** C0 and C1 controls but for the line feed: none says anything in a report, some steer a terminal. */

const CONTROLS = /[\u0000-\u0009\u000b-\u001f\u007f-\u009f\u202a-\u202e\u2066-\u2069]/g;

/**
 * What somebody wrote, as plain text in Markdown: no tag, link, picture, heading or list comes of it, and no
 * address in it is fetched.
 */
export const markdownText = (text: string): string =>
  text
    .replace(CONTROLS, " ")
    .replaceAll("&", "&amp;")
    .replaceAll("<", "&lt;")
    .replace(/[\\`[\]]/g, "\\$&")
    .replaceAll("://", ":&#8203;//")
    .replace(/^(\s*)([#>+=-]|\d+[.)](?=\s))/gm, "$1\\$2");

/** The same on one line, for a heading, an item or a cell. */
export const markdownLine = (text: string): string =>
  markdownText(text.replaceAll(/\s*\n\s*/g, " "));
