import { defineConfig } from "vite";

/** The server's work thread, as one file beside the built server. */
export default defineConfig({
  build: {
    ssr: "src/lib/server/workThread.ts",
    outDir: "build/thread",
    emptyOutDir: true,
    target: "node20",
    rolldownOptions: { output: { entryFileNames: "workThread.js" } },
  },
});
