import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./tests/e2e/support/browser.ts";

/** End-to-end tests drive the built application in Debian's headless Chromium, without a window's parts. */
export default defineConfig({
  testDir: "tests/e2e",
  // A guard against hanging, on a machine however slow; how quick things are is measured elsewhere.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  // Two cores: one window each. Tests of one file go one after another.
  workers: 2,
  reporter: [["list"], ["json", { outputFile: ".tmp/e2e.json" }]],
  outputDir: ".tmp/e2e",
  use: {
    baseURL: "http://localhost:4181",
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Each test starts from the server; offline.spec.ts lets it work.
    serviceWorkers: "block",
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        // A test's page lives for seconds: to optimise the solver for each took a third of the processor. Code that runs long still is.
        "--js-flags=--wasm-tiering-budget=400000000",
      ],
    },
  },
  webServer: {
    command: "node scripts/serve.mjs",
    env: { PORT: "4181" },
    url: "http://localhost:4181/api/health",
    reuseExistingServer: false,
    timeout: 30_000,
  },
});
