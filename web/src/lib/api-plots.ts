import type { paths } from "./api.d";
import type { Schemas } from "./api-types";
import { answer, client } from "./client";

export type Plots = Schemas["PlotsView"];
export type Plot = Schemas["PlotView"];
export type PlotPoint = Schemas["PlotPointView"];
export type PlotWeld = Schemas["PlotWeldView"];
export type PlotScope = NonNullable<paths["/api/plots"]["get"]["parameters"]["query"]>;

/** Plots that show where to act. */
export const plotting = {
  plots: (scope: PlotScope) => answer(client.GET("/api/plots", { params: { query: scope } })),
  plotWelds: (plot: string, key: string, scope: PlotScope) =>
    answer(client.GET("/api/plots/{plot}/welds", { params: { path: { plot }, query: { ...scope, key } } })),
};

export const plotsReport = (scope: PlotScope, as: "pdf" | "csv" | "xlsx") =>
  `/api/plots/report?${new URLSearchParams({ ...(scope as Record<string, string>), as }).toString()}`;
