import { Button } from "antd";
import { setTheme, useTheme } from "./theme-choice";

/** Light or dark; at first as the tablet is set. */
export function ThemeSwitch() {
  const theme = useTheme();
  const other = theme === "dark" ? "light" : "dark";
  return (
    <Button
      ghost
      className="square"
      aria-label={`Show it ${other}`}
      title={`Show it ${other}`}
      onClick={() => setTheme(other)}
    >
      <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
        <circle cx="11" cy="11" r="8.5" fill="none" stroke="currentColor" strokeWidth="2" />
        <path d="M11 2.5a8.5 8.5 0 0 1 0 17z" fill="currentColor" />
      </svg>
    </Button>
  );
}
