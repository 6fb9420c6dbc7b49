import type { components } from "./api.d";
import { atHand, completed, isBench } from "./at-hand";

type Schemas = components["schemas"];
export type Session = Schemas["SessionView"];
export type Actor = Schemas["Actor"];
export type Row = Schemas["Row"];
export type Bench = Schemas["BenchView"];
export type Entry = Schemas["EntryView"];
export type EntryContent = Schemas["EntryContent"];
export type EntryKind = Entry["kind"];
export type Finding = Schemas["FindingView"];
export type Todo = Schemas["TodoView"];
export type Strip = Schemas["StripDrawing"];
export type Section = Schemas["SectionDrawing"];
export type Preview = Schemas["Preview"];
export type NewJoint = Schemas["NewJoint"];
export type JointForm = Schemas["JointForm"];
export type Created = Schemas["Created"];
export type Stored = Schemas["Stored"];
export type CriteriaLine = Schemas["CriteriaLine"];
export type CriteriaPage = Schemas["CriteriaView"];
export type CriteriaCheckForm = Schemas["CriteriaCheckForm"];
export type CodeColumn = Schemas["CodeColumn"];
export type Line = Schemas["LineView"];
export type LineCard = Schemas["Card"];
export type ContractTerms = Schemas["ContractTerms"];
export type DeviationForm = Schemas["DeviationForm"];
export type Conditions = Schemas["ConditionsForm"];
export type Causes = Schemas["CausesView"];
export type TestPieceForm = Schemas["TestPieceForm"];
export type KindView = Schemas["KindView"];
export type CoverageLine = Schemas["CoverageLine"];
export type TrialForm = Schemas["TrialForm"];
export type OutcomeForm = Schemas["OutcomeForm"];
export type Note = Schemas["NoteView"];
export type Chain = Schemas["ChainView"];
export type Defects = Schemas["DefectsView"];
export type Defect = Schemas["RejectedPlace"];
export type Ticket = Schemas["TicketView"];
export type StepForm = Schemas["StepForm"];
export type Change = Schemas["HistoryChange"];
export type ReportRun = Schemas["ReportView"];
export type ReportForm = Schemas["ReportForm"];
export type Repairs = Schemas["RepairsPage"];
export type RatingForm = Schemas["RatingForm"];
export type RateList = Schemas["RejectRatesView"];
export type RejectRateRow = Schemas["RejectRateRow"];
export type RejectRate = Schemas["RejectRate"];
export type Decision = Schemas["Decision"];
export type WeldingForm = Schemas["WeldingForm"];
export type WorklistPage = Schemas["WorklistPage"];
export type Job = Schemas["JobView"];
export type JobForm = Schemas["JobForm"];
export type Procedure = Schemas["ProcedureView"];
export type ProcedureForm = Schemas["ProcedureForm"];
export type ProcedurePreview = Schemas["ProcedurePreview"];
export type Rod = Schemas["RodView"];
export type WeldingRecord = Schemas["WeldingView"];
export type WeldingContent = Schemas["WeldingContent"];
export type WeldingKind = NonNullable<Schemas["WeldingEntryForm"]["kind"]>;
export type WeldingEntry = WeldingRecord["entries"][number];
export type InspectionItem = Schemas["ItemView"];
export type Plan = Schemas["PlanView"];
export type Import = Schemas["ImportView"];
export type Gauge = Schemas["GaugeView"];
export type GaugeForm = Schemas["GaugeForm"];
export type GaugeUse = Schemas["GaugeUse"];
export type Welder = Schemas["WelderView"];
export type WelderForm = Schemas["WelderForm"];
export type WithPapers = Schemas["WithPapers"];
export type Papers = Schemas["Papers"];
export type Sheet = Schemas["Sheet"];
export type NewPerson = Schemas["NewPerson"];
export type Latest = Schemas["Latest"];
export type GaugeReading = Schemas["GaugeReading"];
export type GuideStep = Bench["guide"][number];
export type Photo = Bench["photos"][number];
export type FieldProblem = { field: string; problem: string };

/** What the server refused, in its own words. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: FieldProblem[],
    readonly current: unknown,
  ) {
    super(message);
  }
}

function token(): string | undefined {
  return document.cookie
    .split("; ")
    .find((c) => c.startsWith("XSRF-TOKEN="))
    ?.slice("XSRF-TOKEN=".length);
}

async function send<T>(method: string, path: string, body?: unknown, plain?: boolean): Promise<T> {
  const headers: Record<string, string> = { Accept: "application/json" };
  const raw = body instanceof Blob;
  if (body !== undefined) headers["Content-Type"] = raw ? "application/octet-stream" : plain ? "text/plain;charset=UTF-8" : "application/json";
  const csrf = token();
  if (csrf && method !== "GET") headers["X-XSRF-TOKEN"] = decodeURIComponent(csrf);
  const at = /^\/api\/inspections\/([^/]+)/.exec(path)?.[1];
  const had = at === undefined ? undefined : atHand(at);
  if (had) headers["X-Bench"] = had.tag;
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers,
      credentials: "same-origin",
      ...(body === undefined ? {} : { body: raw ? body : plain ? String(body) : JSON.stringify(body) }),
    });
  } catch {
    throw new Refused(0, "Mensor cannot be reached; what you typed is still here, try again", [], undefined);
  }
  const text = await response.text();
  const json = parsed(text);
  if (!response.ok) {
    const problem = (json ?? {}) as { detail?: string; errors?: FieldProblem[]; current?: unknown };
    throw new Refused(response.status, problem.detail ?? "the server refused this", problem.errors ?? [], problem.current);
  }
  return (isBench(json) ? completed(json, had) : json) as T;
}

/** What a proxy says while Mensor starts is no JSON. */
function parsed(text: string): unknown {
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}

const inspection = (id: string) => `/api/inspections/${id}`;

/** One function per question asked of the server. */
export const api = {
  session: () => send<Session>("GET", "/api/session"),
  signIn: (login: string, password: string) => send<Session>("POST", "/api/session", { login, password }),
  signOut: () => send<Session>("DELETE", "/api/session"),
  firstPerson: (p: { login: string; name: string; password: string }) => send<Session>("POST", "/api/people/first", p),
  people: () => send<Actor[]>("GET", "/api/people"),
  addPerson: (p: NewPerson) => send<Actor>("POST", "/api/people", p),
  kinds: () => send<KindView[]>("GET", "/api/kinds"),
  books: () => send<CriteriaLine[]>("GET", "/api/criteria"),
  book: (id: string, probe: { units: string; joint: string; thickness: string }) =>
    send<CriteriaPage>("GET", `/api/criteria/${id}?${new URLSearchParams(probe).toString()}`),
  checkCriteria: (id: string, form: CriteriaCheckForm) => send<CriteriaLine>("POST", `/api/criteria/${id}/check`, form),
  joints: (find: string, group: string, job: string) =>
    send<WorklistPage>("GET", `/api/joints?find=${encodeURIComponent(find)}&group=${group}${job ? `&job=${job}` : ""}`),
  jobs: () => send<Job[]>("GET", "/api/jobs"),
  createJob: (form: JobForm) => send<Job>("POST", "/api/jobs", form),
  changeJob: (id: string, form: JobForm, version: number) => send<Job>("PUT", `/api/jobs/${id}`, { form, version }),
  chain: (job: string) => send<Chain>("GET", `/api/jobs/${job}/chain/check`),
  checkList: (job: string, text: string) => send<Import>("POST", `/api/jobs/${job}/weld-list`, text, true),
  list: (id: string) => send<Import>("GET", `/api/weld-lists/${id}`),
  storeList: (id: string) => send<Import>("POST", `/api/weld-lists/${id}/store`),
  cancelList: (id: string) => send<Import>("DELETE", `/api/weld-lists/${id}`),
  procedures: () => send<Procedure[]>("GET", "/api/procedures"),
  rods: () => send<Rod[]>("GET", "/api/procedures/rods"),
  previewProcedure: (form: ProcedureForm) => send<ProcedurePreview>("POST", "/api/procedures/preview", form),
  createProcedure: (form: ProcedureForm) => send<Procedure>("POST", "/api/procedures", form),
  importProcedure: (text: string) => send<Procedure>("POST", "/api/procedures/import", text, true),
  changeProcedure: (id: string, form: ProcedureForm, version: number) =>
    send<Procedure>("PUT", `/api/procedures/${id}`, { form, version }),
  weldingRecord: (joint: string) => send<WeldingRecord>("GET", `/api/joints/${joint}/welding-record`),
  made: (joint: string, entry: string, kind: WeldingKind, content: WeldingContent, version?: number) =>
    send<WeldingRecord>("PUT", `/api/joints/${joint}/welding-record/entries/${entry}`, { kind, content, version }),
  takeOffMade: (joint: string, entry: WeldingEntry) =>
    send<WeldingRecord>("DELETE", `/api/joints/${joint}/welding-record/entries/${entry.id}?version=${entry.version}`),
  restoreMade: (joint: string, entry: string) =>
    send<WeldingRecord>("POST", `/api/joints/${joint}/welding-record/entries/${entry}/restore`),
  whole: (joint: string, version: number, whole: WeldingForm) =>
    send<WeldingRecord>("PUT", `/api/joints/${joint}/welding-record/whole`, { version, whole }),
  welded: (joint: string, at: string) => send<WeldingRecord>("PUT", `/api/joints/${joint}/welding-record/welded`, { at }),
  plan: (joint: string, constants: Record<string, string>) =>
    send<Plan>("POST", `/api/joints/${joint}/plan`, { constants }),
  gauges: () => send<Gauge[]>("GET", "/api/gauges"),
  putGauge: (id: string, form: GaugeForm, version?: number) => send<Gauge>("PUT", `/api/gauges/${id}`, { form, version }),
  touchedBy: (gauge: string) => send<GaugeUse[]>("GET", `/api/gauges/${gauge}/records`),
  kit: () => send<string[]>("GET", "/api/kit"),
  takeKit: (ids: string[]) => send<string[]>("PUT", "/api/kit", ids),
  welders: () => send<Welder[]>("GET", "/api/welders"),
  putWelder: (form: WelderForm, version?: number) => send<Welder>("PUT", "/api/welders", { form, version }),
  papers: () => send<WithPapers[]>("GET", "/api/people/papers"),
  certify: (id: string, papers: Papers) => send<WithPapers>("PUT", `/api/people/${id}/papers`, papers),
  verify: (joint: string) => send<Created>("POST", `/api/joints/${joint}/verification`),
  sheet: (sheet: string) => send<Sheet>("GET", `/api/inspections/${sheet}/sheet`),
  putSheet: (sheet: string, common: { inspections: string[]; conditions: Conditions; entries: { kind: EntryKind; content: EntryContent }[] }) =>
    send<Sheet>("POST", `/api/inspections/${sheet}/sheet`, common),
  signSheet: (sheet: string, inspections: { inspectionId: string; version: number }[], capacity: string) =>
    send<Sheet>("POST", `/api/inspections/${sheet}/sheet/sign`, { inspections, capacity }),
  joint: (id: string) => send<Stored>("GET", `/api/joints/${id}`),
  preview: (form: NewJoint) => send<Preview>("POST", "/api/joints/preview", form),
  createJoint: (form: NewJoint) => send<Created>("POST", "/api/joints", form),
  changeJoint: (id: string, form: NewJoint, version: number) =>
    send<Created>("PUT", `/api/joints/${id}`, { form, version }),
  bench: (id: string) => send<Bench>("GET", inspection(id)),
  latest: (id: string) => send<Latest>("GET", `${inspection(id)}/version`),
  read: (id: string, measure: string, at: number, number: number) =>
    send<GaugeReading>("GET", `${inspection(id)}/simulated-gauge?measure=${measure}&at=${at}&number=${number}`),
  photo: (id: string, photo: string, of: { at?: string; entry?: string }, picture: Blob) =>
    send<Bench>("PUT", `${inspection(id)}/photos/${photo}?${new URLSearchParams({ ...(of.at ? { at: of.at } : {}), ...(of.entry ? { entry: of.entry } : {}) }).toString()}`, picture),
  photoOff: (id: string, photo: string) => send<Bench>("DELETE", `${inspection(id)}/photos/${photo}`),
  photoOn: (id: string, photo: string) => send<Bench>("POST", `${inspection(id)}/photos/${photo}/restore`),
  causes: (id: string, also: string[] = []) => send<Causes>("GET", `${inspection(id)}/causes${also.length > 0 ? `?also=${also.join(",")}` : ""}`),
  trial: (id: string, trial: string, form: TrialForm) => send<Causes>("PUT", `${inspection(id)}/trials/${trial}`, form),
  outcome: (id: string, trial: string, form: OutcomeForm) => send<Causes>("PUT", `${inspection(id)}/trials/${trial}/outcome`, form),
  test: (id: string, test: string, form: TestPieceForm) => send<Causes>("PUT", `${inspection(id)}/tests/${test}`, form),
  testOff: (id: string, test: string) => send<Causes>("DELETE", `${inspection(id)}/tests/${test}`),
  testOn: (id: string, test: string) => send<Causes>("POST", `${inspection(id)}/tests/${test}/restore`),
  defects: (id: string, depths: Record<string, string>) => {
    const said = Object.entries(depths).map(([defect, depth]) => `depth=${defect}:${encodeURIComponent(depth)}`);
    return send<Defects>("GET", `${inspection(id)}/defects${said.length > 0 ? `?${said.join("&")}` : ""}`);
  },
  reinspect: (id: string) => send<{ inspectionId: string }>("POST", `${inspection(id)}/re-inspection`, {}),
  history: (joint: string) => send<Change[]>("GET", `/api/joints/${joint}/history`),
  reports: () => send<ReportRun[]>("GET", "/api/reports"),
  beginReport: (form: ReportForm) => send<ReportRun>("POST", "/api/reports", form),
  stopReport: (id: string) => send<ReportRun>("DELETE", `/api/reports/${id}`),
  repairs: (job: string) => send<Repairs>("GET", `/api/repairs${job === "" ? "" : `?job=${job}`}`),
  ticket: (id: string) => send<Ticket>("GET", `/api/defects/${id}`),
  decide: (id: string, decision: Decision) => send<Ticket>("PUT", `/api/defects/${id}/disposition`, decision),
  notify: (id: string, form: { notified: string; version: number }) => send<Ticket>("PUT", `/api/defects/${id}/notification`, form),
  step: (id: string, state: string, form: StepForm) => send<Ticket>("PUT", `/api/defects/${id}/steps/${state}`, form),
  stepBack: (id: string, back: { why: string; version: number }) => send<Ticket>("POST", `/api/defects/${id}/back`, back),
  release: (id: string, hold: string, document: { number: string; engineer: string; date: string; name: string }, file: Blob) =>
    send<Ticket>("PUT", `/api/defects/${id}/holds/${hold}/document?${new URLSearchParams(document).toString()}`, file),
  denyHold: (id: string, hold: string, why: { why: string }) => send<Ticket>("POST", `/api/defects/${id}/holds/${hold}/denied`, why),
  repairPhoto: (id: string, photo: string, picture: Blob) => send<Ticket>("PUT", `/api/defects/${id}/photos/${photo}`, picture),
  note: (id: string) => send<Note>("GET", `${inspection(id)}/note`),
  rejectRate: (by: string, key: string) => send<RejectRate>("GET", `/api/reject-rates/one?by=${by}${key === "" ? "" : `&key=${encodeURIComponent(key)}`}`),
  rejectRates: (by: string) => send<RateList>("GET", `/api/reject-rates?by=${by}`),
  rateTestPiece: (id: string, form: RatingForm) => send<Note>("PUT", `${inspection(id)}/rating`, form),
  put: (id: string, entry: string, kind: EntryKind, content: EntryContent, version?: number) =>
    send<Bench>("PUT", `${inspection(id)}/entries/${entry}`, { kind, content, version }),
  putAll: (id: string, entries: { id: string; kind: EntryKind; content: EntryContent }[]) =>
    send<Bench>("POST", `${inspection(id)}/entries`, entries),
  lines: (id: string, lines: string[], before: string) => send<Line[]>("POST", `${inspection(id)}/lines`, { lines, before }),
  entryLine: () => send<LineCard[]>("GET", "/api/entry-line"),
  takeOff: (id: string, entry: { id: string; version: number }) =>
    send<Bench>("DELETE", `${inspection(id)}/entries/${entry.id}?version=${entry.version}`),
  restore: (id: string, entry: string) => send<Bench>("POST", `${inspection(id)}/entries/${entry}/restore`),
  conditions: (id: string, c: Conditions) => send<Bench>("PUT", `${inspection(id)}/conditions`, c),
  welding: (id: string, version: number, welding: WeldingForm) =>
    send<Bench>("PUT", `${inspection(id)}/welding`, { version, welding }),
  handOver: (id: string, hand: { to: string; note: string; inspectedFrom?: string; inspectedTo?: string }) =>
    send<Bench>("POST", `${inspection(id)}/handover`, hand),
  amend: (id: string, reason: string) => send<Bench>("POST", `${inspection(id)}/amend`, { reason }),
  sign: (id: string, form: { version: number; verdict: string; capacity: string; certificate?: string }) =>
    send<Bench>("POST", `${inspection(id)}/sign`, form),
  compare: (id: string, codes: string[]) => send<CodeColumn[]>("GET", `${inspection(id)}/comparison?codes=${codes.join(",")}`),
  deviate: (id: string, form: DeviationForm) => send<Bench>("POST", `${inspection(id)}/deviations`, form),
  withdrawDeviation: (id: string, deviation: string, why: string) =>
    send<Bench>("POST", `${inspection(id)}/deviations/${deviation}/withdraw`, { why }),
  waive: (id: string, gauge: string, reason: string) => send<Bench>("POST", `${inspection(id)}/waivers`, { gauge, reason }),
};

/** The fields at fault by name, for a form. */
export function problemsByField(e: unknown): Record<string, string> {
  if (!(e instanceof Refused)) return {};
  return Object.fromEntries(e.errors.map((p) => [p.field, p.problem]));
}

export function saidBy(e: unknown): string {
  return e instanceof Error ? e.message : String(e);
}
