import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    setupFiles: ["vitest.setup.ts"],
    projects: [
      {
        extends: true,
        test: {
          name: "core",
          environment: "node",
          include: ["{core,cli,demo,devices,speed,server}/**/*.test.ts"],
          // Property tests that walk whole lines take seconds on a busy machine; none is held to a time.
          testTimeout: 120_000,
          // The core keeps nothing between two calls, so its tests may share what they import: five times as fast.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: "ui",
          environment: "happy-dom",
          include: ["app/**/*.test.{ts,tsx}"],
          setupFiles: ["vitest.setup.ui.ts"],
          // As above: every formula drawn at every moment takes seconds on a busy machine.
          testTimeout: 120_000,
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: "data",
          environment: "node",
          include: ["{data,app,server}/**/*.dbtest.ts"],
          fileParallelism: false,
          globalSetup: ["data/testing/server.ts"],
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
