import { defineConfig } from "vite";

/** The planner's server thread, as one file beside the built server. */
export default defineConfig({
  build: {
    ssr: "src/lib/server/planThread.ts",
    outDir: "build/thread",
    emptyOutDir: true,
    target: "node20",
    rolldownOptions: { output: { entryFileNames: "planThread.js" } },
  },
});
