import type { Schemas } from "./api-types";
import { answer, asJson, client } from "./client";

export type Study = Schemas["StudyView"];
export type StudyRow = Schemas["StudyRowView"];
export type GaugeStudy = Schemas["GaugeStudyView"];
export type Agreement = Schemas["AgreementView"];
export type CriterionAgreement = Schemas["CriterionAgreementView"];
export type Kappa = Schemas["KappaView"];
export type Spread = Schemas["SpreadView"];

const at = (id: string) => ({ params: { path: { id } } });

/** What stands over a list of readings. */
export type StudyHeading = { title: string; gauge: string; quantity: string; units: string; tolerance?: number };

/** Studies of gauges and people. */
export const studying = {
  studies: () => answer(client.GET("/api/studies")),
  study: (id: string) => answer(client.GET("/api/studies/{id}", at(id))),
  putStudy: (id: string, file: string) => answer(client.PUT("/api/studies/{id}", { ...at(id), body: file, ...asJson })),
  putReadings: (id: string, heading: StudyHeading, list: string) =>
    answer(
      client.PUT("/api/studies/{id}/readings", {
        params: { path: { id }, query: heading },
        body: list,
        headers: { "Content-Type": "text/csv;charset=UTF-8" },
        bodySerializer: (text: string) => text,
      }),
    ),
  beginAgreement: (id: string, form: Schemas["AgreementForm"]) =>
    answer(client.PUT("/api/studies/{id}/agreement", { ...at(id), body: form })),
  judgeableWelds: () => answer(client.GET("/api/studies/judgeable-welds")),
  risks: (query: { criteria: string; joint: string; units: string; thickness: string; size?: string; guard: number }) =>
    answer(client.GET("/api/studies/risks", { params: { query } })),
  risk: (
    id: string,
    asked: { limit: number; least: boolean; guard: number; kind?: string; mean?: number; sd?: number },
  ) => answer(client.GET("/api/studies/{id}/risk", { params: { path: { id }, query: asked } })),
  studyOff: (id: string) => answer(client.DELETE("/api/studies/{id}", at(id))),
  studyOn: (id: string) => answer(client.POST("/api/studies/{id}/restore", at(id))),
  useStudy: (id: string) => answer(client.POST("/api/studies/{id}/use", at(id))),
  useStudyNoMore: (id: string) => answer(client.DELETE("/api/studies/{id}/use", at(id))),
};

export const studyReportOf = (id: string, as: "pdf" | "csv" | "xlsx" | "json") => `/api/studies/${id}/report?as=${as}`;
