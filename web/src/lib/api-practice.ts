import type { Surface } from "./api-scan";
import type { Schemas } from "./api-types";
import { answer, client, Refused } from "./client";

export type Exercise = Schemas["ExerciseView"];
export type ExerciseRow = Schemas["ExerciseRowView"];
export type PracticeSetting = Schemas["SettingForm"];
export type Solution = Schemas["SolutionView"];
export type Eye = Schemas["EyeView"];
export type EyeKind = Schemas["EyeKindView"];

const at = (id: string) => ({ params: { path: { id } } });

/** Made-up welds to practice on. */
export const practicing = {
  exercises: (others: boolean) => answer(client.GET("/api/exercises", { params: { query: { others } } })),
  exercise: (id: string) => answer(client.GET("/api/exercises/{id}", at(id))),
  beginExercise: (id: string, setting: PracticeSetting) =>
    answer(client.PUT("/api/exercises/{id}", { ...at(id), body: setting })),
  holdGauge: (id: string, gauge: string, toe: string, place: number) =>
    answer(client.POST("/api/exercises/{id}/gauged", { ...at(id), body: { gauge, toe, at: place } })),
  lookedAt: (id: string, from: number, to: number, seconds: number) =>
    answer(client.POST("/api/exercises/{id}/looks", { ...at(id), body: { from, to, seconds } })),
  eyeOf: (person?: string) =>
    person === undefined
      ? answer(client.GET("/api/eyes"))
      : answer(client.GET("/api/eyes/{person}", { params: { path: { person } } })),
  handIn: (id: string) => answer(client.POST("/api/exercises/{id}/hand-in", at(id))),
  practiceSurface: async (id: string, toned: boolean): Promise<Surface> => {
    const { data, response } = await client.GET("/api/exercises/{id}/surface", {
      ...at(id),
      headers: { Accept: "application/octet-stream" },
      parseAs: "arrayBuffer",
    });
    if (!data) throw new Refused(response.status, "the surface could not be read", [], undefined);
    const all = new Float32Array(data);
    return { rows: all[0] ?? 0, across: all[1] ?? 0, values: all.subarray(2), toned };
  },
};

export const pictureOf = (id: string, picture: string) => `/api/exercises/${id}/pictures/${picture}`;

export const eyeReportOf = (person: string | undefined, as: "pdf" | "csv") =>
  `/api/eyes/${person === undefined ? "" : `${person}/`}report?as=${as}`;
