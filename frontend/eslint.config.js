import js from "@eslint/js";
import { defineConfig } from "eslint/config";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default defineConfig(
  { ignores: ["src/api/schema.d.ts", "eslint.config.js"] },
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
);
