import adapter from "@sveltejs/adapter-node";
import { vitePreprocess } from "@sveltejs/vite-plugin-svelte";

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    // Small files for a server; half of the build's time, which a test of what is built does without.
    adapter: adapter({ precompress: process.env["COMPRESS"] !== "no" }),
    // One shell is kept for every page without a network: its addresses must not hang on where it was got.
    paths: { relative: false },
    // Registered by ui/NewVersion.svelte, which also says when a new version waits.
    serviceWorker: { register: false },
    // The routes are stateless and know no cookie, so a request from elsewhere can do no harm; a card
    // is posted as plain text, which the origin check would refuse to any other program.
    csrf: { trustedOrigins: ["*"] },
    csp: {
      mode: "auto",
      directives: {
        "default-src": ["self"],
        // HiGHS is WebAssembly; nothing else may be evaluated.
        "script-src": ["self", "wasm-unsafe-eval"],
        "worker-src": ["self"],
        // Bars and grains carry their size in a style attribute.
        "style-src": ["self", "unsafe-inline"],
        "img-src": ["self", "data:", "blob:"],
        "font-src": ["self"],
        "connect-src": ["self"],
        "manifest-src": ["self"],
        "object-src": ["none"],
        "base-uri": ["self"],
        "form-action": ["self"],
        "frame-ancestors": ["none"],
      },
    },
  },
};
