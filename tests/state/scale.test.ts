import { expect } from "chai";
import type { benchScale } from "../../src/lib/state/scale.svelte.ts";

/** A serial port that sends what the test says. */
class Port {
  opened: { baudRate: number } | null = null;
  closed = false;
  #to: ReadableStreamDefaultController<Uint8Array> | null = null;
  readonly readable = new ReadableStream<Uint8Array>({ start: (c) => void (this.#to = c) });
  async open(options: { baudRate: number }): Promise<void> {
    this.opened = options;
  }
  async close(): Promise<void> {
    this.closed = true;
  }
  send(text: string): void {
    this.#to!.enqueue(new TextEncoder().encode(text));
  }
  pull(): void {
    this.#to!.close();
  }
}
const soon = () => new Promise((done) => setTimeout(done, 5));

describe("the scale on the bench", () => {
  const ports: Port[] = [];
  let refuses = false;
  let scale: typeof benchScale;
  const had = Object.getOwnPropertyDescriptor(globalThis, "navigator");
  before(async () => {
    const serial = {
      requestPort: async () => {
        if (refuses) throw new Error("no port was chosen");
        ports.push(new Port());
        return ports.at(-1)!;
      },
    };
    Object.defineProperty(globalThis, "navigator", { value: { serial }, configurable: true });
    scale = (await import("../../src/lib/state/scale.svelte.ts")).benchScale;
  });
  after(() => {
    if (had) Object.defineProperty(globalThis, "navigator", had);
  });
  beforeEach(async () => {
    refuses = false;
    ports.length = 0;
    scale.tareG = 0;
    scale.connect(false);
    await soon();
  });
  afterEach(() => scale.close());

  it("opens the port at the rate that scales leave the works with, and shows what it says", async () => {
    expect(ports[0]!.opened).to.deep.equal({ baudRate: 9600 });
    ports[0]!.send("US,GS,+  12.0 g\r\nST,GS,+  84.2 g\r\n");
    await soon();
    expect(scale.reading).to.deep.equal({ grams: 84.2, steady: true });
    expect(scale.status).to.equal("on");
  });

  it("a line that comes in two parts is one line", async () => {
    ports[0]!.send("ST,GS,+  8");
    await soon();
    expect(scale.reading).to.equal(null);
    ports[0]!.send("4.2 g\r\n");
    await soon();
    expect(scale.reading?.grams).to.equal(84.2);
  });

  it("what lies on the pan when it is set to nothing is taken off, also a second time", async () => {
    ports[0]!.send("ST,GS,+  20.0 g\r\n");
    await soon();
    scale.tare();
    ports[0]!.send("ST,GS,+  35.5 g\r\n");
    await soon();
    expect(scale.reading?.grams).to.be.closeTo(15.5, 1e-9);
    scale.tare();
    ports[0]!.send("ST,GS,+  40.0 g\r\n");
    await soon();
    expect(scale.reading?.grams).to.be.closeTo(4.5, 1e-9);
  });

  it("too much on it is no weight, and neither is a line that is no reading", async () => {
    ports[0]!.send("ST,GS,+  84.2 g\r\nOL\r\n");
    await soon();
    expect([scale.status, scale.reading]).to.deep.equal(["overload", null]);
    ports[0]!.send("hello\r\nST,GS,+   1.0 g\r\n");
    await soon();
    expect([scale.status, scale.reading?.grams, scale.rubbish]).to.deep.equal(["on", 1, 1]);
  });

  it("a scale that is unplugged says so, and shows no weight any more", async () => {
    ports[0]!.send("ST,GS,+  84.2 g\r\n");
    await soon();
    ports[0]!.pull();
    await soon();
    expect([scale.status, scale.reading]).to.deep.equal(["gone", null]);
    expect(scale.why).to.contain("unplugged");
  });

  it("where the user gives no port it says why", async () => {
    refuses = true;
    scale.connect(false);
    await soon();
    expect([scale.status, scale.why]).to.deep.equal(["gone", "no port was chosen"]);
  });

  it("after another was connected the former is closed and not heard", async () => {
    const former = ports[0]!;
    scale.connect(false);
    await soon();
    expect(former.closed).to.equal(true);
    ports[1]!.send("ST,GS,+   5.0 g\r\n");
    await soon();
    expect(scale.reading?.grams).to.equal(5);
  });

  it("closed by the user it is off, not gone", async () => {
    ports[0]!.send("ST,GS,+  84.2 g\r\n");
    await soon();
    scale.close();
    await soon();
    expect([scale.status, scale.reading]).to.deep.equal(["off", null]);
    expect(ports[0]!.closed).to.equal(true);
  });
});
