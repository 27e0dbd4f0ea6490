/** Text as it may stand in an SVG's text or in one of its attributes. */
export const escapeXml = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll('"', "&quot;");
