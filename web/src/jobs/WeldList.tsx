import { UploadOutlined } from "@ant-design/icons";
import { Button, Collapse, Flex, Input, Progress } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { api, saidBy, type Import, type Job } from "../lib/api";
import { DataTable } from "../lib/DataTable";
import { listOf, lists } from "../lib/list-of";
import { FileButton } from "../lib/FileButton";

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
      <Flex wrap gap={8} align="center">
        <Link className="way" to={`/jobs/${job.id}/map`}>
          weld map
        </Link>
        {job.welds > 0 && (
          <Button href={`/api/jobs/${job.id}/weld-list`} download={`${job.form.name ?? "job"}-welds.csv`}>
            Save the list (CSV)
          </Button>
        )}
        {job.welds > 0 && (
          <Button href={`/api/jobs/${job.id}/weld-list?as=xlsx`} download={`${job.form.name ?? "job"}-welds.xlsx`}>
            Save it (xlsx)
          </Button>
        )}
        {mayImport && (
          <FileButton accept={lists} icon={<UploadOutlined />} onFile={(f) => void listOf(f).then(begin, setFault)}>
            Open a list …
          </FileButton>
        )}
        <span className="quiet small">
          CSV (comma, semicolon or tab) or .xlsx; the first line names the columns: mark, weld no, size, length,
          thickness a, thickness b, position, welder, wps …
        </span>
      </Flex>
      {mayImport && !list && (
        <Collapse
          ghost
          items={[
            {
              key: "paste",
              label: "or paste it from a spreadsheet",
              children: (
                <Flex vertical gap={8} align="start">
                  <Input.TextArea
                    aria-label="Pasted list"
                    rows={4}
                    value={text}
                    onChange={(e) => setText(e.target.value)}
                  />
                  <Button disabled={text.trim() === ""} onClick={() => void begin(text)}>
                    Check the pasted list
                  </Button>
                </Flex>
              ),
            },
          ]}
        />
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
    <div className="framed" aria-live="polite">
      <Flex wrap gap={8} align="center">
        <b>{words[list.state]}</b>
        {running && (
          <Progress
            className="box"
            percent={Math.round((100 * list.done) / Math.max(1, list.rows))}
            aria-label="Rows done"
          />
        )}
        <span>
          {running ? `${list.done} of ${list.rows} rows` : `${list.rows} rows`} ·{" "}
          <span className="v-accept">{list.good} good</span> ·{" "}
          <span className={list.bad > 0 ? "fault" : ""}>{list.bad} with a problem</span>
        </span>
        <span className="grow" />
        {list.state === "CHECKED" && (
          <Button type="primary" disabled={list.good === 0} onClick={onStore}>
            Store the {list.good} good {list.good === 1 ? "weld" : "welds"}
          </Button>
        )}
        {(running || list.state === "CHECKED") && <Button onClick={onCancel}>Cancel</Button>}
        {!running && list.state !== "CHECKED" && <Button onClick={onClose}>Close</Button>}
      </Flex>
      {list.failure && <p className="fault">{list.failure}</p>}
      {list.ignored.length > 0 && <p className="hint">Not used: {list.ignored.join(", ")}</p>}
      {list.shown.length > 0 && (
        <DataTable<Import["shown"][number]>
          name="weld-list"
          label="Rows of the list"
          rows={[...bad, ...good].slice(0, 100)}
          rowKey={(r) => String(r.line)}
          empty="No row"
          columns={[
            { key: "line", title: "Row", width: 80, value: (r) => r.line },
            {
              key: "weld",
              title: "Weld",
              width: 160,
              value: (r) => `${r.mark} ${r.weldNo ?? ""}`,
              render: (r) => (
                <>
                  <b>{r.mark || "–"}</b>
                  {r.weldNo ? ` weld ${r.weldNo}` : ""}
                </>
              ),
            },
            {
              key: "what",
              title: "What it is, or what is wrong",
              value: (r) => r.problem?.field ?? "",
              render: (r) =>
                r.problem ? (
                  <span className="fault">
                    ✕ {r.problem.field}: {r.problem.problem}
                  </span>
                ) : (
                  r.inWords
                ),
            },
          ]}
        />
      )}
    </div>
  );
}
