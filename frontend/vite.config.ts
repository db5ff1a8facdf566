import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "../src/metrion/web/static", emptyOutDir: true, chunkSizeWarningLimit: 1200 },
  // The catalogue of messages lies beside the Python that speaks from it too.
  server: { fs: { allow: [".."] }, proxy: { "/api": "http://127.0.0.1:8321" } },
  test: { environment: "jsdom", include: ["src/**/*.test.{ts,tsx}"], setupFiles: ["src/setup.ts"] },
});
