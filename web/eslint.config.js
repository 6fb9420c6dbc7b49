import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

// What the compiler of React finds takes as long as all other rules together: `npm run lint`, and a test with --sweeps.
const compiled = process.env.SWEEPS
  ? hooks.configs.recommended.rules
  : { "react-hooks/rules-of-hooks": "error", "react-hooks/exhaustive-deps": "warn" };

export default ts.config(
  { ignores: ["dist", "src/lib/api.d.ts"] },
  ...ts.configs.recommendedTypeChecked,
  a11y.flatConfigs.recommended,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { "react-hooks": hooks },
    rules: {
      ...compiled,
      "@typescript-eslint/no-explicit-any": "error",
      // what is longer does more than one thing
      "max-lines": ["error", 400],
      "max-lines-per-function": ["error", 250],
      // where a screen is opened to do one thing, the hand is led to it
      "jsx-a11y/no-autofocus": "off",
      // what scrolls or is moved along by the arrow keys takes the focus
      "jsx-a11y/no-noninteractive-tabindex": ["error", { tags: [], roles: ["group", "region", "tabpanel"] }],
      // a form or a panel may listen to keys for all that is in it; a click is for a control
      "jsx-a11y/no-noninteractive-element-interactions": [
        "error",
        { handlers: ["onClick", "onMouseDown", "onMouseUp"] },
      ],
    },
  },
  { files: ["src/**/*.test.*", "src/test/**"], rules: { "@typescript-eslint/require-await": "off" } },
);
