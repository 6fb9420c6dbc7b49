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
  open: "#7a4d00",
  accept: "#14623c",
  fill: "#16324f",
  head: "#f5f7f8",
  hover: "#eef3f7",
  rejectFill: "#a4161a",
  acceptSoft: "#dcebe2",
  rejectSoft: "#f7dddd",
  openSoft: "#f6ead2",
};
const dark = {
  layout: "#9cc4ee",
  text: "#eef3f6",
  quiet: "#b4c0c9",
  border: "#8796a1",
  reject: "#ff9d94",
  paper: "#1b242b",
  open: "#f3c67a",
  accept: "#7fd6a4",
  fill: "#1f4f80",
  head: "#232e36",
  hover: "#27343e",
  rejectFill: "#a01f23",
  acceptSoft: "#183527",
  rejectSoft: "#45191b",
  openSoft: "#3f300f",
};

/** The same for the widgets, which reckon with real colours. */
export function antdTheme(now: Theme): ThemeConfig {
  const c = now === "dark" ? dark : light;
  return {
    algorithm: now === "dark" ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: '"Atkinson Hyperlegible Next", system-ui, sans-serif',
      fontSize: 16,
      colorPrimary: c.fill,
      colorText: c.text,
      colorTextDescription: c.quiet,
      colorBorder: c.border,
      colorError: c.reject,
      colorBgElevated: c.paper,
      colorBgContainer: c.paper,
      borderRadius: 6,
      controlHeight: 44,
      controlHeightSM: 44,
      motionDurationMid: "0.12s",
      // who asked the system for less motion gets none
      motion: !window.matchMedia("(prefers-reduced-motion: reduce)").matches,
      colorLink: c.layout,
      colorLinkHover: c.text,
      colorTextPlaceholder: c.quiet,
      // what one may only read is read at arm's length too
      colorTextDisabled: c.quiet,
      colorBgContainerDisabled: c.head,
      colorWarning: c.open,
      colorSuccess: c.accept,
      colorSuccessBg: c.acceptSoft,
      colorErrorBg: c.rejectSoft,
      colorWarningBg: c.openSoft,
    },
    components: {
      Form: { itemMarginBottom: 0, verticalLabelPadding: "0 0 2px", labelHeight: "auto" },
      Segmented: {
        trackBg: c.paper,
        itemColor: c.text,
        itemSelectedBg: c.fill,
        itemSelectedColor: "#ffffff",
        controlPaddingHorizontal: 14,
      },
      Table: {
        headerColor: c.quiet,
        headerBg: c.head,
        cellPaddingBlockSM: 6,
        rowHoverBg: c.hover,
        rowSelectedBg: c.hover,
        rowSelectedHoverBg: c.hover,
      },
      Tabs: {
        itemSelectedColor: c.text,
        inkBarColor: c.layout,
        itemHoverColor: c.text,
        titleFontSize: 16,
        horizontalItemPadding: "10px 0",
        itemColor: c.quiet,
      },
      Progress: { defaultColor: c.layout },
      Descriptions: { labelColor: c.quiet },
      Collapse: { headerBg: c.head },
      Menu: { darkItemColor: "#dbe4ec", darkItemSelectedBg: "transparent", darkPopupBg: "#0c2238", itemHeight: 44 },
      Button: {
        fontWeight: 600,
        paddingInline: 17, // one letter is as wide as a gloved finger
        defaultGhostColor: "#ffffff",
        defaultGhostBorderColor: "#ffffff90",
        colorError: c.rejectFill,
        colorErrorHover: c.rejectFill,
      },
    },
  };
}
