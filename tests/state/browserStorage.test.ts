import { expect } from "chai";
import { newBrief } from "../../src/lib/state/newRecords.ts";
import { browserStorage } from "../../src/lib/state/browserStorage.ts";
import { Store } from "../../src/lib/state/store.ts";

let keys = 0;
const open = (notices: string[] = []) =>
  new Store(browserStorage(), {
    onChange: () => undefined,
    onNotice: (n) => notices.push(n.code),
    announce: () => undefined,
    now: () => 0,
    newKey: () => `k${++keys}`,
  });

describe("the browser's storage", () => {
  it("keeps records from one start to the next, and lets go of removed ones", async () => {
    const one = open();
    await one.load();
    one.edit("add", [newBrief("a"), newBrief("b")]);
    await one.flush();
    one.edit("remove", [], ["brief:b"]);
    await one.flush();
    const two = open();
    await two.load();
    expect([...two.records.keys()]).to.deep.equal(["brief:a"]);
  });

  it("without the browser's locks still does one thing after another", async () => {
    const storage = browserStorage();
    const order: string[] = [];
    const slow = (name: string, ms: number) =>
      storage.exclusive(async () => {
        order.push(`${name} begins`);
        await new Promise((done) => setTimeout(done, ms));
        order.push(`${name} ends`);
      });
    await Promise.all([slow("first", 20), slow("second", 1)]);
    expect(order).to.deep.equal(["first begins", "first ends", "second begins", "second ends"]);
    // A failure holds nobody up.
    await storage.exclusive(() => Promise.reject(new Error("no"))).catch(() => undefined);
    expect(await storage.exclusive(() => Promise.resolve("on"))).to.equal("on");
  });

  it("is filled again when it was emptied while the page was open", async () => {
    const notices: string[] = [];
    const one = open(notices);
    await one.load();
    one.edit("add", [newBrief("kept"), newBrief("other")]);
    await one.flush();
    const storage = browserStorage();
    for (const key of await storage.keys()) await storage.remove(key);
    const brief = newBrief("kept");
    one.edit("people", [{ ...brief, brief: { ...brief.brief, people: 6 } }]);
    await one.flush();
    expect(notices).to.deep.equal(["storage-emptied"]);
    const two = open();
    await two.load();
    expect([...two.records.keys()]).to.include.members(["brief:kept", "brief:other"]);
  });
});
