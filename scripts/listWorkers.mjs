/**
 * Lists what the web workers are built of (build/client/workers.json), for the service worker: SvelteKit
 * tells it of the pages' files only. Run by `npm run build`.
 */
import { readdirSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const root = "build/client";
const under = (folder) =>
  readdirSync(join(root, folder)).flatMap((name) => {
    const path = `${folder}/${name}`;
    if (statSync(join(root, path)).isDirectory()) return under(path);
    return /\.(?:br|gz)$/.test(name) ? [] : [`/${path}`];
  });
writeFileSync(join(root, "workers.json"), JSON.stringify(under("_app/immutable/workers")));
