import type { ThemeConfig } from "antd";

/** Every colour and size of the drawings and screens stands here. */
export const ink = {
  text: "#14212b",
  quiet: "#51606b",
  line: "#cfd6da",
  paper: "#ffffff",
  floor: "#e9edee",
  layout: "#16324f",
  chalk: "#f2b705",
  steel: "#b9c4cc",
  steelLight: "#d7dee3",
  weld: "#7f8b95",
  accept: "#14623c",
  acceptSoft: "#dcebe2",
  reject: "#a4161a",
  rejectSoft: "#f7dddd",
  open: "#7a4d00",
  openSoft: "#f6ead2",
  none: "#66737d",
} as const;

export const antdTheme: ThemeConfig = {
  token: {
    fontFamily: '"Atkinson Hyperlegible Next", system-ui, sans-serif',
    fontSize: 16,
    colorPrimary: ink.layout,
    colorText: ink.text,
    colorTextDescription: ink.quiet,
    colorBorder: "#9aa7b0",
    colorError: ink.reject,
    borderRadius: 6,
    controlHeight: 44,
    controlHeightSM: 44,
    motionDurationMid: "0.12s",
  },
};
