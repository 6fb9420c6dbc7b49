import type { Role } from "../lib/roles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { App } from "antd";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import { useDoing, type Doing } from "../bench/useBench";
import { outboxOf } from "../lib/outbox";
import type { Bench } from "../lib/api";

export type Sent = { method: string; path: string; body: unknown };

/** Renders as in the application, with the server's answers by "METHOD path"; gives what was sent. */
export function renderWith(
  node: ReactNode,
  answers: Record<string, (body: unknown) => { status?: number; json: unknown }>,
  role: Role = "INSPECTOR",
) {
  const sent: Sent[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const { pathname, search } = new URL(request.url);
    const path = pathname + search;
    const { method } = request;
    // every page asks for these
    if (path === "/api/notices" && !Object.keys(answers).some((k) => k.endsWith("/api/notices")))
      return Response.json({ notices: [], count: 0 });
    const text = await request.clone().text();
    const body: unknown = text.startsWith("{") || text.startsWith("[") ? JSON.parse(text) : undefined;
    sent.push({ method, path, body });
    const key = Object.keys(answers).find((k) => `${method} ${path}`.startsWith(k));
    const answer = key ? answers[key]?.(body) : { status: 404, json: { detail: `nobody answers ${method} ${path}` } };
    return Response.json(answer?.json, { status: answer?.status ?? 200 });
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.setQueryData(["session"], {
    empty: false,
    signIns: [],
    person: { id: "p1", login: "ines", name: "Ines Marl", roles: [role] },
  });
  const wrapped = (inner: ReactNode) => (
    <QueryClientProvider client={queries}>
      <App>
        <MemoryRouter>{inner}</MemoryRouter>
      </App>
    </QueryClientProvider>
  );
  const view = render(wrapped(node));
  return { ...view, sent, again: (inner: ReactNode) => view.rerender(wrapped(inner)) };
}

/** Gives a part of the bench what the bench does things with. */
export function WithDoing({ bench, children }: { bench: Bench; children: (doing: Doing) => ReactNode }) {
  return children(useDoing(bench));
}

/** As on a tablet that nobody used before: nothing waits, nothing is half typed. */
export function freshTablet() {
  const outbox = outboxOf("p1");
  outbox.now().waiting.forEach((w) => outbox.drop(w.key));
  outbox.heard(true);
  window.localStorage.clear();
  window.sessionStorage.clear();
}
