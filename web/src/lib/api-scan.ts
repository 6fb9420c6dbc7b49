import type { Schemas } from "./api-types";
import { answer, client, Refused } from "./client";

export type Scan = Schemas["ScanView"];
export type ScanProposal = Schemas["ProposalView"];
/** A place that was not measured has no value. */
export type ScanLine = Omit<Schemas["ScannedLineView"], "values"> & { values: (number | null)[] };
export type ScanLines = Omit<Schemas["LinesView"], "lines"> & { lines: ScanLine[] };
export type ScanSection = Schemas["ScanSection"];
export type Compared = Schemas["ComparedView"];

const at = (id: string, scanId: string) => ({ params: { path: { id, scanId } } });

/** The surface of a weld as a grid: of each profile its place, and of each point x, y and its height over the members, mm. */
export type Surface = {
  rows: number;
  across: number;
  values: Float32Array;
  /** Each point has a tone besides. */
  toned?: boolean;
};

/** Scans of an inspection. */
export const scanning = {
  scans: (id: string) => answer(client.GET("/api/inspections/{id}/scans", { params: { path: { id } } })),
  scansOfWeld: (id: string) => answer(client.GET("/api/inspections/{id}/scans/of-weld", { params: { path: { id } } })),
  scanOff: (id: string, scanId: string) =>
    answer(client.DELETE("/api/inspections/{id}/scans/{scanId}", at(id, scanId))),
  scanOn: (id: string, scanId: string) =>
    answer(client.POST("/api/inspections/{id}/scans/{scanId}/restore", at(id, scanId))),
  measureScan: (id: string, scanId: string) =>
    answer(client.POST("/api/inspections/{id}/scans/{scanId}/measure", at(id, scanId))),
  recountScan: (id: string, scanId: string) =>
    answer(client.GET("/api/inspections/{id}/scans/{scanId}/again", at(id, scanId))),
  takeScan: (id: string, scanId: string, proposals: string[]) =>
    answer(client.POST("/api/inspections/{id}/scans/{scanId}/take", { ...at(id, scanId), body: { proposals } })),
  scanLines: (id: string, scanId: string, from?: number, to?: number): Promise<ScanLines> =>
    answer(
      client.GET("/api/inspections/{id}/scans/{scanId}/lines", {
        params: { path: { id, scanId }, query: { from, to } },
      }),
    ),
  scanSection: (id: string, scanId: string, place: number) =>
    answer(
      client.GET("/api/inspections/{id}/scans/{scanId}/section", {
        params: { path: { id, scanId }, query: { at: place } },
      }),
    ),
  scanCompared: (id: string, scanId: string, other: string, of: string) =>
    answer(
      client.GET("/api/inspections/{id}/scans/{scanId}/compared", {
        params: { path: { id, scanId }, query: { with: other, of } },
      }),
    ),
  scanSurface: async (id: string, scanId: string): Promise<Surface> => {
    const { data, response } = await client.GET("/api/inspections/{id}/scans/{scanId}/surface", {
      ...at(id, scanId),
      headers: { Accept: "application/octet-stream" },
      parseAs: "arrayBuffer",
    });
    if (!data) throw new Refused(response.status, "the surface could not be read", [], undefined);
    const all = new Float32Array(data);
    return { rows: all[0] ?? 0, across: all[1] ?? 0, values: all.subarray(2) };
  },
};

export const scanFileOf = (id: string, scanId: string) => `/api/inspections/${id}/scans/${scanId}/file`;

/** Sends a scan; asked of the browser's older interface, since the newer one does not tell how much was sent. */
export function sendScan(
  id: string,
  scanId: string,
  file: File,
  gauge: string | undefined,
  onPart: (percent: number) => void,
): { done: Promise<Scan[]>; cancel: () => void } {
  const request = new XMLHttpRequest();
  const query = new URLSearchParams({ name: file.name, ...(gauge ? { gauge } : {}) });
  const done = new Promise<Scan[]>((resolve, reject) => {
    request.upload.onprogress = (e) => onPart(Math.round((e.loaded / Math.max(1, e.total)) * 100));
    request.onabort = () => reject(new Refused(0, "not sent: it was stopped", [], undefined));
    request.onerror = () => reject(new Refused(0, "Mensor cannot be reached; try again", [], undefined));
    request.onload = () => {
      const said = read(request.responseText);
      if (request.status === 200) resolve(said as Scan[]);
      else reject(new Refused(request.status, detail(said), [], undefined));
    };
  });
  request.open("PUT", `/api/inspections/${id}/scans/${scanId}?${query.toString()}`);
  request.setRequestHeader("Content-Type", "application/octet-stream");
  const csrf = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
  if (csrf) request.setRequestHeader("X-XSRF-TOKEN", decodeURIComponent(csrf));
  request.send(file);
  return { done, cancel: () => request.abort() };
}

/** What a live scan tells of one profile. */
export type LiveRow = { s: number; values?: Record<string, number>; why?: string };

/** Scans by the simulated scanner; each line is told as it comes. Ends when the weld does, or when it is stopped: what came is kept. */
export async function scanLive(
  id: string,
  scanId: string,
  speed: number,
  signal: AbortSignal,
  onHead: (head: ScanLines) => void,
  onRow: (row: LiveRow) => void,
): Promise<void> {
  const csrf = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
  const response = await window.fetch(`/api/inspections/${id}/scans/${scanId}/live?speed=${speed}`, {
    method: "POST",
    signal,
    headers: csrf ? { "X-XSRF-TOKEN": decodeURIComponent(csrf) } : {},
  });
  if (!response.ok || !response.body)
    throw new Refused(response.status, detail(read(await response.text())), [], undefined);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  let first = true;
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) {
      if (first) onHead(JSON.parse(line) as ScanLines);
      else onRow(JSON.parse(line) as LiveRow);
      first = false;
    }
  }
}

function read(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

function detail(said: unknown): string {
  const errors = (said as { errors?: { problem: string }[] } | undefined)?.errors;
  return errors?.[0]?.problem ?? (said as { detail?: string } | undefined)?.detail ?? "the server refused this";
}
