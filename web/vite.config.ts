import react from "@vitejs/plugin-react";
import optimizeLocales from "@react-aria/optimize-locales-plugin";
import { defineConfig } from "vitest/config";
import { reactCompiler } from "./reactCompiler.ts";

export default defineConfig({
  plugins: [reactCompiler(), react(), optimizeLocales.vite({ locales: ["en-US"] })],
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
    // the compiler takes most of the time, which is known
    rolldownOptions: { checks: { bundlerTimings: false } },
  },
  server: {
    proxy: {
      "/api": { target: "http://127.0.0.1:8620", headers: { Origin: "http://127.0.0.1:8620" } },
    },
  },
  test: {
    environment: "jsdom",
    setupFiles: ["src/testSetup.ts"],
    // one window for all files of a thread: setting up one for each takes far longer than the tests
    pool: "threads",
    isolate: false,
    restoreMocks: true,
  },
});
