import type { Schemas } from "./api-types";
import { answer, asFile, asText, client } from "./client";

export type WeldMap = Schemas["MapView"];
export type MapSheet = Schemas["MapSheetView"];
export type MapWeld = Schemas["MapWeldView"];
export type MapPin = Schemas["PinView"];
export type WeldState = MapWeld["state"];

const at = (job: string, sheet: string) => ({ params: { path: { job, sheet } } });

/** The drawings of a job with its welds. */
export const mapping = {
  weldMap: (job: string) => answer(client.GET("/api/jobs/{job}/map", { params: { path: { job } } })),
  addSheet: (job: string, sheet: string, said: { name: string; revision?: string; replaces?: string }, file: Blob) =>
    answer(
      client.PUT("/api/jobs/{job}/map/{sheet}", {
        params: { path: { job, sheet }, query: said },
        body: file as unknown as string,
        ...(asFile as unknown as { headers: Record<string, string>; bodySerializer: (b: unknown) => Blob }),
      }),
    ),
  sheetOff: (job: string, sheet: string) => answer(client.DELETE("/api/jobs/{job}/map/{sheet}", at(job, sheet))),
  sheetOn: (job: string, sheet: string) => answer(client.POST("/api/jobs/{job}/map/{sheet}/restore", at(job, sheet))),
  pinWeld: (job: string, sheet: string, joint: string, place: { x: number; y: number }) =>
    answer(
      client.PUT("/api/jobs/{job}/map/{sheet}/pins/{joint}", {
        params: { path: { job, sheet, joint } },
        body: place,
      }),
    ),
  unpinWeld: (job: string, sheet: string, joint: string) =>
    answer(client.DELETE("/api/jobs/{job}/map/{sheet}/pins/{joint}", { params: { path: { job, sheet, joint } } })),
  placeWelds: (job: string, list: string) =>
    answer(client.POST("/api/jobs/{job}/map/places", { params: { path: { job } }, body: list, ...asText })),
};

export const sheetPicture = (job: string, sheet: string) => `/api/jobs/${job}/map/${sheet}/picture`;
export const mapReport = (job: string) => `/api/jobs/${job}/map/report`;
