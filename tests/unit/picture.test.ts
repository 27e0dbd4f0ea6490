import { pngHead } from "./pdfMaker.ts";
import {
  drawnAt,
  whyTooHeavy,
  whyTooLarge,
  whyTooLong,
} from "../../src/lib/core/picture/limits.ts";
import { expect } from "chai";
import { createCanvas } from "@napi-rs/canvas";
import fc from "fast-check";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pixelsOfFile } from "../../src/cli/readPicture.ts";
import { withDecimalPoint } from "../../src/lib/core/card/decimalPoint.ts";
import { joinPages } from "../../src/lib/core/picture/joinPages.ts";
import { isHeic, isPdf, isPicture } from "../../src/lib/core/picture/kindOfFile.ts";
import { layOut } from "../../src/lib/core/picture/layOut.ts";
import { pdfWords } from "../../src/lib/core/picture/pdfWords.ts";
import { withoutLeaders } from "../../src/lib/core/picture/leaders.ts";
import { scaleFor, stretched, turned, type Pixels } from "../../src/lib/core/picture/prepare.ts";
import { legibility, readUpright } from "../../src/lib/core/picture/readPage.ts";
import type { SeenPage, SeenWord } from "../../src/lib/core/picture/seen.ts";
import { seenPage } from "../../src/lib/core/picture/tesseractPage.ts";
import { boxAround, wordsOfEntry } from "../../src/lib/core/picture/wordsOfEntry.ts";
import { onWrappers, wrapperFacts } from "../../src/lib/core/picture/wrapper.ts";

/** Words of a line, ten pixels a character, twenty high. */
const line = (text: string, x: number, y: number, confidence = 0.9): SeenWord[] =>
  [...text.matchAll(/\S+/g)].map((m) => ({
    text: m[0],
    confidence,
    box: { x0: x + 10 * m.index, x1: x + 10 * (m.index + m[0].length), y0: y, y1: y + 20 },
  }));
const tilted = (words: readonly SeenWord[], slope: number): SeenWord[] =>
  words.map((w) => ({
    ...w,
    box: { ...w.box, y0: w.box.y0 + slope * w.box.x0, y1: w.box.y1 + slope * w.box.x0 },
  }));

describe("words of a picture as lines of text", () => {
  it("what stands at one height is one line, from left to right", () => {
    const words = [...line("Eye pads (2)", 0, 40), ...line("Whistle", 0, 0)];
    expect(layOut({ words }).lines).to.deep.equal(["Whistle", "Eye pads (2)"]);
  });
  it("also where the picture is tilted by more than a line's height", () => {
    // 0.03 a pixel over 600 px is 18 px; lines are 24 px apart.
    const words = [
      "Gauze pads 10 x 10 cm",
      "Whistle on a cord red",
      "Safety pins assorted",
    ].flatMap((text, i) => [...line(text, 0, 24 * i), ...line(String(i + 3), 600, 24 * i)]);
    expect(
      layOut({ words: tilted(words, 0.03) }).lines.map((l) => l.replace(/ {3,}/, " | ")),
    ).to.deep.equal([
      "Gauze pads 10 x 10 cm | 3",
      "Whistle on a cord red | 4",
      "Safety pins assorted | 5",
    ]);
  });
  it("a wide gap parts columns by three blanks or more, a word space by one", () => {
    const words = [...line("Eye pads", 0, 0), ...line("2", 300, 0)];
    expect(layOut({ words }).lines).to.deep.equal([`Eye pads${" ".repeat(22)}2`]);
  });
  it("a list in two columns is read one column after the other; a table is not", () => {
    const left = ["2 eye pads", "4 gauze pads", "1 whistle red", "6 safety pins"];
    const right = [
      "1 triangular bandage",
      "3 foil blankets",
      "2 nitrile gloves",
      "1 trauma shears",
    ];
    const words = left.flatMap((t, i) => [...line(t, 0, 40 * i), ...line(right[i]!, 400, 40 * i)]);
    expect(layOut({ words }).lines).to.deep.equal([...left, "", ...right]);
    const inWords = [
      "four sachets of salts",
      "twenty cotton buds",
      "a magnifying glass",
      "one lip balm",
    ];
    const spoken = left.flatMap((t, i) => [
      ...line(t, 0, 40 * i),
      ...line(inWords[i]!, 400, 40 * i),
    ]);
    expect(layOut({ words: spoken }).lines).to.deep.equal([...left, "", ...inWords]);
    const remarks = ["in the lid", "an old one", "beside the door", "see the other list"];
    const remarked = left.flatMap((t, i) => [
      ...line(t, 0, 40 * i),
      ...line(remarks[i]!, 400, 40 * i),
    ]);
    expect(layOut({ words: remarked }).lines.length).to.equal(4);
    const table = left.flatMap((t, i) => [...line(t, 0, 40 * i), ...line(`${i + 1}`, 400, 40 * i)]);
    expect(layOut({ words: table }).lines.length).to.equal(4);
  });
  it("every word stands in the text where it is said to stand", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ text: fc.stringMatching(/^[a-z]{1,9}$/), x: fc.nat(900), y: fc.nat(600) }),
          {
            maxLength: 40,
          },
        ),
        (all) => {
          const words = all.flatMap(({ text, x, y }) => line(text, x, y));
          const laid = layOut({ words });
          expect(laid.words.length).to.equal(words.length);
          for (const w of laid.words)
            expect(laid.lines[w.line]!.slice(w.from, w.to)).to.equal(w.text);
        },
      ),
    );
  });
  it("pages are joined with a blank line between them, their words moved down", () => {
    const page = (text: string) => layOut({ words: line(text, 0, 0) });
    const { text, words } = joinPages([page("Whistle"), page("Eye pads")]);
    expect(text).to.equal("Whistle\n\nEye pads");
    expect(words.map((w) => [w.text, w.line, w.page])).to.deep.equal([
      ["Whistle", 0, 0],
      ["Eye", 2, 1],
      ["pads", 2, 1],
    ]);
  });
});

describe("an entry's place on the picture", () => {
  const { words } = joinPages([
    layOut({ words: [...line("Eye pads (2)", 0, 0), ...line("Whistle", 0, 40)] }),
  ]);
  it("is the box round its own words", () => {
    const own = wordsOfEntry({ source: 1, text: "Eye pads" }, words);
    expect(boxAround(own)).to.deep.equal({ page: 1, x0: 0, y0: 0, x1: 80, y1: 20 });
  });
  it("is the whole line where its text was put together", () => {
    const own = wordsOfEntry({ source: 1, text: "Augenkompressen" }, words);
    expect(boxAround(own)?.x1).to.equal(120);
    expect(boxAround([])).to.equal(null);
  });
});

describe("pixels made ready to be read", () => {
  const grey = (values: number[], width: number): Pixels => ({
    width,
    height: values.length / width,
    data: new Uint8ClampedArray(values.flatMap((v) => [v, v, v, 255])),
  });
  const values = (p: Pixels) => Array.from({ length: p.width * p.height }, (_, i) => p.data[4 * i]);
  it("the darkest becomes black, the lightest white, what lies between in proportion", () => {
    // 100 to 200: 150 is the middle, 127.5, rounded to the even 128.
    expect(values(stretched(grey([100, 150, 200, 200], 2)))).to.deep.equal([0, 128, 255, 255]);
    expect(values(stretched(grey([90, 90], 2)))).to.deep.equal([90, 90]);
  });
  it("a quarter turn clockwise brings the left column to the top, from below", () => {
    // 1 2 3        4 1
    // 4 5 6   →    5 2
    //              6 3
    const p = grey([1, 2, 3, 4, 5, 6], 3);
    const quarter = turned(p, 1);
    expect([quarter.width, quarter.height]).to.deep.equal([2, 3]);
    expect(values(quarter)).to.deep.equal([4, 1, 5, 2, 6, 3]);
    expect(values(turned(p, 2))).to.deep.equal([6, 5, 4, 3, 2, 1]);
    expect(values(turned(turned(p, 1), 3))).to.deep.equal(values(p));
  });
  it("small pictures are enlarged at most three times, large ones made smaller", () => {
    expect(scaleFor(900, 600)).to.equal(2);
    expect(scaleFor(100, 100)).to.equal(3);
    expect(scaleFor(5200, 100)).to.equal(0.5);
    expect(scaleFor(2000, 100)).to.equal(1);
  });
});

describe("which way up a picture lies", () => {
  const page = (confidence: number): SeenPage => ({
    width: 100,
    height: 100,
    words: line("three real words", 0, 0, confidence),
  });
  it("a page that reads well is not turned", async () => {
    const asked: number[] = [];
    const read = await readUpright((q) => {
      asked.push(q);
      return Promise.resolve(page(0.9));
    });
    expect(read.quarters).to.equal(0);
    expect(asked).to.deep.equal([0]);
  });
  it("one that reads badly is turned until it reads well", async () => {
    const sure = [0.3, 0.2, 0.4, 0.95];
    const read = await readUpright((q) => Promise.resolve(page(sure[q]!)));
    expect(read.quarters).to.equal(3);
  });
  it("the best is taken where none reads well, and scraps read not at all", async () => {
    const sure = [0.3, 0.5, 0.4, 0.2];
    expect((await readUpright((q) => Promise.resolve(page(sure[q]!)))).quarters).to.equal(1);
    expect(legibility({ width: 9, height: 9, words: line("a 1 b", 0, 0) })).to.equal(0);
  });
});

describe("what a recogniser gives", () => {
  const bbox = { x0: 0, y0: 0, x1: 10, y1: 10 };
  const recognised = (...texts: [string, number][]) => ({
    blocks: [
      {
        paragraphs: [
          { lines: [{ words: texts.map(([text, confidence]) => ({ text, confidence, bbox })) }] },
        ],
      },
    ],
  });
  const texts = (...given: [string, number][]) =>
    seenPage(recognised(...given), { width: 9, height: 9 }).words.map((w) => w.text);
  it("rules and leaders are left out, words and doubtful numbers kept", () => {
    expect(
      texts(["Eye", 95], ["pads", 90], [".....covienn.", 0], ["|", 50], ["2", 5]),
    ).to.deep.equal(["Eye", "pads", "2"]);
  });
  it("a dash before a thing is its list mark, elsewhere a rule", () =>
    expect(texts(["-", 90], ["Eye", 95], ["—", 90], ["pads", 90])).to.deep.equal([
      "-",
      "Eye",
      "pads",
    ]));
  it("no blocks are no words", () =>
    expect(seenPage({ blocks: null }, { width: 1, height: 1 }).words).to.deep.equal([]));
});

describe("text of a PDF page", () => {
  it("is cut into words in proportion, measured from the head of the page", () => {
    const run = { str: "Eye pads", transform: [10, 0, 0, 10, 100, 700], width: 80, height: 10 };
    expect(pdfWords([run], { width: 600, height: 800 }).words).to.deep.equal([
      { text: "Eye", confidence: 1, box: { x0: 100, x1: 130, y0: 90, y1: 100 } },
      { text: "pads", confidence: 1, box: { x0: 140, x1: 180, y0: 90, y1: 100 } },
    ]);
  });
});

describe("what a file is", () => {
  const bytes = (text: string) => new Uint8Array([...text].map((c) => c.charCodeAt(0)));
  it("is told by its first bytes", () => {
    expect(isPicture(bytes("\x89PNG\r\n"))).to.equal(true);
    expect(isPicture(bytes("\xff\xd8\xff\xe0"))).to.equal(true);
    expect(isPicture(bytes("RIFF1234WEBPVP8 "))).to.equal(true);
    expect(isPicture(bytes("RIFF1234WAVE"))).to.equal(false);
    expect(isPdf(bytes("%PDF-1.7"))).to.equal(true);
    expect(isHeic(bytes("\0\0\0\x18ftypheic"))).to.equal(true);
    expect([isPicture, isPdf, isHeic].some((is) => is(bytes("2 eye pads")))).to.equal(false);
  });
});

describe("how large a picture or PDF may be", () => {
  it("a phone's largest photograph may be opened, a bomb of a few bytes is told by its head", () => {
    expect(whyTooLarge(pngHead(12_000, 9000))).to.equal(null);
    expect(whyTooLarge(pngHead(60_000, 60_000))).to.match(
      /^has 3600 million dots, and at most 120 million/,
    );
  });
  it("what tells no size is left to whoever opens it", () => {
    expect(whyTooLarge(new Uint8Array([1, 2, 3]))).to.equal(null);
  });
  it("60 MB and 30 pages at most", () => {
    expect(whyTooHeavy(60_000_000)).to.equal(null);
    expect(whyTooHeavy(61_000_000)).to.match(/^has 61 MB, and at most 60/);
    expect(whyTooLong(30)).to.equal(null);
    expect(whyTooLong(31)).to.match(/^has 31 pages, and at most 30/);
  });
  it("a page is drawn as asked, a poster to 4,000 px", () => {
    expect(drawnAt(595, 842, 2.5)).to.equal(2.5);
    // 14,400 points is the most that a PDF page may have: 4000 / 14400.
    expect(drawnAt(14_400, 600, 2.5)).to.be.closeTo(0.27778, 1e-5);
  });
});

describe("print on a wrapper", () => {
  it("a date beside a word for expiry comes first, the day it was made is left out", () => {
    const facts = wrapperFacts([
      "MFG 2024-05-01",
      "2026-01",
      "EXP 2029-04-30  LOT A12B7",
      "10 x 10 cm",
    ]);
    expect(facts.dates).to.deep.equal([
      { printed: "2029-04-30", means: ["2029-04-30"] },
      { printed: "2026-01", means: ["2026-01"] },
    ]);
    expect(facts.lot).to.equal("A12B7");
    expect(facts.sizeMm).to.deep.equal([100, 100]);
  });
  it("a date that may mean two days gives both", () =>
    expect(wrapperFacts(["use by 05/06/2028"]).dates[0]!.means).to.have.members([
      "2028-06-05",
      "2028-05-06",
    ]));
  it("nothing is found where nothing is printed", () =>
    expect(wrapperFacts(["Sterile unless opened"])).to.deep.equal({
      dates: [],
      lot: null,
      sizeMm: null,
    }));
});

describe("a decimal point that was lost", () => {
  it("tape 250 mm wide is 25 mm; 50 mm is as it is; what comes on no roll is left alone", () => {
    expect(withDecimalPoint([250, 5000], { widestMm: 75 })).to.deep.equal([25, 5000]);
    expect(withDecimalPoint([50, 5000], { widestMm: 75 })).to.equal(null);
    expect(withDecimalPoint([250, 250], {})).to.equal(null);
    expect(withDecimalPoint([2500], { widestMm: 75 })).to.equal(null);
    expect(withDecimalPoint(undefined, { widestMm: 75 })).to.equal(null);
  });
});

describe("several wrappers of one line", () => {
  it("the soonest date first, each with how many wrappers it stands on", () => {
    const read = [
      ["EXP 2028-05", "LOT A12", "10 x 10 cm"],
      ["EXP 2027-03", "LOT B07", "10 x 10 cm"],
      ["EXP 2028-05", "LOT A12", "10 x 10 cm"],
    ].map(wrapperFacts);
    const facts = onWrappers(read);
    expect(facts.dates.map((d) => [d.value.means, d.wrappers])).to.deep.equal([
      [["2027-03"], 1],
      [["2028-05"], 2],
    ]);
    expect(facts.lots).to.deep.equal([
      { value: "A12", wrappers: 2 },
      { value: "B07", wrappers: 1 },
    ]);
    expect(facts.sizes).to.deep.equal([{ value: [100, 100], wrappers: 3 }]);
    expect(onWrappers([])).to.deep.equal({ dates: [], lots: [], sizes: [] });
  });
});

describe("a photograph taken sideways", () => {
  /** A JPEG with an Exif block that holds nothing but its orientation, 1 to 8. */
  function noted(jpeg: Buffer, orientation: number): Buffer {
    // Big-endian TIFF with one entry: tag 0x0112, a short, once.
    const tiff = [0x4d, 0x4d, 0, 0x2a, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation];
    const body = Buffer.from([...Buffer.from("Exif\0\0", "latin1"), ...tiff, 0, 0, 0, 0, 0, 0]);
    const marker = Buffer.from([0xff, 0xe1, 0, body.length + 2]);
    return Buffer.concat([jpeg.subarray(0, 2), marker, body, jpeg.subarray(2)]);
  }
  it("is upright before it is read, as its camera noted it", async () => {
    const canvas = createCanvas(80, 40);
    const ink = canvas.getContext("2d");
    ink.fillStyle = "white";
    ink.fillRect(0, 0, 80, 40);
    ink.fillStyle = "black";
    ink.fillRect(0, 0, 20, 40);
    const folder = mkdtempSync(join(tmpdir(), "sideways-"));
    try {
      const shape = async (orientation: number) => {
        const path = join(folder, `${orientation}.jpg`);
        writeFileSync(path, noted(canvas.toBuffer("image/jpeg"), orientation));
        const { width, height, data } = await pixelsOfFile(path);
        const isDark = (x: number, y: number) =>
          data[4 * (Math.floor(y * height) * width + Math.floor(x * width))]! < 128;
        // Of the four sides the one that the dark strip lies along.
        const sides = [isDark(0.05, 0.5), isDark(0.95, 0.5), isDark(0.5, 0.05), isDark(0.5, 0.95)];
        return [width > height, ["left", "right", "top", "bottom"][sides.indexOf(true)]];
      };
      expect(await shape(1)).to.deep.equal([true, "left"]);
      expect(await shape(3)).to.deep.equal([true, "right"]);
      expect(await shape(6)).to.deep.equal([false, "top"]);
      expect(await shape(8)).to.deep.equal([false, "bottom"]);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});

describe("dot leaders in a picture", () => {
  type Block = readonly [x: number, y: number, width: number, height: number];
  const [WIDTH, HEIGHT] = [240, 60];
  /** Black blocks on white paper. */
  function paper(blocks: readonly Block[]): Pixels {
    const data = new Uint8ClampedArray(4 * WIDTH * HEIGHT).fill(255);
    for (const [x0, y0, w, h] of blocks)
      for (let y = y0; y < y0 + h; y++)
        for (let x = x0; x < x0 + w; x++)
          data.fill(0, 4 * (y * WIDTH + x), 4 * (y * WIDTH + x) + 3);
    return { width: WIDTH, height: HEIGHT, data };
  }
  const isDark = ({ data }: Pixels, [x, y]: Block) => data[4 * (y * WIDTH + x)]! < 128;
  /** Five letters 20 px high, and a digit at the end of the line. */
  const PRINT: readonly Block[] = [0, 1, 2, 3, 4, 17].map((i) => [2 + 13 * i, 10, 9, 20]);
  const dots = (n: number, y = (_: number) => 27, gap = 12): Block[] =>
    Array.from({ length: n }, (_, i) => [75 + gap * i, y(i), 4, 4]);

  it("are taken out, and the print beside them stays as it was", () => {
    const leader = dots(11);
    const without = withoutLeaders(paper([...PRINT, ...leader]));
    expect(leader.filter((d) => isDark(without, d))).to.deep.equal([]);
    expect(without.data).to.deep.equal(paper(PRINT).data);
  });
  it("also on a page that is tilted: from one dot to the next the row may rise a little", () => {
    const leader = dots(11, (i) => 22 + Math.floor(i / 2));
    const without = withoutLeaders(paper([...PRINT, ...leader]));
    expect(leader.filter((d) => isDark(without, d))).to.deep.equal([]);
  });
  for (const [what, blocks] of [
    ["five dots: an ellipsis", dots(5)],
    ["specks not evenly apart", [0, 9, 40, 52, 80, 88, 120].map((x): Block => [75 + x, 27, 4, 4])],
    ["dots up and down", dots(8, (i) => 20 + 6 * (i % 2))],
    ["dashes", Array.from({ length: 8 }, (_, i): Block => [75 + 14 * i, 24, 9, 3])],
  ] as const)
    it(`${what} stay`, () => {
      const page = paper([...PRINT, ...blocks]);
      expect(withoutLeaders(page)).to.equal(page);
    });
  it("letters of small print stay, however alike and evenly set they are", () => {
    const page = paper(Array.from({ length: 14 }, (_, i): Block => [4 + 11 * i, 20, 7, 8]));
    expect(withoutLeaders(page)).to.equal(page);
  });
});
