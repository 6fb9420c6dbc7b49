import "@fontsource/atkinson-hyperlegible-next/400.css";
import "@fontsource/atkinson-hyperlegible-next/600.css";
import "@fontsource/atkinson-hyperlegible-next/700.css";
import "@fontsource/atkinson-hyperlegible-next/800.css";
import "./styles.css";
import { QueryClient } from "@tanstack/react-query";
import { PersistQueryClientProvider } from "@tanstack/react-query-persist-client";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { Mensor } from "./Mensor";
import { layOutColours } from "./palette";
import { Themed } from "./Themed";
import { keeping } from "./lib/keep";
import { applyTheme } from "./lib/theme-choice";

const queries = new QueryClient({
  defaultOptions: {
    // a shop network that the browser calls "offline" may still reach the server in the next room
    queries: { retry: 1, refetchOnWindowFocus: true, staleTime: 2_000, gcTime: 24 * 3_600_000, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
});

applyTheme();

layOutColours();
createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <Themed>
      <PersistQueryClientProvider client={queries} persistOptions={keeping}>
        <BrowserRouter>
          <Mensor />
        </BrowserRouter>
      </PersistQueryClientProvider>
    </Themed>
  </StrictMode>,
);
