import { expect } from "chai";
import { newBrief } from "../../src/lib/state/newRecords.ts";
import { memoryStorage, type Storage } from "../../src/lib/state/storage.ts";
import { Store } from "../../src/lib/state/store.ts";
import { unsavedWords, type WordStorage } from "../../src/lib/state/unsavedWords.ts";

/**
 * A page that is left in the middle of a write, whose next page is left in the middle of one too: after
 * every number of steps of storage that each of them may have got through.
 */

/** More steps of storage than two records take to be read, written through the journal and told of. */
const STEPS = 16;

function wordPlace(): WordStorage & { readonly all: Map<string, string> } {
  const all = new Map<string, string>();
  return {
    all,
    get length() {
      return all.size;
    },
    key: (i) => [...all.keys()].sort()[i] ?? null,
    getItem: (key) => all.get(key) ?? null,
    setItem: (key, value) => void all.set(key, value),
    removeItem: (key) => void all.delete(key),
  };
}

/** The storage as one page reaches it, who does not see the end of what it asks after so many steps. */
function leftAfter(steps: number, inner: Storage): Storage {
  let left = steps;
  const step = <T>(work: () => Promise<T>): Promise<T> =>
    left-- > 0 ? work() : new Promise<T>(() => undefined);
  return {
    keys: () => step(() => inner.keys()),
    get: (key) => step(() => inner.get(key)),
    set: (key, value) => step(() => inner.set(key, value)),
    remove: (key) => step(() => inner.remove(key)),
    // The browser frees the lock of a page that is gone.
    exclusive: (work) => work(),
  };
}

const settled = () => new Promise<void>((done) => setImmediate(() => setImmediate(done)));

/** The pages one after another: each takes in what was left, does its own, and is left. */
async function pages(
  acts: readonly { name: string; steps: number; act: (store: Store) => void }[],
): Promise<Store> {
  const inner = memoryStorage();
  const place = wordPlace();
  let keys = 0;
  const open = async (name: string, storage: Storage, resuming: () => void) => {
    const store = new Store(storage, {
      onChange: () => undefined,
      onNotice: () => undefined,
      announce: () => undefined,
      now: () => 0,
      newKey: () => `key${keys++}`,
    });
    await store.load();
    const words = unsavedWords(place, name);
    resuming();
    words.resumeInto(store);
    return { store, words };
  };
  for (const { name, steps, act } of acts) {
    let live: Storage = inner;
    const handed: Storage = {
      keys: () => live.keys(),
      get: (key) => live.get(key),
      set: (key, value) => live.set(key, value),
      remove: (key) => live.remove(key),
      exclusive: (work) => live.exclusive(work),
    };
    const { store, words } = await open(name, handed, () => (live = leftAfter(steps, inner)));
    act(store);
    await settled();
    words.leave(store);
  }
  const last = (await open("z", inner, () => undefined)).store;
  await last.flush();
  await settled();
  expect([...place.all.keys()], "every word is taken in").to.deep.equal([]);
  expect((await inner.keys()).filter((k) => k.startsWith("brief:")).sort()).to.deep.equal(
    [...last.records.keys()].sort(),
  );
  return last;
}

const brief = (title: string) => {
  const record = newBrief("a");
  return { ...record, brief: { ...record.brief, title } };
};
const add = (store: Store) => store.edit("add", [brief("one"), newBrief("b")]);

/** Pages in both orders of their words, after every number of steps. */
async function always(
  second: (store: Store) => void,
  check: (last: Store, said: string) => void,
): Promise<void> {
  for (const [first, next] of [
    ["p", "q"],
    ["q", "p"],
  ] as const)
    for (let one = 0; one <= STEPS; one++)
      for (let two = 0; two <= STEPS; two++) {
        const last = await pages([
          { name: first, steps: one, act: add },
          { name: next, steps: two, act: second },
        ]);
        check(last, `${one} and ${two} steps, words ${first} then ${next}`);
      }
}

describe("pages left in the middle of a write, one after another", () => {
  it("what the second has removed does not come back by the word of the first", () =>
    always(
      (store) => store.edit("remove", [], ["brief:a"]),
      (last, said) => expect([...last.records.keys()], said).to.deep.equal(["brief:b"]),
    ));

  it("what the second has changed stands, and no copy of the first's beside it", () =>
    always(
      (store) => store.edit("name", [brief("two")]),
      (last, said) => {
        expect([...last.records.keys()].sort(), said).to.deep.equal(["brief:a", "brief:b"]);
        const a = last.records.get("brief:a");
        expect(a?.kind === "brief" && a.brief.title, said).to.equal("two");
      },
    ));
});
