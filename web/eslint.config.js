import js from "@eslint/js";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "node_modules", "src/api/schema.ts"] },
  js.configs.recommended,
  tseslint.configs.strict,
  tseslint.configs.recommendedTypeCheckedOnly,
  {
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
  },
  // files of the tools themselves belong to no project
  { files: ["**/*.js"], extends: [tseslint.configs.disableTypeChecked] },
  reactHooks.configs.flat.recommended,
  jsxA11y.flatConfigs.recommended,
);
