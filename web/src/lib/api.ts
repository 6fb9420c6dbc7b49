import type {
  Conditions,
  CriteriaCheckForm,
  Decision,
  DeviationForm,
  EntryContent,
  EntryKind,
  GaugeForm,
  JobForm,
  NewJoint,
  NewPerson,
  OutcomeForm,
  Papers,
  ProcedureForm,
  RatingForm,
  RepairsWanted,
  ReportForm,
  Schemas,
  StepForm,
  SpecimenForm,
  TrialForm,
  WelderForm,
  WeldingContent,
  WeldingEntry,
  WeldingForm,
  WeldingKind,
  WorklistWanted,
} from "./api-types";
import { answer, asFile, asText, client } from "./client";
import { benching } from "./api-bench";
import { scanning } from "./api-scan";
import { mapping } from "./api-map";
import { noticing } from "./api-notices";
import { picturing } from "./api-pictures";
import { plotting } from "./api-plots";
import { practicing } from "./api-practice";
import { studying } from "./api-study";
import { training } from "./api-training";

export type * from "./api-types";
export { problemsByField, Refused, saidBy } from "./client";

/** One function per question asked of the server. */
export const api = {
  ...training,
  ...scanning,
  ...studying,
  ...practicing,
  ...benching,
  ...mapping,
  ...plotting,
  ...picturing,
  ...noticing,
  session: () => answer(client.GET("/api/session")),
  signIn: (login: string, password: string) => answer(client.POST("/api/session", { body: { login, password } })),
  signOut: () => answer(client.DELETE("/api/session")),
  firstPerson: (p: Schemas["FirstPerson"]) => answer(client.POST("/api/people/first", { body: p })),
  people: () => answer(client.GET("/api/people")),
  addPerson: (p: NewPerson) => answer(client.POST("/api/people", { body: p })),
  kinds: () => answer(client.GET("/api/kinds")),
  table: (file: Blob) =>
    answer(
      client.POST("/api/tables", {
        body: file as unknown as string,
        ...(asFile as unknown as { headers: Record<string, string>; bodySerializer: (b: unknown) => Blob }),
      }),
    ),
  books: () => answer(client.GET("/api/criteria")),
  book: (id: string, probe: { units: string; joint: string; thickness: string }) =>
    answer(client.GET("/api/criteria/{id}", { params: { path: { id }, query: probe } })),
  checkCriteria: (id: string, form: CriteriaCheckForm) =>
    answer(client.POST("/api/criteria/{id}/check", { params: { path: { id } }, body: form })),
  worklistVersion: () => answer(client.GET("/api/joints/version")),
  joints: (wanted: WorklistWanted, signal?: AbortSignal) =>
    answer(client.GET("/api/joints", { params: { query: wanted }, signal })),
  jobs: () => answer(client.GET("/api/jobs")),
  createJob: (form: JobForm) => answer(client.POST("/api/jobs", { body: form })),
  changeJob: (id: string, form: JobForm, version: number) =>
    answer(client.PUT("/api/jobs/{id}", { params: { path: { id } }, body: { form, version } })),
  bringJob: (file: Blob) => answer(client.POST("/api/jobs/archive", { body: file, ...asFile })),
  chain: (job: string) => answer(client.GET("/api/jobs/{id}/chain/check", { params: { path: { id: job } } })),
  checkList: (job: string, text: string) =>
    answer(client.POST("/api/jobs/{job}/weld-list", { params: { path: { job } }, body: text, ...asText })),
  list: (id: string) => answer(client.GET("/api/weld-lists/{id}", { params: { path: { id } } })),
  storeList: (id: string) => answer(client.POST("/api/weld-lists/{id}/store", { params: { path: { id } } })),
  cancelList: (id: string) => answer(client.DELETE("/api/weld-lists/{id}", { params: { path: { id } } })),
  procedures: () => answer(client.GET("/api/procedures")),
  rods: () => answer(client.GET("/api/procedures/rods")),
  previewProcedure: (form: ProcedureForm, signal?: AbortSignal) =>
    answer(client.POST("/api/procedures/preview", { body: form, signal })),
  createProcedure: (form: ProcedureForm) => answer(client.POST("/api/procedures", { body: form })),
  importProcedure: (text: string) => answer(client.POST("/api/procedures/import", { body: text, ...asText })),
  changeProcedure: (id: string, form: ProcedureForm, version: number) =>
    answer(client.PUT("/api/procedures/{id}", { params: { path: { id } }, body: { form, version } })),
  weldingRecord: (joint: string) =>
    answer(client.GET("/api/joints/{id}/welding-record", { params: { path: { id: joint } } })),
  made: (joint: string, entry: string, kind: WeldingKind, content: WeldingContent, version?: number) =>
    answer(
      client.PUT("/api/joints/{id}/welding-record/entries/{entryId}", {
        params: { path: { id: joint, entryId: entry } },
        body: { kind, content, version },
      }),
    ),
  takeOffMade: (joint: string, entry: WeldingEntry) =>
    answer(
      client.DELETE("/api/joints/{id}/welding-record/entries/{entryId}", {
        params: { path: { id: joint, entryId: entry.id }, query: { version: entry.version } },
      }),
    ),
  restoreMade: (joint: string, entry: string) =>
    answer(
      client.POST("/api/joints/{id}/welding-record/entries/{entryId}/restore", {
        params: { path: { id: joint, entryId: entry } },
      }),
    ),
  whole: (joint: string, version: number, whole: WeldingForm) =>
    answer(
      client.PUT("/api/joints/{id}/welding-record/whole", {
        params: { path: { id: joint } },
        body: { version, whole },
      }),
    ),
  welded: (joint: string, at: string) =>
    answer(client.PUT("/api/joints/{id}/welding-record/welded", { params: { path: { id: joint } }, body: { at } })),
  plan: (joint: string, constants: Record<string, string>) =>
    answer(client.POST("/api/joints/{id}/plan", { params: { path: { id: joint } }, body: { constants } })),
  gauges: () => answer(client.GET("/api/gauges")),
  putGauge: (id: string, form: GaugeForm, version?: number) =>
    answer(client.PUT("/api/gauges/{id}", { params: { path: { id } }, body: { form, version } })),
  machines: () => answer(client.GET("/api/machines")),
  schools: () => answer(client.GET("/api/schools")),
  pickSchools: (picks: Record<string, string>, version?: number) =>
    answer(client.PUT("/api/schools", { body: { picks, version } })),
  putMachine: (id: string, form: Schemas["MachineForm"], version?: number) =>
    answer(client.PUT("/api/machines/{id}", { params: { path: { id } }, body: { form, version } })),
  touchedBy: (gauge: string) => answer(client.GET("/api/gauges/{id}/records", { params: { path: { id: gauge } } })),
  kit: () => answer(client.GET("/api/kit")),
  takeKit: (ids: string[]) => answer(client.PUT("/api/kit", { body: ids })),
  welders: () => answer(client.GET("/api/welders")),
  putWelder: (form: WelderForm, version?: number) => answer(client.PUT("/api/welders", { body: { form, version } })),
  papers: () => answer(client.GET("/api/people/papers")),
  changeRoles: (id: string, form: Schemas["RolesForm"]) =>
    answer(client.PUT("/api/people/{id}/roles", { params: { path: { id } }, body: form })),
  setActive: (id: string, form: Schemas["ActiveForm"]) =>
    answer(client.PUT("/api/people/{id}/active", { params: { path: { id } }, body: form })),
  resetPassword: (id: string, password: string) =>
    answer(client.PUT("/api/people/{id}/password", { params: { path: { id } }, body: { password } })),
  unlock: (id: string) => answer(client.POST("/api/people/{id}/unlock", { params: { path: { id } } })),
  endSessions: (id: string) => answer(client.DELETE("/api/people/{id}/sessions", { params: { path: { id } } })),
  tokens: () => answer(client.GET("/api/tokens")),
  makeToken: (form: Schemas["NewToken"]) => answer(client.POST("/api/tokens", { body: form })),
  installations: () => answer(client.GET("/api/installations")),
  trust: (form: Schemas["TrustForm"]) => answer(client.POST("/api/installations", { body: form })),
  confirmClock: (reason: string) => answer(client.POST("/api/installations/clock", { body: { reason } })),
  distrust: (id: string) => answer(client.DELETE("/api/installations/{id}", { params: { path: { id } } })),
  revokeToken: (id: string) => answer(client.DELETE("/api/tokens/{id}", { params: { path: { id } } })),
  changePassword: (form: Schemas["OwnPassword"]) => answer(client.PUT("/api/session/password", { body: form })),
  certify: (id: string, papers: Papers) =>
    answer(client.PUT("/api/people/{id}/papers", { params: { path: { id } }, body: papers })),
  verify: (joint: string) => answer(client.POST("/api/joints/{id}/verification", { params: { path: { id: joint } } })),
  sheet: (sheet: string) => answer(client.GET("/api/inspections/{id}/sheet", { params: { path: { id: sheet } } })),
  putSheet: (
    sheet: string,
    common: { inspections: string[]; conditions: Conditions; entries: { kind: EntryKind; content: EntryContent }[] },
  ) => answer(client.POST("/api/inspections/{id}/sheet", { params: { path: { id: sheet } }, body: common })),
  signSheet: (sheet: string, inspections: { inspectionId: string; version: number }[], capacity: string) =>
    answer(
      client.POST("/api/inspections/{id}/sheet/sign", {
        params: { path: { id: sheet } },
        body: { inspections, capacity },
      }),
    ),
  weldLink: (id: string) => answer(client.GET("/api/welds/{id}", { params: { path: { id } } })),
  joint: (id: string) => answer(client.GET("/api/joints/{id}", { params: { path: { id } } })),
  preview: (form: NewJoint, signal?: AbortSignal) => answer(client.POST("/api/joints/preview", { body: form, signal })),
  lastJoint: (job: string, lot: string) => answer(client.GET("/api/joints/last", { params: { query: { job, lot } } })),
  createJoint: (form: NewJoint) => answer(client.POST("/api/joints", { body: form })),
  changeJoint: (id: string, form: NewJoint, version: number) =>
    answer(client.PUT("/api/joints/{id}", { params: { path: { id } }, body: { form, version } })),
  read: (id: string, measure: string, at: number, number: number) =>
    answer(
      client.GET("/api/inspections/{id}/simulated-gauge", { params: { path: { id }, query: { measure, at, number } } }),
    ),
  photo: (id: string, photo: string, of: { at?: string; entry?: string }, picture: Blob) =>
    answer(
      client.PUT("/api/inspections/{id}/photos/{photoId}", {
        params: { path: { id, photoId: photo }, query: of },
        body: picture,
        ...asFile,
      }),
    ),
  photoOff: (id: string, photo: string) =>
    answer(client.DELETE("/api/inspections/{id}/photos/{photoId}", { params: { path: { id, photoId: photo } } })),
  photoOn: (id: string, photo: string) =>
    answer(client.POST("/api/inspections/{id}/photos/{photoId}/restore", { params: { path: { id, photoId: photo } } })),
  causes: (id: string, also: string[] = []) =>
    answer(client.GET("/api/inspections/{id}/causes", { params: { path: { id }, query: { also } } })),
  trial: (id: string, trial: string, form: TrialForm) =>
    answer(client.PUT("/api/inspections/{id}/trials/{trial}", { params: { path: { id, trial } }, body: form })),
  outcome: (id: string, trial: string, form: OutcomeForm) =>
    answer(client.PUT("/api/inspections/{id}/trials/{trial}/outcome", { params: { path: { id, trial } }, body: form })),
  testPieces: () => answer(client.GET("/api/test-pieces")),
  testPiece: (id: string) => answer(client.GET("/api/joints/{id}/test-piece", { params: { path: { id } } })),
  specimen: (id: string, specimen: string, form: SpecimenForm) =>
    answer(
      client.PUT("/api/joints/{id}/test-piece/specimens/{specimen}", {
        params: { path: { id, specimen } },
        body: form,
      }),
    ),
  specimenOff: (id: string, specimen: string) =>
    answer(client.DELETE("/api/joints/{id}/test-piece/specimens/{specimen}", { params: { path: { id, specimen } } })),
  specimenOn: (id: string, specimen: string) =>
    answer(
      client.POST("/api/joints/{id}/test-piece/specimens/{specimen}/restore", { params: { path: { id, specimen } } }),
    ),
  qualify: (id: string) =>
    answer(client.POST("/api/joints/{id}/test-piece/qualification", { params: { path: { id } } })),
  test: (id: string, test: string, form: SpecimenForm) =>
    answer(client.PUT("/api/inspections/{id}/tests/{test}", { params: { path: { id, test } }, body: form })),
  testOff: (id: string, test: string) =>
    answer(client.DELETE("/api/inspections/{id}/tests/{test}", { params: { path: { id, test } } })),
  testOn: (id: string, test: string) =>
    answer(client.POST("/api/inspections/{id}/tests/{test}/restore", { params: { path: { id, test } } })),
  defects: (id: string, depths: Record<string, string>) => {
    const depth = Object.entries(depths).map(([defect, at]) => `${defect}:${at}`);
    return answer(client.GET("/api/inspections/{id}/defects", { params: { path: { id }, query: { depth } } }));
  },
  reinspect: (id: string) => answer(client.POST("/api/inspections/{id}/re-inspection", { params: { path: { id } } })),
  history: (joint: string) => answer(client.GET("/api/joints/{id}/history", { params: { path: { id: joint } } })),
  shopHistory: (wanted: { what: string; find: string; most: number }, signal?: AbortSignal) =>
    answer(client.GET("/api/history", { params: { query: wanted }, signal })),
  reports: () => answer(client.GET("/api/reports")),
  beginReport: (form: ReportForm) => answer(client.POST("/api/reports", { body: form })),
  stopReport: (id: string) => answer(client.DELETE("/api/reports/{id}", { params: { path: { id } } })),
  repairs: (wanted: RepairsWanted) => answer(client.GET("/api/repairs", { params: { query: wanted } })),
  ticket: (id: string) => answer(client.GET("/api/defects/{id}", { params: { path: { id } } })),
  decide: (id: string, decision: Decision) =>
    answer(client.PUT("/api/defects/{id}/disposition", { params: { path: { id } }, body: decision })),
  notify: (id: string, form: { notified: string; version: number }) =>
    answer(client.PUT("/api/defects/{id}/notification", { params: { path: { id } }, body: form })),
  step: (id: string, state: string, form: StepForm) =>
    answer(client.PUT("/api/defects/{id}/steps/{state}", { params: { path: { id, state } }, body: form })),
  stepBack: (id: string, back: { why: string; version: number }) =>
    answer(client.POST("/api/defects/{id}/back", { params: { path: { id } }, body: back })),
  release: (
    id: string,
    hold: string,
    document: { number: string; engineer: string; date: string; name: string },
    file: Blob,
  ) =>
    answer(
      client.PUT("/api/defects/{id}/holds/{kind}/document", {
        params: { path: { id, kind: hold }, query: document },
        body: file,
        ...asFile,
      }),
    ),
  denyHold: (id: string, hold: string, why: { why: string }) =>
    answer(client.POST("/api/defects/{id}/holds/{kind}/denied", { params: { path: { id, kind: hold } }, body: why })),
  repairPhoto: (id: string, photo: string, picture: Blob) =>
    answer(
      client.PUT("/api/defects/{id}/photos/{photoId}", {
        params: { path: { id, photoId: photo } },
        body: picture,
        ...asFile,
      }),
    ),
  note: (id: string) => answer(client.GET("/api/inspections/{id}/note", { params: { path: { id } } })),
  rejectRate: (by: string, key: string) =>
    answer(client.GET("/api/reject-rates/one", { params: { query: { by, ...(key === "" ? {} : { key }) } } })),
  rejectRates: (by: string) => answer(client.GET("/api/reject-rates", { params: { query: { by } } })),
  rateTestPiece: (id: string, form: RatingForm) =>
    answer(client.PUT("/api/inspections/{id}/rating", { params: { path: { id } }, body: form })),
  entryLine: () => answer(client.GET("/api/entry-line")),
  conditions: (id: string, c: Conditions) =>
    answer(client.PUT("/api/inspections/{id}/conditions", { params: { path: { id } }, body: c })),
  welding: (id: string, version: number, welding: WeldingForm) =>
    answer(client.PUT("/api/inspections/{id}/welding", { params: { path: { id } }, body: { version, welding } })),
  handOver: (id: string, hand: { to: string; note: string; inspectedFrom?: string; inspectedTo?: string }) =>
    answer(client.POST("/api/inspections/{id}/handover", { params: { path: { id } }, body: hand })),
  amend: (id: string, reason: string) =>
    answer(client.POST("/api/inspections/{id}/amend", { params: { path: { id } }, body: { reason } })),
  sign: (id: string, form: { version: number; verdict: string; capacity: string }) =>
    answer(client.POST("/api/inspections/{id}/sign", { params: { path: { id } }, body: form })),
  compare: (id: string, codes: string[]) =>
    answer(client.GET("/api/inspections/{id}/comparison", { params: { path: { id }, query: { codes } } })),
  deviate: (id: string, form: DeviationForm) =>
    answer(client.POST("/api/inspections/{id}/deviations", { params: { path: { id } }, body: form })),
  withdrawDeviation: (id: string, deviation: string, why: string) =>
    answer(
      client.POST("/api/inspections/{id}/deviations/{deviationId}/withdraw", {
        params: { path: { id, deviationId: deviation } },
        body: { why },
      }),
    ),
  waive: (id: string, gauge: string, reason: string) =>
    answer(client.POST("/api/inspections/{id}/waivers", { params: { path: { id } }, body: { gauge, reason } })),
};
