import { App as AntApp, ConfigProvider } from "antd";
import type { ReactNode } from "react";
import { useTheme } from "./lib/theme-choice";
import { antdTheme } from "./theme";

/** The widgets in the theme that is chosen. */
export function Themed({ children }: { children: ReactNode }) {
  return (
    <ConfigProvider theme={antdTheme(useTheme())}>
      <AntApp>{children}</AntApp>
    </ConfigProvider>
  );
}
