import type { HandoutForm, PieceForm, RatingForm, RubricForm, SpecimenForm } from "./api-types";
import { answer, asFile, asJson, client } from "./client";

const at = (id: string) => ({ params: { path: { id } } });

/** Test pieces, series, drills and the class. */
export const training = {
  pieces: (find: string, signal?: AbortSignal) =>
    answer(client.GET("/api/pieces", { params: { query: { find } }, signal })),
  piece: (id: string) => answer(client.GET("/api/pieces/{id}", at(id))),
  putPiece: (id: string, form: PieceForm, version?: number) =>
    answer(client.PUT("/api/pieces/{id}", { ...at(id), body: { form, version } })),
  takePiece: (file: string) => answer(client.POST("/api/pieces", { body: file, ...asJson })),
  pieceOff: (id: string) => answer(client.DELETE("/api/pieces/{id}", at(id))),
  pieceOn: (id: string) => answer(client.POST("/api/pieces/{id}/restore", at(id))),
  pieceToBench: (id: string) => answer(client.POST("/api/pieces/{id}/weld", at(id))),
  pieceOfWeld: (joint: string) => answer(client.POST("/api/joints/{id}/test-piece/piece", at(joint))),
  ratePiece: (id: string, form: RatingForm) => answer(client.PUT("/api/pieces/{id}/rating", { ...at(id), body: form })),
  piecePhoto: (id: string, photo: string, file: Blob) =>
    answer(
      client.PUT("/api/pieces/{id}/photos/{photo}", {
        params: { path: { id, photo } },
        body: file as never,
        ...asFile,
      }),
    ),
  piecePhotoOff: (id: string, photo: string) =>
    answer(client.DELETE("/api/pieces/{id}/photos/{photo}", { params: { path: { id, photo } } })),
  pieceSpecimen: (id: string, specimen: string, form: SpecimenForm) =>
    answer(client.PUT("/api/pieces/{id}/specimens/{specimen}", { params: { path: { id, specimen } }, body: form })),
  pieceSpecimenOff: (id: string, specimen: string) =>
    answer(client.DELETE("/api/pieces/{id}/specimens/{specimen}", { params: { path: { id, specimen } } })),
  pieceSpecimenOn: (id: string, specimen: string) =>
    answer(client.POST("/api/pieces/{id}/specimens/{specimen}/restore", { params: { path: { id, specimen } } })),
  specimenPhoto: (id: string, file: Blob) =>
    answer(client.PUT("/api/specimens/{id}/photos", { ...at(id), body: file as never, ...asFile })),
  eye: () => answer(client.GET("/api/test-pieces/eye")),
  beside: (id: string, other: string) =>
    answer(client.GET("/api/pieces/{id}/beside/{other}", { params: { path: { id, other } } })),
  series: (welder: string, drill?: string) =>
    answer(client.GET("/api/series/{welder}", { params: { path: { welder }, query: { drill } } })),
  schoolClass: () => answer(client.GET("/api/class")),
  handOut: (form: HandoutForm) => answer(client.POST("/api/handouts", { body: form })),
  takeBack: (id: string) => answer(client.DELETE("/api/handouts/{id}", at(id))),
  drills: () => answer(client.GET("/api/drills")),
  putDrill: (id: string, file: string) =>
    answer(client.PUT("/api/drills/{id}/document", { ...at(id), body: file, ...asJson })),
  drillOff: (id: string) => answer(client.DELETE("/api/drills/{id}", at(id))),
  rubric: () => answer(client.GET("/api/rubric")),
  putRubric: (form: RubricForm) => answer(client.PUT("/api/rubric", { body: form })),
};

export const thumbnailOf = (piece: string, photo: string) => `/api/pieces/${piece}/photos/${photo}/thumbnail`;
export const photoOf = (piece: string, photo: string) => `/api/pieces/${piece}/photos/${photo}`;
