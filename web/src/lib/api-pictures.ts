import type { Schemas } from "./api-types";
import { answer, client } from "./client";

export type PicturePlace = { x: number; y: number };
export type PictureMark = Schemas["PictureMarkView"];
export type PictureQuantity = Schemas["PictureQuantityView"];
export type PictureValue = Schemas["PictureValue"];
export type MeasureForm = Schemas["MeasureForm"];

const at = (id: string, photoId: string) => ({ params: { path: { id, photoId } } });
const mark = (id: string, photoId: string, m: string) => ({ params: { path: { id, photoId, mark: m } } });

/** Pictures that are measured in and marked. */
export const picturing = {
  pictureQuantities: () => answer(client.GET("/api/pictures/quantities")),
  measureInPicture: (form: MeasureForm) => answer(client.POST("/api/pictures/measure", { body: form })),
  pictureMarks: (id: string, photo: string) =>
    answer(client.GET("/api/inspections/{id}/photos/{photoId}/marks", at(id, photo))),
  markPicture: (id: string, photo: string, m: string, form: Schemas["MarkForm"]) =>
    answer(client.PUT("/api/inspections/{id}/photos/{photoId}/marks/{mark}", { ...mark(id, photo, m), body: form })),
  pictureMarkOff: (id: string, photo: string, m: string) =>
    answer(client.DELETE("/api/inspections/{id}/photos/{photoId}/marks/{mark}", mark(id, photo, m))),
};

export const photoPath = (inspection: string, photo: string) => `/api/inspections/${inspection}/photos/${photo}`;
export const cardPath = "/api/pictures/card";
