import createClient from "openapi-fetch";
import type { paths } from "./api.d";
import type { Bench, FieldProblem } from "./api-types";
import { atHand, completed, isBench } from "./at-hand";

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

/** The bench that a question was asked beside: its answer may say what changed since. */
const asked = new WeakMap<Request, Bench>();
const answered = new WeakMap<Response, Bench>();

/** Speaks to the server as its description says. */
export const client = createClient<paths>({
  baseUrl: window.location.origin,
  credentials: "same-origin",
  headers: { Accept: "application/json" },
  // looked up at each call: a test puts its own in its place
  fetch: (request) => window.fetch(request),
});

client.use({
  onRequest({ request }) {
    const csrf = token();
    if (csrf && request.method !== "GET") request.headers.set("X-XSRF-TOKEN", decodeURIComponent(csrf));
    const id = /\/api\/inspections\/([^/?]+)/.exec(request.url)?.[1];
    const had = id === undefined ? undefined : atHand(id);
    if (had) {
      request.headers.set("X-Bench", had.tag);
      asked.set(request, had);
    }
  },
  onResponse({ request, response }) {
    const had = asked.get(request);
    if (had) answered.set(response, had);
  },
  onError: () => new Refused(0, "Mensor cannot be reached; what you typed is still here, try again", [], undefined),
});

type Answered<T> = { data?: T; error?: unknown; response: Response };

/** What was answered, or thrown as refused: the one place where the server's errors become the app's. */
export async function answer<T>(question: Promise<Answered<T>>): Promise<T> {
  const { data, error, response } = await question;
  if (!response.ok) {
    // what a proxy says while Mensor starts is no JSON
    const problem = (typeof error === "object" && error !== null ? error : {}) as Partial<Problem>;
    throw new Refused(
      response.status,
      problem.detail ?? "the server refused this",
      problem.errors ?? [],
      problem.current,
    );
  }
  return (isBench(data) ? completed(data, answered.get(response)) : data) as T;
}

type Problem = { detail: string; errors: FieldProblem[]; current: unknown };

/** The body is a text as it stands, or a file's bytes. */
export const asText = {
  headers: { "Content-Type": "text/plain;charset=UTF-8" },
  bodySerializer: (text: string) => text,
};
/** The body is a file of JSON as it stands. */
export const asJson = { headers: { "Content-Type": "application/json" }, bodySerializer: (text: string) => text };
export const asFile = { headers: { "Content-Type": "application/octet-stream" }, bodySerializer: (file: Blob) => file };

/** The fields at fault by name, for a form. */
export function problemsByField(e: unknown): Record<string, string> {
  if (!(e instanceof Refused)) return {};
  return Object.fromEntries(e.errors.map((p) => [p.field, p.problem]));
}

export function saidBy(e: unknown): string {
  return e instanceof Error ? e.message : String(e);
}
