/** A PDF with these lines as text, on so many equal pages. */
export function pdfOf(lines: readonly string[], pages = 1): string {
  const runs = lines
    .map((line, i) => `BT /F1 12 Tf 72 ${700 - 20 * i} Td (${line}) Tj ET`)
    .join("\n");
  const page = (i: number) => `${i + 5} 0 R`;
  const objects = [
    "<< /Type /Catalog /Pages 2 0 R >>",
    `<< /Type /Pages /Kids [${Array.from({ length: pages }, (_, i) => page(i)).join(" ")}] /Count ${pages} >>`,
    `<< /Length ${runs.length} >>\nstream\n${runs}\nendstream`,
    "<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>",
    ...Array.from(
      { length: pages },
      () =>
        "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 612 792] /Contents 3 0 R /Resources << /Font << /F1 4 0 R >> >> >>",
    ),
  ];
  let pdf = "%PDF-1.4\n";
  const places = objects.map((o, i) => {
    const at = pdf.length;
    pdf += `${i + 1} 0 obj\n${o}\nendobj\n`;
    return `${String(at).padStart(10, "0")} 00000 n \n`;
  });
  const size = objects.length + 1;
  return `${pdf}xref\n0 ${size}\n0000000000 65535 f \n${places.join("")}trailer\n<< /Size ${size} /Root 1 0 R >>\nstartxref\n${pdf.length}\n%%EOF`;
}

/** Nothing but the head of a PNG, which says how large it is. */
export function pngHead(width: number, height: number): Uint8Array {
  const bytes = new Uint8Array(40);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  const view = new DataView(bytes.buffer);
  // The first chunk: 13 bytes, "IHDR", width, height.
  [13, 0x49_48_44_52, width, height].forEach((n, i) => view.setUint32(8 + 4 * i, n));
  return bytes;
}
