import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

/** Where ./start serves, for `npm run dev`; it answers only requests that seem its own. */
const target = `http://127.0.0.1:${process.env["PORT"] ?? "8787"}`;

export default defineConfig({
  plugins: [react()],
  server: { proxy: { "/api": { target, changeOrigin: true, headers: { origin: target } } } },
  build: {
    chunkSizeWarningLimit: 1500,
    assetsInlineLimit: 0,
    // The cutting room, and the page for watching alone.
    rollupOptions: { input: { index: "index.html", watch: "watch.html" } },
  },
  test: {
    // A page is made only for the tests that say they need one.
    environment: "node",
    reporters: ["default", ["junit", { outputFile: "target/surefire-reports/TEST-web.xml" }]],
  },
});
