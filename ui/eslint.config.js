import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

// A sentence in a view would escape its catalogue.
const UNTOLD = [
  "JSXText[value=/[A-Za-z]{2}/]",
  "JSXAttribute[name.name=/^(label|title|alt|placeholder|what|note|aria-label)$/] > Literal[value=/[A-Za-z]{2}/]",
  "JSXExpressionContainer > Literal[value=/[A-Za-z]{2,} [A-Za-z]/]",
  "JSXExpressionContainer TemplateElement[value.raw=/[A-Za-z]{3,} [a-z]{2,} /]:not(JSXAttribute[name.name='className'] TemplateElement)",
];

export default ts.config(
  ...ts.configs.recommended,
  {
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/api/schema.d.ts"],
    plugins: { "react-hooks": hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      "@typescript-eslint/no-explicit-any": "error",
      "no-restricted-syntax": [
        "error",
        ...UNTOLD.map((selector) => ({ selector, message: "What is said to people stands in src/words." })),
      ],
      "max-lines-per-function": ["error", { max: 100, skipBlankLines: true, skipComments: true }],
    },
  },
  { ignores: ["src/api/schema.d.ts", "dist"] },
);
