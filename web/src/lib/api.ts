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
export type BookLine = Schemas["BookLine"];
export type BookPage = Schemas["BookView"];
export type BookCheckForm = Schemas["BookCheckForm"];
export type BookColumn = Schemas["BookColumn"];
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
export type RateList = Schemas["RatesView"];
export type RateRow = Schemas["RateRow"];
export type OneRate = Schemas["OneRate"];
export type Decision = Schemas["Decision"];
export type WeldingForm = Schemas["WeldingForm"];
export type WorklistPage = Schemas["WorklistPage"];
export type Job = Schemas["JobView"];
export type JobForm = Schemas["JobForm"];
export type Procedure = Schemas["ProcedureView"];
export type ProcedureForm = Schemas["ProcedureForm"];
export type ProcedurePreview = Schemas["ProcedurePreview"];
export type Rod = Schemas["RodView"];
export type Making = Schemas["MakingView"];
export type MakingContent = Schemas["MakingContent"];
export type MakingKind = NonNullable<Schemas["MakingForm"]["kind"]>;
export type MakingEntry = Making["entries"][number];
export type LookItem = Schemas["ItemView"];
export type Plan = Schemas["PlanView"];
export type Import = Schemas["ImportView"];
export type Gauge = Schemas["GaugeView"];
export type GaugeForm = Schemas["GaugeForm"];
export type Touched = Schemas["Touched"];
export type Welder = Schemas["WelderView"];
export type WelderForm = Schemas["WelderForm"];
export type WithPapers = Schemas["WithPapers"];
export type Papers = Schemas["Papers"];
export type Sheet = Schemas["Sheet"];
export type NewPerson = Schemas["NewPerson"];
export type Latest = Schemas["Latest"];
export type Squeeze = Schemas["Squeeze"];
export type WalkStep = Bench["walk"][number];
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

const look = (id: string) => `/api/inspections/${id}`;

/** One function per question asked of the server. */
export const api = {
  session: () => send<Session>("GET", "/api/session"),
  signIn: (login: string, password: string) => send<Session>("POST", "/api/session", { login, password }),
  signOut: () => send<Session>("DELETE", "/api/session"),
  firstPerson: (p: { login: string; name: string; password: string }) => send<Session>("POST", "/api/people/first", p),
  people: () => send<Actor[]>("GET", "/api/people"),
  addPerson: (p: NewPerson) => send<Actor>("POST", "/api/people", p),
  kinds: () => send<KindView[]>("GET", "/api/kinds"),
  books: () => send<BookLine[]>("GET", "/api/books"),
  book: (id: string, probe: { units: string; joint: string; thickness: string }) =>
    send<BookPage>("GET", `/api/books/${id}?${new URLSearchParams(probe).toString()}`),
  checkBook: (id: string, form: BookCheckForm) => send<BookLine>("POST", `/api/books/${id}/check`, form),
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
  making: (joint: string) => send<Making>("GET", `/api/joints/${joint}/making`),
  made: (joint: string, entry: string, kind: MakingKind, content: MakingContent, version?: number) =>
    send<Making>("PUT", `/api/joints/${joint}/making/entries/${entry}`, { kind, content, version }),
  takeOffMade: (joint: string, entry: MakingEntry) =>
    send<Making>("DELETE", `/api/joints/${joint}/making/entries/${entry.id}?version=${entry.version}`),
  restoreMade: (joint: string, entry: string) =>
    send<Making>("POST", `/api/joints/${joint}/making/entries/${entry}/restore`),
  whole: (joint: string, version: number, whole: WeldingForm) =>
    send<Making>("PUT", `/api/joints/${joint}/making/whole`, { version, whole }),
  welded: (joint: string, at: string) => send<Making>("PUT", `/api/joints/${joint}/making/welded`, { at }),
  plan: (joint: string, constants: Record<string, string>) =>
    send<Plan>("POST", `/api/joints/${joint}/plan`, { constants }),
  gauges: () => send<Gauge[]>("GET", "/api/gauges"),
  putGauge: (id: string, form: GaugeForm, version?: number) => send<Gauge>("PUT", `/api/gauges/${id}`, { form, version }),
  touchedBy: (gauge: string) => send<Touched[]>("GET", `/api/gauges/${gauge}/records`),
  kit: () => send<string[]>("GET", "/api/kit"),
  takeKit: (ids: string[]) => send<string[]>("PUT", "/api/kit", ids),
  welders: () => send<Welder[]>("GET", "/api/welders"),
  putWelder: (form: WelderForm, version?: number) => send<Welder>("PUT", "/api/welders", { form, version }),
  papers: () => send<WithPapers[]>("GET", "/api/people/papers"),
  certify: (id: string, papers: Papers) => send<WithPapers>("PUT", `/api/people/${id}/papers`, papers),
  verify: (joint: string) => send<Created>("POST", `/api/joints/${joint}/verification`),
  sheet: (look: string) => send<Sheet>("GET", `/api/inspections/${look}/sheet`),
  putSheet: (look: string, common: { inspections: string[]; conditions: Conditions; entries: { kind: EntryKind; content: EntryContent }[] }) =>
    send<Sheet>("POST", `/api/inspections/${look}/sheet`, common),
  signSheet: (look: string, looks: { inspectionId: string; version: number }[], capacity: string) =>
    send<Sheet>("POST", `/api/inspections/${look}/sheet/sign`, { looks, capacity }),
  joint: (id: string) => send<Stored>("GET", `/api/joints/${id}`),
  preview: (form: NewJoint) => send<Preview>("POST", "/api/joints/preview", form),
  createJoint: (form: NewJoint) => send<Created>("POST", "/api/joints", form),
  changeJoint: (id: string, form: NewJoint, version: number) =>
    send<Created>("PUT", `/api/joints/${id}`, { form, version }),
  bench: (id: string) => send<Bench>("GET", look(id)),
  latest: (id: string) => send<Latest>("GET", `${look(id)}/version`),
  squeeze: (id: string, measure: string, at: number, number: number) =>
    send<Squeeze>("GET", `${look(id)}/simulated-gauge?measure=${measure}&at=${at}&number=${number}`),
  photo: (id: string, photo: string, of: { at?: string; entry?: string }, picture: Blob) =>
    send<Bench>("PUT", `${look(id)}/photos/${photo}?${new URLSearchParams({ ...(of.at ? { at: of.at } : {}), ...(of.entry ? { entry: of.entry } : {}) }).toString()}`, picture),
  photoOff: (id: string, photo: string) => send<Bench>("DELETE", `${look(id)}/photos/${photo}`),
  photoOn: (id: string, photo: string) => send<Bench>("POST", `${look(id)}/photos/${photo}/restore`),
  causes: (id: string, also: string[] = []) => send<Causes>("GET", `${look(id)}/causes${also.length > 0 ? `?also=${also.join(",")}` : ""}`),
  trial: (id: string, trial: string, form: TrialForm) => send<Causes>("PUT", `${look(id)}/trials/${trial}`, form),
  outcome: (id: string, trial: string, form: OutcomeForm) => send<Causes>("PUT", `${look(id)}/trials/${trial}/outcome`, form),
  test: (id: string, test: string, form: TestPieceForm) => send<Causes>("PUT", `${look(id)}/tests/${test}`, form),
  testOff: (id: string, test: string) => send<Causes>("DELETE", `${look(id)}/tests/${test}`),
  testOn: (id: string, test: string) => send<Causes>("POST", `${look(id)}/tests/${test}/restore`),
  defects: (id: string, depths: Record<string, string>) => {
    const said = Object.entries(depths).map(([defect, depth]) => `depth=${defect}:${encodeURIComponent(depth)}`);
    return send<Defects>("GET", `${look(id)}/defects${said.length > 0 ? `?${said.join("&")}` : ""}`);
  },
  lookAgain: (id: string) => send<{ inspectionId: string }>("POST", `${look(id)}/look-again`, {}),
  history: (joint: string) => send<Change[]>("GET", `/api/joints/${joint}/history`),
  reports: () => send<ReportRun[]>("GET", "/api/reports"),
  beginReport: (form: ReportForm) => send<ReportRun>("POST", "/api/reports", form),
  stopReport: (id: string) => send<ReportRun>("DELETE", `/api/reports/${id}`),
  repairs: (job: string) => send<Repairs>("GET", `/api/repairs${job === "" ? "" : `?job=${job}`}`),
  ticket: (id: string) => send<Ticket>("GET", `/api/defects/${id}`),
  decide: (id: string, decision: Decision) => send<Ticket>("PUT", `/api/defects/${id}/disposition`, decision),
  told: (id: string, told: { told: string; version: number }) => send<Ticket>("PUT", `/api/defects/${id}/told`, told),
  step: (id: string, state: string, form: StepForm) => send<Ticket>("PUT", `/api/defects/${id}/steps/${state}`, form),
  stepBack: (id: string, back: { why: string; version: number }) => send<Ticket>("POST", `/api/defects/${id}/back`, back),
  release: (id: string, hold: string, document: { number: string; engineer: string; date: string; name: string }, file: Blob) =>
    send<Ticket>("PUT", `/api/defects/${id}/holds/${hold}/document?${new URLSearchParams(document).toString()}`, file),
  denyHold: (id: string, hold: string, why: { why: string }) => send<Ticket>("POST", `/api/defects/${id}/holds/${hold}/denied`, why),
  repairPhoto: (id: string, photo: string, picture: Blob) => send<Ticket>("PUT", `/api/defects/${id}/photos/${photo}`, picture),
  note: (id: string) => send<Note>("GET", `${look(id)}/note`),
  rate: (by: string, key: string) => send<OneRate>("GET", `/api/rates/one?by=${by}${key === "" ? "" : `&key=${encodeURIComponent(key)}`}`),
  rates: (by: string) => send<RateList>("GET", `/api/rates?by=${by}`),
  rateMaking: (id: string, form: RatingForm) => send<Note>("PUT", `${look(id)}/rating`, form),
  put: (id: string, entry: string, kind: EntryKind, content: EntryContent, version?: number) =>
    send<Bench>("PUT", `${look(id)}/entries/${entry}`, { kind, content, version }),
  putAll: (id: string, entries: { id: string; kind: EntryKind; content: EntryContent }[]) =>
    send<Bench>("POST", `${look(id)}/entries`, entries),
  lines: (id: string, lines: string[], before: string) => send<Line[]>("POST", `${look(id)}/lines`, { lines, before }),
  entryLine: () => send<LineCard[]>("GET", "/api/entry-line"),
  takeOff: (id: string, entry: { id: string; version: number }) =>
    send<Bench>("DELETE", `${look(id)}/entries/${entry.id}?version=${entry.version}`),
  restore: (id: string, entry: string) => send<Bench>("POST", `${look(id)}/entries/${entry}/restore`),
  conditions: (id: string, c: Conditions) => send<Bench>("PUT", `${look(id)}/conditions`, c),
  welding: (id: string, version: number, welding: WeldingForm) =>
    send<Bench>("PUT", `${look(id)}/welding`, { version, welding }),
  handOver: (id: string, hand: { to: string; note: string; lookedFrom?: string; lookedTo?: string }) =>
    send<Bench>("POST", `${look(id)}/handover`, hand),
  amend: (id: string, reason: string) => send<Bench>("POST", `${look(id)}/amend`, { reason }),
  sign: (id: string, form: { version: number; verdict: string; capacity: string; certificate?: string }) =>
    send<Bench>("POST", `${look(id)}/sign`, form),
  beside: (id: string, books: string[]) => send<BookColumn[]>("GET", `${look(id)}/side-by-side?books=${books.join(",")}`),
  deviate: (id: string, form: DeviationForm) => send<Bench>("POST", `${look(id)}/deviations`, form),
  withdrawDeviation: (id: string, deviation: string, why: string) =>
    send<Bench>("POST", `${look(id)}/deviations/${deviation}/withdraw`, { why }),
  waive: (id: string, gauge: string, reason: string) => send<Bench>("POST", `${look(id)}/waivers`, { gauge, reason }),
};

/** The fields at fault by name, for a form. */
export function problemsByField(e: unknown): Record<string, string> {
  if (!(e instanceof Refused)) return {};
  return Object.fromEntries(e.errors.map((p) => [p.field, p.problem]));
}

export function saidBy(e: unknown): string {
  return e instanceof Error ? e.message : String(e);
}
