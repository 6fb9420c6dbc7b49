import { theme, type ThemeConfig } from "antd";
import type { Theme } from "./lib/theme-choice";
import { palette } from "./palette";

/** The colours of the drawings: each is a variable, so that light and dark draw the same. Their values stand in palette.json. */
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

/** The same for the widgets, which reckon with real colours. */
export function antdTheme(now: Theme): ThemeConfig {
  const c = palette[now];
  return {
    algorithm: now === "dark" ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: '"Atkinson Hyperlegible Next", system-ui, sans-serif',
      fontSize: 16,
      colorPrimary: c.fill,
      colorText: c.text,
      colorTextDescription: c.quiet,
      colorBorder: c.edge,
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
      colorSuccessBg: c["accept-soft"],
      colorErrorBg: c["reject-soft"],
      colorWarningBg: c["open-soft"],
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
      Menu: { darkItemColor: c["on-bar-quiet"], darkItemSelectedBg: "transparent", darkPopupBg: c.bar, itemHeight: 44 },
      Button: {
        fontWeight: 600,
        paddingInline: 17, // one letter is as wide as a gloved finger
        // as tall as the others, for the rows that hold many
        paddingInlineSM: 10,
        contentFontSizeSM: 16,
        defaultGhostColor: "#ffffff",
        defaultGhostBorderColor: "#ffffff90",
        colorError: c["reject-fill"],
        colorErrorHover: c["reject-fill"],
      },
    },
  };
}
