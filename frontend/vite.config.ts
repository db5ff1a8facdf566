import react from "@vitejs/plugin-react";
import type { Plugin } from "vite";
import { defineConfig } from "vitest/config";

import { customMedia } from "./src/common/sizes.ts";

/** The kinds of window have their names in every style sheet of ours. */
const media: Plugin = {
  name: "media",
  enforce: "pre",
  transform: (code, id) =>
    /\/src\/.*\.css$/.test(id) ? { code: `${customMedia}\n${code}`, map: null } : null,
};

export default defineConfig({
  plugins: [react(), media],
  css: { transformer: "lightningcss", lightningcss: { drafts: { customMedia: true } } },
  build: { outDir: "../src/metrion/web/static", emptyOutDir: true, chunkSizeWarningLimit: 1200 },
  // The catalogue of messages lies beside the Python that speaks from it too.
  server: { fs: { allow: [".."] }, proxy: { "/api": "http://127.0.0.1:8321" } },
  // A test that needs a document is a .tsx; making one takes longer than most tests.
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: "plain",
          include: ["src/**/*.test.ts"],
          setupFiles: ["src/setup.ts"],
          css: { include: /\?raw$/ },
        },
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
