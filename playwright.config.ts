import { defineConfig } from "@playwright/test";

/** Run through `./hondaro test e2e`, which starts the application on a throw-away database and names it here. */
export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  // Not how fast it must be: how long a busy machine may take before it counts as stuck.
  timeout: 480_000,
  expect: { timeout: 60_000 },
  // A browser may stop drawing for good; what passes only the second time is told at the end of the tests.
  retries: 1,
  // One kitchen, one range: the tests cook on it in turn.
  workers: 1,
  use: {
    actionTimeout: 120_000,
    baseURL: process.env.HONDARO_URL,
    viewport: { width: 1280, height: 800 },
    locale: "en-GB",
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
