import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  js.configs.recommended,
  ...tseslint.configs.strict,
  hooks.configs.flat.recommended,
  // A mutation without a body is a useChange<void>.
  { rules: { "@typescript-eslint/no-invalid-void-type": "off" } },
  { ignores: ["src/api/generated/schema.ts"] },
);
