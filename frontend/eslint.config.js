import js from "@eslint/js";
import { defineConfig } from "eslint/config";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

/** The features, from the lowest: each may import those before it. */
const ORDER = [
  "voice",
  "api",
  "entry",
  "outbox",
  "common",
  "charts",
  "strip",
  "bench",
  "equation",
  "photo",
  "tally",
  "results",
  "transfer",
  "derived",
  "instruments",
  "zero",
  "sheet",
  "desk",
  "begin",
  "help",
  "notebook",
  "planner",
  "practice",
  "report",
  "settings",
  "words",
  "app",
];

const inOrder = ORDER.map((feature, at) => ({
  files: [`src/${feature}/**`],
  ignores: ["**/*.test.*"],
  rules: {
    "no-restricted-imports": [
      "error",
      {
        patterns: [
          {
            regex: `^\\.\\./(?!(${[...ORDER.slice(0, at), "\\.\\."].join("|")})(/|$))`,
            message: `${feature} stands below: see ORDER in eslint.config.js.`,
          },
        ],
      },
    ],
  },
}));

export default defineConfig(
  { ignores: ["src/api/schema.d.ts", "src/voice/codes.d.ts", "eslint.config.js"] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  hooks.configs.flat.recommended,
  {
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      "@typescript-eslint/restrict-template-expressions": ["error", { allowNumber: true }],
      "@typescript-eslint/no-confusing-void-expression": "off",
      "max-lines": ["error", { max: 400, skipBlankLines: true }],
      "@typescript-eslint/switch-exhaustiveness-check": "error",
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "BinaryExpression[operator=/^[!=]==$/]:matches([left.property.name='kind'],[left.name='kind'])[right.value=/^(vernier|screw|angular|plain)$/]",
          message: "Ask for a trait of the tool, or switch over every kind.",
        },
      ],
    },
  },
  ...inOrder,
);
