import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["node_modules", "build", ".data", ".react-router", "playwright-report", "test-results"] },
  ...tseslint.configs.strict,
  {
    files: ["**/*.{ts,tsx}"],
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_", destructuredArrayIgnorePattern: "^_" },
      ],
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/no-explicit-any": "error",
      eqeqeq: ["error", "always", { null: "ignore" }],
      "no-console": "error",
    },
  },
  {
    files: ["app/**/*.{ts,tsx}"],
    plugins: { ...jsxA11y.flatConfigs.recommended.plugins },
    rules: { ...jsxA11y.flatConfigs.recommended.rules },
  },
  { files: ["app/**/*.{ts,tsx}"], ...reactHooks.configs.flat["recommended-latest"] },
  // A document of the core is plain: no clock and no chance of its own.
  {
    files: ["core/**/*.ts"],
    ignores: ["core/**/*.test.ts"],
    rules: {
      "no-restricted-globals": [
        "error",
        "window",
        "document",
        "process",
        "fetch",
        "setTimeout",
        "setInterval",
      ],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The core has no clock: pass the time in." },
        { object: "Math", property: "random", message: "The core has no chance of its own: pass it in." },
      ],
      "no-restricted-syntax": [
        "error",
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: "The core has no clock: pass the time in.",
        },
      ],
    },
  },
  { files: ["cli/**", "speed/**", "server/index.js", "*.config.*"], rules: { "no-console": "off" } },
);
