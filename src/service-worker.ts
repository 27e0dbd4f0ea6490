/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true" />
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from "$service-worker";

/**
 * Keeps the whole application for a shed without network. At installing all that was built is taken in,
 * and the page's shell; the text recogniser, which is large, when it is first used. What is kept under
 * a version goes when the next one takes over, which the user starts (see ui/NewVersion.svelte).
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const KEPT = `wide-sieve-${version}`;
const SHELL = "/";
/** Of large files served beside the application; of the last version as good as of this. */
const READER = "wide-sieve-reader";
const isReader = (path: string) => path.startsWith("/reader/");

worker.addEventListener("install", (event) => {
  const assets = [...build, ...files.filter((f) => !isReader(f))];
  event.waitUntil(
    caches.open(KEPT).then(async (cache) => {
      // What the workers are built of: solver, PDF maker (scripts/listWorkers.mjs).
      const workers = (await (await fetch("/workers.json")).json()) as string[];
      await cache.addAll([...new Set([...assets, ...workers])]);
      // Past the browser's own cache: the shell names the files of this version.
      await cache.put(SHELL, await fetch(SHELL, { cache: "reload" }));
    }),
  );
});

worker.addEventListener("activate", (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((keys) =>
        Promise.all(
          keys
            .filter((k) => k.startsWith("wide-sieve-") && k !== KEPT && k !== READER)
            .map((k) => caches.delete(k)),
        ),
      )
      .then(() => worker.clients.claim()),
  );
});

worker.addEventListener("message", (event) => {
  if (event.data === "take over") void worker.skipWaiting();
});

const kept = new Set([...build, ...files]);
const isKept = (path: string) => kept.has(path) || path.startsWith("/_app/immutable/");

async function fromReader(request: Request): Promise<Response> {
  const cache = await caches.open(READER);
  const known = await cache.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}

/** Pages are one shell: from the network while there is one, else as kept. */
async function shell(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    const cache = await caches.open(KEPT);
    return (await cache.match(SHELL)) ?? Response.error();
  }
}

worker.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== worker.location.origin) return;
  if (url.pathname.startsWith("/api/")) return;
  if (isReader(url.pathname)) event.respondWith(fromReader(request));
  else if (isKept(url.pathname))
    event.respondWith(
      caches
        .open(KEPT)
        .then((cache) => cache.match(url.pathname))
        .then((known) => known ?? fetch(request)),
    );
  else if (request.mode === "navigate") event.respondWith(shell(request));
});
