import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(...ts.configs.recommended, {
  files: ["src/**/*.{ts,tsx}"],
  ignores: ["src/api/schema.d.ts"],
  plugins: { "react-hooks": hooks },
  rules: {
    ...hooks.configs.recommended.rules,
    "@typescript-eslint/no-explicit-any": "error",
    "max-lines-per-function": ["error", { max: 60, skipBlankLines: true, skipComments: true }],
  },
}, { ignores: ["src/api/schema.d.ts", "dist"] });
