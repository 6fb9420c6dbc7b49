import { theme, type ThemeConfig } from "antd";
import type { Theme } from "./lib/theme-choice";

/** The colours of the drawings: each is a variable, so that light and dark draw the same. Their values stand in palette.css. */
export const ink = {
  text: "var(--text)",
  quiet: "var(--quiet)",
  line: "var(--line)",
  paper: "var(--paper)",
  floor: "var(--floor)",
  layout: "var(--layout)",
  chalk: "var(--chalk)",
  chalkDeep: "var(--chalk-deep)",
  onChalk: "var(--on-chalk)",
  steel: "var(--steel)",
  steelLight: "var(--steel-light)",
  weld: "var(--weld)",
  lane: "var(--lane)",
  laneFace: "var(--lane-face)",
  hatch: "var(--hatch)",
  notch: "var(--notch)",
  accept: "var(--accept)",
  acceptSoft: "var(--accept-soft)",
  reject: "var(--reject)",
  rejectSoft: "var(--reject-soft)",
  open: "var(--open)",
  openSoft: "var(--open-soft)",
  none: "var(--none)",
  onFill: "var(--on-fill)",
} as const;

const light = {
  layout: "#16324f",
  text: "#14212b",
  quiet: "#51606b",
  border: "#7d8b95",
  reject: "#a4161a",
  paper: "#ffffff",
};
const dark = {
  layout: "#9cc4ee",
  text: "#eef3f6",
  quiet: "#b4c0c9",
  border: "#8796a1",
  reject: "#ff9d94",
  paper: "#1b242b",
};

/** The same for the widgets, which reckon with real colours. */
export function antdTheme(now: Theme): ThemeConfig {
  const c = now === "dark" ? dark : light;
  return {
    algorithm: now === "dark" ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: '"Atkinson Hyperlegible Next", system-ui, sans-serif',
      fontSize: 16,
      colorPrimary: c.layout,
      colorText: c.text,
      colorTextDescription: c.quiet,
      colorBorder: c.border,
      colorError: c.reject,
      colorBgElevated: c.paper,
      borderRadius: 6,
      controlHeight: 44,
      controlHeightSM: 44,
      motionDurationMid: "0.12s",
    },
  };
}
