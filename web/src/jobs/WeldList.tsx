import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, saidBy, type Import, type Job } from "../lib/api";

const busy = (i?: Import) => i?.state === "CHECKING" || i?.state === "STORING";

/** A job's welds as a list: out to a spreadsheet, and in from one, with each row's problem before anything is stored. */
export function WeldList({ job, mayImport }: { job: Job; mayImport: boolean }) {
  const [id, setId] = useState("");
  const [text, setText] = useState("");
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const view = useQuery({
    queryKey: ["list", id],
    queryFn: () => api.list(id),
    enabled: id !== "",
    refetchInterval: (q) => (busy(q.state.data) ? 250 : false),
  });
  const list = id === "" ? undefined : view.data;
  const state = list?.state;
  useEffect(() => {
    if (state === "STORED") void queries.invalidateQueries({ predicate: (q) => q.queryKey[0] !== "list" });
  }, [state, queries]);
  const begin = async (content: string) => {
    setFault(undefined);
    try {
      const begun = await api.checkList(job.id, content);
      queries.setQueryData(["list", begun.id], begun);
      setId(begun.id);
    } catch (e) {
      setFault(e);
    }
  };
  const act = async (f: (id: string) => Promise<Import>) => {
    setFault(undefined);
    try {
      queries.setQueryData(["list", id], await f(id));
      await queries.invalidateQueries({ queryKey: ["list", id] });
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <section aria-label="Weld list" className="weldlist">
      <h3>Weld list</h3>
      <div className="row">
        {job.welds > 0 && (
          <a
            className="btn linked"
            href={`/api/jobs/${job.id}/weld-list`}
            download={`${job.form.name ?? "job"}-welds.csv`}
          >
            Save the list (CSV)
          </a>
        )}
        {mayImport && (
          <label className="btn linked">
            Open a list …
            <input
              type="file"
              accept=".csv,.tsv,.txt,text/csv,text/plain"
              className="unseen"
              aria-label="Open a weld list"
              onChange={(e) => {
                const f = e.target.files?.[0];
                e.target.value = "";
                if (f) void f.text().then(begin);
              }}
            />
          </label>
        )}
        <span className="quiet small">
          Comma, semicolon or tab; the first line names the columns: mark, weld no, size, length, thickness a, thickness
          b, position, welder, wps …
        </span>
      </div>
      {mayImport && !list && (
        <details>
          <summary className="small">or paste it from a spreadsheet</summary>
          <textarea
            className="text"
            aria-label="Pasted list"
            rows={4}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <button type="button" className="btn" disabled={text.trim() === ""} onClick={() => void begin(text)}>
            Check the pasted list
          </button>
        </details>
      )}
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      {list && (
        <Preview
          list={list}
          onStore={() => void act(api.storeList)}
          onCancel={() => void act(api.cancelList)}
          onClose={() => {
            setId("");
            setText("");
          }}
        />
      )}
    </section>
  );
}

const words: Record<string, string> = {
  CHECKING: "Checking",
  CHECKED: "Checked: nothing is stored yet",
  STORING: "Storing",
  STORED: "Stored",
  CANCELLED: "Cancelled: nothing was stored",
  FAILED: "Not stored",
};

function Preview({
  list,
  onStore,
  onCancel,
  onClose,
}: {
  list: Import;
  onStore: () => void;
  onCancel: () => void;
  onClose: () => void;
}) {
  const running = busy(list);
  const bad = list.shown.filter((r) => r.problem);
  const good = list.shown.filter((r) => !r.problem);
  return (
    <div className="preview" aria-live="polite">
      <div className="row">
        <b>{words[list.state]}</b>
        {running && <progress value={list.done} max={Math.max(1, list.rows)} aria-label="Rows done" />}
        <span>
          {running ? `${list.done} of ${list.rows} rows` : `${list.rows} rows`} ·{" "}
          <span className="v-accept">{list.good} good</span> ·{" "}
          <span className={list.bad > 0 ? "fault" : ""}>{list.bad} with a problem</span>
        </span>
        <span style={{ flex: 1 }} />
        {list.state === "CHECKED" && (
          <button type="button" className="btn main" disabled={list.good === 0} onClick={onStore}>
            Store the {list.good} good {list.good === 1 ? "weld" : "welds"}
          </button>
        )}
        {(running || list.state === "CHECKED") && (
          <button type="button" className="btn" onClick={onCancel}>
            Cancel
          </button>
        )}
        {!running && list.state !== "CHECKED" && (
          <button type="button" className="btn" onClick={onClose}>
            Close
          </button>
        )}
      </div>
      {list.failure && <p className="fault">{list.failure}</p>}
      {list.ignored.length > 0 && <p className="hint">Not used: {list.ignored.join(", ")}</p>}
      {list.shown.length > 0 && (
        <table className="small">
          <thead>
            <tr>
              <th>Row</th>
              <th>Weld</th>
              <th>What it is, or what is wrong</th>
            </tr>
          </thead>
          <tbody>
            {[...bad, ...good].slice(0, 100).map((r) => (
              <tr key={r.line}>
                <td>{r.line}</td>
                <td>
                  <b>{r.mark || "–"}</b>
                  {r.weldNo ? ` weld ${r.weldNo}` : ""}
                </td>
                <td>
                  {r.problem ? (
                    <span className="fault">
                      ✕ {r.problem.field}: {r.problem.problem}
                    </span>
                  ) : (
                    r.inWords
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
