import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "../src/metrion/web/static", emptyOutDir: true, chunkSizeWarningLimit: 1200 },
  // The catalogue of messages lies beside the Python that speaks from it too.
  server: { fs: { allow: [".."] }, proxy: { "/api": "http://127.0.0.1:8321" } },
  // A test that needs a document is a .tsx; making one takes longer than most tests.
  test: {
    projects: [
      {
        extends: true,
        test: { name: "plain", include: ["src/**/*.test.ts"], setupFiles: ["src/setup.ts"] },
      },
      {
        extends: true,
        test: {
          name: "document",
          environment: "jsdom",
          include: ["src/**/*.test.tsx"],
          setupFiles: ["src/setup.ts", "src/setupDocument.ts"],
        },
      },
    ],
  },
});
